import { wordsFor } from "../../time/gap";
import { whenLabel } from "../../time/write-when";
import type { Problem } from "../../timeline/problems";
import { mannerOf } from "../../timeline/read-options";
import type { Timeline } from "../../timeline/timeline";
import { dateProblemText } from "./dates";

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
    case "no_alternative":
      return "A picture says nothing yet to those who cannot see it: write what it shows.";
    case "licence_forbids":
      return p.what === "shown"
        ? `“${p.licence}” means that it may not be shown without permission. Ask whoever holds the rights and write “Used with permission”, or take another picture.`
        : `It was cut or turned, and “${p.licence}” does not allow that. Show all of it again, or take another picture.`;
  }
}
