import { escapeXml } from "@/core/chart/draw/to-svg";
import { fitMap, type MapFit, pointOf, spotOf } from "@/core/places/own-map";
import { HOUSE_STYLE, paintedColour } from "@/core/looks/style";
import { whenLabel } from "@/core/time/write-when";
import { mannerOf } from "@/core/timeline/read-options";
import { WORDS } from "@/core/words/places";
import { WORDS as READER } from "@/core/words/reader";
import { type FrozenItem, mediaUrl, type ReaderPage } from "./page-input";

/** The map of one's own, and how it lies on the earth. Versions of before there was any have none. */
function ownMapOf({ frozen }: ReaderPage): { item: FrozenItem | null; proportion: number; fit: MapFit | null } {
  const item = frozen.items.find((i) => i.of === "timeline" && i.list === "map" && i.media) ?? null;
  const proportion = item?.width && item.height ? item.width / item.height : 1.5;
  return { item, proportion, fit: item ? fitMap(frozen.mapTies ?? [], proportion) : null };
}

/** The events that stand on a map, in their order, with where. */
function placedIn(p: ReaderPage) {
  const { item, fit } = ownMapOf(p);
  return p.frozen.events.flatMap((event) => {
    const at = { onMap: (item && event.onMap) ?? null, point: event.point ?? null };
    const [point, spot] = [pointOf(at, fit), item ? spotOf(at, fit) : null];
    return point || spot ? [{ event, point, spot }] : [];
  });
}

export const hasMap = (p: ReaderPage): boolean =>
  p.variant !== "print" && (placedIn(p).length > 0 || ownMapOf(p).item !== null);

/**
 * Where everything happened: a list, which is all there is without a script, and the room of the map over it. `script` is the address
 * of what draws the map; it is fetched when the map is first looked at (`reader-views.ts`).
 */
export function placesSection(p: ReaderPage, script: string): string {
  if (!hasMap(p)) return "";
  const manner = mannerOf(p.frozen);
  const categories = new Map(p.frozen.categories.map((c) => [c.id, c]));
  const { item, proportion } = ownMapOf(p);
  const items = placedIn(p).map(({ event: e, point, spot }) => {
    const category = categories.get(e.category ?? "");
    const places = [
      point ? ` data-lat="${point.lat}" data-lon="${point.lon}"` : "",
      spot ? ` data-x="${spot.x}" data-y="${spot.y}"` : "",
    ].join("");
    return `<li data-id="${escapeXml(e.id)}"${places} data-colour="${category ? paintedColour(HOUSE_STYLE, category.colour) : HOUSE_STYLE.none}"><a href="#e-${escapeXml(e.id)}"><b>${escapeXml(e.title || READER.untitled)}</b><span>${escapeXml(whenLabel(e.when, manner))}</span>${e.place ? `<span>${escapeXml(e.place)}</span>` : ""}</a></li>`;
  });
  const own = item ? ` data-map="${escapeXml(mediaUrl(p, item.media!, "large"))}" data-proportion="${proportion}"` : "";
  const said = item?.text ? `<p class="said-of-map">${escapeXml(item.text)}</p>` : "";
  return `<section id="map" aria-label="${WORDS.map}" data-script="${escapeXml(script)}"><div class="world"${own} hidden></div>${said}<ol class="places">${items.join("")}</ol></section>`;
}
