import { WORDS as INDEX } from "@/core/words/index-view";
import { hasIndex, indexSection } from "./reader-index";
import { uprightLength } from "@/core/chart/frame/layout";
import { drawChart } from "@/core/chart/draw/draw-chart";
import { escapeXml, toSvg } from "@/core/chart/draw/to-svg";
import { timelineFromFrozen } from "@/core/formats/frozen";
import { periodText } from "@/core/timeline/period";
import { mannerOf } from "@/core/timeline/read-options";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS as PLACES } from "@/core/words/places";
import { WORDS as BASED } from "@/core/words/published-pages";
import { directionOf, language, locale } from "@/core/language/spoken";
import { zonedText } from "@/core/time/zoned";
import { WORDS as PAGES } from "@/core/words/pages";
import { WORDS } from "@/core/words/reader";
import { CHART_DATA, chartDataText } from "./chart-data-element";
import { eventsSection } from "./reader-events";
import { mediaUrl, type ReaderPage, type StoredNote, type StyledPage, type Variant } from "./page-input";
import { coverRule, sizeRules } from "./reader-figure";
import { hasOutside } from "./reader-outside-figure";
import { keyOf } from "@/core/looks/key";
import { pageStyle } from "@/core/looks/page-style";
import { type ChartStyle, printedWishes, styleOf } from "@/core/looks/style";
import { shippedType } from "@/core/text/families";
import { mark, ownColourRules } from "./reader-mark";
import { deedButtons } from "./reader-deeds";
import { openingSection } from "./reader-opening";
import { hasMap, placesSection } from "./reader-places";
import { READER_STYLE, VARIANT_STYLE } from "./reader-style";

interface Frame {
  width: number;
  /** 0: upright, as long as its labels need. */
  height: number;
}
/** What a page needs at once; asked for with the page, so that no word moves when they arrive. */
const fontsOf = (s: ChartStyle) =>
  [...new Set([s.family, s.heading])].map((name) => `${shippedType(name).file}-latin-wght-normal.woff2`);

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

/** Where close-ups can be opened their parts may be gathered; on paper all is drawn. */
const GATHER: Record<Variant, { seen: null } | undefined> = {
  page: { seen: null },
  embed: { seen: null },
  print: undefined,
};

/** A timeline as a reader sees it: one document, readable without a script. */
export function renderReaderPage(input: ReaderPage): { html: string; style: string; script: string } {
  // What draws itself in the browser is told of it too.
  const frozen = input.tried ? { ...input.frozen, look: input.tried } : input.frozen;
  const drawn = timelineFromFrozen(frozen);
  const printed = printedWishes(drawn);
  const timeline = input.variant === "print" ? printed : drawn;
  const look = styleOf(timeline);
  const p: StyledPage = { ...input, frozen, look };
  const title = frozen.title || WORDS.untitled;
  const period = periodText(frozen.period, frozen.events, mannerOf(frozen));
  const count = WORDS.events(frozen.events.length);
  const facts = [count, period].filter(Boolean).join(", ");
  const style =
    pageStyle(look, styleOf(printed)) +
    READER_STYLE +
    VARIANT_STYLE[p.variant] +
    sizeRules(frozen.items) +
    coverRule(frozen.items) +
    ownColourRules(look, frozen);
  const script = p.variant === "print" ? "" : p.viewsScript;
  const lively = p.variant !== "print" && frozen.events.length > 0;
  const html = `<!doctype html>
<html lang="${language()}" dir="${directionOf(language())}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${escapeXml(title)} - Fastigo</title>${
    p.listed && p.variant === "page" ? "" : '<meta name="robots" content="noindex">'
  }<meta name="description" content="${escapeXml(`${title}. ${facts}. ${frozen.byline && WORDS.madeBy(frozen.byline)}`)}">${linkPreview(p, title, facts)}<link rel="icon" href="/favicon.svg">${fontsOf(
    look,
  )
    .map((f) => `<link rel="preload" as="font" type="font/woff2" crossorigin href="/fonts/${f}">`)
    .join("")}<style>${style}</style></head>
<body class="${p.variant}"${p.notes ? ` data-notes="${escapeXml(p.notes)}"` : ""}>
${script && `<script>${script}</script>`}${head(p, title, facts)}
<main>
${p.variant === "embed" ? "" : `<section id="begin" aria-label="${WORDS.beginning}">${openingSection(p, keyOf(timeline), facts, strips(p, timeline, "b"))}</section>`}
<section id="chart" aria-label="${WORDS.chart}"${lively ? ` data-script="${escapeXml(p.chartScript)}"` : ""}>${chartSection(p, timeline)}</section>
${indexSection(p, p.chartScript.replace("chart.js", "index.js"))}
<section id="read" aria-label="${WORDS.read}">${p.variant === "print" ? "" : stripSection(p, timeline)}${eventsSection(p, timeline)}</section>
${placesSection(p, p.chartScript.replace("chart.js", "map.js"))}
</main>
${foot(p)}
${lively ? `<script type="application/json" id="${CHART_DATA}" data-media="${escapeXml(p.mediaPath)}"${p.endings ? ` data-endings="${escapeXml(JSON.stringify(p.endings))}"` : ""}>${chartDataText(frozen, look.family)}</script>` : ""}
</body></html>`;
  return { html, style, script };
}

