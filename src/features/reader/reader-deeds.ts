import { escapeXml } from "@/core/chart/draw/to-svg";
import { WORDS as PRACTICE } from "@/core/words/practice";
import { WORDS as PRESENTING } from "@/core/words/presenting";
import type { ReaderPage } from "./page-input";

/** What one begins: a presentation, practice. A script brings each in (`reader-views.ts`); without one there is no button. */
export function deedButtons(p: Pick<ReaderPage, "variant" | "frozen" | "chartScript">, className: string): string {
  if (p.variant === "print" || p.frozen.events.length === 0) return "";
  const begins = (deed: string, name: string) =>
    `<button type="button"${className && ` class="${className}"`} data-deed="${deed}" hidden data-script="${escapeXml(p.chartScript.replace("chart.js", `${deed}.js`))}">${name}</button>`;
  // In another page's frame there is no wall to present on.
  return (p.variant === "page" ? begins("present", PRESENTING.present) : "") + begins("practice", PRACTICE.practise);
}
