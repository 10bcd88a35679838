import { holdsFiles } from "@/core/timeline/fields";
import { escapeXml } from "@/core/chart/draw/to-svg";
import { safeAddress } from "@/core/text/description";
import type { Run } from "@/core/sources/runs";
import { WORDS } from "@/core/words/reader";
import { blocksHtml, said } from "./blocks-html";
import { inText } from "./in-text";
import type { FrozenItem, ReaderPage } from "./page-input";

/** The chapters before an event (by id), or after all of them (null), as rows of the list of events. */
export function chaptersHtml(p: ReaderPage, before: string | null): string {
  const { frozen } = p;
  return (frozen.chapters ?? [])
    .filter((c) => c.before === before)
    .map(
      (c) =>
        `<li class="chapter" id="c-${escapeXml(c.id)}" tabindex="-1"><h2${said(frozen)}>${escapeXml(c.title || WORDS.untitled)}</h2><div class="text"${said(frozen)}>${blocksHtml(c.description, inText(p))}</div></li>`,
    )
    .join("");
}

/** The chapters to choose from, over what is read; nothing where there are none. */
export function contents(p: ReaderPage): string {
  const { frozen, variant } = p;
  const chapters = frozen.chapters ?? [];
  if (chapters.length === 0) return "";
  const links = chapters.map(
    (c) => `<li><a href="#c-${escapeXml(c.id)}">${escapeXml(c.title || WORDS.untitled)}</a></li>`,
  );
  const end = hasClosing(p) && variant !== "print" ? `<li><a href="#c-closing">${WORDS.closing}</a></li>` : "";
  return `<nav class="contents" aria-label="${WORDS.contents}"><h2>${WORDS.contents}</h2><ol>${links.join("")}${end}</ol></nav>`;
}

const isCredited = (i: FrozenItem) =>
  holdsFiles(i.list) && Boolean(i.credit.trim() || i.licence.trim() || i.address.trim());

function hasClosing({ frozen, sources }: ReaderPage): boolean {
  return (frozen.closing ?? []).length > 0 || sources.entries.length > 0 || frozen.items.some(isCredited);
}

/** The closing page: the author's last word, and the lists of sources and of pictures, each named once with where it is used. */
export function closingSection(p: ReaderPage): string {
  if (!hasClosing(p)) return "";
  const { frozen, sources } = p;
  const order = new Map(frozen.events.map((e, i) => [e.id, i]));
  const title = new Map(frozen.events.map((e) => [e.id, e.shortTitle || e.title || WORDS.untitled]));
  const inOrder = (items: FrozenItem[]) => [...items].sort((a, b) => (order.get(a.of) ?? -1) - (order.get(b.of) ?? -1));
  const where = (ids: readonly string[]) =>
    ids
      .filter((id) => title.has(id))
      .map((id) => `<a href="#e-${escapeXml(id)}">${escapeXml(title.get(id)!)}</a>`)
      .join(", ");
  const sourceLines = sources.entries.map(
    (e) =>
      `<li id="${e.anchor}" tabindex="-1"${e.number === null ? "" : ` value="${e.number}"`}>${runsHtml(e.runs, e.address)}${used(where(e.of))}</li>`,
  );
  const mediaLines = inOrder(frozen.items.filter(isCredited)).map((m) => {
    const name =
      m.caption ||
      m.text ||
      { picture: WORDS.aPicture, video: WORDS.video, sound: WORDS.sound, page: WORDS.aPage }[m.kind ?? "picture"];
    const address = safeAddress(m.address);
    const parts = [
      escapeXml(name),
      escapeXml([m.credit, m.licence].filter(Boolean).join(", ")),
      address ? `<a href="${escapeXml(address)}" rel="noopener nofollow">${WORDS.foundHere}</a>` : "",
    ];
    return `<li>${parts.filter(Boolean).join(". ")}${used(where([m.of]))}</li>`;
  });
  const list = (heading: string, lines: readonly string[], tag = "ul") =>
    lines.length === 0 ? "" : `<h3>${heading}</h3><${tag} class="credits">${lines.join("")}</${tag}>`;
  const numbered = sources.entries.some((e) => e.number !== null);
  const text =
    (frozen.closing ?? []).length > 0
      ? `<div class="text"${said(frozen)}>${blocksHtml(frozen.closing!, inText(p))}</div>`
      : "";
  return `<section class="closing" id="c-closing" tabindex="-1" aria-label="${WORDS.closing}">${text}${list(WORDS.sources, sourceLines, numbered ? "ol" : "ul")}${list(WORDS.picturesVideoSound, mediaLines)}</section>`;
}

const used = (where: string) => (where ? ` <span class="used">(${where})</span>` : "");

/** A written source: its italics, and its address as a link. */
function runsHtml(runs: readonly Run[], address: string): string {
  const href = safeAddress(address);
  const shown = address.trim();
  const linked = (text: string): string => {
    const at = href ? text.indexOf(shown) : -1;
    if (at < 0) return escapeXml(text);
    const link = `<a href="${escapeXml(href!)}" rel="noopener nofollow">${escapeXml(shown)}</a>`;
    return escapeXml(text.slice(0, at)) + link + escapeXml(text.slice(at + shown.length));
  };
  return runs.map((r) => (r.italic ? `<i>${linked(r.text)}</i>` : linked(r.text))).join("");
}
