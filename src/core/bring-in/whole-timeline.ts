import { copyEvents, copyTimeline } from "../change/copy-events";
import type { Op } from "../change/change";
import { type Frozen, timelineFromFrozen } from "../formats/frozen";
import { descriptionOf } from "../text/write-description";
import { inRows } from "../timeline/order";
import type { Timeline } from "../timeline/timeline";
import { isUnwritten } from "./unwritten";

/** A frozen timeline as one that can be edited: with its texts. `client`: who writes them, as their documents count. */
export function timelineOfFile(f: Frozen, client: number): Timeline {
  const t = timelineFromFrozen(f, "file");
  const chapters = new Map((f.chapters ?? []).map((c) => [c.id, c]));
  const described = new Map(f.events.map((e) => [e.id, e]));
  return {
    ...t,
    introduction: descriptionOf(f.introduction ?? [], client),
    closing: descriptionOf(f.closing ?? [], client),
    events: new Map(
      [...t.events].map(([id, e]) => [
        id,
        { ...e, description: descriptionOf((described.get(id) ?? chapters.get(id))?.description ?? [], client) },
      ]),
    ),
  };
}

/**
 * The steps that bring a timeline of a file in: into one that is empty the whole of it, else its events with what belongs to them.
 * `mediaFor`: the uploaded file an entry shows here; entries without one are left out, and counted.
 */
export function bringInTimeline(
  into: Timeline,
  file: Timeline,
  { newId, mediaFor: known }: { newId: () => string; mediaFor: (media: string) => string | null },
): { ops: Op[]; events: number; mediaLeftOut: number } {
  let mediaLeftOut = 0;
  const mediaFor = (media: string) => {
    const here = known(media);
    if (here === null) mediaLeftOut++;
    return here;
  };
  const rows = inRows(file.events.values());
  const events = rows.filter((e) => !e.chapter).length;
  // Ids of a file may be those of records that were here and are deleted: then they cannot come again.
  const fresh = ["events", "categories", "items", "sources"] as const;
  const taken = fresh.some((c) => [...file[c].keys()].some((id) => into[c].has(id)));
  const ops =
    isUnwritten(into) && !taken
      ? copyTimeline(file, into.title || file.title, mediaFor)
      : copyEvents(
          file,
          rows.map((e) => e.id),
          newId,
          { into, mediaFor },
        ).ops;
  return { ops, events, mediaLeftOut };
}
