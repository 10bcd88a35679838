import { WORDS } from "@/core/words/practice";
import { button, make } from "./reader-practice-parts";

const COUNTS = [5, 8, 12, 20];
/** Fewer events are no practice. */
const LEAST = 3;
export const EVERYTHING = 10_000;

/** What one practises, and how. */
export interface Chosen {
  exercise: keyof typeof WORDS.exercises;
  count: number;
  /** Only events of this category; "" for any. */
  category: string;
  parts: boolean;
  spans: boolean;
  /** Each is checked as it is placed. */
  atOnce: boolean;
  teams: boolean;
}

export interface AskHost {
  /** The categories there are to choose from. */
  categories: readonly (readonly [id: string, name: string])[];
  body: HTMLElement;
  say: (text: string) => void;
  /** How much there is to ask of what is chosen. */
  can: () => number;
  begin: () => void;
  print: () => void;
}

/** Asks what is to be practised, and how; what is answered stands in `chosen`. */
export function askFor(chosen: Chosen, host: AskHost): void {
  const form = make("form", "x-form");
  const say = () => {
    const { exercise, atOnce } = chosen;
    const isOrder = exercise === "order";
    const n = host.can();
    count.lastElementChild!.textContent = WORDS.all(n);
    const few = exercise === "within" ? n === 0 : n < LEAST;
    begin.disabled = few;
    paper.disabled = few;
    // Turns are taken where each is checked as it is placed.
    teams.disabled = !atOnce;
    for (const part of [checked, teams]) part.closest("label")!.hidden = !isOrder;
    for (const part of [spans, parts]) part.closest("label")!.hidden = exercise === "within";
    const said = few
      ? exercise === "within"
        ? WORDS.tooFewSpans
        : WORDS.tooFew
      : isOrder
        ? WORDS.help
        : WORDS.helps[exercise];
    host.say(said);
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
    box.checked = chosen[key];
    box.addEventListener("change", () => {
      chosen[key] = box.checked;
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
  field(
    WORDS.exercise,
    choice(Object.entries(WORDS.exercises), chosen.exercise, (v) => {
      chosen.exercise = v as Chosen["exercise"];
    }),
  );
  if (host.categories.length > 0)
    field(
      WORDS.ofCategory,
      choice(
        [["", WORDS.anyCategory], ...host.categories.map(([id, name]): [string, string] => [id, name])],
        chosen.category,
        (v) => {
          chosen.category = v;
        },
      ),
    );
  const count = choice(options, String(chosen.count), (v) => {
    chosen.count = Number(v);
  });
  field(WORDS.howMany, count);
  const checked = choice(
    [
      ["once", WORDS.eachAtOnce],
      ["end", WORDS.atTheEnd],
    ],
    chosen.atOnce ? "once" : "end",
    (v) => {
      chosen.atOnce = v === "once";
    },
  );
  field(WORDS.checked, checked);
  const spans = tick(WORDS.withSpans, "spans");
  const parts = tick(WORDS.withParts, "parts");
  const teams = tick(WORDS.teams, "teams");
  const begin = make("button", "x-main", WORDS.begin);
  const paper = button(WORDS.paper, host.print);
  const tools = make("div", "x-tools");
  tools.append(begin, paper);
  form.append(tools);
  form.addEventListener("submit", (e) => {
    e.preventDefault();
    host.begin();
  });
  host.body.replaceChildren(form);
  say();
}
