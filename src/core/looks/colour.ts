import {
  clampChroma,
  converter,
  differenceEuclidean,
  formatHex,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeRgb,
  useMode as knowMode,
  wcagContrast,
} from "culori/fn";

for (const mode of [modeRgb, modeLrgb, modeOklab, modeOklch]) knowMode(mode as typeof modeRgb);
const toRgb = converter("rgb");
const toOklch = converter("oklch");

/** The contrast of two colours, 1 to 21 (WCAG 2.2, "contrast ratio"). */
export const contrast = (a: string, b: string): number => wcagContrast(a, b);

const apart = differenceEuclidean("oklab");
/** How far two colours are from each other as they are seen: 0 the same, 1 black and white (Oklab). */
export const distance = (a: string, b: string): number => apart(a, b);

/** Whether white is told from it better than black is. */
export const isDark = (ground: string): boolean => contrast("#FFFFFF", ground) > contrast("#000000", ground);

/** The least contrast of a colour with any of the grounds it stands on. */
export const leastContrast = (colour: string, grounds: readonly string[]): number =>
  Math.min(...grounds.map((g) => contrast(colour, g)));

const upper = (hex: string) => hex.toUpperCase();

/** What is seen where `over` is painted on `under` as strongly as `share`, 0 to 1. */
export function mix(under: string, over: string, share: number): string {
  const [a, b] = [toRgb(under)!, toRgb(over)!];
  const at = (k: "r" | "g" | "b") => a[k] + (b[k] - a[k]) * share;
  return upper(formatHex({ mode: "rgb", r: at("r"), g: at("g"), b: at("b") }));
}

/** Grounds a colour stands on, and the least contrast it has with each of them. */
export interface Need {
  grounds: readonly string[];
  least: number;
}

const meets = (colour: string, needs: readonly Need[]) =>
  needs.every((n) => n.grounds.length === 0 || leastContrast(colour, n.grounds) >= n.least);

const STEP = 0.01;

/**
 * The colour itself where it reaches the contrast with all grounds; otherwise the nearest of its hue, lighter or darker, that
 * does. Where none does: black or white, whichever is told better from the first.
 */
export function mend(colour: string, ...needs: readonly Need[]): string {
  if (meets(colour, needs)) return upper(colour);
  const from = toOklch(colour)!;
  const lit = (l: number) => upper(formatHex(clampChroma({ ...from, l }, "oklch")));
  for (let by = STEP; by <= 1; by += STEP)
    for (const l of [from.l - by, from.l + by]) {
      if (l < 0 || l > 1) continue;
      const made = lit(l);
      if (meets(made, needs)) return made;
    }
  const { grounds } = needs[0]!;
  return leastContrast("#000000", grounds) >= leastContrast("#FFFFFF", grounds) ? "#000000" : "#FFFFFF";
}
