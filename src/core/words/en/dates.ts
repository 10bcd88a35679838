import { type DateProblem, MONTHS } from "../../time/date-problem";

const KEPT = "It is kept as typed.";

/** A sentence saying what happened, what was kept and what to do. */
export function dateProblemText(p: DateProblem): string {
  switch (p.code) {
    case "not_a_date":
      return `This is not a date Fastigo can read. ${KEPT} Try 14 Nov 1872, about 1840, 310 BC or 1838 - 1905.`;
    case "no_such_day":
      return `${MONTHS[p.month - 1]} ${p.year < 1 ? `${1 - p.year} BC` : p.year} had ${p.days} days. ${KEPT} Did you mean ${either(p.readings)}?`;
    case "no_such_month":
      return `There is no month ${p.month}. ${KEPT} Months go from 1 to 12.`;
    case "two_orders":
      return `This could be ${either(p.readings)}. ${KEPT} Choose which, once for the whole timeline.`;
    case "month_or_range":
      return `This could be ${either(p.readings)}. ${KEPT} Choose which.`;
    case "two_digit_year":
      return `The year needs all its digits. ${KEPT} Did you mean ${either(p.readings)}?`;
    case "year_nought":
      return `There was no year 0: 1 BC was followed by AD 1. ${KEPT} Did you mean ${either(p.readings)}?`;
    case "end_before_start":
      return `The end (${p.end}) comes before the start (${p.start}). ${KEPT} Did you mean ${either(p.readings)}?`;
    case "no_day_for_time":
      return `A time needs its day: 14 Nov 1872 22:10, or one day for all times. ${KEPT}`;
    case "no_year":
      return `The year is missing after "${p.part}". ${KEPT}`;
    case "no_such_time":
      return `There is no such time of day. ${KEPT} Hours go from 0 to 23, minutes from 0 to 59.`;
    case "out_of_range":
      return `This lies further away than 27,000 million years, where Fastigo's dates end. ${KEPT} Check the number of noughts.`;
  }
}

function either(readings: readonly string[]): string {
  return readings.length < 2
    ? (readings[0] ?? "another date")
    : `${readings.slice(0, -1).join(", ")} or ${readings.at(-1)}`;
}
