/**
 * A timeline as practice: its dates hidden, its events shuffled, to be put in order on the ridge by dragging, tapping or keys. Made of what
 * the page knows for its chart. Bundled into public/reader/practice.js, which is fetched when it is first wanted.
 */
import {
  type Card,
  centuryOf,
  checkPlace,
  chooseCards,
  type Marked,
  markOrder,
  placeFor,
  shuffled,
} from "@/core/practice/order";
import { type WithinQuestion, withinQuestions } from "@/core/practice/within";
import { wordsFor } from "@/core/time/gap";
import { categoriesOf, emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/practice";
import { askServer } from "@/ui/ask-server";
import { CHART_DATA, readChartData } from "./chart-data-element";
import { layOver } from "./alone";
import { type Task, TASK } from "./practice-task";
import { askFor, type Chosen, EVERYTHING } from "./reader-practice-ask";
import { writeDates } from "./reader-practice-dates";
import { draggable } from "./reader-practice-drag";
import { printSheet } from "./reader-practice-paper";
import { button, type ExerciseHost, make, practised } from "./reader-practice-parts";
import { chooseWithin } from "./reader-practice-within";
import { PRACTICE_STYLE } from "./reader-practice-style";

const sheet = new CSSStyleSheet();
sheet.replaceSync(PRACTICE_STYLE);
document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];

/** What a class was given; null: practice of the page's own timeline. */
const task = JSON.parse(document.getElementById(TASK)?.textContent ?? "null") as Task | null;

class Practice {
  private readonly timeline = task
    ? emptyTimeline("task")
    : readChartData(document.getElementById(CHART_DATA)?.textContent ?? "{}");
  private readonly root = make("div", "practice");
  private readonly body = make("div", "x-body");
  private readonly said = make("p", "x-said");
  private readonly takeAway: () => void;
  private readonly title = task?.title ?? document.querySelector("#begin h2, .bar h1")?.textContent ?? "";
  private chosen: Chosen = {
    exercise: "order",
    category: "",
    count: 8,
    parts: false,
    spans: true,
    atOnce: true,
    teams: false,
  };
  private all: Card[] = [];
  private pile: Card[] = [];
  private placed: Card[] = [];
  private taken: Card | null = null;
  private team = 0;
  private right = [0, 0];

  constructor() {
    const { root, said } = this;
    root.setAttribute("role", "dialog");
    root.setAttribute("aria-modal", "true");
    root.setAttribute("aria-label", WORDS.practiseTitle(this.title));
    root.tabIndex = -1;
    said.setAttribute("role", "status");
    const head = make("div", "x-head");
    head.append(
      make("h2", "", WORDS.practise),
      button(WORDS.leave, () => this.close()),
    );
    root.append(head, said, this.body);
    root.addEventListener("keydown", (e) => {
      e.stopPropagation();
      if (e.key !== "Escape") return;
      e.preventDefault();
      if (this.taken) this.layBack();
      else this.close();
    });
    this.takeAway = layOver(root);
    if (task) this.beginTask(task);
    else this.ask();
    root.focus();
  }

  close(): void {
    if (open !== this) return;
    open = null;
    this.takeAway();
    if (task) location.assign(task.back);
    if (location.hash === "#practice") location.hash = "begin";
  }

  /** The events that are asked: all, or those of a category. */
  private asked(): Timeline {
    const { category } = this.chosen;
    if (category === "") return this.timeline;
    const events = [...this.timeline.events].filter(([, e]) => e.category === category);
    return { ...this.timeline, events: new Map(events) };
  }

  private can(): Card[] {
    return chooseCards(this.asked(), { ...this.chosen, count: EVERYTHING }, Math.random);
  }

  private questions(): WithinQuestion[] {
    return withinQuestions(this.asked(), this.chosen.count, Math.random);
  }

  private readonly host: ExerciseHost = {
    body: this.body,
    say: (text) => {
      this.said.textContent = text;
    },
    finish: (sum, list) => this.showResult(sum, list, [button(WORDS.again, () => this.ask(), "x-main")]),
  };

  private ask(): void {
    askFor(this.chosen, {
      categories: categoriesOf(this.timeline).map((c) => [c.id, c.name] as const),
      body: this.body,
      say: (text) => {
        this.said.textContent = text;
      },
      can: () =>
        this.chosen.exercise === "within"
          ? withinQuestions(this.asked(), EVERYTHING, Math.random).length
          : this.can().length,
      begin: () => this.begin(),
      print: () => this.print(),
    });
  }

  private print(): void {
    const { exercise } = this.chosen;
    if (exercise === "within") printSheet(this.title, { exercise, questions: this.questions() });
    else printSheet(this.title, { exercise, cards: chooseCards(this.asked(), this.chosen, Math.random) });
  }

  /** For a class: without dates, and checked where they are. */
  private beginTask({ cards }: Task): void {
    this.chosen.atOnce = false;
    this.all = cards.map((c) => ({ ...c, date: "", from: 0, to: 0 }));
    this.pile = shuffled(this.all, Math.random);
    this.placed = [];
    this.taken = null;
    this.said.textContent = WORDS.help;
    this.draw();
    this.body.querySelector<HTMLElement>(".x-pile button")?.focus();
  }

