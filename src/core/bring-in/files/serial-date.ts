import { civilFrom, dayFromGregorian } from "../../time/calendar";

const MONTHS = ["Jan", "Feb", "Mar", "Apr", "May", "Jun", "Jul", "Aug", "Sep", "Oct", "Nov", "Dec"];
/** The first day of the Gregorian calendar, as programs that write Julian dates before it have it. */
const GREGORIAN_FROM = dayFromGregorian(1582, 10, 15);
/** A workbook's 60th day from 1900 on is a 29 February that never was: what is before it is a day later than counted. */
const NO_DAY = 60;

/** What a number format shows of a date: its letters outside of quoted and bracketed text. */
export function shownOf(format: string): {
  year: boolean;
  month: boolean;
  day: boolean;
  time: boolean;
  seconds: boolean;
} {
  const letters = (format.split(";")[0] ?? "")
    .toLowerCase()
    .replaceAll(/"[^"]*"|\\.|_./g, "")
    .replaceAll(/\[(?!h|m|s)[^\]]*\]/g, "")
    .replaceAll(/am\/pm|a\/p/g, "");
  const time = /[hs]/.test(letters);
  // An m beside hours or seconds is minutes.
  const dates = letters.replaceAll(/\[?h+\]?[:.\s]*m*|m+[:.\s]*s+/g, "");
  return {
    year: /[ye]/.test(dates),
    month: dates.includes("m"),
    day: dates.includes("d"),
    time,
    seconds: /s/.test(letters),
  };
}

/**
 * A spreadsheet's date as text, as exact as its format shows it: "1872-11-14", "Nov 1872", "1872", "1872-11-14 22:10". `serial`:
 * days from the workbook's own beginning, which is the day number `epoch`; `exact`: every one of them was a day. Before 15 October 1582 the date is Julian, and says so:
 * programs that write such dates show them in that calendar.
 */
export function dateOfSerial(
  serial: number,
  format: string,
  { exact, epoch }: { exact: boolean; epoch: number },
): string {
  const shown = shownOf(format);
  let day = Math.floor(serial + 1e-9);
  let seconds = Math.round((serial - day) * 86_400);
  if (seconds >= 86_400) {
    seconds -= 86_400;
    day++;
  }
  const two = (n: number) => String(n).padStart(2, "0");
  const clock = `${two(Math.floor(seconds / 3600))}:${two(Math.floor(seconds / 60) % 60)}`;
  const time = seconds % 60 && shown.seconds ? `${clock}:${two(seconds % 60)}` : clock;
  if (!shown.year && !shown.month && !shown.day) return shown.time ? time : String(serial);
  if (!exact && day === NO_DAY) return "1900-02-29";
  const number = epoch + day + (!exact && day > 0 && day < NO_DAY ? 1 : 0);
  const julian = number < GREGORIAN_FROM;
  const { year, month, day: dom } = civilFrom(julian ? "julian" : "gregorian", number);
  const name = MONTHS[month - 1]!;
  const era = year <= 0 ? `${1 - year} BC` : year < 100 ? `AD ${year}` : String(year);
  const date =
    shown.day || !shown.year
      ? julian || year < 1_000
        ? `${dom} ${name} ${era}${julian ? " (Julian)" : ""}`
        : `${year}-${two(month)}-${two(dom)}`
      : shown.month
        ? `${name} ${era}`
        : era;
  return shown.time && seconds !== 0 ? `${date} ${time}` : date;
}
