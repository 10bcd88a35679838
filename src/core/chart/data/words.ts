import { drawnIn } from "../../words/chart";
import { compareInstants, endOf, type Moment, startOf, UNDATED } from "../../time/when";
import { type Manner, whenLabel } from "../../time/write-when";
import { readWhen } from "../../time/read/read-when";
import type { Timeline, TimelineEvent } from "../../timeline/timeline";
import type { Marks } from "../../timeline/fields";
import { readOptionsOf, mannerOf } from "../../timeline/read-options";
import { type ChartData, OPEN_END } from "./chart-data";
import type { OwnMarks } from "../ticks/ticks";

/** What a chart says besides titles and dates, taken from the events as they are needed. */
export interface Words {
  manner: Manner;
  /** The first and the last date of all; "" where nothing has one. */
  first: string;
  last: string;
  /** Where one event begins. */
  startOf: (i: number) => string;
  /** What a screen reader says of it. */
  nameOf: (i: number) => string;
  marks: OwnMarks | null;
}

export function wordsOf(timeline: Timeline, events: readonly TimelineEvent[], data: ChartData): Words {
  const manner = mannerOf(timeline);
  const words = drawnIn(manner.language);
  const written = (m: Moment) => whenLabel({ ...UNDATED, readAs: { kind: "moment", at: m } }, manner);
  const { first, last } = data;
  // A period that was set reaches further than the events where the ridge ends with it.
  const p = timeline.period.readAs;
  const [from, to] = p.kind === "span" ? [p.start, p.end] : p.kind === "moment" ? [p.at, p.at] : [null, null];
  const open = last >= 0 && (data.flags[last]! & OPEN_END) !== 0;
  const starts = first < 0 ? null : startOf(events[first]!.when);
  const ends = last < 0 || open ? null : endOf(events[last]!.when);
  const before = from?.from && (!starts || compareInstants(from.from, starts) <= 0);
  const after = to?.to && !open && (!ends || compareInstants(to.to, ends) >= 0);
  return {
    manner,
    first: before ? written(from) : first < 0 ? "" : edgeText(events[first]!, "start", manner),
    last: after ? written(to) : open ? words.today : last < 0 ? "" : edgeText(events[last]!, "end", manner),
    startOf: (i) => edgeText(events[i]!, "start", manner),
    nameOf: (i) => {
      const e = events[i]!;
      const done = e.done === null ? "" : `, ${words.percentDone(e.done)}`;
      return `${whenLabel(e.when, manner) || words.noDate}, ${e.title.trim() || words.untitled}${done}, ${words.eventOf(i + 1, events.length)}`;
    },
    marks: ownMarks(timeline.marks, timeline),
  };
}

/** One end of a date in words; a moment is both its ends. */
function edgeText(e: TimelineEvent, side: "start" | "end", manner: Manner | null): string {
  const r = e.when.readAs;
  const at = r.kind === "span" ? (side === "start" ? (r.start ?? r.end) : (r.end ?? r.start)) : null;
  return whenLabel(at ? { ...e.when, readAs: { kind: "moment", at } } : e.when, manner);
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
    return at ? [{ at, text: whenLabel(when, mannerOf(timeline)) }] : [];
  });
  list.sort((a, b) => a.at.day - b.at.day || a.at.second - b.at.second);
  return list.length > 0 ? { list } : null;
}
