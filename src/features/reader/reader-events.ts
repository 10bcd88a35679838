import { WORDS as INDEX } from "@/core/words/index-view";
import { colourClass } from "./reader-mark";
import { placesAlong } from "@/core/chart/frame/places-along";
import { escapeXml } from "@/core/chart/draw/to-svg";
import type { Frozen, FrozenEvent } from "@/core/formats/frozen";
import { gapText } from "@/core/time/gap";
import type { When } from "@/core/time/when";
import { whenLabel, whenLongLabel } from "@/core/time/write-when";
import { partsAfterWholes } from "@/core/timeline/parts";
import { mannerOf } from "@/core/timeline/read-options";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/reader";
import { chaptersHtml, closingSection, contents } from "./reader-chapters";
import { blocksHtml, said } from "./blocks-html";
import { mediaInText } from "@/core/text/description";
import { inText, sourceHtml } from "./in-text";
import { figure, linked } from "./reader-figure";
import { mark } from "./reader-mark";
import type { FrozenItem, StyledPage } from "./page-input";

/** What events are looked up by, made once for all of them. */
interface Index {
  event: ReadonlyMap<string, FrozenEvent>;
  category: ReadonlyMap<string, Frozen["categories"][number]>;
  /** The entries of one list of one event, in their order. */
  items: (of: string, list: FrozenItem["list"]) => readonly FrozenItem[];
}

function indexOf(f: Frozen): Index {
  const lists = new Map<string, FrozenItem[]>();
  for (const i of f.items) {
    const key = `${i.list} ${i.of}`;
    const list = lists.get(key);
    if (list) list.push(i);
    else lists.set(key, [i]);
  }
  return {
    event: new Map(f.events.map((e) => [e.id, e])),
    category: new Map(f.categories.map((c) => [c.id, c])),
    items: (of, list) => lists.get(`${list} ${of}`) ?? [],
  };
}

/** All events in the order they are read in, parts after their wholes. */
export function eventsSection(p: StyledPage, timeline: Timeline): string {
  const at = placesAlong(timeline);
  const index = indexOf(p.frozen);
  const neighbours = neighboursIn(p.frozen.events);
  const order = partsAfterWholes(timeline.events);
  // What came before an event: the one before it that is part of the same, or the beginning of what it is part of.
  const last: FrozenEvent[] = [];
  const html = order.map(({ event, depth }, i) => {
    const e = index.event.get(event.id)!;
    const before = last[depth]?.when ?? (depth > 0 ? beginning(last[depth - 1]!.when) : null);
    last.length = depth;
    last[depth] = e;
    const own = eventHtml(p, index, e, i, depth, before, stripPercent(at.get(e.id) ?? 1), neighbours(e));
    return chaptersHtml(p, e.id) + own;
  });
  return `${contents(p)}${listenButton(p)}<ol class="events">${html.join("")}${chaptersHtml(p, null)}</ol>${closingSection(p)}`;
}

/** Where several voices were recorded they can be heard after each other; without a script there is nothing to press. */
function listenButton(p: StyledPage): string {
  const voices = p.frozen.items.filter((i) => i.voice && i.of !== "timeline").length;
  if (voices < 2 || p.variant === "print") return "";
  return `<button type="button" class="listen" hidden data-stop="${escapeXml(WORDS.stopListening)}">${escapeXml(WORDS.listenToAll)}</button>`;
}

/** So many events before and after one are asked whether time lies between. */
const NEIGHBOURS_ASKED = 60;

/** How long after the event before it and how long before the next one an event was, with links to both. */
function neighboursIn(events: readonly FrozenEvent[]): (e: FrozenEvent) => string {
  const at = new Map(events.map((e, i) => [e.id, i]));
  const link = (e: FrozenEvent) =>
    `<a href="#e-${escapeXml(e.id)}">${escapeXml(e.shortTitle || e.title || WORDS.untitled)}</a>`;
  // What is part of something else is told with that.
  const alike = (a: FrozenEvent, b: FrozenEvent) => a.partOf === b.partOf;
  return (e) => {
    const i = at.get(e.id)!;
    const found: string[] = [];
    for (let k = i - 1; k >= 0 && k >= i - NEIGHBOURS_ASKED; k--) {
      const gap = alike(events[k]!, e) ? gapText(events[k]!.when, e.when) : null;
      if (!gap) continue;
      found.push(WORDS.after(escapeXml(gap), link(events[k]!)));
      break;
    }
    for (let k = i + 1; k < events.length && k <= i + NEIGHBOURS_ASKED; k++) {
      const gap = alike(events[k]!, e) ? gapText(e.when, events[k]!.when) : null;
      if (!gap) continue;
      found.push(WORDS.before(escapeXml(gap), link(events[k]!)));
      break;
    }
    return found.length === 0 ? "" : `<p class="between">${found.join(", ")}</p>`;
  };
}

