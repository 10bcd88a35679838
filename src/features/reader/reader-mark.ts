import { patternTile } from "@/core/chart/draw/tiles";
import { escapeXml, tileDef } from "@/core/chart/draw/to-svg";
import { patternOn } from "@/core/chart/style/patterns";
import { type ChartStyle, paintedColour } from "@/core/looks/style";
import type { AnyColour } from "@/core/timeline/fields";
import type { KeyEntry } from "@/core/looks/key";
import type { Frozen } from "@/core/formats/frozen";

/** A category's mark: a small roof in its colour and pattern. */
export function mark(style: ChartStyle, c: Pick<KeyEntry, "id" | "colour" | "pattern">): string {
  const on = patternOn(style, c.pattern).pattern;
  const id = `k-${c.id}`;
  const inked = on ? patternTile(on) : null;
  // In small a pattern has to be stronger to be seen.
  const defs = inked
    ? `<defs>${tileDef({ ...inked, opacity: Math.min(1, inked.opacity + 0.2), dots: Math.min(1, inked.dots + 0.15) }, escapeXml(id))}</defs>`
    : "";
  const points = "4,1 20,1 23.500,12.500 0.500,12.500";
  return `<svg width="24" height="13" viewBox="0 0 24 13" aria-hidden="true">${defs}<polygon points="${points}" fill="${paintedColour(style, c.colour)}"/>${inked ? `<polygon points="${points}" fill="url(#${escapeXml(id)})"/>` : ""}</svg>`;
}

/** The class of words in a colour of the look, or in one of somebody's own. */
export const colourClass = (colour: AnyColour): string =>
  colour.startsWith("#") ? `own-${colour.slice(1).toLowerCase()}` : colour;

/** The rules of colours of one's own, as they are painted on this page. */
export function ownColourRules(
  style: ChartStyle,
  { categories, events }: Pick<Frozen, "categories" | "events">,
): string {
  const own = new Set([...categories, ...events].map((r) => r.colour ?? "").filter((c) => c.startsWith("#")));
  return [...own].map((c) => `.${colourClass(c as AnyColour)}{color:${paintedColour(style, c)}}`).join("");
}
