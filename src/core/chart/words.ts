import { type Moment, isDated } from "../time/when";
import { momentLabel, type Manner, whenLabel } from "../time/write-when";
import { readWhen } from "../time/read-when";
import { startOf } from "../time/when";
import type { Marks, Timeline, TimelineEvent } from "../timeline/timeline";
import { readOptionsOf } from "../timeline/read-options";
import { drawnExtent } from "./chart-data";
import type { OwnMarks } from "./ticks";

/** What a chart says besides titles and dates, taken from the events as they are needed. */
export interface Words {
  era: "BC" | "BCE";
  /** The first and the last date of all; "" where nothing has one. */
  first: string;
  last: string;
  /** Where one event begins. */
  startOf: (i: number) => string;
  /** What a screen reader says of it. */
  nameOf: (i: number) => string;
  marks: OwnMarks | null;
}

export function wordsOf(timeline: Timeline, events: readonly TimelineEvent[]): Words {
  const manner = timeline.dateStyle;
  const dated = events.filter((e) => isDated(e.when));
  // A period that was set reaches further than the events where the ridge ends with it.
  const p = timeline.period.readAs;
  const [from, to] = p.kind === "span" ? [p.start, p.end] : p.kind === "moment" ? [p.at, p.at] : [null, null];
  const earliest = extreme(dated, -1);
  const latest = extreme(dated, 1);
  const beyond = (m: Moment | null, side: "from" | "to", known: Extreme | null): m is Moment => {
    const at = m?.[side];
    if (!at) return false;
    if (!known) return true;
    const d = at.day - known.day || at.second - known.second;
    return side === "from" ? d <= 0 : d >= 0;
  };
  return {
    era: manner?.era ?? "BC",
    first: beyond(from, "from", earliest) ? momentLabel(from) : earliest ? textOf(earliest, manner) : "",
    last: beyond(to, "to", latest) ? momentLabel(to) : latest ? (latest.open ? "today" : textOf(latest, manner)) : "",
    startOf: (i) => startText(events[i]!, manner),
    nameOf: (i) => {
      const e = events[i]!;
      return `${whenLabel(e.when, manner) || "No date"}, ${e.title.trim() || "Untitled"}, event ${i + 1} of ${events.length}`;
    },
    marks: ownMarks(timeline.marks, timeline),
  };
}

interface Extreme {
  day: number;
  second: number;
  event: TimelineEvent;
  m: Moment;
  open: boolean;
}

/** The event whose date, without the margin of "about", is the first or the last of all. */
function extreme(dated: readonly TimelineEvent[], way: 1 | -1): Extreme | null {
  let best: Extreme | null = null;
  for (const event of dated) {
    const r = event.when.readAs;
    const m =
      r.kind === "moment" ? r.at : r.kind === "span" ? (way > 0 ? (r.end ?? r.start) : (r.start ?? r.end)) : null;
    if (!m) continue;
    const open = way > 0 && r.kind === "span" && r.end === null;
    const at = drawnExtent({ ...m, about: false }, event)[way > 0 ? 1 : 0];
    const d = best ? (open ? 1 : best.open ? -1 : way * (at.day - best.day || at.second - best.second)) : 1;
    if (d > 0) best = { day: at.day, second: at.second, event, m, open };
  }
  return best;
}

function textOf({ event, m }: Extreme, manner: Manner | null): string {
  return whenLabel({ ...event.when, readAs: { kind: "moment", at: m } }, manner);
}

function startText(e: TimelineEvent, manner: Manner | null): string {
  const r = e.when.readAs;
  return whenLabel(
    r.kind === "span" && r.start ? { ...e.when, readAs: { kind: "moment", at: r.start } } : e.when,
    manner,
  );
}

function ownMarks(marks: Marks | null, timeline: Timeline): OwnMarks | null {
  if (!marks) return null;
  if (marks.kind === "step") {
    const step = Math.max(1, Math.round(marks.step));
    if (marks.unit === "hours") return { unit: { kind: "seconds", step: Math.min(24, step) * 3_600 } };
    if (marks.unit === "minutes") return { unit: { kind: "seconds", step: Math.min(60, step) * 60 } };
    return { unit: { kind: marks.unit, step } };
  }
  const list = marks.text.split(/[\n;]+/).flatMap((line) => {
    const when = readWhen(line.trim(), readOptionsOf(timeline));
    const at = startOf(when);
    return at ? [{ at, text: whenLabel(when, timeline.dateStyle) }] : [];
  });
  list.sort((a, b) => a.at.day - b.at.day || a.at.second - b.at.second);
  return list.length > 0 ? { list } : null;
}
