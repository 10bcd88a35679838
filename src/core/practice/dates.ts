import { readWhen } from "../time/read/read-when";
import { extent, inDays, startOf, type When } from "../time/when";
import type { Timeline } from "../timeline/timeline";
import type { Card } from "./order";

/** How a date somebody wrote stands to the one that is known. */
export interface DateMark {
  /** "right", "broad": it was then, but that says little; "off": it was not then; "unread": no date was understood. */
  how: "right" | "broad" | "off" | "unread";
  /** Days too early (less than 0) or too late; 0 unless it is off. */
  days: number;
  /** 1 for right, a half for what is broad, and for what is off the less the farther; 0 to 1. */
  share: number;
}

/** As exact as this is enough, days, where the date that is known is more exact. */
const ENOUGH = 366;

/** Between which days a date lies, as far as it says; null: none was understood. */
function stretchOf(when: When): { from: number; to: number } | null {
  const r = when.readAs;
  const m = r.kind === "moment" ? r.at : r.kind === "span" ? r.start : null;
  if (!m) return null;
  const e = extent(m, when.margin);
  const at = startOf(when);
  const from = e.from ?? at;
  const to = e.to ?? e.from ?? at;
  return from && to ? { from: inDays(from), to: inDays(to) } : null;
}

/**
 * Marks a date as it was typed, read as the timeline's own dates are. `reach`: how many days the asked events go over, by which a date that
 * is off is measured.
 */
export function markDate(
  card: Card,
  typed: string,
  timeline: Pick<Timeline, "dateOrder" | "hemisphere">,
  reach: number,
): DateMark {
  const read = readWhen(typed, { order: timeline.dateOrder, hemisphere: timeline.hemisphere, sentence: false });
  const said = stretchOf(read);
  if (!said) return { how: "unread", days: 0, share: 0 };
  if (said.from < card.to && card.from < said.to) {
    const narrow = said.to - said.from <= Math.max(ENOUGH, card.to - card.from);
    return narrow ? { how: "right", days: 0, share: 1 } : { how: "broad", days: 0, share: 0.5 };
  }
  const days = said.to <= card.from ? said.to - card.from : said.from - card.to;
  return { how: "off", days, share: Math.max(0, 0.5 * (1 - Math.abs(days) / Math.max(ENOUGH, reach))) };
}

/** From the earliest to the latest of some cards, days. */
export const reachOf = (cards: readonly Card[]): number =>
  cards.length === 0 ? 0 : Math.max(...cards.map((c) => c.to)) - Math.min(...cards.map((c) => c.from));
