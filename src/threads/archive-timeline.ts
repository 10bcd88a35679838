import "server-only";
import { createHash } from "node:crypto";
import type { ArchiveFile, ArchiveIndex } from "@/core/formats/archive";
import { type Frozen, mediaIn, toFrozen } from "@/core/formats/frozen";
import { canonicalJson } from "@/core/text/canonical-json";
import { accountPart as accountPartOf } from "@/server/accounts/account";
import { classArchive } from "@/server/classes/archive-class";
import { db } from "@/server/db/pool";
import { findDraftFile } from "@/server/media/find-file";
import { findTimeline } from "@/server/timelines/queries";
import { wholeHistory } from "@/server/timelines/restore-history";

export async function accountPart([id]: [string]): Promise<string | null> {
  return accountPartOf(id);
}

/** A part of an archive but for the bytes of its media: texts by their paths, and where each file is to be found. */
export interface ArchivePart {
  texts: [path: string, text: string][];
  media: [timeline: string, id: string, path: string, size: string][];
}

/** What an archive holds of a timeline but the bytes of its media: it as it stands, its whole history, and which files follow. */
export async function archiveTimeline([id, role, n]: [string, string, number]): Promise<ArchivePart | null> {
  const found = await findTimeline(id);
  if (!found) return null;
  const frozen = toFrozen(found.timeline, true);
  const folder = `timelines/${n}`;
  return part(folder, { id, role, title: frozen.title }, id, mediaIn(frozen), [
    [`${folder}/timeline.json`, canonicalJson(frozen)],
    [`${folder}/history.json`, JSON.stringify(await wholeHistory(id))],
  ]);
}

/**
 * A class and the works of its groups, each as it stands without what only its editors see, or as it was handed in last where its group has
 * deleted it; null where the person does not teach it.
 */
export async function archiveClass([klass, teacher, n]: [string, string, number]): Promise<ArchivePart[] | null> {
  const archived = await classArchive(klass, teacher);
  if (!archived) return null;
  const folder = `classes/${n}`;
  const parts: ArchivePart[] = [];
  for (const [m, { timeline: id }] of archived.works.entries()) {
    const versions = archived.rows
      .version!.filter((v) => v.timelineId === id)
      .sort((a, b) => Number(a.number) - Number(b.number))
      .map((v) => JSON.parse(String(v.json)) as Frozen);
    const found = await findTimeline(id);
    const frozen = found ? toFrozen(found.timeline) : versions.at(-1);
    if (!frozen) continue;
    const work = `${folder}/works/${m + 1}`;
    const media = new Set([frozen, ...versions].flatMap((f) => mediaIn(f)));
    const text: [string, string] = [`${work}/timeline.json`, canonicalJson(frozen)];
    parts.push(await part(work, { id, role: "work", title: frozen.title }, id, [...media], [text]));
  }
  const text: [string, string] = [`${folder}/class.json`, JSON.stringify(archived)];
  parts.push(await part(folder, { id: klass, role: "class", title: archived.name }, "", [], [text]));
  return parts;
}

async function part(
  folder: string,
  head: Omit<ArchiveIndex, "files">,
  timeline: string,
  shown: readonly string[],
  texts: [path: string, text: string][],
): Promise<ArchivePart> {
  const files: ArchiveFile[] = texts.map(([path, text]) => ({
    path,
    size: Buffer.byteLength(text),
    sha256: createHash("sha256").update(text).digest("hex"),
  }));
  const media: ArchivePart["media"] = [];
  for (const m of shown) {
    const [row] = await db()<{ name: string; kind: string; moves: boolean }[]>`
      select name, kind, exists (select from media_file f where f.media_id = m.id and f.size = 'moving') as moves
      from media m where id = ${m}`;
    // Of a video "full" would be its still, and of what moves one picture of it.
    const size = row?.kind !== "picture" ? "whole" : row.moves ? "moving" : "full";
    const blob = await findDraftFile(timeline, m, size);
    if (!blob) continue;
    const path = `${folder}/media/${m}`;
    media.push([timeline, m, path, size]);
    files.push({ path, size: blob.size, sha256: blob.hash, ...(row?.name ? { name: row.name } : {}) });
  }
  return { texts: [[`${folder}/index.json`, JSON.stringify({ ...head, files })], ...texts], media };
}
