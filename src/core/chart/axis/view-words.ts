import { WORDS as COMMON } from "../../words/common";
import type { Instant } from "../../time/instant";
import type { Manner } from "../../time/write-when";
import { dateText } from "../ticks/date-at";
import { instantOf } from "./view";

/** What a stored view shows, in words: "from Mar 1872 to Jan 1873", as exact as the stretch it shows is long. */
export function viewWords(text: string, manner: Manner): string {
  const [a = "", b = ""] = text.split("..");
  if (a === "") return COMMON.view.whole;
  if (/^-?\d+\.\d+$/.test(a) && /^-?\d+\.\d+$/.test(b))
    return COMMON.view.events(Math.floor(Number(a)) + 1, Math.max(1, Math.ceil(Number(b))));
  const from = instantOf(a, "start");
  const to = b ? instantOf(b, "start") : null;
  if (!from) return COMMON.view.whole;
  if (!to) return COMMON.view.toTheEnd(dateText(from, 30, manner));
  // Ends are told to a hundredth of what is seen.
  const days = Math.max(1 / 1_440, daysBetween(from, to) / 100);
  const [first, last] = [from, to].map((at) => dateText(at, days, manner));
  return first === last ? `${first}` : COMMON.view.fromTo(first!, last!);
}

function daysBetween(a: Instant, b: Instant): number {
  return b.day - a.day + (b.second - a.second) / 86_400;
}
