import type { When } from "@/core/time/when";
import { uprightLength } from "@/core/chart/frame/layout";
import { placesAlong } from "@/core/chart/frame/places-along";
import { partsAfterWholes } from "@/core/timeline/parts";
import { drawChart } from "@/core/chart/draw/draw-chart";
import { PATTERN_OPACITY, TILES } from "@/core/chart/style/patterns";
import { escapeXml, toSvg } from "@/core/chart/draw/to-svg";
import { type Frozen, type FrozenEvent, timelineFromFrozen } from "@/core/formats/frozen";
import { gapText } from "@/core/time/gap";
import { headlineLabel, isTimed, type Manner, timeText, whenLongLabel } from "@/core/time/write-when";
import { safeAddress } from "@/core/text/description";
import { blocksHtml } from "./blocks-html";
import type { Item, Timeline } from "@/core/timeline/timeline";
import { COLOURS } from "@/core/timeline/looks";
import { CHART_DATA, chartDataText } from "./chart-data-element";
import { READER_STYLE, VARIANT_STYLE } from "./reader-style";
import { WORDS } from "@/core/words/en/reader";
import { periodText } from "@/core/timeline/period";
import { mannerOf } from "@/core/timeline/read-options";

/** The whole page; to stand in a frame of another page; or on paper, without scripts and with everything that can be printed. */
export const VARIANTS = ["page", "embed", "print"] as const;
export type Variant = (typeof VARIANTS)[number];

export interface ReaderPage {
  frozen: Frozen;
  variant: Variant;
  /** Where a media file is: `${mediaPath}/${media}/${size}`. */
  mediaPath: string;
  /** A sentence over the page, such as that it is a draft; null for none. */
  note: { text: string; link: { to: string; text: string } | null } | null;
  /** Whether search engines may list it. */
  listed: boolean;
  /** The address of the script that makes the chart movable. */
  chartScript: string;
  /** The script that shows one view at a time (`reader-views.ts`, bundled); it stands in the page. */
  viewsScript: string;
  /** The day it was published, in words; null for a draft. */
  published: string | null;
}

type FrozenItem = Frozen["items"][number];

interface Frame {
  width: number;
  /** 0: upright, as long as its labels need. */
  height: number;
}
/** Frames the chart is drawn for; the page shows the one that fits, without a script. On paper: A4 lying, less its margins. */
const FRAMES: Record<Variant, readonly Frame[]> = {
  page: [
    { width: 1240, height: 720 },
    { width: 1000, height: 760 },
    { width: 700, height: 860 },
    { width: 380, height: 0 },
  ],
  embed: [
    { width: 1240, height: 620 },
    { width: 1000, height: 620 },
    { width: 700, height: 620 },
    { width: 380, height: 0 },
  ],
  print: [{ width: 1030, height: 600 }],
};

/** A timeline as a reader sees it: one document, readable without a script. */
export function renderReaderPage(p: ReaderPage): { html: string; style: string; script: string } {
  const { frozen } = p;
  const timeline = timelineFromFrozen(frozen);
  const title = frozen.title || WORDS.untitled;
  const period = periodText(frozen.period, frozen.events, mannerOf(frozen));
  const count = WORDS.events(frozen.events.length);
  const facts = [count, period].filter(Boolean).join(", ");
  const style = READER_STYLE + VARIANT_STYLE[p.variant];
  const script = p.variant === "print" ? "" : p.viewsScript;
  const html = `<!doctype html>
<html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${escapeXml(title)} - Fastigo</title>${
    p.listed && p.variant === "page" ? "" : '<meta name="robots" content="noindex">'
  }<meta name="description" content="${escapeXml(`${title}. ${facts}. ${frozen.byline && WORDS.madeBy(frozen.byline)}`)}"><link rel="icon" href="/favicon.svg"><style>${style}</style></head>
<body class="${p.variant}">
${head(p, title, facts)}
<main>
<section id="chart" aria-label="${WORDS.chart}">${chartSection(p, timeline)}</section>
<section id="read" aria-label="${WORDS.read}">${opening(p, facts)}${p.variant === "print" ? "" : stripSection(p, timeline)}${eventsSection(p, timeline)}</section>
</main>
${foot(p)}
${p.variant === "print" || frozen.events.length === 0 ? "" : `<script type="application/json" id="${CHART_DATA}" data-media="${escapeXml(p.mediaPath)}">${chartDataText(frozen)}</script><script src="${escapeXml(p.chartScript)}" defer></script>`}${script && `<script>${script}</script>`}
</body></html>`;
  return { html, style, script };
}

