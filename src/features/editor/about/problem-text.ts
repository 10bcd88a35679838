import type { Op } from "@/core/change/change";
import { civilFrom } from "@/core/time/calendar";
import { dateProblemText } from "@/core/time/date-problem";
import { readWhen } from "@/core/time/read/read-when";
import { wordsFor } from "@/core/time/gap";
import { endDay, startDay, type When } from "@/core/time/when";
import { momentLabel, whenLabel, yearText } from "@/core/time/write-when";
import type { Problem } from "@/core/timeline/problems";
import { readOptionsOf, mannerOf } from "@/core/timeline/read-options";
import { timesOnOps } from "@/core/change/reading-steps";
import { wholesFor } from "@/core/timeline/parts";
import type { Timeline, TimelineEvent } from "@/core/timeline/timeline";

/** A finding in a sentence. */
export function problemText(p: Problem, t: Timeline): string {
  switch (p.code) {
    case "date_not_understood":
      return dateProblemText(p.problem);
    case "time_without_day":
      return `“${p.typed}” is a time without a day, and other events here have dates, so it stands at the end. Choose the day that all times alone belong to, or write the day before the time.`;
    case "other_order":
      return `“${p.typed}” can only be read with the ${p.order === "dmy" ? "month" : "day"} first, and in this timeline the ${p.order === "dmy" ? "day" : "month"} comes first. It counts as ${p.words}. If that is meant, write the month’s name; else mend the numbers.`;
    case "outside_period":
      return `It lies ${p.side} the period of the timeline (${whenLabel(t.period, mannerOf(t))}). It is still shown; set another period, or another date, if that is not meant.`;
    case "part_outside_whole": {
      const whole = `“${t.events.get(p.whole)?.title || "Untitled"}”`;
      const early = p.early > 0 ? `starts ${wordsFor(p.early)} before` : "";
      const late = p.late > 0 ? `ends ${wordsFor(p.late)} after` : "";
      return `It ${[early, late].filter(Boolean).join(" and ")} ${whole}, of which it is part. It is still shown as its part.`;
    }
    case "part_of_itself": {
      const whole = `“${t.events.get(p.whole)?.title || "Untitled"}”`;
      return `It was made part of ${whole} while that was made part of it, so it counts as part of nothing. What was set first stands.`;
    }
    case "no_address":
      return `“${p.text.slice(0, 60)}” is no web address, so it is shown as words. It looks like https://school.example/page.`;
    case "no_credit":
      return "A picture has no credit yet.";
  }
}

/** Ways to mend a finding, each one change. */
export function mendsOf(p: Problem, t: Timeline): { words: string; ops: Op[] }[] {
  switch (p.code) {
    case "time_without_day":
      return p.days.map((day) => ({ words: `All times are on ${day}`, ops: timesOnOps(t, day) }));
    case "other_order": {
      const event = t.events.get(p.event);
      if (!event || event.locked) return [];
      const when = readWhen(p.words, readOptionsOf(t));
      const value = event.when.place ? { ...when, place: event.when.place } : when;
      return [{ words: `It is ${p.words}`, ops: [{ kind: "set_event", id: p.event, field: "when", value }] }];
    }
    case "outside_period": {
      const event = t.events.get(p.event);
      const { readAs } = t.period;
      if (!event || readAs.kind !== "span") return [];
      const ends =
        p.side === "before"
          ? [yearOf(startDay(event.when)), readAs.end ? momentLabel(readAs.end) : "present"]
          : [readAs.start ? momentLabel(readAs.start) : null, yearOf(endDay(event.when), true)];
      if (!ends[0] || !ends[1])
        return [
          {
            words: "Work the period out from the events",
            ops: [{ kind: "set_timeline", field: "period", value: readWhen("") }],
          },
        ];
      const text = `${ends[0]} - ${ends[1]}`;
      return [
        {
          words: `Widen the period to ${text}`,
          ops: [{ kind: "set_timeline", field: "period", value: readWhen(text) }],
        },
        { words: "Work it out from the events", ops: [{ kind: "set_timeline", field: "period", value: readWhen("") }] },
      ];
    }
    case "part_outside_whole": {
      const part = t.events.get(p.event);
      const whole = t.events.get(p.whole);
      if (!part || !whole) return [];
      const name = (e: TimelineEvent) => `“${(e.title || "Untitled").slice(0, 30)}”`;
      const widened = whole.locked ? null : widen(whole.when, part.when, p);
      const better = wholesFor(t, p.event).holding.find((e) => e.id !== p.whole);
      return [
        ...(widened
          ? [
              {
                words: `Let ${name(whole)} go ${whenLabel(widened, mannerOf(t))}`,
                ops: [{ kind: "set_event", id: p.whole, field: "when", value: widened } as Op],
              },
            ]
          : []),
        ...(better
          ? [
              {
                words: `Make it part of ${name(better)}`,
                ops: [{ kind: "set_event", id: p.event, field: "partOf", value: better.id } as Op],
              },
            ]
          : []),
        {
          words: `Take it out of ${name(whole)}`,
          ops: [{ kind: "set_event", id: p.event, field: "partOf", value: null }],
        },
      ];
    }
    case "part_of_itself":
      return [{ words: "Leave it so", ops: [{ kind: "set_event", id: p.event, field: "partOf", value: null }] }];
    default:
      return [];
  }
}

/** A whole's dates with its part's where they lie beyond; null where they cannot be put in words. */
function widen(whole: When, part: When, by: { early: number; late: number }): When | null {
  const ends = (w: When) => {
    const r = w.readAs;
    return r.kind === "span" ? [r.start, r.end] : r.kind === "moment" ? [r.at, r.at] : [null, null];
  };
  const [from, to] = ends(whole);
  const [first, last] = ends(part);
  const start = by.early > 0 ? first : from;
  const end = by.late > 0 ? last : to;
  if (!start || !end) return null;
  const when = readWhen(`${momentLabel(start)} - ${momentLabel(end)}`);
  return when.readAs.kind === "span" ? when : null;
}

function yearOf(day: number | null, isEnd = false): string | null {
  // An end is the moment after: 1931 ends where 1932 begins.
  return day === null ? null : yearText(civilFrom("gregorian", isEnd ? day - 1e-6 : day).year);
}