  private begin(): void {
    const { exercise } = this.chosen;
    if (exercise === "within") {
      chooseWithin(this.host, this.questions());
      return;
    }
    if (exercise === "dates") {
      writeDates(this.host, this.timeline, chooseCards(this.asked(), this.chosen, Math.random));
      return;
    }
    this.all = chooseCards(this.asked(), this.chosen, Math.random);
    this.pile = shuffled(this.all, Math.random);
    this.placed = [];
    this.team = 0;
    this.right = [0, 0];
    this.taken = null;
    // One stands already: the others are placed beside it.
    if (this.chosen.atOnce) this.placed = [this.pile.pop()!];
    this.said.textContent = this.chosen.teams && this.chosen.atOnce ? WORDS.turn(WORDS.team(0)) : WORDS.help;
    this.draw();
    this.body.querySelector<HTMLElement>(".x-pile button")?.focus();
  }

  private take(card: Card): void {
    this.taken = this.taken === card ? null : card;
    this.said.textContent = this.taken ? WORDS.taken(card.title) : "";
    this.draw();
    this.body.querySelector<HTMLElement>(this.taken ? ".x-gap" : ".x-pile button")?.focus();
  }

  private layBack(): void {
    const card = this.taken;
    this.taken = null;
    this.said.textContent = "";
    this.draw();
    if (card) this.body.querySelector<HTMLElement>(`[data-card="${CSS.escape(card.id)}"]`)?.focus();
  }

  private place(card: Card, at: number): void {
    this.taken = null;
    this.pile = this.pile.filter((c) => c !== card);
    if (this.chosen.atOnce) this.checkOne(card, at);
    else {
      this.placed.splice(at, 0, card);
      this.said.textContent = "";
    }
    if (this.pile.length === 0 && this.chosen.atOnce) {
      this.finish();
      return;
    }
    this.draw();
    this.body.querySelector<HTMLElement>(".x-pile button, .x-main")?.focus();
  }

  private checkOne(card: Card, at: number): void {
    const off = checkPlace(this.placed, at, card);
    this.placed.splice(off === 0 ? at : placeFor(this.placed, card), 0, card);
    if (off === 0) this.right[this.team]!++;
    const by = wordsFor(Math.abs(off));
    const { title, date } = card;
    const said =
      off === 0
        ? WORDS.stands(title, date)
        : off < 0
          ? WORDS.tooEarly(title, date, by)
          : WORDS.tooLate(title, date, by);
    if (this.chosen.teams) this.team = 1 - this.team;
    this.said.textContent =
      this.chosen.teams && this.pile.length > 0 ? `${said} ${WORDS.turn(WORDS.team(this.team))}` : said;
  }

  /** What it comes to, in a sentence. */
  private finish(): void {
    const { atOnce, teams } = this.chosen;
    if (task) {
      void this.send(task);
      return;
    }
    if (!atOnce) {
      const marked = markOrder(this.placed);
      practised(marked.share);
      this.tell(`${WORDS.result(marked.right, marked.of)} ${WORDS.inAll(Math.round(marked.share * 100))}`, marked);
      return;
    }
    const asked = this.all.length - 1;
    practised((this.right[0]! + (teams ? this.right[1]! : 0)) / Math.max(1, asked));
    const sum = teams ? WORDS.teamsResult(this.right[0]!, this.right[1]!) : WORDS.placedRight(this.right[0]!, asked);
    this.tell(`${this.said.textContent ?? ""} ${sum}`, null, sum);
  }

  /** Has an order checked where its dates are. */
  private async send({ post }: Task): Promise<void> {
    const placed = this.placed.map((c) => c.id);
    const answer = await askServer<{ marked: Marked; cards: Card[]; kept: boolean }>("POST", post, { placed });
    if (!answer.ok) {
      this.said.textContent = WORDS.couldNotCheck(answer.sentence);
      return;
    }
    const { marked, cards, kept } = answer.value;
    this.placed = cards;
    const sum = `${WORDS.result(marked.right, marked.of)} ${WORDS.inAll(Math.round(marked.share * 100))}`;
    this.tell(`${sum} ${kept ? WORDS.sent : WORDS.notSent}`, marked, sum);
  }

  /** Says what it came to, with every card at its date; `sum`: what a file of it says. */
  private tell(said: string, marked: Marked | null, sum = said): void {
    const list = make("ol", "x-result");
    const off = new Map(marked?.off.map((o) => [o.id, o]));
    for (const c of [...this.placed].sort((a, b) => a.from + a.to - b.from - b.to)) {
      const o = off.get(c.id);
      const li = make("li", o ? "x-off" : "");
      li.append(make("b", "", c.date), ` ${c.title}`);
      if (o) {
        const days = o.days < 1 ? "" : wordsFor(o.days);
        li.append(make("span", "", ` ${WORDS.offBy(c.title, Math.abs(o.places), o.places < 0, days)}`));
      }
      list.append(li);
    }
    const again = task ? () => this.beginTask(task) : () => this.ask();
    this.said.textContent = said;
    this.showResult(sum, list, [button(WORDS.again, again, "x-main")], said);
  }

