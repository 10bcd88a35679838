import { categoriesOf, type Timeline } from "../timeline/timeline";
import { contrast, distance, leastContrast } from "./colour";
import { type ChartStyle, paintedColour, paperOf, styleOf, type Wishes } from "./style";

/** Something that is written, and how well it is told from what it stands on: 1 to 21. */
export interface ContrastFact {
  what: "words" | "quiet" | "ridge" | "category" | "none" | "onRoof" | "overPicture";
  /** Of a category. */
  name: string;
  ratio: number;
}

/** What contrast everything has that is written on the chart of a timeline. */
export function contrastFacts(t: Wishes & Pick<Timeline, "categories">): ContrastFact[] {
  const style = styleOf(t);
  const { words } = style.grounds;
  const categories = categoriesOf(t).map((c) => ({ name: c.name, colour: paintedColour(style, c.colour) }));
  const colours = [style.none, ...categories.map((c) => c.colour)];
  const least = (all: readonly string[], grounds: readonly string[]) =>
    Math.min(...all.map((c) => leastContrast(c, grounds)));
  const fact = (what: ContrastFact["what"], ratio: number, name = ""): ContrastFact => ({ what, name, ratio });
  return [
    fact("words", leastContrast(style.ink, words)),
    fact("quiet", leastContrast(style.quiet, words)),
    fact("ridge", Math.min(contrast(style.ridgeInk, style.ridge), contrast(style.ridgeEnd, style.ridge))),
    ...categories.map((c) => fact("category", leastContrast(c.colour, words), c.name)),
    fact("none", leastContrast(style.none, words)),
    fact("onRoof", least([style.paper], colours)),
    ...(style.backdrop.picture ? [fact("overPicture", least([style.ink, style.quiet, ...colours], words))] : []),
  ];
}

/** A colour of somebody's own that is shown otherwise, so that it can be read. */
export interface Mended {
  name: string;
  wanted: string;
  shown: string;
}

/** The categories whose colours are shown otherwise than they were chosen. */
export function mendedCategories(t: Pick<Timeline, "categories">, style: ChartStyle): Mended[] {
  return categoriesOf(t).flatMap((c) => {
    const shown = paintedColour(style, c.colour);
    return c.colour.startsWith("#") && shown.toUpperCase() !== c.colour.toUpperCase()
      ? [{ name: c.name, wanted: c.colour.toUpperCase(), shown }]
      : [];
  });
}

/** What an author asked for and did not get, so that everything can be read. */
export type Held =
  /** The paper itself: colours as #RRGGBB. */
  | { of: "paper"; wanted: string; shown: string }
  /** How strongly the picture behind the chart is seen, 0 to 1. */
  | { of: "picture"; wanted: number; shown: number }
  | ({ of: "category" } & Mended);

/** Everything that is shown otherwise than it was asked for. */
export function heldBack(t: Wishes & Pick<Timeline, "categories">): Held[] {
  const style = styleOf(t);
  const wanted = t.paper.toUpperCase();
  const shown = wanted && paperOf(wanted);
  return [
    ...(shown !== wanted ? [{ of: "paper" as const, wanted, shown }] : []),
    ...(style.held ? [{ of: "picture" as const, ...style.held }] : []),
    ...mendedCategories(t, style).map((m) => ({ of: "category" as const, ...m })),
  ];
}

/** Colours nearer than this are taken for one where they do not lie beside each other (Oklab). */
const TOO_NEAR = 0.06;

/** Pairs of categories that look the same on this chart: colours that are hardly told apart, in one pattern. */
export function lookAlike(t: Wishes & Pick<Timeline, "categories">): { one: string; other: string }[] {
  const style = styleOf(t);
  const seen = categoriesOf(t).map((c) => ({ ...c, colour: paintedColour(style, c.colour) }));
  return seen.flatMap((a, i) =>
    seen
      .slice(i + 1)
      .filter((b) => b.pattern === a.pattern && distance(a.colour, b.colour) < TOO_NEAR)
      .map((b) => ({ one: a.id, other: b.id })),
  );
}
