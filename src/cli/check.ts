import { isCited } from "@/core/sources/cited";
import { inOrder } from "@/core/timeline/order";
import { problems } from "@/core/timeline/problems";
import { itemsByOwner, type Timeline } from "@/core/timeline/timeline";
import { problemText } from "@/core/words/findings";
import { WORDS } from "@/core/words/command";

/** One finding of `fastigo check`, a line of JSON. */
export interface CheckLine {
  code: string;
  /** "error": something is wrong; "warning": something is missing. */
  level: "error" | "warning";
  /** The number of the event in the order of the timeline, from 1, its title and its date as it was typed. */
  event: number;
  title: string;
  when: string;
  message: string;
}

/** What is missing rather than wrong. */
const MISSING = new Set(["no_credit", "no_alternative", "missing_source", "undated"]);

/** Everything that is to be said of a timeline: dates not understood, contradictions, missing sources, by the order of its events. */
export function checkLines(t: Timeline): CheckLine[] {
  const events = inOrder(t.events.values());
  const items = itemsByOwner(t);
  const found = problems(t).map((p) => ({ code: p.code as string, event: p.event, message: problemText(p, t) }));
  for (const e of events) {
    if (!items(e.id, "source").some((i) => isCited(t.sources, i)))
      found.push({ code: "missing_source", event: e.id, message: WORDS.missingSource });
    if (e.when.readAs.kind === "undated") found.push({ code: "undated", event: e.id, message: WORDS.undated });
  }
  const number = new Map(events.map((e, i) => [e.id, i + 1]));
  return found
    .map(({ code, event, message }): CheckLine => {
      const e = t.events.get(event);
      return {
        code,
        level: MISSING.has(code) ? "warning" : "error",
        event: number.get(event) ?? 0,
        title: e?.title ?? "",
        when: e?.when.typed ?? "",
        message,
      };
    })
    .sort((a, b) => a.event - b.event);
}
