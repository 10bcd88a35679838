import type { Calendar } from "../calendar";
import type { Reading } from "../when";
import type { ReadOptions } from "./options";
import { readFields } from "./words";
import { momentOf } from "./moment";

/** Words a pasted sentence has at least; shorter texts are meant as a date, or as none. */
const SENTENCE = 4;
const MOST_DATE_WORDS = 9;

/** The first date inside a sentence, the longest that begins there. A bare number counts only as a year of four digits. */
export function readSentence(
  text: string,
  options: ReadOptions,
  readText: (text: string, options: ReadOptions) => { reading: Reading; calendar: Calendar },
): { reading: Reading; calendar: Calendar } | null {
  const words = text.split(/[\s()"]+/).filter(Boolean);
  if (options.sentence === false || words.length < SENTENCE || words.length > 2_000) return null;
  for (let i = 0; i < words.length; i++)
    for (let n = Math.min(MOST_DATE_WORDS, words.length - i); n >= 1; n--) {
      if (n === words.length) continue;
      const part = words
        .slice(i, i + n)
        .join(" ")
        .replace(/[.,;:!]+$/, "");
      if (
        !/\d/.test(part) ||
        /^(?:from|since|until|till|to|by|up) /.test(part) ||
        (/^\d+$/.test(part) && !/^\d{4}$/.test(part))
      )
        continue;
      const f = readFields(part);
      const m = f && momentOf(f, options);
      if (m?.ok) return { reading: { kind: "moment", at: m.value }, calendar: f!.julian ? "julian" : "gregorian" };
      // What is plainly meant as a date but cannot be one is not passed over for half of it.
      if (m && !m.ok && ["no_such_day", "two_orders", "no_such_month"].includes(m.problem.code))
        return { reading: { kind: "not_understood", problem: m.problem }, calendar: "gregorian" };
      if (n >= 2 && n <= 8 && /[-/]| to /.test(part) && part.length < 60) {
        const span = readText(part, options);
        if (span.reading.kind === "span") return span;
      }
    }
  return null;
}
