import { languageLike } from "../language/asked-language";
import type { Language } from "../language/spoken";
import type { Face, Family, Heading } from "../text/families";
import { COLOURS, type Colour, type LookName, type Texture } from "../timeline/looks";
import { emptyTimeline, itemsOf, type Timeline } from "../timeline/timeline";
import { contrast, isDark, leastContrast, mend, mix } from "./colour";
import { LOOK_TABLE } from "./looks";

/** Words and what they stand on; large words, lines and areas (WCAG 2.2, 1.4.3 and 1.4.11). */
export const LEAST_WORDS = 4.5;
export const LEAST_MARKS = 3;
/** A paper from which neither black nor white is told so well is made lighter or darker. */
const LEAST_PAPER = 7;
/** How strongly the lines of a texture are seen. */
const TEXTURE_STRENGTH = 0.07;
/** The plates of words over a picture are as thick as this, or thicker where the picture asks for it. */
const PLATE = 0.72;
/** So far from the paper itself what is behind a plate may be seen through it. */
const MOST_THROUGH = 1.22;

/** What lies behind a chart. */
export interface Backdrop {
  paper: string;
  /** Drawn in this ink, so strongly; null: nothing. */
  texture: { name: Exclude<Texture, "">; ink: string; opacity: number } | null;
  picture: {
    item: string;
    /** 0 to 1. */
    opacity: number;
    fit: "fill" | "whole";
    focus: { x: number; y: number } | null;
    /** Its width by its height; 0 where that is not known. */
    proportion: number;
  } | null;
}

/** Everything a chart is painted with. Colours are #RRGGBB. */
export interface ChartStyle {
  /** The language it says things in. */
  language: Language;
  look: LookName;
  family: Family;
  heading: Heading;
  backdrop: Backdrop;
  paper: string;
  /** Bars and boxes beside it. */
  panel: string;
  line: string;
  grid: string;
  band: string;
  ink: string;
  quiet: string;
  /** Words that lead somewhere. */
  accent: string;
  sun: string;
  wash: string;
  today: string;
  ridge: string;
  ridgeInk: string;
  ridgeEnd: string;
  tick: string;
  count: string;
  /** Under words where something runs behind them. */
  plate: { fill: string; opacity: number };
  colours: Readonly<Record<Colour, string>>;
  /** What has no category. */
  none: string;
  pattern: { ink: string; opacity: number; scale: number };
  /** All that words stand on, and what marks stand on beside: the paper, and what is seen of a picture. */
  grounds: { words: readonly string[]; marks: readonly string[] };
  /** By which lines are stronger than usual. */
  lines: number;
  /** A picture was wanted so strong, 0 to 1, and is as strong as words and lines allow; null: as wanted. */
  held: { wanted: number; shown: number } | null;
}

/** What a style is made of. */
export type Wishes = Pick<
  Timeline,
  "look" | "paper" | "texture" | "backStrength" | "backFit" | "lineWeight" | "items"
> & {
  language?: string;
};

const LINES = { "-1": 0.65, "0": 1, "1": 1.7 } as const;

const known = new WeakMap<object, { of: Wishes; style: ChartStyle }>();

/** The style of a timeline: its look, and what its author wants on top, with every contrast mended. */
export function styleOf(t: Wishes): ChartStyle {
  // The items say whether there is a picture behind it; another edit makes another map.
  const last = known.get(t.items);
  if (last && sameWishes(last.of, t)) return last.style;
  const style = makeStyle(t);
  known.set(t.items, { of: t, style });
  return style;
}

const sameWishes = (a: Wishes, b: Wishes) =>
  a.look === b.look &&
  a.paper === b.paper &&
  a.texture === b.texture &&
  a.backStrength === b.backStrength &&
  a.backFit === b.backFit &&
  a.lineWeight === b.lineWeight &&
  a.language === b.language;

