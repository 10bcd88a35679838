import { WORDS as COMMON } from "../words/common";
import { referencesText } from "../sources/cited";
import { whenLabel } from "../time/write-when";
import { namedWhole } from "../timeline/parts";
import { mannerOf } from "../timeline/read-options";
import type { Item, Timeline, TimelineEvent } from "../timeline/timeline";
import type { LedgerColumn } from "./columns";

/** What a row is written from, beside its event. */
export interface RowSources {
  timeline: Timeline;
  /** The entries of one list of one event, in their order. */
  items: (of: string, list: Item["list"]) => readonly Item[];
  /** The words of a description. */
  words: (description: Uint8Array) => number;
}

/**
 * What a cell says, as it is copied: a date as it was typed, several sources and links in lines of their own. Pasted into the same
 * cell it alters nothing (but for what is counted from elsewhere, which takes nothing).
 */
export function cellText(from: RowSources, e: TimelineEvent, column: LedgerColumn): string {
  const t = from.timeline;
  if (e.chapter && column === "when") return "";
  switch (column) {
    case "when":
      return e.when.typed || whenLabel(e.when, mannerOf(t));
    case "category": {
      const category = t.categories.get(e.category ?? "");
      return category && !category.deleted ? category.name : "";
    }
    case "partOf": {
      const whole = t.events.get(namedWhole(e) ?? "");
      return whole && !whole.deleted ? whole.title : "";
    }
    case "tags":
      return e.tags.join(", ");
    case "media":
      return mediaText(from.items(e.id, "media"));
    case "words":
      return String(from.words(e.description));
    case "source":
      return referencesText(t.sources, from.items(e.id, column));
    case "link":
      return from
        .items(e.id, column)
        .map((i) => lineOf(i))
        .join("\n");
    case "emphasis":
      return e.emphasis ? "yes" : "";
    case "done":
      return e.done === null ? "" : String(e.done);
    default:
      return e[column];
  }
}

/** A link in one line: its words, and its address behind them. */
export function lineOf(item: Pick<Item, "text" | "address">): string {
  return [item.text, item.address]
    .filter(Boolean)
    .join(" ")
    .replaceAll(/\s*\n\s*/g, " ");
}

export function mediaText(media: readonly Pick<Item, "kind">[]): string {
  return (["picture", "video", "sound", "page"] as const)
    .flatMap((kind) => {
      const n = media.filter((m) => m.kind === kind).length;
      return n === 0 ? [] : [COMMON.media[kind](n)];
    })
    .join(", ");
}
