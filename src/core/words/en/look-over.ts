import type { Finding } from "../../check/look-over";
import { dayText } from "../../time/write-when";
import type { Timeline } from "../../timeline/timeline";
import { problemText } from "./findings";
import { heldText, lookAlikeText } from "./looks";

/** What stands on the screen where work is looked over before it is handed in. */
export const WORDS = {
  title: "Worth a look before you hand in",
  help: "None of this stops you. What you have looked at you can set aside with a reason; your teacher reads it.",
  nothing: "Nothing else to look at.",
  setAside: "Set aside",
  why: (what: string) => `Why it is set aside: ${what}`,
  whyShort: "Why",
  keep: "Set it aside",
  cancel: "Leave it",
  aside: (n: number) => (n === 1 ? "1 set aside" : `${n} set aside`),
  toTheLook: "To the look",
  takeBack: "Look at it again",
  wording: "Close wording",
  wordingHelp:
    "Stretches of words that stand in another text too: of the class, of the task, or in a source you quote. Only yours are shown here.",
  look: "Look for close wording",
  looking: "Looking …",
  noWording: "None was found.",
  notLooked: "It has not been looked for yet.",
  words: (n: number) => `${n} words alike: `,
  mend: "Put it in your own words, or mark it as a quotation and name its source.",
} as const;

/** A finding in a sentence. */
export function findingText(f: Finding, t: Timeline): string {
  switch (f.code) {
    case "problem":
      return problemText(f.problem, t);
    case "twice":
      return `It says the same as “${t.events.get(f.other)?.title || "Untitled"}”. Keep one of them, or say what is different.`;
    case "long_sentences":
      return `Its sentences have ${f.words} words on average. Shorter ones are easier to follow.`;
    case "hard_to_read":
      return `It is hard to read: ${f.ease} of 100 by the length of its words and sentences. Say it in plainer words where you can.`;
    case "empty_stretch": {
      const [from, to] = [dayText(f.from), dayText(f.to)];
      return `Nothing stands between ${from} and ${to}, which is ${Math.round(f.share * 100)} of 100 of the period. Is there something to say of it?`;
    }
    case "contrast":
      return heldText(f.held);
    case "look_alike": {
      const name = (id: string) => t.categories.get(id)?.name ?? "";
      return lookAlikeText(name(f.one), name(f.other));
    }
  }
}
