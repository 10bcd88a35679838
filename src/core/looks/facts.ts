import { categoriesOf, type Timeline } from "../timeline/timeline";
import { contrast, leastContrast } from "./colour";
import { type ChartStyle, paintedColour, styleOf, type Wishes } from "./style";

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
