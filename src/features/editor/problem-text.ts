import { dateProblemText } from "@/core/time/date-problem";
import { whenLabel } from "@/core/time/write-when";
import type { Problem } from "@/core/timeline/problems";
import type { Timeline } from "@/core/timeline/timeline";

/** A finding in a sentence. */
export function problemText(p: Problem, t: Timeline): string {
  switch (p.code) {
    case "date_not_understood":
      return dateProblemText(p.problem);
    case "outside_period":
      return `It lies ${p.side} the period of the timeline (${whenLabel(t.period)}). It is still shown; set another period, or another date, if that is not meant.`;
    case "part_outside_whole":
      return `It is part of “${t.events.get(p.whole)?.title || "Untitled"}” but lies outside it.`;
    case "part_of_itself":
      return "It is, over others, part of itself. Choose another whole for one of them.";
    case "no_credit":
      return "A picture has no credit yet.";
  }
}
