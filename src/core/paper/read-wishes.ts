import { maybe, object } from "../text/schema";
import { CLOSE_UPS_ON_PAPER, LEAST_SIDE, MOST_SHEETS, MOST_SIDE, ON_PAPER, PAPER_NAMES } from "./sheets";

const side = { type: "number", minimum: LEAST_SIDE, maximum: MOST_SIDE };
const count = (maximum: number) => ({ type: "integer", minimum: 1, maximum });

/** The JSON Schema of `PaperWishes`. */
export const PAPER_SCHEMA = object(
  {
    what: { enum: [...ON_PAPER] },
    paper: { anyOf: [{ enum: PAPER_NAMES }, object({ w: side, h: side })] },
    across: { type: "boolean" },
    sheets: object({ across: count(MOST_SHEETS.across), down: count(MOST_SHEETS.down) }),
    closeUps: { enum: [...CLOSE_UPS_ON_PAPER] },
    view: { type: "string", maxLength: 200 },
    border: { type: "boolean" },
    texts: { type: "boolean" },
    folded: { type: "boolean" },
    units: { enum: ["mm", "inch"] },
  },
  ["folded"],
);

/** The JSON Schema of a picture's wishes. */
export const PICTURE_SCHEMA = object({
  width: { type: "integer", minimum: 200, maximum: 4_000 },
  height: { type: "integer", minimum: 150, maximum: 4_000 },
  scale: { type: "integer", minimum: 1, maximum: 4 },
  transparent: { type: "boolean" },
  view: { type: "string", maxLength: 200 },
});

/** What a file that takes its time is made of: one of these. */
export const MADE_SCHEMA = object(
  {
    kind: { enum: ["pdf", "png", "svg", "folder", "scorm"] },
    paper: maybe(PAPER_SCHEMA),
    picture: maybe(PICTURE_SCHEMA),
  },
  ["paper", "picture"],
);