function noteText(text: string | StoredNote): string {
  if (typeof text === "string") return text;
  if ("frozenAt" in text) {
    const at = new Date(text.frozenAt).toLocaleString(locale(), {
      dateStyle: "long",
      timeStyle: "short",
      timeZone: "UTC",
    });
    return PAGES.aFrozenCopyOfUtc(at, text.hash.slice(0, 16));
  }
  return PAGES.asSubmittedByOn(text.by, zonedText(new Date(text.submittedAt), text.zone));
}

const noteLink = ({ text, link }: NonNullable<ReaderPage["note"]>) =>
  typeof text === "object" && "frozenAt" in text ? { to: text.file, text: PAGES.downloadItAsAFile } : link;

const publishedText = (on: NonNullable<ReaderPage["published"]>): string =>
  typeof on === "string" ? on : zonedText(new Date(on.at), on.zone);

/** The bar on top with the two views, and a note where there is one; in a frame the title leads to the whole page. */
function head(p: ReaderPage, title: string, facts: string): string {
  const embed = p.variant === "embed";
  const logo = embed ? "" : `<a href="/" aria-label="Fastigo">${LOGO}</a>`;
  const name = embed
    ? `<a href="?" target="_blank" rel="noopener">${escapeXml(title)}</a>`
    : p.variant === "print"
      ? escapeXml(title)
      : `<a href="#begin">${escapeXml(title)}</a>`;
  const views =
    p.variant === "print"
      ? ""
      : `<nav aria-label="${WORDS.views}"><a href="#chart" data-to="chart">${WORDS.chart}</a><a href="#read" data-to="read">${WORDS.read}</a>${hasIndex(p) ? `<a href="#index" data-to="index">${INDEX.index}</a>` : ""}${hasMap(p) ? `<a href="#map" data-to="map">${PLACES.map}</a>` : ""}${deedButtons(p, "")}</nav>`;
  const note = p.note
    ? `<aside class="note" aria-label="${WORDS.aboutThisPage}">${escapeXml(noteText(p.note.text))}${[noteLink(p.note), p.note.more].map((l) => (l ? ` <a href="${escapeXml(l.to)}">${escapeXml(l.text)}</a>` : "")).join("")}</aside>`
    : "";
  return `<header class="bar">${logo}<div><h1>${name}</h1><p>${p.frozen.byline ? `${escapeXml(WORDS.by(p.frozen.byline))} · ` : ""}${escapeXml(facts)}</p></div>${views}</header>
${note}`;
}

/** The origin of the page's own address, which only whoever sends it knows. */
export const ORIGIN_PLACE = "https://own-origin.invalid";

