import "server-only";
import { createHash } from "node:crypto";
import type { ArchiveFile, ArchiveIndex } from "@/core/formats/archive";
import { mediaIn, toFrozen } from "@/core/formats/frozen";
import { canonicalJson } from "@/core/text/canonical-json";
import { accountPart as accountPartOf } from "@/server/accounts/account";
import { db } from "@/server/db/pool";
import { findDraftFile } from "@/server/media/find-file";
import { findTimeline } from "@/server/timelines/queries";
import { wholeHistory } from "@/server/timelines/restore-history";

export async function accountPart([id]: [string]): Promise<string | null> {
  return accountPartOf(id);
}

/** What an archive holds of a timeline but the bytes of its media: it as it stands, its whole history, and which files follow. */
export async function archiveTimeline([id, role, n]: [string, string, number]): Promise<{
  texts: [path: string, text: string][];
  media: [id: string, path: string, size: string][];
} | null> {
  const found = await findTimeline(id);
  if (!found) return null;
  const frozen = toFrozen(found.timeline, true);
  const folder = `timelines/${n}`;
  const changes = await wholeHistory(id);
  const texts: [string, string][] = [
    [`${folder}/timeline.json`, canonicalJson(frozen)],
    [`${folder}/history.json`, JSON.stringify(changes)],
  ];
  const files: ArchiveFile[] = texts.map(([path, text]) => ({
    path,
    size: Buffer.byteLength(text),
    sha256: createHash("sha256").update(text).digest("hex"),
  }));
  const media: [string, string, string][] = [];
  for (const m of mediaIn(frozen)) {
    const [row] = await db()<{ name: string; kind: string; moves: boolean }[]>`
      select name, kind, exists (select from media_file f where f.media_id = m.id and f.size = 'moving') as moves
      from media m where id = ${m}`;
    // Of a video "full" would be its still, and of what moves one picture of it.
    const size = row?.kind !== "picture" ? "whole" : row.moves ? "moving" : "full";
    const blob = await findDraftFile(id, m, size);
    if (!blob) continue;
    const path = `${folder}/media/${m}`;
    media.push([m, path, size]);
    files.push({ path, size: blob.size, sha256: blob.hash, ...(row?.name ? { name: row.name } : {}) });
  }
  const index: ArchiveIndex = { id, role, title: frozen.title, files };
  return { texts: [[`${folder}/index.json`, JSON.stringify(index)], ...texts], media };
}