/** The bar on top with the two views, and a note where there is one; in a frame the title leads to the whole page. */
function head(p: ReaderPage, title: string, facts: string): string {
  const embed = p.variant === "embed";
  const logo = embed ? "" : `<a href="/" aria-label="Fastigo">${LOGO}</a>`;
  const name = embed ? `<a href="?" target="_blank" rel="noopener">${escapeXml(title)}</a>` : escapeXml(title);
  const views =
    p.variant === "print"
      ? ""
      : `<nav aria-label="${WORDS.views}"><a href="#chart" data-to="chart">${WORDS.chart}</a><a href="#read" data-to="read">${WORDS.read}</a></nav>`;
  const note = p.note
    ? `<aside class="note" aria-label="${WORDS.aboutThisPage}">${escapeXml(p.note.text)}${p.note.link ? ` <a href="${escapeXml(p.note.link.to)}">${escapeXml(p.note.link.text)}</a>` : ""}</aside>`
    : "";
  return `<header class="bar">${logo}<div><h1>${name}</h1><p>${p.frozen.byline ? `${escapeXml(WORDS.by(p.frozen.byline))} · ` : ""}${escapeXml(facts)}</p></div>${views}</header>
${note}`;
}

function foot(p: ReaderPage): string {
  const made = escapeXml(p.published ? WORDS.publishedWith(p.published) : WORDS.madeWith);
  if (p.variant === "print") return `<footer class="foot">${made} Fastigo.</footer>`;
  if (p.variant === "embed")
    return `<footer class="foot">${made} <a href="?" target="_blank" rel="noopener">Fastigo</a></footer>`;
  return `<footer class="foot">${made} <a href="/">Fastigo</a>. ${WORDS.nothingFromElsewhere} <a href="?as=print">${WORDS.forPrinting}</a></footer>`;
}

const LOGO = `<svg width="30" height="26" viewBox="0 0 30 26" aria-hidden="true"><path d="M1.500 13.500 15 3l13.500 10.500" fill="none" stroke="#F2B632" stroke-width="3.200"/><path d="M6.500 24v-7L15 10.500 23.500 17v7" fill="none" stroke="#7FC4B8" stroke-width="3.200"/></svg>`;

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

function chartSection(p: ReaderPage, timeline: Timeline): string {
  if (p.frozen.events.length === 0) return `<p class="empty">${WORDS.nothingWritten}</p>`;
  const items = new Map(p.frozen.items.map((i) => [i.id, i]));
  const drawings = FRAMES[p.variant].map(({ width, height }) => {
    // On a phone the ridge runs down, as long as its labels need.
    const upright = height === 0;
    const moments = p.frozen.events.filter((e) => e.when.readAs.kind !== "span").length;
    const frame = { width, height: upright ? uprightLength(moments) : height };
    const svg = toSvg(drawChart(timeline, frame, upright ? { upright } : { fit: true }), {
      pictureUrl: (id) => (items.get(id)?.media ? `${p.mediaPath}/${items.get(id)!.media}/small` : null),
      link: (id) => `#e-${id}`,
      prefix: `c${width}`,
      label: WORDS.chartOf(p.frozen.title),
    });
    return `<div class="w${width}">${svg}</div>`;
  });
  const key =
    p.frozen.categories.length === 0
      ? ""
      : `<ul class="key" aria-label="${WORDS.categories}">${p.frozen.categories.map((c) => `<li data-category="${escapeXml(c.id)}">${mark(c)}${escapeXml(c.name)}</li>`).join("")}</ul>`;
  return `${key}<div class="chart">${drawings.join("")}</div>`;
}

