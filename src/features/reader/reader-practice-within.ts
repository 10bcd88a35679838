import { WORDS as COMMON } from "@/core/words/common";
import { offSpan, type WithinQuestion } from "@/core/practice/within";
import { wordsFor } from "@/core/time/gap";
import { WORDS } from "@/core/words/practice";
import { button, type ExerciseHost, make, practised } from "./reader-practice-parts";

/** What a span is called in a question. */
export const spanName = ({ span }: WithinQuestion): string =>
  span.title ? `${COMMON.named(span.title)}, ${span.date}` : COMMON.the(span.date);

/** A span is shown, and which of four events fell within it is pressed. */
export function chooseWithin(host: ExerciseHost, questions: readonly WithinQuestion[]): void {
  const said: { right: boolean; text: string; question: WithinQuestion }[] = [];
  const ask = () => {
    const question = questions[said.length];
    if (!question) {
      end();
      return;
    }
    const choices = make("div", "x-pile");
    choices.setAttribute("role", "group");
    choices.setAttribute("aria-label", WORDS.whichWithin(spanName(question)));
    for (const card of question.cards)
      choices.append(
        button(
          card.title,
          () => {
            const off = offSpan(question, card);
            const { right } = question;
            const text =
              off === 0
                ? WORDS.withinRight(card.title, card.date)
                : WORDS.withinOff(
                    card.title,
                    card.date,
                    wordsFor(Math.max(1, Math.abs(off))),
                    off < 0,
                    right.title,
                    right.date,
                  );
            said.push({ right: off === 0, text, question });
            host.say(text);
            for (const b of choices.querySelectorAll("button")) b.disabled = true;
            const on = button(WORDS.next, ask, "x-main");
            tools.append(on);
            on.focus();
          },
          "x-card",
        ),
      );
    const tools = make("div", "x-tools");
    host.say(WORDS.question(said.length + 1, questions.length));
    host.body.replaceChildren(make("h2", "", WORDS.whichWithin(spanName(question))), choices, tools);
    choices.querySelector("button")?.focus();
  };
  const end = () => {
    const list = make("ol", "x-result");
    for (const { right, text, question } of said) {
      const li = make("li", right ? "" : "x-off");
      li.append(make("b", "", spanName(question)), make("span", "", ` ${text}`));
      list.append(li);
    }
    practised(said.filter((s) => s.right).length / Math.max(1, said.length));
    host.finish(WORDS.withinResult(said.filter((s) => s.right).length, said.length), list);
  };
  ask();
}
