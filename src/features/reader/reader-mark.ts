import { PATTERN_OPACITY, TILES } from "@/core/chart/style/patterns";
import { escapeXml } from "@/core/chart/draw/to-svg";
import { chartTitle } from "@/core/chart/style/house-style";
import { freeLooks } from "@/core/timeline/free-looks";
import { COLOURS, type Colour, type Pattern } from "@/core/timeline/looks";
import { categoriesOf, type Timeline } from "@/core/timeline/timeline";

/** One entry of the key: a category, or a span with parts that has a colour of its own. */
export interface KeyEntry {
  id: string;
  name: string;
  colour: Colour;
  pattern: Pattern;
  /** A span's is no filter. */
  isCategory: boolean;
}

export function keyOf(timeline: Timeline): KeyEntry[] {
  return [
    ...categoriesOf(timeline).map((c) => ({ ...c, isCategory: true })),
    ...freeLooks(timeline).map((l) => ({ ...l, name: chartTitle(timeline.events.get(l.id)!), isCategory: false })),
  ];
}

/** A category's mark: a small roof in its colour and pattern. */
export function mark(c: Pick<KeyEntry, "id" | "colour" | "pattern">): string {
  const tile = c.pattern === "solid" ? null : TILES[c.pattern];
  const id = `k-${c.id}`;
  const defs = tile
    ? `<defs><pattern id="${escapeXml(id)}" width="${tile.size}" height="${tile.size}" patternUnits="userSpaceOnUse">${tile.lines.map((l) => `<polyline points="${l.join(" ")}" fill="none" stroke="#fff" stroke-opacity="${PATTERN_OPACITY + 0.2}" stroke-width="${tile.width}"/>`).join("")}${tile.dots.map(([x, y, r]) => `<circle cx="${x}" cy="${y}" r="${r}" fill="#fff" fill-opacity="${PATTERN_OPACITY + 0.3}"/>`).join("")}</pattern></defs>`
    : "";
  const points = "4,1 20,1 23.500,12.500 0.500,12.500";
  return `<svg width="24" height="13" viewBox="0 0 24 13" aria-hidden="true">${defs}<polygon points="${points}" fill="${COLOURS[c.colour]}"/>${tile ? `<polygon points="${points}" fill="url(#${escapeXml(id)})"/>` : ""}</svg>`;
}
