import type { Op } from "@/core/change/change";
import { civilFrom } from "@/core/time/calendar";
import { dateProblemText } from "@/core/time/date-problem";
import { readWhen } from "@/core/time/read-when";
import { endDay, startDay } from "@/core/time/when";
import { momentLabel, whenLabel, yearText } from "@/core/time/write-when";
import type { Problem } from "@/core/timeline/problems";
import type { Timeline } from "@/core/timeline/timeline";

/** A finding in a sentence. */
export function problemText(p: Problem, t: Timeline): string {
  switch (p.code) {
    case "date_not_understood":
      return dateProblemText(p.problem);
    case "outside_period":
      return `It lies ${p.side} the period of the timeline (${whenLabel(t.period, t.dateStyle)}). It is still shown; set another period, or another date, if that is not meant.`;
    case "part_outside_whole":
      return `It is part of “${t.events.get(p.whole)?.title || "Untitled"}” but lies outside it.`;
    case "part_of_itself":
      return "It is, over others, part of itself. Choose another whole for one of them.";
    case "no_credit":
      return "A picture has no credit yet.";
  }
}

/** Ways to mend a finding, each one change. */
export function mendsOf(p: Problem, t: Timeline): { words: string; ops: Op[] }[] {
  switch (p.code) {
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
    case "part_outside_whole":
    case "part_of_itself":
      return [
        { words: "Take it out of that whole", ops: [{ kind: "set_event", id: p.event, field: "partOf", value: null }] },
      ];
    default:
      return [];
  }
}

function yearOf(day: number | null, isEnd = false): string | null {
  // An end is the moment after: 1931 ends where 1932 begins.
  return day === null ? null : yearText(civilFrom("gregorian", isEnd ? day - 1e-6 : day).year);
}