  /** The result stays until one goes on: as a sentence, event by event, and to be kept as a file. */
  private showResult(sum: string, list: HTMLElement, tools: readonly HTMLElement[], said = sum): void {
    const row = make("div", "x-tools");
    row.append(
      ...tools,
      button(WORDS.keep, () => this.keep(sum, list)),
    );
    this.said.textContent = said;
    const heading = make("h2", "", this.chosen.exercise === "order" ? WORDS.inOrder : WORDS.answers);
    this.body.replaceChildren(heading, list, row);
    row.querySelector("button")?.focus();
  }

  private keep(sum: string, list: HTMLElement): void {
    const lines = [...list.children].map((li, i) => `${i + 1}. ${li.textContent}`);
    const { exercise } = this.chosen;
    const text = [
      `${WORDS.exercises[exercise]}: ${this.title}`,
      new Date().toLocaleString(),
      sum,
      "",
      ...lines,
      "",
    ].join("\n");
    const a = make("a");
    a.href = URL.createObjectURL(new Blob([text], { type: "text/plain" }));
    a.download = `${WORDS.exercises[exercise].replace("?", "")}.txt`;
    a.click();
    setTimeout(() => URL.revokeObjectURL(a.href));
  }

  private draw(): void {
    const ridge = make("div", "x-ridge");
    ridge.setAttribute("role", "group");
    ridge.setAttribute("aria-label", WORDS.ridge);
    const gap = (at: number) => {
      const [a, b] = [this.placed[at - 1], this.placed[at]];
      const name =
        a && b
          ? WORDS.placeBetween(a.title, b.title)
          : a
            ? WORDS.placeAfter(a.title)
            : b
              ? WORDS.placeBefore(b.title)
              : WORDS.placeFirst;
      const g = button("", () => this.taken && this.place(this.taken, at), "x-gap");
      g.setAttribute("aria-label", name);
      g.dataset.at = String(at);
      g.disabled = this.taken === null;
      ridge.append(g);
    };
    gap(0);
    for (const [i, c] of this.placed.entries()) {
      const card = make("div", "x-card x-on");
      if (this.chosen.atOnce) card.append(make("b", "", c.date));
      card.append(make("span", "", c.title));
      if (!this.chosen.atOnce) {
        const off = button("×", () => {
          this.placed = this.placed.filter((x) => x !== c);
          this.pile.push(c);
          this.draw();
          this.body.querySelector<HTMLElement>(`[data-card="${CSS.escape(c.id)}"]`)?.focus();
        });
        off.setAttribute("aria-label", WORDS.takeOff(c.title));
        card.append(off);
      }
      ridge.append(card);
      gap(i + 1);
    }
    ridge.addEventListener("keydown", (e) => {
      const way = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1 }[e.key];
      if (!way) return;
      const gaps = [...ridge.querySelectorAll<HTMLElement>(".x-gap")];
      const at = gaps.indexOf(document.activeElement as HTMLElement);
      if (at < 0) return;
      e.preventDefault();
      gaps[Math.max(0, Math.min(gaps.length - 1, at + way))]!.focus();
    });
    const pile = make("div", "x-pile");
    pile.setAttribute("role", "group");
    pile.setAttribute("aria-label", WORDS.pile);
    for (const c of this.pile) {
      const b = button(c.title, () => this.take(c), "x-card");
      b.dataset.card = c.id;
      b.setAttribute("aria-label", WORDS.take(c.title));
      b.setAttribute("aria-pressed", String(c === this.taken));
      draggable(b, this.root, (at) => this.place(c, at));
      pile.append(b);
    }
    const tools = make("div", "x-tools");
    const taken = this.taken;
    // Where all of them are of one century it tells nothing; and among those that are not checked yet nobody knows a neighbour.
    if (taken && new Set(this.all.map(centuryOf)).size > 1)
      tools.append(button(WORDS.hint, () => this.hintCentury(taken)));
    if (taken && this.chosen.atOnce) tools.append(button(WORDS.neighbour, () => this.hintNeighbour(taken)));
    if (!this.chosen.atOnce && this.pile.length === 0) tools.append(button(WORDS.check, () => this.finish(), "x-main"));
    this.body.replaceChildren(ridge, tools, pile);
  }

  private hintCentury(c: Card): void {
    const century = centuryOf(c);
    this.said.textContent = century ? WORDS.century(century) : WORDS.before(WORDS.longAgo);
  }

  private hintNeighbour(c: Card): void {
    const at = placeFor(this.placed, c);
    this.said.textContent = WORDS.neighbourIs((this.placed[at - 1] ?? this.placed[at]!).title);
  }
}

let open: Practice | null = null;
function follow(): void {
  if (task || location.hash === "#practice") open ??= new Practice();
  else open?.close();
}
window.addEventListener("hashchange", follow);
follow();
