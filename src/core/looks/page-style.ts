import { fontFaces, shippedType } from "../text/families";
import { contrast, isDark, mend, mix } from "./colour";
import { type ChartStyle, LEAST_MARKS, LEAST_WORDS } from "./style";

/** What is written on the sun has this colour where the ink is too light for it. */
const DARK = "#16191C";

/** The style of a chart as custom properties, by which pages and what lies over a chart are painted. */
export function pageVariables(s: ChartStyle): Record<string, string> {
  const dark = isDark(s.paper);
  const bar = dark ? mix(s.paper, s.ink, 0.12) : s.ridge;
  const barInk = mend(dark ? s.ink : s.ridgeInk, { grounds: [bar], least: LEAST_WORDS });
  const family = (name: Parameters<typeof shippedType>[0]) => `"${shippedType(name).css}"`;
  return {
    "--ink": s.ink,
    "--quiet": s.quiet,
    "--paper": s.paper,
    "--panel": s.panel,
    "--line": s.line,
    "--dots": mix(s.paper, s.ink, 0.36),
    "--edge": mend(mix(s.paper, s.ink, 0.5), { grounds: [s.paper, s.panel], least: LEAST_MARKS }),
    "--accent": s.accent,
    "--hover": mix(s.paper, s.accent, 0.09),
    "--wash": s.wash,
    "--sun": s.sun,
    "--sun-dark": mix(s.sun, "#000000", 0.1),
    "--on-sun": contrast(s.ink, s.sun) >= LEAST_WORDS ? s.ink : DARK,
    "--today": s.today,
    "--tick": s.tick,
    "--bar": bar,
    "--bar-ink": barInk,
    "--bar-quiet": mend(mix(bar, barInk, 0.76), { grounds: [bar], least: LEAST_WORDS }),
    "--bar-edge": mix(bar, barInk, 0.5),
    "--bar-hover": lit(bar, barInk),
    "--type": family(s.family),
    "--head": family(s.heading),
  };
}

/** A bar's ground under what is pressed: as much lighter as words on it allow. */
function lit(bar: string, ink: string): string {
  let share = 0.2;
  while (share > 0 && contrast(mix(bar, ink, share), ink) < LEAST_WORDS) share -= 0.02;
  return mix(bar, ink, Math.max(0, share));
}

function declared(s: ChartStyle): string {
  const variables = Object.entries(pageVariables(s)).map(([k, v]) => `${k}:${v}`);
  const colours = Object.entries(s.colours).map(([k, v]) => `--c-${k}:${v}`);
  return `color-scheme:${isDark(s.paper) ? "dark" : "light"};${[...variables, ...colours].join(";")}`;
}

/** The same as a style sheet, with the type it names. `onPaper`: the style it is printed in, where that is another. */
export function pageStyle(s: ChartStyle, onPaper: ChartStyle = s): string {
  const names = [...new Set([s.family, s.heading])];
  const printed = onPaper === s ? "" : `@media print{:root{${declared(onPaper)}}}`;
  return `${names.map(fontFaces).join("")}:root{${declared(s)}}${printed}`;
}
