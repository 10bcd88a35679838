import "server-only";
import { nanoid } from "nanoid";
import { copyEvents, copyTimeline, filesOf } from "@/core/change/copy-events";
import type { Op } from "@/core/change/change";
import type { Frozen } from "@/core/formats/frozen";
import { timelineOfFile } from "@/core/bring-in/whole-timeline";
import { between } from "@/core/timeline/place";
import { db } from "../db/pool";
import { type Failure, fail, refusal } from "../http/failure";
import { copyMedia } from "../timelines/copy-into";
import { requireRight } from "../timelines/access";
import { createTimelineIn } from "../timelines/create";
import { readTimeline } from "../timelines/queries";
import { takeChangeIn } from "../timelines/take-change";
import type { Published } from "./published";
import { findVersion } from "./versions";

/** Whose work something was begun with, as it was published then. */
const basedOn = (published: Published, { title, byline }: Frozen): Op => ({
  kind: "set_timeline",
  field: "basedOn",
  value: { title, byline, address: `/t/${published.address}`, at: published.at.toISOString() },
});

/**
 * Begins a timeline of somebody's own with what is published, where its author permits it: what was published is copied, not the draft,
 * with its pictures, and the copy says for good what it was begun with.
 */
export async function copyPublished(published: Published, by: string): Promise<Failure | { id: string }> {
  if (!published.copies) return fail("copies_not_allowed");
  const version = await findVersion(published.version);
  if (!version) return fail("not_found");
  const { frozen } = version;
  const timeline = timelineOfFile(frozen, 1);
  return db()
    .begin(async (tx): Promise<Failure | { id: string }> => {
      const made = await createTimelineIn(tx, by, { title: "", subject: "" }, []);
      if ("failed" in made) return made;
      const media = await copyMedia(tx, published.timeline, made.id, filesOf([...timeline.items.values()]), by);
      const ops = copyTimeline(timeline, frozen.title, (m) => media.get(m) ?? null);
      ops.push(basedOn(published, frozen));
      await takeChangeIn(tx, made.id, { id: nanoid(), author: by, base: 0, ops });
      return made;
    })
    .catch(refusal);
}

/**
 * Copies the events of what is published into a timeline that somebody may edit, where its author permits it: one change. Each says by a
 * source where it came from; a timeline that was begun with nothing yet says it of the whole. `web`: the address readers have.
 */
export async function copyPublishedInto(
  published: Published,
  to: string,
  by: string,
  web: string,
): Promise<Failure | { copied: number; title: string; events: string[] }> {
  if (!published.copies) return fail("copies_not_allowed");
  const version = await findVersion(published.version);
  if (!version) return fail("not_found");
  const { frozen } = version;
  const file = timelineOfFile(frozen, 1);
  return db()
    .begin(async (tx) => {
      await requireRight(tx, to, by, "edit");
      const target = await readTimeline(tx, to);
      if (!target) return fail("not_found");
      const media = await copyMedia(tx, published.timeline, to, filesOf([...file.items.values()]), by);
      const { ops, ids } = copyEvents(file, [...file.events.keys()], () => nanoid(10), {
        into: target.timeline,
        mediaFor: (m) => media.get(m) ?? null,
      });
      if (ids.length === 0) return fail("not_found");
      const text = [frozen.title, frozen.byline].filter(Boolean).join(". ");
      const last = new Map<unknown, string>();
      for (const op of ops)
        if (op.kind === "add_item" && op.fields.list === "source")
          last.set(op.fields.of, [last.get(op.fields.of) ?? "", op.fields.place ?? ""].sort()[1]!);
      const chapters = new Set(ops.flatMap((op) => (op.kind === "add_event" && op.fields.chapter ? [op.id] : [])));
      for (const of of ids) {
        if (chapters.has(of)) continue;
        // Behind the sources it has.
        const place = between(last.get(of) || null, null);
        ops.push({ kind: "add_item", id: nanoid(10), fields: { of, list: "source", text, address: web, place } });
      }
      if (!target.timeline.basedOn) ops.push(basedOn(published, frozen));
      await takeChangeIn(tx, to, { id: nanoid(), author: by, base: target.seq, ops });
      return { copied: ids.length, title: frozen.title, events: ids };
    })
    .catch(refusal);
}
