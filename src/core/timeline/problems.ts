import type { DateProblem } from "../time/date-problem";
import { endDay, startDay, type When } from "../time/when";
import type { Timeline } from "./timeline";

/** A finding about a timeline. Findings are shown with what to do; they never stop anybody from saving. */
export type Problem =
  | { code: "date_not_understood"; event: string; typed: string; problem: DateProblem }
  | { code: "outside_period"; event: string; side: "before" | "after" }
  | { code: "part_outside_whole"; event: string; whole: string }
  | { code: "part_of_itself"; event: string }
  | { code: "no_credit"; event: string; item: string };

/** The invariants of a timeline as a list of findings, in no particular order; empty when all is well. */
export function problems(timeline: Timeline): Problem[] {
  const found: Problem[] = [];
  const period = bounds(timeline.period);
  for (const e of timeline.events.values()) {
    if (e.deleted) continue;
    const r = e.when.readAs;
    if (r.kind === "not_understood")
      found.push({ code: "date_not_understood", event: e.id, typed: e.when.typed, problem: r.problem });
    const own = bounds(e.when);
    if (period && own) {
      if (own.from < period.from) found.push({ code: "outside_period", event: e.id, side: "before" });
      else if (own.to > period.to) found.push({ code: "outside_period", event: e.id, side: "after" });
    }
    if (e.partOf) {
      if (isInCycle(timeline, e.id)) found.push({ code: "part_of_itself", event: e.id });
      const whole = timeline.events.get(e.partOf);
      const around = whole && !whole.deleted ? bounds(whole.when) : null;
      if (own && around && (own.from < around.from || own.to > around.to))
        found.push({ code: "part_outside_whole", event: e.id, whole: e.partOf });
    }
  }
  for (const item of timeline.items.values()) {
    const owner = timeline.events.get(item.of);
    if (item.deleted || item.list !== "media" || (item.of !== "timeline" && (!owner || owner.deleted))) continue;
    if (item.kind !== "sound" && item.credit.trim() === "")
      found.push({ code: "no_credit", event: item.of, item: item.id });
  }
  return found;
}

function bounds(when: When): { from: number; to: number } | null {
  const from = startDay(when);
  const to = endDay(when);
  if (from === null || to === null) return null;
  const r = when.readAs;
  return {
    from: r.kind === "span" && r.start === null ? Number.NEGATIVE_INFINITY : from,
    to: r.kind === "span" && r.end === null ? Number.POSITIVE_INFINITY : to,
  };
}

function isInCycle(timeline: Timeline, id: string): boolean {
  const seen = new Set<string>();
  for (let at = timeline.events.get(id)?.partOf; at; at = timeline.events.get(at)?.partOf) {
    if (at === id) return true;
    if (seen.has(at)) return false;
    seen.add(at);
  }
  return false;
}
