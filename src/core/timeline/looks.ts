export { COLOURS, type Colour } from "../text/colours";

/** A pattern goes with every colour, so that colour is never the only sign. */
export const PATTERNS = ["solid", "slanted", "dots", "waves", "grid", "uprights", "steps", "rings"] as const;
export type Pattern = (typeof PATTERNS)[number];

/** A small sign before an event's words on the chart; "" for none. Drawn by `core/chart/signs.ts`. */
export const SIGNS = ["bell", "boat", "book", "drop", "flag", "flame", "key", "leaf"] as const;
export type Sign = (typeof SIGNS)[number] | "";

/** First words of descriptions may stand on the chart of a timeline of up to so many events. */
export const MOST_WORDED = 60;
