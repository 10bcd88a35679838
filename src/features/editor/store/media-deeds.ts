import { nanoid } from "nanoid";
import type { Cut } from "@/core/timeline/fields";
import { type Item, itemsOf } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/upload-queue";
import { doubtsOf } from "./plays-everywhere";
import { placeForNewItem, putItem } from "./event-deeds";
import type { TimelineStore } from "./timeline-store";
import type { UploadedMedia } from "@/ui/upload";
import { drawPreview, type Found, UploadQueue } from "./upload-queue";

/** Puts what was uploaded at the end of an event's media; a sentence where the event is no longer there. */
export function attachMedia(store: TimelineStore, of: string, media: UploadedMedia, found: Found): string | null {
  const { timeline } = store.getState();
  const owner = timeline.events.get(of);
  if (of !== "timeline" && (!owner || owner.deleted)) return WORDS.eventGone;
  const { stillOf, list = "media", ...known } = found;
  if (stillOf !== undefined) {
    const item = timeline.items.get(stillOf);
    return item && !item.deleted ? showStill(store, item, media) : WORDS.eventGone;
  }
  const { id, kind, width, height, moving, length = null, tones = null } = media;
  return store.edit([
    {
      kind: "add_item",
      id: nanoid(10),
      fields: {
        of,
        list,
        place: placeForNewItem(timeline, of, list),
        media: id,
        kind,
        width,
        height,
        moving,
        length,
        // What stands on a picture behind the chart has to be told from it.
        ...(list === "back" ? { tones } : {}),
        ...known,
      },
    },
  ]);
}

/** Puts what stays at another site at the end of an event's media. */
export function attachOutside(
  store: TimelineStore,
  of: string,
  outside: Partial<Item>,
  known: Pick<Item, "address" | "foundOn">,
): string | null {
  const { timeline } = store.getState();
  const owner = timeline.events.get(of);
  if (of !== "timeline" && (!owner || owner.deleted)) return WORDS.eventGone;
  const place = placeForNewItem(timeline, of, "media");
  const fields = { of, list: "media" as const, place, ...outside, ...known };
  return store.edit([{ kind: "add_item", id: nanoid(10), fields }]);
}

/** The queue of files into a timeline. */
export function uploadsInto(store: TimelineStore): UploadQueue {
  return new UploadQueue(store.timelineId, {
    preview: drawPreview,
    doubts: doubtsOf,
    attach: (of, media, found) => attachMedia(store, of, media, found),
    onNetwork: (again) => {
      window.addEventListener("online", again);
      return () => window.removeEventListener("online", again);
    },
  });
}

/** Shows another file for an entry: a part of its picture, or all of it again. One change, one undo. */
export function showCut(store: TimelineStore, item: Item, media: UploadedMedia, cut: Cut | null): string | null {
  const set = (field: "media" | "width" | "height" | "cut" | "moving" | "focus", value: unknown) =>
    ({ kind: "set_item", id: item.id, field, value }) as never;
  return store.edit([
    set("media", media.id),
    set("width", media.width),
    set("height", media.height),
    set("moving", media.moving),
    set("cut", cut),
    // What is to be seen of it was said of another picture.
    ...(item.focus ? [set("focus", null)] : []),
  ]);
}

/** Shows a video with another still. */
export function showStill(store: TimelineStore, item: Item, media: UploadedMedia): string | null {
  const set = (field: "media" | "width" | "height", value: unknown) =>
    ({ kind: "set_item", id: item.id, field, value }) as never;
  return store.edit([set("media", media.id), set("width", media.width), set("height", media.height)]);
}

/** An entry takes the place of another one of its list; those between move up. */
export function moveItemTo(store: TimelineStore, id: string, over: string): void {
  const { timeline } = store.getState();
  const item = timeline.items.get(id);
  if (!item) return;
  const list = itemsOf(timeline, item.of, item.list);
  const [from, to] = [list.findIndex((i) => i.id === id), list.findIndex((i) => i.id === over)];
  if (from < 0 || to < 0 || from === to) return;
  putItem(store, list, id, to);
}
