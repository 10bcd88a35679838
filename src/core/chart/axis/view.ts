import { readEdtf } from "../../time/read/notation";
import { addSeconds, endOf, startOf, UNDATED } from "../../time/when";
import type { Instant } from "../../time/instant";
import { civilFrom } from "../../time/calendar";
import { isoYear } from "../../time/write-edtf";
import type { Family } from "../../text/families";
import type { Axis } from "./axis";
import { minus, type Pair, plus, ZERO } from "./pair";

/** What is seen of a ridge: `u0` stands `pad` px from the frame's edge, and a unit of u takes `scale` px. */
export interface View {
  u0: Pair;
  scale: number;
}

/** A ridge in a frame: from `pad` to `size - pad` when all of it is seen. Px. */
export interface Ground {
  axis: Axis;
  pad: number;
  size: number;
  /** The ridge runs down: words take their height along it, not their width. */
  upright: boolean;
  /** What the ridge is written in. */
  family: Family;
}

/** A second is never drawn wider than this, px. */
const WIDEST_SECOND = 120;
/** On the even scale the steps are never wider than this, px. */
const WIDEST_STEP = 640;

export function fitScale(g: Ground): number {
  return Math.max(1e-9, g.size - 2 * g.pad) / g.axis.length;
}

export function wholeView(g: Ground): View {
  return { u0: ZERO, scale: fitScale(g) };
}

/** The largest scale: a second, where time runs slowest in the view's middle, takes WIDEST_SECOND px. */
export function largestScale(g: Ground): number {
  const { axis } = g;
  if (axis.scale === "even" || !axis.from || !axis.to) return Math.max(fitScale(g), WIDEST_STEP);
  if (axis.scale === "true") return Math.max(fitScale(g), WIDEST_SECOND * 86_400);
  return Math.max(fitScale(g), fitScale(g) * 2 ** 50);
}

export function xOf(g: Ground, v: View, u: Pair): number {
  return g.pad + minus(u, v.u0) * v.scale;
}

export function uAt(g: Ground, v: View, x: number): Pair {
  return plus(v.u0, (x - g.pad) / v.scale);
}

/** The view moved so that nothing is seen beyond the ridge's ends. */
export function clamped(g: Ground, v: View): View {
  const least = fitScale(g);
  const most = largestScale(g);
  const scale = Math.min(most, Math.max(least, v.scale));
  // At the whole the ridge stands exactly, so that a way there and back ends where it began.
  if (scale <= least * (1 + 1e-9)) return wholeView(g);
  const room = (g.size - 2 * g.pad) / scale;
  if (v.u0.hi + v.u0.lo < 0) return { u0: ZERO, scale };
  const last = { hi: g.axis.length, lo: 0 };
  if (minus(last, v.u0) < room) return { u0: plus(last, -room), scale };
  return { u0: v.u0, scale };
}

/** Zooms by a factor; what stands at `x` stays there. */
export function zoomed(g: Ground, v: View, x: number, factor: number): View {
  const scale = Math.min(largestScale(g), Math.max(fitScale(g), v.scale * factor));
  return clamped(g, { u0: plus(uAt(g, v, x), -(x - g.pad) / scale), scale });
}

export function panned(g: Ground, v: View, px: number): View {
  return clamped(g, { u0: plus(v.u0, px / v.scale), scale: v.scale });
}

/** The view from one place to another, both within the pads. */
export function viewOf(g: Ground, from: Pair, to: Pair): View {
  const length = minus(to, from);
  if (!(length > 0)) return centred(g, from, largestScale(g));
  return clamped(g, { u0: from, scale: (g.size - 2 * g.pad) / length });
}

export function centred(g: Ground, u: Pair, scale: number): View {
  return clamped(g, { u0: plus(u, -(g.size / 2 - g.pad) / scale), scale });
}

export function isWhole(g: Ground, v: View): boolean {
  return v.scale <= fitScale(g) * (1 + 1e-9);
}

// ---------------------------------------------------------------- in words

/** An instant as ISO 8601 local date-time (years beyond four digits as ISO 8601-2 "Y..."). */
export function instantText(i: Instant): string {
  const rounded = addSeconds({ day: i.day, second: Math.round(i.second) }, 0);
  const { year, month, day } = civilFrom("gregorian", rounded.day);
  const two = (n: number) => String(n).padStart(2, "0");
  const s = rounded.second;
  const date = Math.abs(year) > 9999 ? "" : `${isoYear(year)}-${two(month)}-${two(day)}`;
  const time = `T${two(Math.floor(s / 3_600))}:${two(Math.floor((s % 3_600) / 60))}:${two(s % 60)}`;
  return date ? date + time : isoYear(year);
}

/** What a view shows, as text for an address or to be stored; "" for the whole. Dates, or places in the order. */
export function viewText(g: Ground, v: View): string {
  if (isWhole(g, v)) return "";
  const a = v.u0;
  const b = plus(v.u0, (g.size - 2 * g.pad) / v.scale);
  if (g.axis.scale === "even" || !g.axis.from) return `${a.hi.toFixed(2)}..${b.hi.toFixed(2)}`;
  const [from, to] = [g.axis.timeAt(a), g.axis.timeAt(b)];
  return from ? `${instantText(from)}..${to ? instantText(to) : ""}` : "";
}

/** The view a text describes; the whole when it cannot be read. */
export function readView(g: Ground, text: string): View {
  const [a = "", b = "", rest] = text.split("..");
  if (!a || rest !== undefined) return wholeView(g);
  if (g.axis.scale === "even" || !g.axis.from) {
    const [from, to] = [Number(a), Number(b)];
    return Number.isFinite(from) && Number.isFinite(to) && to > from
      ? viewOf(g, { hi: from, lo: 0 }, { hi: to, lo: 0 })
      : wholeView(g);
  }
  const from = instantOf(a, "start");
  const to = b ? instantOf(b, "start") : null;
  if (!from || (b && !to)) return wholeView(g);
  const end = to ? g.axis.at(clampTime(g.axis, to)) : { hi: g.axis.length, lo: 0 };
  const start = g.axis.at(clampTime(g.axis, from));
  return minus(end, start) > 0 ? viewOf(g, start, end) : wholeView(g);
}

/** The beginning or the end of a date in ISO 8601-2; null when it is none. */
export function instantOf(edtf: string, side: "start" | "end"): Instant | null {
  const readAs = readEdtf(edtf);
  if (!readAs) return null;
  const when = { ...UNDATED, readAs };
  return side === "start" ? startOf(when) : endOf(when);
}

function clampTime(axis: Axis, i: Instant): Instant {
  const before = (a: Instant, b: Instant) => a.day < b.day || (a.day === b.day && a.second < b.second);
  return before(i, axis.from!) ? axis.from! : before(axis.to!, i) ? axis.to! : i;
}