/** The tags of an event, each leading to the chart of all that have it. */
function tagLinks(tags: readonly string[] | undefined): string {
  if (!tags || tags.length === 0) return "";
  const links = tags.map((t) => `<a href="?tag=${escapeXml(encodeURIComponent(t))}#chart">${escapeXml(t)}</a>`);
  return `<p class="tags">${INDEX.tags}: ${links.join(", ")}</p>`;
}

/** Where the reading line stands, in percent of the strip: its ends are set in by margin and cap. */
function stripPercent(u: number): string {
  const inset = 38 / 1240;
  return ((inset + u * (1 - 2 * inset)) * 100).toFixed(2);
}

function beginning(when: When): When {
  const r = when.readAs;
  return r.kind === "span" && r.start ? { ...when, readAs: { kind: "moment", at: r.start } } : when;
}

function eventHtml(
  p: StyledPage,
  by: Index,
  e: FrozenEvent,
  index: number,
  depth: number,
  before: When | null,
  at: string,
  between: string,
): string {
  const { frozen } = p;
  const category = by.category.get(e.category ?? "");
  const whole = by.event.get(e.partOf ?? "");
  const gap = before ? gapText(before, e.when) : null;
  const head = whenLabel(e.when, mannerOf(frozen));
  const long = whenLongLabel(e.when, mannerOf(frozen));
  const colour = colourClass(e.colour || category?.colour || "steel");
  const standing = new Set(mediaInText(e.description));
  const all = by.items(e.id, "media");
  const media = all.filter((m) => !standing.has(m.id));
  // The main one stands over the text, unless it stands in it.
  const over = media[0] === all[0] ? 1 : 0;
  const sources = by.items(e.id, "source").flatMap((i) => sourceHtml(p, i) ?? []);
  const links = by.items(e.id, "link").filter((i) => i.text || i.address);
  const beside = (heading: string, list: readonly string[]) =>
    list.length === 0 ? "" : `<div><h3>${heading}</h3>${list.map((html) => `<p>${html}</p>`).join("")}</div>`;
  return `<li class="event${depth > 0 ? ` part part-${Math.min(depth, 3)}` : ""}" id="e-${escapeXml(e.id)}" tabindex="-1" data-at="${at}">
${gap ? `<div class="gap">${escapeXml(WORDS.later(gap))}</div>` : ""}
<div class="when"><p class="year${head.length > 10 ? " long" : ""} ${colour}">${escapeXml(head)}</p><p>${WORDS.eventOf(index + 1, frozen.events.length)}</p>${category ? `<p class="cat">${mark(p.look, { ...category, id: `${category.id}-${index}` })}${escapeXml(category.name)}</p>` : ""}${tagLinks(e.tags)}${e.place ? `<p class="place">${WORDS.at} ${escapeXml(e.place)}</p>` : ""}${whole ? `<p class="of">${WORDS.partOf} <a href="#e-${escapeXml(whole.id)}">${escapeXml(whole.title || WORDS.untitled)}</a></p>` : ""}</div>
<div class="story"><p class="date ${colour}${long === head ? " same" : ""}">${escapeXml(long)}</p><h2${e.emphasis ? ' class="important"' : ""}${said(frozen)}>${escapeXml(e.title || WORDS.untitled)}</h2>${between}${media
    .slice(0, over)
    .map((m) => figure(p, m))
    .join("")}<div class="text"${said(frozen)}>${blocksHtml(e.description, inText(p))}</div>${media
    .slice(over)
    .map((m) => figure(p, m))
    .join("")}</div>
<div class="beside">${beside(sources.length > 1 ? WORDS.sources : WORDS.source, sources)}${beside(WORDS.findOutMore, links.map(linked))}</div>
</li>`;
}