/** What stands where somebody posts the link (the Open Graph protocol). */
function linkPreview(p: ReaderPage, title: string, facts: string): string {
  if (p.address === null || p.variant !== "page") return "";
  const cover = p.frozen.items.find(
    (i) => i.of === "timeline" && i.list === "media" && i.kind === "picture" && i.media,
  );
  const meta = (name: string, value: string) => `<meta property="og:${name}" content="${escapeXml(value)}">`;
  const picture =
    meta("image", `${ORIGIN_PLACE}${p.address}/preview`) +
    meta("image:width", "1200") +
    meta("image:height", "630") +
    meta("image:alt", cover ? cover.text : WORDS.chartOf(title));
  const own = `${ORIGIN_PLACE}${p.address}`;
  // How other sites ask for the code that shows it there (oEmbed 1.0, discovery).
  const embed = `<link rel="alternate" type="application/json+oembed" href="${ORIGIN_PLACE}/oembed?url=${encodeURIComponent(p.address)}" title="${escapeXml(title)}">`;
  return `<link rel="canonical" href="${own}">${meta("title", title)}${meta("type", "article")}${meta("url", own)}${meta("description", facts)}${picture}${embed}`;
}

function foot(p: ReaderPage): string {
  const { basedOn } = p.frozen;
  const begun = basedOn ? `${BASED.basedOn(basedOn.title || BASED.untitled, basedOn.byline)} ` : "";
  const made = escapeXml(begun + (p.published ? WORDS.publishedWith(publishedText(p.published)) : WORDS.madeWith));
  if (p.variant === "print") return `<footer class="foot">${made} Fastigo.</footer>`;
  if (p.variant === "embed")
    return `<footer class="foot">${made} <a href="?" target="_blank" rel="noopener">Fastigo</a></footer>`;
  return `<footer class="foot">${made} <a href="/">Fastigo</a>. ${hasOutside(p) ? WORDS.nothingUntilAgreed : WORDS.nothingFromElsewhere} <a href="?as=print">${WORDS.forPrinting}</a>${p.address ? ` <a href="/published${p.address.slice(2)}">${WORDS.moreAboutIt}</a>` : ""}</footer>`;
}

const LOGO = `<svg width="30" height="26" viewBox="0 0 30 26" aria-hidden="true"><path d="M1.500 13.500 15 3l13.500 10.500" fill="none" stroke="#F2B632" stroke-width="3.200"/><path d="M6.500 24v-7L15 10.500 23.500 17v7" fill="none" stroke="#7FC4B8" stroke-width="3.200"/></svg>`;

function chartSection(p: StyledPage, timeline: Timeline): string {
  if (p.frozen.events.length === 0) return `<p class="empty">${WORDS.nothingWritten}</p>`;
  const items = new Map(p.frozen.items.map((i) => [i.id, i]));
  const drawings = FRAMES[p.variant].map(({ width, height }) => {
    // On a phone the ridge runs down, as long as its labels need.
    const upright = height === 0;
    const frame = { width, height: upright ? uprightLength(p.frozen.events.length) : height };
    const svg = toSvg(drawChart(timeline, frame, upright ? { upright } : { fit: true, gather: GATHER[p.variant] }), {
      pictureUrl: (id, size) => (items.get(id)?.media ? mediaUrl(p, items.get(id)!.media!, size) : null),
      link: (id) => `#e-${id}`,
      prefix: `c${width}`,
      ground: true,
      label: WORDS.chartOf(p.frozen.title),
    });
    return `<div class="w${width}">${svg}</div>`;
  });
  const entries = keyOf(timeline).map(
    (k) =>
      `<li${k.isCategory ? ` data-category="${escapeXml(k.id)}"` : ""}>${mark(p.look, k)}${escapeXml(k.name)}</li>`,
  );
  const key = entries.length === 0 ? "" : `<ul class="key" aria-label="${WORDS.categories}">${entries.join("")}</ul>`;
  // Its fields come with the script; their room is kept, so that nothing moves when they do.
  const filter = p.variant === "print" ? "" : '<div class="filter"></div>';
  return `${key}${filter}<div class="chart">${drawings.join("")}</div>`;
}

/** The whole timeline in a strip, for each width. */
function strips(p: ReaderPage, timeline: Timeline, prefix: string): string {
  return FRAMES[p.variant]
    .map(({ width }) => {
      const scene = drawChart(timeline, { width, height: 60 }, { strip: true });
      return `<div class="w${width}">${toSvg(scene, { pictureUrl: () => null, prefix: `${prefix}${width}`, label: WORDS.whereYouAre })}</div>`;
    })
    .join("");
}

function stripSection(p: ReaderPage, timeline: Timeline): string {
  if (timeline.events.size === 0) return "";
  return `<div class="strip"><div class="hold">${strips(p, timeline, "s")}<div class="line"></div></div></div>`;
}
