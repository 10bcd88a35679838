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
import { wholesFor } from "@/core/timeline/parts";
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
      const ends =
        p.side === "before"
          ? [yearOf(startDay(event.when), t), readAs.end ? inWords(readAs.end, t) : tongueOf(spokenOf(t)).present]
          : [readAs.start ? inWords(readAs.start, t) : null, yearOf(endDay(event.when), t, true)];
      if (!ends[0] || !ends[1])
        return [
          {
            words: WORDS.workThePeriodOutFrom,
            ops: [{ kind: "set_timeline", field: "period", value: readWhen("") }],
          },
        ];
      const text = `${ends[0]} - ${ends[1]}`;
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
  if (!start || !end) return null;
  const when = readWhen(`${inWords(start, t)} - ${inWords(end, t)}`);
  return when.readAs.kind === "span" ? when : null;
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
