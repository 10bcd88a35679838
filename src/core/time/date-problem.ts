/** Why a text was not taken as a date; put into words by `dateProblemText`. */
export type DateProblem =
  | { code: "not_a_date" }
  | { code: "no_such_day"; month: number; year: number; days: number; readings: string[] }
  | { code: "no_such_month"; month: number }
  | { code: "two_orders"; readings: [string, string] }
  | { code: "month_or_range"; readings: [string, string] }
  | { code: "two_digit_year"; readings: string[] }
  | { code: "year_nought"; readings: string[] }
  | { code: "end_before_start"; start: string; end: string; readings: string[] }
  | { code: "no_day_for_time" }
  | { code: "no_year"; part: string }
  | { code: "no_such_time" }
  | { code: "out_of_range" };

export const MONTHS = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
] as const;

/** The readings a problem offers, as texts that can be typed instead. */
export function offeredReadings(p: DateProblem): string[] {
  return "readings" in p ? [...p.readings] : [];
}
