import "server-only";
import { nanoid } from "nanoid";
import { copyTimeline, filesOf } from "@/core/change/copy-events";
import { timelineOfFile } from "@/core/bring-in/whole-timeline";
import { db } from "../db/pool";
import { type Failure, fail, refusal } from "../http/failure";
import { copyMedia } from "../timelines/copy-into";
import { createTimelineIn } from "../timelines/create";
import { takeChangeIn } from "../timelines/take-change";
import type { Published } from "./published";
import { findVersion } from "./versions";

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
      ops.push({
        kind: "set_timeline",
        field: "basedOn",
        value: {
          title: frozen.title,
          byline: frozen.byline,
          address: `/t/${published.address}`,
          at: published.at.toISOString(),
        },
      });
      await takeChangeIn(tx, made.id, { id: nanoid(), author: by, base: 0, ops });
      return made;
    })
    .catch(refusal);
}