function mark(c: Frozen["categories"][number]): string {
  const tile = c.pattern === "solid" ? null : TILES[c.pattern];
  const id = `k-${c.id}`;
  const defs = tile
    ? `<defs><pattern id="${escapeXml(id)}" width="${tile.size}" height="${tile.size}" patternUnits="userSpaceOnUse">${tile.lines.map((l) => `<polyline points="${l.join(" ")}" fill="none" stroke="#fff" stroke-opacity="${PATTERN_OPACITY + 0.2}" stroke-width="${tile.width}"/>`).join("")}${tile.dots.map(([x, y, r]) => `<circle cx="${x}" cy="${y}" r="${r}" fill="#fff" fill-opacity="${PATTERN_OPACITY + 0.3}"/>`).join("")}</pattern></defs>`
    : "";
  const points = "4,1 20,1 23.500,12.500 0.500,12.500";
  return `<svg width="24" height="13" viewBox="0 0 24 13" aria-hidden="true">${defs}<polygon points="${points}" fill="${COLOURS[c.colour]}"/>${tile ? `<polygon points="${points}" fill="url(#${escapeXml(id)})"/>` : ""}</svg>`;
}

function opening(p: ReaderPage, facts: string): string {
  const cover = p.frozen.items.find((i) => i.of === "timeline" && i.list === "media" && i.kind === "picture");
  return `<div class="opening${cover ? "" : " alone"}"><div><h2>${escapeXml(p.frozen.title || WORDS.untitled)}</h2><p class="facts">${escapeXml([p.frozen.subject, p.frozen.byline && WORDS.by(p.frozen.byline), facts].filter(Boolean).join(" · "))}</p><div class="text">${blocksHtml(p.frozen.introduction)}</div></div>${cover ? figure(p, cover) : ""}</div>`;
}

function stripSection(p: ReaderPage, timeline: Timeline): string {
  if (timeline.events.size === 0) return "";
  const strips = FRAMES[p.variant].map(({ width }) => {
    const scene = drawChart(timeline, { width, height: 60 }, { strip: true });
    return `<div class="w${width}">${toSvg(scene, { pictureUrl: () => null, prefix: `s${width}`, label: WORDS.whereYouAre })}</div>`;
  });
  return `<div class="strip"><div class="hold">${strips.join("")}<div class="line"></div></div></div>`;
}

