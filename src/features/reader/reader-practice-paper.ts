import type { Card } from "@/core/practice/order";
import type { WithinQuestion } from "@/core/practice/within";
import { WORDS } from "@/core/words/practice";
import { make } from "./reader-practice-parts";
import { spanName } from "./reader-practice-within";

/** What stands on a sheet, and on the one with its answers. */
type Sheet =
  | { exercise: "order" | "dates"; cards: readonly Card[] }
  | { exercise: "within"; questions: readonly WithinQuestion[] };

const LETTERS = "ABCD";

/** Prints an exercise for paper, its answers on a page of their own. */
export function printSheet(title: string, sheet: Sheet): void {
  document.querySelector(".x-paper")?.remove();
  const paper = make("div", "x-paper");
  const page = (heading: string, help: string, named: boolean, lines: readonly string[]) => {
    const section = make("section");
    section.append(make("h2", "", `${heading}: ${title}`), make("p", "", help));
    if (named) section.append(make("p", "x-name", `${WORDS.name}: `));
    const list = make("ol");
    for (const line of lines) list.append(make("li", "", line));
    section.append(list);
    paper.append(section);
  };
  if (sheet.exercise === "within") {
    const { questions } = sheet;
    page(
      WORDS.sheet,
      WORDS.paperWithin,
      true,
      questions.map(
        (q) =>
          `${WORDS.whichWithin(spanName(q))}\n${q.cards.map((c, i) => `\u2610 ${LETTERS[i]} ${c.title}`).join("\n")}`,
      ),
    );
    page(
      WORDS.answers,
      "",
      false,
      questions.map((q) => `${LETTERS[q.cards.indexOf(q.right)]} ${q.right.title}, ${q.right.date}`),
    );
  } else {
    const { cards, exercise } = sheet;
    const isOrder = exercise === "order";
    const right = isOrder ? [...cards].sort((a, b) => a.from + a.to - b.from - b.to) : cards;
    page(
      WORDS.sheet,
      isOrder ? WORDS.paperOrder : WORDS.paperDates,
      true,
      cards.map((c) => (isOrder ? `\u2610 ${c.title}` : `${c.title}: ____________________`)),
    );
    page(
      WORDS.answers,
      "",
      false,
      right.map((c) => `${c.date}: ${c.title}`),
    );
  }
  document.body.append(paper);
  window.addEventListener("afterprint", () => paper.remove(), { once: true });
  window.print();
}
