import { civilFrom } from "../../time/calendar";
import { isDateless } from "../../time/when";
import type { Instant } from "../../time/instant";
import { tongueOf } from "../../time/tongues/tongues";
import { monthText, timeText, USUAL_MANNER, yearText } from "../../time/write-when";
import type { TickManner } from "./tick-units";
import { type Ground, uAt, type View } from "../axis/view";

/** A date is told to what this many px can tell apart. */
const RESOLVED_PX = 6;
const YEAR = 365.2425;

/** The date at a place of the frame, as exact as the zoom allows, in words that are read back; null where there is no time. */
export function dateAt(g: Ground, v: View, x: number, manner: TickManner = USUAL_MANNER): string | null {
  const found = timeNear(g, v, x);
  return found && dateText(found.at, found.days, manner);
}

/** The instant at a place of the frame, and how many days can be told apart there; null where there is no time. */
export function timeNear(g: Ground, v: View, x: number): { at: Instant; days: number } | null {
  const { axis } = g;
  if (axis.scale === "even" || !axis.from || !axis.to) return null;
  const u = uAt(g, v, x);
  if (u.hi + u.lo < 0 || u.hi + u.lo > axis.datedLength) return null;
  const at = axis.timeAt(u);
  const before = axis.timeAt(uAt(g, v, x - RESOLVED_PX / 2)) ?? at;
  const after = axis.timeAt(uAt(g, v, x + RESOLVED_PX / 2)) ?? at;
  if (!at || !before || !after) return null;
  const days = after.day - before.day + (after.second - before.second) / 86_400;
  return { at, days };
}

/** An instant in words, with a precision of about so many days. */
export function dateText(at: Instant, days: number, manner: TickManner): string {
  const tongue = tongueOf(manner.language);
  const { year, month, day } = civilFrom("gregorian", at.day);
  const name = monthText(month, false, manner);
  const date = tongue.date(day, name, yearText(year, manner), false);
  const clock = (step: number) => {
    const second = Math.floor(at.second / step) * step;
    const time = timeText({ day: at.day, second }, second % 60 === 0 ? "minute" : "second", manner);
    return isDateless(at.day) || at.day === manner.silentDay ? time : `${date} ${time}`;
  };
  // No unit is said that is shorter than what can be told apart.
  const tells = (unit: number) => days <= 1.5 * unit;
  if (tells(1 / 86_400)) return clock(1);
  if (tells(1 / 1_440)) return clock(60);
  if (tells(1 / 288)) return clock(300);
  if (tells(1 / 24)) return clock(3_600);
  if (isDateless(at.day)) return clock(3_600);
  if (tells(1)) return date;
  if (days <= YEAR / 2) return tongue.monthYear(name, yearText(year, manner), false);
  const years = days / YEAR;
  if (years <= 3) return yearText(year, manner);
  if (year >= 100 && years <= 20) return tongue.decade(`${Math.floor(year / 10)}0`);
  const step = 10 ** Math.floor(Math.log10(years));
  if (year <= -1_000_000)
    return tongue.ago(
      tongue.decimal(String(Number((-year / 1e6).toPrecision(Math.max(2, Math.floor(Math.log10(-year / step)) + 1))))),
      "million",
    );
  const rounded = Math.round(year / step) * step;
  return tongue.about(yearText(rounded === 0 ? 1 : rounded, manner));
}
