import { language } from "../language/spoken";
import { holdsFiles } from "./fields";
import type { DateProblem } from "../time/date-problem";
import { safeAddress } from "../text/description";
import { isTimeAlone, startOf, type When } from "../time/when";
import { dayText, whenLabel } from "../time/write-when";
import { licenceOf } from "./licences";
import { mixesLoneTimes } from "./order";
import { CIRCULAR, namedWhole, stretchOf, wouldLoop } from "./parts";
import type { Timeline, TimelineEvent } from "./timeline";

/** A finding about a timeline. Findings are shown with what to do; they never stop anybody from saving. */
export type Problem =
  | { code: "date_not_understood"; event: string; typed: string; problem: DateProblem }
  /** Numbers that can only be the other order of day and month than is said for the timeline; and the date in words. */
  /** A time of a day nobody has named, among dates; the days of those dates, the first few, as they may be typed. */
  | { code: "time_without_day"; event: string; typed: string; days: string[] }
  | { code: "other_order"; event: string; typed: string; order: "dmy" | "mdy"; words: string }
  | { code: "outside_period"; event: string; side: "before" | "after" }
  /** By how many days it begins too early and ends too late; 0 where it does not. */
  | { code: "part_outside_whole"; event: string; whole: string; early: number; late: number }
  | { code: "part_of_itself"; event: string; whole: string }
  /** What stands where a web address belongs leads nowhere. */
  | { code: "no_address"; event: string; item: string; text: string }
  | { code: "no_credit"; event: string; item: string }
  /** A picture says nothing to those who cannot see it. */
  | { code: "no_alternative"; event: string; item: string }
  /** "shown": it may not be shown without asking; "altered": it was cut or turned, which its licence does not allow. */
  | { code: "licence_forbids"; event: string; item: string; what: "shown" | "altered"; licence: string };

/** Findings about a picture, video or sound, which are said beside it. */
const OF_MEDIA: ReadonlySet<string> = new Set(["no_credit", "no_alternative", "licence_forbids"]);
export const isOfMedia = (p: Problem): boolean => OF_MEDIA.has(p.code);

const MOST_DAYS = 3;

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
  const living = [...timeline.events.values()].filter((e) => !e.deleted);
  const days = mixesLoneTimes(living) ? daysNamed(living) : null;
  for (const e of timeline.events.values()) {
    if (e.deleted) continue;
    const r = e.when.readAs;
    if (r.kind === "not_understood")
      found.push({ code: "date_not_understood", event: e.id, typed: e.when.typed, problem: r.problem });
    if (days && isTimeAlone(e.when)) found.push({ code: "time_without_day", event: e.id, typed: e.when.typed, days });
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
    if (item.deleted || !holdsFiles(item.list) || (item.of !== "timeline" && (!owner || owner.deleted))) continue;
    if (item.kind !== "sound" && item.kind !== "page" && item.credit.trim() === "")
      found.push({ code: "no_credit", event: item.of, item: item.id });
    if (item.kind === "picture" && item.text.trim() === "")
      found.push({ code: "no_alternative", event: item.of, item: item.id });
    const licence = licenceOf(item.licence);
    if (licence?.forbids || (licence?.unaltered && item.cut))
      found.push({
        code: "licence_forbids",
        event: item.of,
        item: item.id,
        what: licence.forbids ? "shown" : "altered",
        licence: licence.name,
      });
  }
  for (const s of timeline.sources.values())
    if (!s.deleted && s.address.trim() !== "" && safeAddress(s.address) === null)
      found.push({ code: "no_address", event: "timeline", item: s.id, text: s.address });
  return found;
}

/** The first few days that dates of events name, in words that are read back. */
export function daysNamed(events: Iterable<TimelineEvent>): string[] {
  const days = new Set<number>();
  for (const { when, deleted } of events) {
    if (deleted) continue;
    const at = isTimeAlone(when) ? null : startOf(when);
    if (at && nameDay(when)) days.add(at.day);
  }
  return [...days]
    .sort((a, b) => a - b)
    .slice(0, MOST_DAYS)
    .map((day) => dayText(day, { language: language() }));
}

/** Whether a date says its day, which times alone may then belong to. */
function nameDay(when: When): boolean {
  const r = when.readAs;
  const at = r.kind === "moment" ? r.at : r.kind === "span" ? r.start : null;
  return at !== null && ["day", "hour", "minute", "second"].includes(at.precision);
}

function isInCircle(timeline: Timeline, id: string): boolean {
  const whole = namedWhole(timeline.events.get(id)!);
  return whole !== null && wouldLoop(timeline.events, id, whole);
}
