import { drawChart } from "@/core/chart/draw/draw-chart";
import { type SvgOptions, toSvg } from "@/core/chart/draw/to-svg";
import { whenLabel } from "@/core/time/write-when";
import { freeLooks } from "@/core/timeline/free-looks";
import { MOST_DEEP } from "@/core/timeline/parts";
import { type Category, emptyCategory, type TimelineEvent } from "@/core/timeline/timeline";
import { mannerOf } from "@/core/timeline/read-options";
import { WORDS } from "@/core/words/reader";
import type { ReaderTimeline } from "./chart-data-element";

/** The most a drawing of parts is high, px; on a narrow screen they are a list. */
const HEIGHT = 300;
const NARROW = 460;
/** So many parts are drawn; more are a list. */
const MOST_DRAWN = 60;

/** The category whose look the parts of an event take that have none: its own, that of what it is part of, or one made for it. */
function lookOf(timeline: ReaderTimeline, whole: TimelineEvent): Category | null {
  let at: TimelineEvent | undefined = whole;
  for (let n = 0; at && n <= MOST_DEEP; n++) {
    const found = timeline.categories.get(at.category ?? "");
    if (found && !found.deleted) return found;
    if (at.partOf === null) break;
    at = timeline.events.get(at.partOf);
  }
  const free = freeLooks(timeline).find((l) => l.id === at?.id);
  return free ? { ...emptyCategory(free.id), colour: free.colour, pattern: free.pattern } : null;
}

/** What an event consists of, on a small ridge of its own, each part a link; null: it has no parts. */
export function partsDrawing(
  timeline: ReaderTimeline,
  id: string,
  width: number,
  pictureUrl: SvgOptions["pictureUrl"],
): HTMLElement | null {
  const parts = [...timeline.events.values()].filter((e) => e.partOf === id);
  const whole = timeline.events.get(id);
  if (parts.length === 0 || !whole) return null;
  const box = document.createElement("section");
  box.className = "parts";
  box.setAttribute("aria-label", WORDS.partsOfIt);
  const heading = document.createElement("h3");
  heading.textContent = WORDS.partsOfIt;
  box.append(heading);
  const known = (category: string | null) => (timeline.categories.has(category ?? "") ? category : null);
  const isDated = whole.when.readAs.kind === "span";
  if (width >= NARROW && parts.length <= MOST_DRAWN) {
    const look = lookOf(timeline, whole);
    const own = {
      ...timeline,
      ...(look ? { categories: new Map([...timeline.categories, [look.id, look]]) } : {}),
      period: isDated ? whole.when : timeline.period,
      marks: null,
      events: new Map(
        parts.map((e) => [e.id, { ...e, partOf: null, spot: null, category: known(e.category) ?? look?.id ?? null }]),
      ),
    };
    const scene = drawChart(own, { width, height: HEIGHT }, { fit: true, closeUps: "none", within: true });
    const drawing = document.createElement("div");
    drawing.innerHTML = toSvg(scene, {
      pictureUrl,
      link: (part) => `#e-${part}`,
      prefix: "parts",
      label: WORDS.partsOfIt,
    });
    box.append(drawing);
    return box;
  }
  const list = document.createElement("ul");
  for (const e of parts) {
    const item = document.createElement("li");
    const link = document.createElement("a");
    link.href = `#e-${e.id}`;
    const date = document.createElement("strong");
    date.textContent = whenLabel(e.when, mannerOf(timeline));
    link.append(date, ` ${e.title || WORDS.untitled}`);
    item.append(link);
    list.append(item);
  }
  box.append(list);
  return box;
}
