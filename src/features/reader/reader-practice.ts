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
import { wordsFor } from "@/core/time/gap";
import { WORDS } from "@/core/words/en/practice";
import { CHART_DATA, readChartData } from "./chart-data-element";
import { layOver } from "./alone";
import { draggable } from "./reader-practice-drag";
import { PRACTICE_STYLE } from "./reader-practice-style";

const sheet = new CSSStyleSheet();
sheet.replaceSync(PRACTICE_STYLE);
document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];

const COUNTS = [5, 8, 12, 20];
const LEAST = 3;
const EVERYTHING = 10_000;

class Practice {
  private readonly timeline = readChartData(document.getElementById(CHART_DATA)?.textContent ?? "{}");
  private readonly root = make("div", "practice");
  private readonly body = make("div", "x-body");
  private readonly said = make("p", "x-said");
  private readonly takeAway: () => void;
  private readonly title = document.querySelector("#begin h2, .bar h1")?.textContent ?? "";
  private chosen = { count: 8, parts: false, spans: true, atOnce: true, teams: false };
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
    root.setAttribute("aria-label", WORDS.title(this.title));
    root.tabIndex = -1;
    said.setAttribute("role", "status");
    const head = make("div", "x-head");
    head.append(
      make("h2", "", WORDS.putInOrder),
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
    this.ask();
    root.focus();
  }

  close(): void {
    if (open !== this) return;
    open = null;
    this.takeAway();
    if (location.hash === "#practice") location.hash = "begin";
  }

  private can(): Card[] {
    return chooseCards(this.timeline, { ...this.chosen, count: EVERYTHING }, Math.random);
  }

  /** What is to be asked, and how. */
  private ask(): void {
    const form = make("form", "x-form");
    const say = () => {
      const n = this.can().length;
      count.lastElementChild!.textContent = WORDS.all(n);
      begin.disabled = n < LEAST;
      // Turns are taken where each is checked as it is placed.
      teams.disabled = !this.chosen.atOnce;
      this.said.textContent = n < LEAST ? WORDS.tooFew : WORDS.help;
    };
    const field = (name: string, input: HTMLElement) => {
      const label = make("label", "x-field", name);
      label.append(input);
      form.append(label);
    };
    const choice = (options: readonly [value: string, name: string][], value: string, set: (v: string) => void) => {
      const select = make("select");
      for (const [v, name] of options) {
        const o = make("option", "", name);
        o.value = v;
        select.append(o);
      }
      select.value = value;
      select.addEventListener("change", () => {
        set(select.value);
        say();
      });
      return select;
    };
    const tick = (name: string, key: "parts" | "spans" | "teams") => {
      const label = make("label", "x-tick");
      const box = make("input");
      box.type = "checkbox";
      box.checked = this.chosen[key];
      box.addEventListener("change", () => {
        this.chosen[key] = box.checked;
        say();
      });
      label.append(box, ` ${name}`);
      form.append(label);
      return box;
    };
    const options: [string, string][] = [
      ...COUNTS.map((n): [string, string] => [String(n), String(n)]),
      [String(EVERYTHING), ""],
    ];
    const count = choice(options, String(this.chosen.count), (v) => {
      this.chosen.count = Number(v);
    });
    field(WORDS.howMany, count);
    const checked = choice(
      [
        ["once", WORDS.eachAtOnce],
        ["end", WORDS.atTheEnd],
      ],
      this.chosen.atOnce ? "once" : "end",
      (v) => {
        this.chosen.atOnce = v === "once";
      },
    );
    field(WORDS.checked, checked);
    tick(WORDS.withSpans, "spans");
    tick(WORDS.withParts, "parts");
    const teams = tick(WORDS.teams, "teams");
    const begin = make("button", "x-main", WORDS.begin);
    form.append(begin);
    form.addEventListener("submit", (e) => {
      e.preventDefault();
      this.begin();
    });
    this.body.replaceChildren(form);
    say();
  }

  private begin(): void {
    this.all = chooseCards(this.timeline, this.chosen, Math.random);
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
    const list = make("ol", "x-result");
    let sum: string;
    let marked: Marked | null = null;
    if (atOnce) {
      const asked = this.all.length - 1;
      sum = teams ? WORDS.teamsResult(this.right[0]!, this.right[1]!) : WORDS.placedRight(this.right[0]!, asked);
    } else {
      marked = markOrder(this.placed);
      sum = `${WORDS.result(marked.right, marked.of)} ${WORDS.inAll(Math.round(marked.share * 100))}`;
    }
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
    const tools = make("div", "x-tools");
    tools.append(
      button(WORDS.again, () => this.ask(), "x-main"),
      button(WORDS.keep, () => this.keep(sum, list)),
    );
    const last = this.said.textContent ?? "";
    this.said.textContent = atOnce ? `${last} ${sum}` : sum;
    const heading = make("h2", "", WORDS.inOrder);
    this.body.replaceChildren(heading, list, tools);
    tools.querySelector("button")?.focus();
  }

  private keep(sum: string, list: HTMLElement): void {
    const lines = [...list.children].map((li, i) => `${i + 1}. ${li.textContent}`);
    const text = [WORDS.resultTitle(this.title), new Date().toLocaleString(), sum, "", ...lines, ""].join("\n");
    const a = make("a");
    a.href = URL.createObjectURL(new Blob([text], { type: "text/plain" }));
    a.download = `${WORDS.putInOrder}.txt`;
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
  if (location.hash === "#practice") open ??= new Practice();
  else open?.close();
}
window.addEventListener("hashchange", follow);
follow();

function make<K extends keyof HTMLElementTagNameMap>(name: K, className = "", text = ""): HTMLElementTagNameMap[K] {
  const e = document.createElement(name);
  if (className) e.className = className;
  if (text) e.textContent = text;
  return e;
}

function button(text: string, press: () => void, className = ""): HTMLButtonElement {
  const b = make("button", className, text);
  b.type = "button";
  b.addEventListener("click", press);
  return b;
}
