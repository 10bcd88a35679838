import { blocksOf, plainTextOf } from "@/core/text/description";
import { whenLongLabel } from "@/core/time/write-when";
import { namedWhole } from "@/core/timeline/parts";
import { mannerOf } from "@/core/timeline/read-options";
import { itemsOf, type Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-chart";
import type { CardContent } from "@/ui/stage/card";

/** So much of a description stands on a card, characters; longer descriptions are not taken apart for it than this, bytes. */
const MOST = 240;
const MOST_BYTES = 200_000;

/** What the card of an event says while a pointer rests on its label. */
export function eventCard(timeline: Timeline, id: string, urlOf: (media: string) => string): CardContent | null {
  const e = timeline.events.get(id);
  if (!e || e.deleted) return null;
  const whole = timeline.events.get(namedWhole(e) ?? "");
  const media = itemsOf(timeline, id, "media").filter((i) => i.media && i.kind !== "sound" && i.width !== null);
  const picture = media.find((i) => i.kind === "picture") ?? media[0];
  const text =
    e.description.length > MOST_BYTES ? "" : plainTextOf(blocksOf(e.description)).replaceAll(/\s+/g, " ").trim();
  return {
    date: whenLongLabel(e.when, mannerOf(timeline)),
    title: e.title.trim() || WORDS.untitled,
    text: text.slice(0, MOST),
    partOf: whole && !whole.deleted ? WORDS.partOf(whole.title.trim() || WORDS.untitled) : "",
    picture: picture?.media ? urlOf(picture.media) : null,
  };
}
