import { escapeXml } from "@/core/chart/draw/to-svg";
import { COLOURS } from "@/core/timeline/looks";
import { whenLabel } from "@/core/time/write-when";
import { mannerOf } from "@/core/timeline/read-options";
import { WORDS } from "@/core/words/en/places";
import { WORDS as READER } from "@/core/words/en/reader";
import type { ReaderPage } from "./page-input";

const NO_CATEGORY = "#4A6572";

/** The events with a place on the map, in their order. Versions of before there was any have none. */
const placedIn = (p: ReaderPage) => p.frozen.events.filter((e) => (e.point ?? null) !== null);

export const hasMap = (p: ReaderPage): boolean => p.variant !== "print" && placedIn(p).length > 0;

/**
 * Where everything happened: a list, which is all there is without a script, and the room of the map over it. `script` is the address
 * of what draws the map; it is fetched when the map is first looked at (`reader-views.ts`).
 */
export function placesSection(p: ReaderPage, script: string): string {
  if (!hasMap(p)) return "";
  const manner = mannerOf(p.frozen);
  const categories = new Map(p.frozen.categories.map((c) => [c.id, c]));
  const items = placedIn(p).map((e) => {
    const category = categories.get(e.category ?? "");
    const { lat, lon } = e.point!;
    return `<li data-id="${escapeXml(e.id)}" data-lat="${lat}" data-lon="${lon}" data-colour="${category ? COLOURS[category.colour] : NO_CATEGORY}"><a href="#r-${escapeXml(e.id)}"><b>${escapeXml(e.title || READER.untitled)}</b><span>${escapeXml(whenLabel(e.when, manner))}</span>${e.place ? `<span>${escapeXml(e.place)}</span>` : ""}</a></li>`;
  });
  return `<section id="map" aria-label="${WORDS.map}" data-script="${escapeXml(script)}"><div class="world" hidden></div><ol class="places">${items.join("")}</ol></section>`;
}