function eventsSection(p: ReaderPage, timeline: Timeline): string {
  const at = placesAlong(timeline);
  const index = indexOf(p.frozen);
  const order = partsAfterWholes(timeline.events);
  // What came before an event: the one before it that is part of the same, or the beginning of what it is part of.
  const last: FrozenEvent[] = [];
  const html = order.map(({ event, depth }, i) => {
    const e = index.event.get(event.id)!;
    const before = last[depth]?.when ?? (depth > 0 ? beginning(last[depth - 1]!.when) : null);
    last.length = depth;
    last[depth] = e;
    return eventHtml(p, index, e, i, depth, before, stripPercent(at.get(e.id) ?? 1));
  });
  return `<ol class="events">${html.join("")}</ol>`;
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

/** Within a night the hours tell the parts apart; "" where a date says none. */
function timeOfDay(when: When, manner: Manner): string {
  const r = when.readAs;
  const at = r.kind === "moment" ? r.at : r.kind === "span" ? r.start : null;
  return at?.from && isTimed(at.precision) ? timeText(at.from, at.precision, manner) : "";
}

function eventHtml(
  p: ReaderPage,
  by: Index,
  e: FrozenEvent,
  index: number,
  depth: number,
  before: When | null,
  at: string,
): string {
  const { frozen } = p;
  const category = by.category.get(e.category ?? "");
  const whole = by.event.get(e.partOf ?? "");
  const gap = before ? gapText(before, e.when) : null;
  const head = (depth > 0 && timeOfDay(e.when, mannerOf(frozen))) || headlineLabel(e.when, mannerOf(frozen));
  const colour = category ? category.colour : "steel";
  const media = by.items(e.id, "media");
  const sources = by.items(e.id, "source").filter((i) => i.text || i.address);
  const links = by.items(e.id, "link").filter((i) => i.text || i.address);
  const beside = (heading: string, list: readonly FrozenItem[]) =>
    list.length === 0 ? "" : `<div><h4>${heading}</h4>${list.map((i) => `<p>${linked(i)}</p>`).join("")}</div>`;
  return `<li class="event${depth > 0 ? ` part part-${Math.min(depth, 3)}` : ""}" id="e-${escapeXml(e.id)}" tabindex="-1" data-at="${at}">
${gap ? `<div class="gap">${escapeXml(WORDS.later(gap))}</div>` : ""}
<div class="when"><p class="year${head.length > 6 ? " long" : ""} ${colour}">${escapeXml(head)}</p><p>${WORDS.eventOf(index + 1, frozen.events.length)}</p>${category ? `<p class="cat">${mark({ ...category, id: `${category.id}-${index}` })}${escapeXml(category.name)}</p>` : ""}${whole ? `<p class="of">${WORDS.partOf} <a href="#e-${escapeXml(whole.id)}">${escapeXml(whole.title || WORDS.untitled)}</a></p>` : ""}</div>
<div class="story">${media.map((m) => figure(p, m)).join("")}<p class="date ${colour}">${escapeXml(whenLongLabel(e.when, mannerOf(frozen)))}</p><h3${e.emphasis ? ' class="important"' : ""}>${escapeXml(e.title || WORDS.untitled)}</h3><div class="text">${blocksHtml(e.description)}</div></div>
<div class="beside">${beside(sources.length > 1 ? WORDS.sources : WORDS.source, sources)}${beside(WORDS.findOutMore, links)}</div>
</li>`;
}

function linked(i: Pick<Item, "text" | "address">): string {
  const address = safeAddress(i.address);
  const words = escapeXml(i.text || i.address);
  return address ? `<a href="${escapeXml(address)}" rel="noopener nofollow">${words}</a>` : words;
}

function figure(p: ReaderPage, m: FrozenItem): string {
  const url = (size: string) => escapeXml(`${p.mediaPath}/${m.media}/${size}`);
  const address = safeAddress(m.address);
  const credit = [m.credit, m.licence].filter(Boolean).join(", ");
  const caption = [
    m.text && m.kind !== "picture" ? escapeXml(m.text) : "",
    credit ? escapeXml(credit) : "",
    address ? `<a href="${escapeXml(address)}" rel="noopener nofollow">${WORDS.foundHere}</a>` : "",
  ]
    .filter(Boolean)
    .join(". ");
  const onPaper = p.variant === "print";
  if (onPaper && m.kind !== "picture")
    return `<figure><figcaption>${m.kind === "video" ? WORDS.aVideo : WORDS.aSound}${caption ? `: ${caption}` : ""}</figcaption></figure>`;
  const body =
    m.kind === "picture"
      ? `<a href="${url("large")}"><img src="${url("medium")}" alt="${escapeXml(m.text)}"${onPaper ? "" : ' loading="lazy"'}${m.width && m.height ? ` width="${m.width}" height="${m.height}"` : ""}></a>`
      : m.kind === "video"
        ? `<video src="${url("whole")}" controls preload="metadata" aria-label="${escapeXml(m.text || WORDS.video)}"></video>`
        : `<audio src="${url("whole")}" controls preload="metadata" aria-label="${escapeXml(m.text || WORDS.sound)}"></audio>`;
  return `<figure>${body}${caption ? `<figcaption>${caption}</figcaption>` : ""}</figure>`;
}
