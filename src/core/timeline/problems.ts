import type { DateProblem } from "../time/date-problem";
import { safeAddress } from "../text/description";
import { whenLabel } from "../time/write-when";
import { CIRCULAR, namedWhole, stretchOf, wouldLoop } from "./parts";
import type { Timeline } from "./timeline";

/** A finding about a timeline. Findings are shown with what to do; they never stop anybody from saving. */
export type Problem =
  | { code: "date_not_understood"; event: string; typed: string; problem: DateProblem }
  /** Numbers that can only be the other order of day and month than is said for the timeline; and the date in words. */
  | { code: "other_order"; event: string; typed: string; order: "dmy" | "mdy"; words: string }
  | { code: "outside_period"; event: string; side: "before" | "after" }
  /** By how many days it begins too early and ends too late; 0 where it does not. */
  | { code: "part_outside_whole"; event: string; whole: string; early: number; late: number }
  | { code: "part_of_itself"; event: string; whole: string }
  /** What stands where a web address belongs leads nowhere. */
  | { code: "no_address"; event: string; item: string; text: string }
  | { code: "no_credit"; event: string; item: string };

/** Whether a date in numbers can only be meant in the other order: 05/14/1921 where the day comes first. */
function isOtherOrder(typed: string, order: "dmy" | "mdy"): boolean {
  return [...typed.matchAll(/(?<!\d)(\d{1,2})[/.-](\d{1,2})[/.-]\d{2,4}(?!\d)/g)].some(([, a, b]) => {
    const [first, second] = [Number(a), Number(b)];
    return order === "dmy" ? second > 12 && first <= 12 : first > 12 && second <= 12;
  });
}

/** The invariants of a timeline as a list of findings, in no particular order; empty when all is well. */
export function problems(timeline: Timeline): Problem[] {
  const found: Problem[] = [];
  const period = stretchOf(timeline.period);
  for (const e of timeline.events.values()) {
    if (e.deleted) continue;
    const r = e.when.readAs;
    if (r.kind === "not_understood")
      found.push({ code: "date_not_understood", event: e.id, typed: e.when.typed, problem: r.problem });
    const { dateOrder } = timeline;
    if (dateOrder && r.kind !== "not_understood" && isOtherOrder(e.when.typed, dateOrder))
      found.push({ code: "other_order", event: e.id, typed: e.when.typed, order: dateOrder, words: whenLabel(e.when) });
    const own = stretchOf(e.when);
    if (period && own) {
      if (own.from < period.from) found.push({ code: "outside_period", event: e.id, side: "before" });
      else if (own.to > period.to) found.push({ code: "outside_period", event: e.id, side: "after" });
    }
    if (e.partOf?.startsWith(CIRCULAR))
      found.push({ code: "part_of_itself", event: e.id, whole: e.partOf.slice(CIRCULAR.length) });
    const name = namedWhole(e);
    if (name === null) continue;
    if (isInCircle(timeline, e.id)) found.push({ code: "part_of_itself", event: e.id, whole: name });
    const whole = timeline.events.get(name);
    const around = whole && !whole.deleted ? stretchOf(whole.when) : null;
    if (!own || !around) continue;
    const early = Math.max(0, around.from - own.from);
    const late = Math.max(0, own.to - around.to);
    if (early > 0 || late > 0) found.push({ code: "part_outside_whole", event: e.id, whole: name, early, late });
  }
  for (const item of timeline.items.values()) {
    const owner = timeline.events.get(item.of);
    const there = item.of === "timeline" || (owner && !owner.deleted);
    if (there && !item.deleted && item.address.trim() !== "" && safeAddress(item.address) === null)
      found.push({ code: "no_address", event: item.of, item: item.id, text: item.address });
    if (item.deleted || item.list !== "media" || (item.of !== "timeline" && (!owner || owner.deleted))) continue;
    if (item.kind !== "sound" && item.credit.trim() === "")
      found.push({ code: "no_credit", event: item.of, item: item.id });
  }
  return found;
}

function isInCircle(timeline: Timeline, id: string): boolean {
  const whole = namedWhole(timeline.events.get(id)!);
  return whole !== null && wouldLoop(timeline.events, id, whole);
}
