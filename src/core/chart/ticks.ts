import { civilFrom, dayFromGregorian } from "../time/calendar";
import { MONTHS } from "../time/date-problem";
import { yearText } from "../time/write-when";
import { type Face, textWidth } from "../text/measure";
import type { Axis } from "./axis";

export interface Tick {
  /** Middle, in px along the ridge. */
  along: number;
  /** "" for a minor tick. */
  text: string;
  width: number;
}

type Level =
  | { kind: "years"; step: number }
  | { kind: "months"; step: number }
  | { kind: "days"; step: number }
  | { kind: "seconds"; step: number };

const LEVELS: Level[] = [
  ...[...Array(11).keys()]
    .reverse()
    .flatMap((k): Level[] => [5, 2, 1].map((m) => ({ kind: "years", step: m * 10 ** k }))),
  ...[6, 3, 1].map((step): Level => ({ kind: "months", step })),
  ...[7, 1].map((step): Level => ({ kind: "days", step })),
  ...[43_200, 21_600, 10_800, 3_600, 1_800, 900, 300, 60, 30, 15, 5, 1].map(
    (step): Level => ({ kind: "seconds", step }),
  ),
];
const MOST_OF_A_LEVEL = 2_000;

export const TICK_FACE: Face = "text600";
export const TICK_SIZE = 13;
const GAP = 26;
const MINOR_GAP = 7;

/**
 * Ticks with labels, none of which meets another or one of the `taken` stretches of the ridge; then minor ticks
 * between. Positions come from calendar fields and are exact. On a scale by date one unit is used throughout;
 * on the balanced one every stretch gets the unit it has room for, the coarser first.
 */
export function makeTicks(
  axis: Axis,
  toPx: (u: number) => number,
  taken: readonly [number, number][],
  era: "BC" | "BCE" = "BC",
): Tick[] {
  if (axis.scale === "even" || axis.from === null || axis.to === null || !(axis.to > axis.from)) return [];
  const boxes: [number, number][] = [...taken];
  const free = (a: number, b: number) => boxes.every(([x, y]) => b + GAP <= x || a >= y + GAP);
  const ticks: Tick[] = [];
  for (const level of LEVELS) {
    const days = daysOf(level, axis.from, axis.to);
    if (days === null) break;
    if (days.length === 0) continue;
    const made = days.map((day) => {
      const text = tickText(level, day, era);
      return { along: toPx(axis.at(day)), text, width: textWidth(text, TICK_FACE, TICK_SIZE) };
    });
    if (axis.scale === "true") {
      const crowded = made.some(
        (t, i) => i > 0 && t.along - made[i - 1]!.along < Math.max(90, (t.width + made[i - 1]!.width) / 2 + GAP),
      );
      if (crowded) {
        const marks = made.map((t) => t.along);
        if (!marks.some((x, i) => i > 0 && x - marks[i - 1]! < MINOR_GAP))
          for (const along of marks)
            if (!ticks.some((t) => Math.abs(t.along - along) < 0.5)) ticks.push({ along, text: "", width: 0 });
        break;
      }
      ticks.length = 0;
      for (const t of made)
        ticks.push(free(t.along - t.width / 2, t.along + t.width / 2) ? t : { ...t, text: "", width: 0 });
    } else {
      let placed = 0;
      for (const t of made) {
        if (ticks.some((o) => Math.abs(o.along - t.along) < 0.5)) continue;
        const [a, b] = [t.along - t.width / 2, t.along + t.width / 2];
        if (free(a - 8, b + 8)) {
          boxes.push([a, b]);
          ticks.push(t);
          placed++;
        }
      }
      if (placed === 0 && made.length > 40) break;
    }
  }
  return ticks.sort((a, b) => a.along - b.along);
}

/** Every day number of a level within [from, to]; null when there are too many to be worth counting. */
function daysOf(level: Level, from: number, to: number): number[] | null {
  const days: number[] = [];
  const first = civilFrom("gregorian", from);
  const last = civilFrom("gregorian", to);
  if (level.kind === "years") {
    const { step } = level;
    if ((last.year - first.year) / step > MOST_OF_A_LEVEL) return null;
    // Marks stand on the years people name: 100 BC, 50 BC, AD 1, AD 50 - astronomical -99, -49, 1, 50.
    const n0 = Math.floor(first.year / step) - 1;
    const n1 = Math.ceil(last.year / step) + 1;
    for (let n = n0; n <= n1; n++) {
      const year = n * step;
      days.push(dayFromGregorian(year < 0 ? year + 1 : year === 0 ? 1 : year, 1, 1));
    }
  } else if (level.kind === "months") {
    if ((last.year - first.year) * (12 / level.step) > MOST_OF_A_LEVEL) return null;
    for (let year = first.year; year <= last.year; year++)
      for (let m = 1; m <= 12; m += level.step) days.push(dayFromGregorian(year, m, 1));
  } else {
    const stepDays = level.kind === "days" ? level.step : level.step / 86_400;
    if ((to - from) / stepDays > MOST_OF_A_LEVEL) return null;
    // Weeks begin on Mondays: day 2 was one.
    const shift = level.kind === "days" && level.step === 7 ? 2 : 0;
    for (let n = Math.ceil((from - shift) / stepDays); n * stepDays + shift <= to; n++) days.push(n * stepDays + shift);
  }
  return days.filter((d) => d >= from && d <= to);
}

function tickText(level: Level, day: number, era: "BC" | "BCE"): string {
  const { year, month, day: d } = civilFrom("gregorian", day + 1e-7);
  const name = MONTHS[month - 1]!.slice(0, 3);
  if (level.kind === "years") return tickYear(year, era);
  if (level.kind === "months") return month === 1 ? tickYear(year, era) : name;
  if (level.kind === "days") return d === 1 ? name : `${d} ${name}`;
  const second = Math.round((day - Math.floor(day + 1e-7)) * 86_400);
  if (second === 0) return `${d} ${name}`;
  const two = (n: number) => String(n).padStart(2, "0");
  const hm = `${two(Math.floor(second / 3600))}:${two(Math.floor((second % 3600) / 60))}`;
  return second % 60 === 0 ? hm : `${hm}:${two(second % 60)}`;
}

/** Years on the ridge; deep time in millions. */
function tickYear(year: number, era: "BC" | "BCE"): string {
  if (year <= -1_000_000) {
    const millions = -year / 1e6;
    return millions >= 1_000 ? `${trimmed(millions / 1_000)} bn yrs ago` : `${trimmed(millions)} m yrs ago`;
  }
  return yearText(year, era);
}

function trimmed(n: number): string {
  return String(Number(n.toPrecision(4)));
}
