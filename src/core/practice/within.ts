import { centuryText, whenLabel } from "../time/write-when";
import { dayFromGregorian, gregorianFromDay } from "../time/calendar";
import { inDays } from "../time/when";
import { mannerOf } from "../timeline/read-options";
import type { Timeline, TimelineEvent } from "../timeline/timeline";
import { type Card, chooseCards, shuffled } from "./order";

/** Which of four events fell within a span: one did, three surely did not. */
export interface WithinQuestion {
  /** What is shown: a span of the timeline by its title and dates, or a century. */
  span: { title: string; date: string; from: number; to: number };
  /** In an order by chance. */
  cards: readonly Card[];
  /** The one of them that fell within. */
  right: Card;
}

/** So many are to choose from. */
const OF = 4;

interface Shown {
  id: string | null;
  title: string;
  date: string;
  from: number;
  to: number;
}

/** The spans of a timeline whose both ends are known; and the centuries it goes through, for one that has few. */
function spansOf(timeline: Timeline, cards: readonly Card[]): Shown[] {
  const own = [...timeline.events.values()].flatMap((e): Shown[] => {
    const r = (e as TimelineEvent).when.readAs;
    if (e.deleted || e.chapter || e.title.trim() === "" || r.kind !== "span") return [];
    const [from, to] = [r.start?.from, r.end?.to];
    if (!from || !to) return [];
    return [
      { id: e.id, title: e.title, date: whenLabel(e.when, mannerOf(timeline)), from: inDays(from), to: inDays(to) },
    ];
  });
  const centuries = new Set(cards.map((c) => Math.floor((gregorianFromDay(Math.floor(c.from)).year - 1) / 100)));
  const shown = [...centuries].map((n): Shown => {
    const date = centuryText(n * 100 + 50, mannerOf(timeline));
    const from = dayFromGregorian(n * 100 + 1, 1, 1);
    return { id: null, title: "", date, from, to: dayFromGregorian(n * 100 + 101, 1, 1) };
  });
  return [...own, ...shown];
}

/**
 * Questions that can be asked of a timeline, by chance, no span twice, and no event twice as the right one while others are left; at most
 * so many. `random` gives numbers from 0 to 1.
 */
export function withinQuestions(timeline: Timeline, count: number, random: () => number): WithinQuestion[] {
  const cards = chooseCards(timeline, { count: Number.POSITIVE_INFINITY, parts: true, spans: false }, random);
  const found: WithinQuestion[] = [];
  const used = new Set<string>();
  for (const s of shuffled(spansOf(timeline, cards), random)) {
    if (found.length === count) break;
    const inside = cards.filter((c) => c.id !== s.id && c.from >= s.from && c.to <= s.to);
    const outside = cards.filter((c) => c.id !== s.id && (c.to <= s.from || c.from >= s.to));
    if (inside.length === 0 || outside.length < OF - 1) continue;
    const fresh = inside.filter((c) => !used.has(c.id));
    const right = shuffled(fresh.length > 0 ? fresh : inside, random)[0]!;
    used.add(right.id);
    const others = shuffled(outside, random).slice(0, OF - 1);
    const { title, date, from, to } = s;
    found.push({ span: { title, date, from, to }, cards: shuffled([right, ...others], random), right });
  }
  return found;
}

/** How far outside of its span a chosen event lies, days: less than 0 before it; 0: it fell within. */
export function offSpan({ span }: WithinQuestion, chosen: Card): number {
  if (chosen.to <= span.from) return chosen.to - span.from;
  return chosen.from >= span.to ? chosen.from - span.to : 0;
}
