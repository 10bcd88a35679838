import { WORDS as COMMON } from "@/core/words/common";
import { WORDS } from "@/core/words/editor-about";
import type { Op } from "@/core/change/change";
import { languageLike } from "@/core/language/asked-language";
import { tongueOf } from "@/core/time/tongues/tongues";
import { civilFrom } from "@/core/time/calendar";
import { readWhen } from "@/core/time/read/read-when";
import { endDay, type Moment, startDay, type When } from "@/core/time/when";
import { momentLabel, whenLabel, written, yearText } from "@/core/time/write-when";
import type { Problem } from "@/core/timeline/problems";
import { readOptionsOf, mannerOf } from "@/core/timeline/read-options";
import { timesOnOps } from "@/core/change/reading-steps";
import { stretchOf, wholesFor } from "@/core/timeline/parts";
import type { Timeline, TimelineEvent } from "@/core/timeline/timeline";

/** Ways to mend a finding, each one change. */
export function mendsOf(p: Problem, t: Timeline): { words: string; ops: Op[] }[] {
  switch (p.code) {
    case "time_without_day":
      return p.days.map((day) => ({ words: WORDS.allTimesAreOn(day), ops: timesOnOps(t, day) }));
    case "other_order": {
      const event = t.events.get(p.event);
      if (!event || event.locked) return [];
      const when = readWhen(p.words, readOptionsOf(t));
      const value = event.when.place ? { ...when, place: event.when.place } : when;
      return [{ words: WORDS.itIs(p.words), ops: [{ kind: "set_event", id: p.event, field: "when", value }] }];
    }
    case "outside_period": {
      const event = t.events.get(p.event);
      const { readAs } = t.period;
      if (!event || readAs.kind !== "span") return [];
      const own = stretchOf(event.when);
      const { present } = tongueOf(spokenOf(t));
      const ends =
        p.side === "before"
          ? [
              own && Number.isFinite(own.from) ? yearOf(startDay(event.when), t) : null,
              readAs.end ? inWords(readAs.end, t) : present,
            ]
          : [
              readAs.start ? inWords(readAs.start, t) : null,
              // What goes on has no year in which it ends.
              own && Number.isFinite(own.to) ? yearOf(endDay(event.when), t, true) : present,
            ];
      const text = `${ends[0]} - ${ends[1]}`;
      if (!ends[0] || !ends[1] || !covers(readWhen(text), event.when))
        return [
          {
            words: WORDS.workThePeriodOutFrom,
            ops: [{ kind: "set_timeline", field: "period", value: readWhen("") }],
          },
        ];
      return [
        {
          words: WORDS.widenThePeriodTo(text),
          ops: [{ kind: "set_timeline", field: "period", value: readWhen(text) }],
        },
        { words: WORDS.workItOutFromThe, ops: [{ kind: "set_timeline", field: "period", value: readWhen("") }] },
      ];
    }
    case "part_outside_whole": {
      const part = t.events.get(p.event);
      const whole = t.events.get(p.whole);
      if (!part || !whole) return [];
      const name = (e: TimelineEvent) => COMMON.named(e.title.slice(0, 30));
      const widened = whole.locked ? null : widen(whole.when, part.when, p, t);
      const better = wholesFor(t, p.event).holding.find((e) => e.id !== p.whole);
      return [
        ...(widened
          ? [
              {
                words: WORDS.letGo(name(whole), whenLabel(widened, mannerOf(t))),
                ops: [{ kind: "set_event", id: p.whole, field: "when", value: widened } as Op],
              },
            ]
          : []),
        ...(better
          ? [
              {
                words: WORDS.makeItPartOf(name(better)),
                ops: [{ kind: "set_event", id: p.event, field: "partOf", value: better.id } as Op],
              },
            ]
          : []),
        {
          words: WORDS.takeItOutOf(name(whole)),
          ops: [{ kind: "set_event", id: p.event, field: "partOf", value: null }],
        },
      ];
    }
    case "part_of_itself":
      return [{ words: WORDS.leaveItSo, ops: [{ kind: "set_event", id: p.event, field: "partOf", value: null }] }];
    default:
      return [];
  }
}

/** A whole's dates with its part's where they lie beyond; null where they cannot be put in words. */
function widen(whole: When, part: When, by: { early: number; late: number }, t: Timeline): When | null {
  const ends = (w: When) => {
    const r = w.readAs;
    return r.kind === "span" ? [r.start, r.end] : r.kind === "moment" ? [r.at, r.at] : [null, null];
  };
  const [from, to] = ends(whole);
  const [first, last] = ends(part);
  const start = by.early > 0 ? first : from;
  const end = by.late > 0 ? last : to;
  if (!start || (!end && by.late === 0)) return null;
  const { present } = tongueOf(spokenOf(t));
  // What goes on, or ended nobody knows when, is held by what goes on.
  const ways = [...(end ? [inWords(end, t)] : []), ...(by.late > 0 ? [present] : [])];
  const found = ways.map((w) => readWhen(`${inWords(start, t)} - ${w}`));
  return found.find((w) => w.readAs.kind === "span" && covers(w, part)) ?? null;
}

/** Whether a stretch begins no later and ends no earlier than another. */
function covers(when: When, other: When): boolean {
  const [a, b] = [stretchOf(when), stretchOf(other)];
  return a !== null && b !== null && a.from <= b.from && a.to >= b.to;
}

/** A date in words of the timeline's language, which are read back. */
const spokenOf = (t: Timeline) => languageLike(t.language);
const inWords = (m: Moment, t: Timeline): string => momentLabel(m, written(spokenOf(t)));

function yearOf(day: number | null, t: Timeline, isEnd = false): string | null {
  // An end is the moment after: 1931 ends where 1932 begins.
  return day === null
    ? null
    : yearText(civilFrom("gregorian", isEnd ? day - 1e-6 : day).year, {
        era: "BC",
        language: spokenOf(t),
      });
}
