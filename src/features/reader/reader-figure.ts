import { escapeXml } from "@/core/chart/draw/to-svg";
import { toBase64 } from "@/core/text/base64";
import { safeAddress } from "@/core/text/description";
import { readSubtitles, writeSubtitles } from "@/core/text/webvtt";
import { playedFragment } from "@/core/timeline/played";
import type { Item } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/reader";
import { type FrozenItem, mediaUrl, type ReaderPage } from "./page-input";
import { outsideFigure, pageCard } from "./reader-outside-figure";

/** A web address as a link, if it is one that may be followed. */
export function linked(i: Pick<Item, "text" | "address">): string {
  const address = safeAddress(i.address);
  const words = escapeXml(i.text || i.address);
  return address ? `<a href="${escapeXml(address)}" rel="noopener nofollow">${words}</a>` : words;
}

const sizeClass = (width: number, height: number) => `s${width}x${height}`;

/** The sizes of all pictures as style rules, so that each takes its room before it has come. */
export function sizeRules(items: readonly Pick<FrozenItem, "kind" | "width" | "height">[]): string {
  const sizes = new Map<string, string>();
  for (const { kind, width, height } of items)
    if (kind !== "sound" && width && height)
      sizes.set(sizeClass(width, height), `--r:${(width / height).toFixed(4)};--w:${width}px`);
  return [...sizes].map(([name, rule]) => `.${name}{${rule}}`).join("");
}

/** What of a cover is seen where it stands across the page, as a style rule. */
export function coverRule(items: readonly FrozenItem[]): string {
  const focus = items.find((i) => i.of === "timeline" && i.list === "media" && i.kind === "picture")?.focus;
  return focus ? `.band figure img{object-position:${focus.x}% ${focus.y}%}` : "";
}

/** A picture, video or sound with its caption, and whose it is. */
export function figure(
  p: Pick<ReaderPage, "mediaPath" | "endings" | "variant" | "outside">,
  m: FrozenItem,
  inSize: "medium" | "large" = "medium",
): string {
  const url = (size: string) => escapeXml(mediaUrl(p, m.media!, size));
  const address = safeAddress(m.address);
  const credit = [m.credit, m.licence].filter(Boolean).join(", ");
  const said = m.caption || (m.kind === "picture" ? "" : m.text);
  const onPaper = p.variant === "print";
  if (m.kind === "page") return pageCard(m);
  if (m.player) return outsideFigure(p, m, sizeClass, spokenText(m));
  const caption = [
    said ? `<b>${escapeXml(said)}</b>` : "",
    credit ? escapeXml(credit) : "",
    address ? `<a href="${escapeXml(address)}" rel="noopener nofollow">${WORDS.foundHere}</a>` : "",
  ]
    .filter(Boolean)
    .join(". ");
  if (onPaper && m.kind !== "picture")
    return `<figure><figcaption>${m.kind === "video" ? WORDS.aVideo : WORDS.aSound}${caption ? `: ${caption}` : ""}</figcaption>${m.spoken ? `<p class="spoken">${escapeXml(m.spoken)}</p>` : ""}</figure>`;
  const sized =
    m.width && m.height ? ` width="${m.width}" height="${m.height}" class="${sizeClass(m.width, m.height)}"` : "";
  const part = playedFragment(m);
  const img = `<img src="${url(inSize)}" alt="${escapeXml(m.text)}"${onPaper ? "" : ' loading="lazy"'}${sized}>`;
  // What moves stands still for whoever wants no motion, and on paper.
  const seen =
    m.moving && !onPaper
      ? `<picture><source media="(prefers-reduced-motion: no-preference)" srcset="${url("moving")}">${img}</picture>`
      : img;
  const body =
    m.kind === "picture"
      ? `<a href="${url("large")}">${seen}</a>`
      : m.kind === "video"
        ? `<video src="${url("whole")}${part}" controls ${sized ? `preload="none" poster="${url("medium")}"${sized}` : 'preload="metadata"'} aria-label="${escapeXml(m.text || WORDS.video)}">${track(m)}</video>`
        : `<audio src="${url("whole")}${part}" controls preload="metadata"${m.voice ? ' class="voice"' : ""} aria-label="${escapeXml(m.text || WORDS.sound)}"></audio>`;
  return `<figure>${body}${caption ? `<figcaption>${caption}</figcaption>` : ""}${spokenText(m)}</figure>`;
}

/** What is said, to be opened beside the player. Versions of before there was any have none. */
const spokenText = (m: FrozenItem): string =>
  m.kind !== "picture" && m.spoken
    ? `<details class="spoken"><summary>${WORDS.spokenText}</summary><p>${escapeXml(m.spoken).replaceAll("\n", "<br>")}</p></details>`
    : "";

/** Subtitles stand in the page itself, written anew, so that nothing of theirs is anything but words. */
function track(m: FrozenItem): string {
  const { cues } = readSubtitles(m.subtitles ?? "");
  if (cues.length === 0) return "";
  const bytes = toBase64(new TextEncoder().encode(writeSubtitles(cues)));
  return `<track kind="subtitles" default label="${WORDS.subtitles}" src="data:text/vtt;base64,${bytes}">`;
}
