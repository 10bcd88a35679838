import "server-only";
import { nanoid } from "nanoid";
import { copyEvents, copyTimeline, filesOf } from "@/core/change/copy-events";
import { LIMITS } from "@/core/change/limits";
import { WORDS } from "@/core/words/home";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, Refused, refusal } from "../http/failure";
import { findMedia, type Media } from "../media/make-media";
import { noRoom } from "../media/room";
import { requireRight } from "./access";
import { createTimelineIn } from "./create";
import { readTimeline } from "./queries";
import { takeChangeIn } from "./take-change";

/**
 * Copies events of one timeline into another with all they have, their files too: one change of the other timeline. Whoever asks
 * must be allowed to edit both.
 */
export async function copyInto(
  from: string,
  to: string,
  events: readonly string[],
  by: string,
): Promise<Failure | { copied: number; title: string; events: string[] }> {
  if (from === to) return fail("invalid");
  return db()
    .begin(async (tx) => {
      await requireRight(tx, from, by, "edit");
      await requireRight(tx, to, by, "edit");
      const source = await readTimeline(tx, from);
      const target = await readTimeline(tx, to);
      if (!source || !target) return fail("not_found");
      const wanted = new Set(events);
      const shown = filesOf([...source.timeline.items.values()].filter((i) => !i.deleted && wanted.has(i.of)));
      const media = await copyMedia(tx, from, to, shown, by);
      const { ops, ids } = copyEvents(source.timeline, events, () => nanoid(10), {
        into: target.timeline,
        mediaFor: (m) => media.get(m) ?? null,
      });
      if (ids.length === 0) return fail("not_found");
      await takeChangeIn(tx, to, { id: nanoid(), author: by, base: target.seq, ops });
      return { copied: ids.length, title: target.timeline.title, events: ids };
    })
    .catch(refusal);
}

/** Makes the same timeline once more for somebody who may edit it; it is theirs alone. */
export async function duplicateTimeline(from: string, by: string): Promise<Failure | { id: string }> {
  return db()
    .begin(async (tx): Promise<Failure | { id: string }> => {
      await requireRight(tx, from, by, "edit");
      const source = await readTimeline(tx, from);
      if (!source) return fail("not_found");
      const made = await createTimelineIn(tx, by, { title: "", subject: "" }, []);
      if ("failed" in made) return made;
      const { timeline } = source;
      const shown = filesOf([...timeline.items.values()].filter((i) => !i.deleted));
      const media = await copyMedia(tx, from, made.id, shown, by);
      const title = WORDS.copyOf(timeline.title || WORDS.untitled).slice(0, LIMITS.title);
      const ops = copyTimeline(timeline, title, (m) => media.get(m) ?? null);
      // Whose work it began with stays said.
      if (timeline.basedOn) ops.push({ kind: "set_timeline", field: "basedOn", value: timeline.basedOn });
      await takeChangeIn(tx, made.id, { id: nanoid(), author: by, base: 0, ops });
      return made;
    })
    .catch(refusal);
}

/**
 * Uses something that was uploaded into one timeline in another, or in the same once more, for somebody who may edit both. Its bytes
 * are not stored again; in the same timeline it is the same media.
 */
export async function takeAgain(
  from: string,
  to: string,
  media: string,
  by: string,
): Promise<Failure | { media: Media }> {
  return db()
    .begin(async (tx): Promise<Failure | { media: Media }> => {
      await requireRight(tx, from, by, "edit");
      await requireRight(tx, to, by, "edit");
      const id = from === to ? media : (await copyMedia(tx, from, to, [media], by)).get(media);
      const [own] = await tx`select from media where id = ${id ?? ""} and timeline_id = ${to}`;
      return own ? { media: (await findMedia(tx, id!))! } : fail("not_found");
    })
    .catch(refusal);
}

/** The same files for another timeline: rows of its own over the same bytes. */
export async function copyMedia(
  tx: Tx,
  from: string,
  to: string,
  ids: readonly string[],
  by: string,
): Promise<Map<string, string>> {
  const made = new Map<string, string>();
  if (ids.length === 0) return made;
  const [size] = await tx<{ bytes: string }[]>`
    select coalesce(sum(b.size), 0) as bytes from media_file f join blob b on b.hash = f.hash where f.media_id = any(${[...ids]})`;
  const full = await noRoom(to, by, Number(size!.bytes), tx);
  if (full) throw new Refused(full);
  for (const old of new Set(ids)) {
    const id = nanoid(16);
    const done = await tx`
      insert into media (id, timeline_id, kind, name, width, height, tones, created_by)
      select ${id}, ${to}, kind, name, width, height, tones, ${by} from media where id = ${old} and timeline_id = ${from} returning id`;
    if (done.length === 0) continue;
    await tx`
      insert into media_file (media_id, size, hash, width, height)
      select ${id}, size, hash, width, height from media_file where media_id = ${old}`;
    made.set(old, id);
  }
  const parts = await tx<{ id: string; madeOf: string }[]>`
    select id, made_of from media where id = any(${[...made.keys()]}) and made_of is not null`;
  for (const { id, madeOf } of parts)
    await tx`update media set made_of = ${made.get(madeOf) ?? null} where id = ${made.get(id)!}`;
  return made;
}
