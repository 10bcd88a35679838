export { COLOURS, type Colour } from "../text/colours";

/** A pattern goes with every colour, so that colour is never the only sign. */
export const PATTERNS = ["solid", "slanted", "dots", "waves", "grid", "uprights", "steps", "rings"] as const;
export type Pattern = (typeof PATTERNS)[number];

/** The looks a timeline may have, named after what one builds with (`core/looks/looks.ts`). */
export const LOOKS = ["slate", "limestone", "brick", "oak", "glass", "plaster", "copper", "concrete", "iron"] as const;
export type LookName = (typeof LOOKS)[number];

/** What may lie behind a chart, drawn in lines so thin that words stand on them; "" for nothing. */
export const TEXTURES = ["", "linen", "stipple", "courses", "veins", "tiles"] as const;
export type Texture = (typeof TEXTURES)[number];
/** "": as the look has it. */
export const OWN_TEXTURES = ["", "plain", "linen", "stipple", "courses", "veins", "tiles"] as const;
export type OwnTexture = (typeof OWN_TEXTURES)[number];

/** A colour of one's own, as #rrggbb. */
export const OWN_COLOUR = "^#[0-9A-Fa-f]{6}$";

/** First words of descriptions may stand on the chart of a timeline of up to so many events. */
export const MOST_WORDED = 60;

export { SIGNS, type Sign } from "./sign-names";
