import { compareInstants, type When } from "../time/when";
import type { Instant } from "../time/instant";

export type GivenResult = "right" | "less_exact" | "wrong" | "no_date";

/**
 * How a student's date of a given event compares with the right one. Right: what they mean lies within it. Right but less
 * exact: it holds the right date and more, be it a moment or a span. "About" makes a right date less exact. Anything else is
 * wrong.
 */
export function compareGiven(right: When, answer: When): GivenResult {
  const a = bounds(answer);
  const b = bounds(right);
  if (!a || !b) return "no_date";
  // An answer that ends before it begins lies within anything and holds nothing.
  if (a.from && a.to && compareInstants(a.from, a.to) > 0) return "wrong";
  const within = notBefore(a.from, b.from) && notAfter(a.to, b.to);
  // A moment is no span, but a month that holds a span of three days is right as far as it goes.
  if (within && answer.readAs.kind === right.readAs.kind)
    return isAbout(answer) && !isAbout(right) ? "less_exact" : "right";
  const holds = notBefore(b.from, a.from) && notAfter(b.to, a.to);
  return holds ? "less_exact" : "wrong";
}

interface Bounds {
  from: Instant | null;
  to: Instant | null;
}

function bounds(w: When): Bounds | null {
  const r = w.readAs;
  if (r.kind === "moment") return { from: r.at.from, to: r.at.to };
  if (r.kind === "span") return { from: r.start?.from ?? null, to: r.end?.to ?? null };
  return null;
}

function isAbout(w: When): boolean {
  const r = w.readAs;
  return r.kind === "moment" ? r.at.about : r.kind === "span" ? Boolean(r.start?.about || r.end?.about) : false;
}

/** Null is open: as early, or as late, as can be. */
function notBefore(x: Instant | null, limit: Instant | null): boolean {
  return limit === null || (x !== null && compareInstants(x, limit) >= 0);
}
function notAfter(x: Instant | null, limit: Instant | null): boolean {
  return limit === null || (x !== null && compareInstants(x, limit) <= 0);
}