function makeStyle(t: Wishes): ChartStyle {
  const look = LOOK_TABLE[t.look] ?? LOOK_TABLE.slate;
  const paper = paperOf(t.paper || look.paper);
  const isHouse = t.look === "slate" && paper === look.paper;
  const ink = mend(look.ink, { grounds: [paper], least: LEAST_PAPER });
  const texture = t.texture === "" ? look.texture : t.texture === "plain" ? "" : t.texture;
  const band = isHouse ? "#F1F4F3" : mix(paper, ink, 0.055);
  const wash = isHouse ? "#FFF4D6" : mix(paper, look.sun, 0.2);
  const under = texture ? mix(paper, ink, TEXTURE_STRENGTH) : paper;
  const back = itemsOf(t, "timeline", "back").find((i) => i.kind === "picture" && i.media);
  const tones = back?.tones ?? { dark: "#000000", light: "#FFFFFF" };
  const wanted = back ? t.backStrength / 100 : 0;
  const grounds = [paper, band, wash, under];
  // First what has to be told from a picture behind it, then how strong that may be.
  const plain = Object.values(look.colours).map((c) => mend(c, { grounds, least: LEAST_WORDS }));
  const shown = back ? strongest(wanted, paper, tones, [...plain, ink]) : 0;
  const seen = back ? [mix(paper, tones.dark, shown), mix(paper, tones.light, shown)] : [];
  const plate = back ? plateOver(paper, seen) : 1;
  const all = [...grounds, ...seen.map((g) => mix(g, paper, plate))];
  const words = (colour: string) =>
    mend(colour, { grounds: all, least: LEAST_WORDS }, { grounds: seen, least: LEAST_MARKS });
  const ridge = mend(look.ridge, { grounds: [paper, ...seen], least: LEAST_MARKS });
  const colours = Object.fromEntries(
    (Object.keys(COLOURS) as Colour[]).map((c) => [c, words(look.colours[c])]),
  ) as Record<Colour, string>;
  const focus = back?.focus ?? null;
  return {
    language: languageLike(t.language),
    look: t.look,
    family: look.family,
    heading: look.heading,
    backdrop: {
      paper,
      texture: texture ? { name: texture, ink, opacity: TEXTURE_STRENGTH } : null,
      picture: back
        ? {
            item: back.id,
            opacity: shown,
            fit: t.backFit,
            focus,
            proportion: back.width && back.height ? back.width / back.height : 0,
          }
        : null,
    },
    paper,
    panel: isHouse ? "#F6F8F7" : mix(paper, ink, 0.035),
    line: isHouse ? "#D5DEDC" : mix(paper, ink, 0.18),
    grid: isHouse ? "#C3D0CD" : mix(paper, ink, 0.25),
    band,
    ink: words(ink),
    quiet: words(look.quiet),
    accent: words(look.colours.verdigris),
    sun: look.sun,
    wash,
    today: words(look.today),
    ridge,
    ridgeInk: mend(look.ridgeInk, { grounds: [ridge], least: LEAST_WORDS }),
    ridgeEnd: mend(look.sun, { grounds: [ridge], least: LEAST_WORDS }),
    tick: mend(look.tick, { grounds: [ridge], least: LEAST_MARKS }),
    count: isHouse ? "#EAF1EF" : mix(paper, ink, 0.08),
    plate: { fill: paper, opacity: plate },
    colours,
    none: colours.steel,
    pattern: { ink: paper, ...look.pattern },
    grounds: { words: all, marks: seen },
    lines: look.lines * LINES[t.lineWeight],
    held: back && shown < wanted - 0.005 ? { wanted, shown } : null,
  };
}

/** What a style is made of where it is printed: no printer has light ink, so a dark paper is white, and all on it is mended for that. */
export function printedWishes<T extends Wishes>(t: T): T {
  return isDark(styleOf(t).paper) ? { ...t, paper: "#ffffff" } : t;
}

/** A paper that black or white is told from well: it itself, or the nearest of its hue that is lighter or darker. */
export function paperOf(wanted: string): string {
  if (Math.max(contrast(wanted, "#000000"), contrast(wanted, "#FFFFFF")) >= LEAST_PAPER) return wanted.toUpperCase();
  const lighter = mend(wanted, { grounds: ["#000000"], least: LEAST_PAPER });
  const darker = mend(wanted, { grounds: ["#FFFFFF"], least: LEAST_PAPER });
  return contrast(lighter, wanted) <= contrast(darker, wanted) ? lighter : darker;
}

/** As strong as a picture may be with these told from the darkest and the lightest of it; at most as wanted. */
function strongest(
  wanted: number,
  paper: string,
  tones: { dark: string; light: string },
  marks: readonly string[],
): number {
  const fits = (s: number) => {
    const grounds = [mix(paper, tones.dark, s), mix(paper, tones.light, s)];
    return marks.every((m) => leastContrast(m, grounds) >= LEAST_MARKS);
  };
  let at = Math.round(wanted * 100);
  while (at > 0 && !fits(at / 100)) at--;
  return at / 100;
}

/** How thick plates are, so that what is behind them hardly shows through. */
function plateOver(paper: string, seen: readonly string[]): number {
  let at = PLATE;
  while (at < 1 && seen.some((g) => contrast(mix(g, paper, at), paper) > MOST_THROUGH)) at += 0.04;
  return Math.min(1, Math.round(at * 100) / 100);
}

/** A colour of the look or of one's own, as it is painted: told from all it stands on. */
export function paintedColour(style: ChartStyle, colour: string): string {
  if (Object.hasOwn(style.colours, colour)) return style.colours[colour as Colour];
  return mend(
    colour,
    { grounds: style.grounds.words, least: LEAST_WORDS },
    { grounds: style.grounds.marks, least: LEAST_MARKS },
  );
}

/** The faces of a chart: of titles, dates and first words. */
export const titleFace = (s: Pick<ChartStyle, "family">): Face => `${s.family}600`;
export const dateFace = (s: Pick<ChartStyle, "family">): Face => `${s.family}700`;
export const wordsFace = (s: Pick<ChartStyle, "family">): Face => `${s.family}400`;

/** The style of the application itself, and of a timeline nobody has given another. */
export const HOUSE_STYLE: ChartStyle = styleOf(emptyTimeline("house"));
