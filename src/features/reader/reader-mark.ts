import { PATTERN_OPACITY, TILES } from "@/core/chart/style/patterns";
import { escapeXml } from "@/core/chart/draw/to-svg";
import type { Frozen } from "@/core/formats/frozen";
import { COLOURS } from "@/core/timeline/looks";

/** A category's mark: a small roof in its colour and pattern. */
export function mark(c: Frozen["categories"][number]): string {
  const tile = c.pattern === "solid" ? null : TILES[c.pattern];
  const id = `k-${c.id}`;
  const defs = tile
    ? `<defs><pattern id="${escapeXml(id)}" width="${tile.size}" height="${tile.size}" patternUnits="userSpaceOnUse">${tile.lines.map((l) => `<polyline points="${l.join(" ")}" fill="none" stroke="#fff" stroke-opacity="${PATTERN_OPACITY + 0.2}" stroke-width="${tile.width}"/>`).join("")}${tile.dots.map(([x, y, r]) => `<circle cx="${x}" cy="${y}" r="${r}" fill="#fff" fill-opacity="${PATTERN_OPACITY + 0.3}"/>`).join("")}</pattern></defs>`
    : "";
  const points = "4,1 20,1 23.500,12.500 0.500,12.500";
  return `<svg width="24" height="13" viewBox="0 0 24 13" aria-hidden="true">${defs}<polygon points="${points}" fill="${COLOURS[c.colour]}"/>${tile ? `<polygon points="${points}" fill="url(#${escapeXml(id)})"/>` : ""}</svg>`;
}
