import { type DateMark, markDate, reachOf } from "@/core/practice/dates";
import type { Card } from "@/core/practice/order";
import { wordsFor } from "@/core/time/gap";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/practice";
import { button, type ExerciseHost, make, practised } from "./reader-practice-parts";

/** One event after the other is shown, and its date written. */
export function writeDates(host: ExerciseHost, timeline: Timeline, cards: readonly Card[]): void {
  const reach = reachOf(cards);
  const marks: { card: Card; mark: DateMark; typed: string }[] = [];
  const ask = () => {
    const card = cards[marks.length];
    if (!card) {
      end();
      return;
    }
    const form = make("form", "x-form");
    const label = make("label", "x-field", WORDS.whenLabel);
    const input = make("input");
    input.autocomplete = "off";
    label.append(input);
    const check = make("button", "x-main", WORDS.checkIt);
    form.append(make("h2", "", WORDS.when(card.title)), label, check);
    host.say(WORDS.question(marks.length + 1, cards.length));
    form.addEventListener("submit", (e) => {
      e.preventDefault();
      const mark = markDate(card, input.value, timeline, reach);
      // What is no date is asked again: nothing counts that was only mistyped.
      if (mark.how === "unread") {
        host.say(WORDS.unread);
        input.focus();
        return;
      }
      marks.push({ card, mark, typed: input.value });
      host.say(sentenceOf(card, mark));
      const on = button(WORDS.next, ask, "x-main");
      input.readOnly = true;
      check.replaceWith(on);
      on.focus();
    });
    host.body.replaceChildren(form);
    input.focus();
  };
  const end = () => {
    const right = marks.filter((m) => m.mark.how === "right").length;
    const share = marks.reduce((sum, m) => sum + m.mark.share, 0) / Math.max(1, marks.length);
    const list = make("ol", "x-result");
    for (const { card, mark, typed } of marks) {
      const li = make("li", mark.how === "right" ? "" : "x-off");
      li.append(make("b", "", card.date), ` ${card.title}`);
      if (mark.how !== "right") li.append(make("span", "", ` ${typed}: ${sentenceOf(card, mark)}`));
      list.append(li);
    }
    practised(share);
    host.finish(`${WORDS.datesResult(right, marks.length)} ${WORDS.inAll(Math.round(share * 100))}`, list);
  };
  ask();
}

function sentenceOf({ title, date }: Card, { how, days }: DateMark): string {
  if (how === "right") return WORDS.dateIs.right(title, date);
  if (how === "broad") return WORDS.broad(title, date);
  return WORDS.dateOff(title, date, wordsFor(Math.max(1, Math.abs(days))), days < 0);
}
