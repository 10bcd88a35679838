/** The colours a category may have (see docs/architecture.md, "Colours"); white text on each reaches 4.5:1. */
export const COLOURS = {
  verdigris: "#0B6E69",
  copper: "#B4481E",
  plum: "#6A3D9A",
  river: "#1F5FA8",
  moss: "#56751A",
  rose: "#A62B5F",
  umber: "#6B4B3A",
  steel: "#4A6572",
} as const;
export type Colour = keyof typeof COLOURS;

/** A pattern goes with every colour, so that colour is never the only sign. */
export const PATTERNS = ["solid", "slanted", "dots", "waves", "grid", "uprights", "steps", "rings"] as const;
export type Pattern = (typeof PATTERNS)[number];

/** A small sign before an event's words on the chart; "" for none. Drawn by `core/chart/signs.ts`. */
export const SIGNS = ["bell", "boat", "book", "drop", "flag", "flame", "key", "leaf"] as const;
export type Sign = (typeof SIGNS)[number] | "";

/** First words of descriptions may stand on the chart of a timeline of up to so many events. */
export const MOST_WORDED = 60;
