import { escapeXml } from "@/core/chart/draw/to-svg";
import type { Frozen } from "@/core/formats/frozen";
import { safeAddress } from "@/core/text/description";
import { WORDS } from "@/core/words/en/reader";
import { blocksHtml, said } from "./blocks-html";
import type { FrozenItem, ReaderPage } from "./page-input";
import { linked } from "./reader-figure";

/** The chapters before an event (by id), or after all of them (null), as rows of the list of events. */
export function chaptersHtml({ frozen }: ReaderPage, before: string | null): string {
  return (frozen.chapters ?? [])
    .filter((c) => c.before === before)
    .map(
      (c) =>
        `<li class="chapter" id="c-${escapeXml(c.id)}" tabindex="-1"><h2${said(frozen)}>${escapeXml(c.title || WORDS.untitled)}</h2><div class="text"${said(frozen)}>${blocksHtml(c.description)}</div></li>`,
    )
    .join("");
}

/** The chapters to choose from, over what is read; nothing where there are none. */
export function contents({ frozen, variant }: ReaderPage): string {
  const chapters = frozen.chapters ?? [];
  if (chapters.length === 0) return "";
  const links = chapters.map(
    (c) => `<li><a href="#c-${escapeXml(c.id)}">${escapeXml(c.title || WORDS.untitled)}</a></li>`,
  );
  const end = hasClosing(frozen) && variant !== "print" ? `<li><a href="#c-closing">${WORDS.closing}</a></li>` : "";
  return `<nav class="contents" aria-label="${WORDS.contents}"><h2>${WORDS.contents}</h2><ol>${links.join("")}${end}</ol></nav>`;
}

const isSource = (i: FrozenItem) => i.list === "source" && Boolean(i.text.trim() || i.address.trim());
const isCredited = (i: FrozenItem) =>
  i.list === "media" && Boolean(i.credit.trim() || i.licence.trim() || i.address.trim());

function hasClosing(f: Frozen): boolean {
  return (f.closing ?? []).length > 0 || f.items.some((i) => isSource(i) || isCredited(i));
}

/** The closing page: the author's last word, and the lists of sources and of pictures, each named once with where it is used. */
export function closingSection({ frozen }: ReaderPage): string {
  if (!hasClosing(frozen)) return "";
  const order = new Map(frozen.events.map((e, i) => [e.id, i]));
  const title = new Map(frozen.events.map((e) => [e.id, e.shortTitle || e.title || WORDS.untitled]));
  const inOrder = (items: FrozenItem[]) => [...items].sort((a, b) => (order.get(a.of) ?? -1) - (order.get(b.of) ?? -1));
  const where = (ids: readonly string[]) =>
    ids
      .filter((id) => title.has(id))
      .map((id) => `<a href="#e-${escapeXml(id)}">${escapeXml(title.get(id)!)}</a>`)
      .join(", ");
  // Of one source named by several events there is one line.
  const sources = new Map<string, { item: FrozenItem; of: string[] }>();
  for (const item of inOrder(frozen.items.filter(isSource))) {
    const key = `${item.text.trim().toLowerCase()} ${item.address.trim()}`;
    const known = sources.get(key);
    if (known) known.of.push(item.of);
    else sources.set(key, { item, of: [item.of] });
  }
  const sourceLines = [...sources.values()]
    .sort((a, b) => (a.item.text || a.item.address).localeCompare(b.item.text || b.item.address, "en"))
    .map(({ item, of }) => `<li>${linked(item)}${used(where(of))}</li>`);
  const mediaLines = inOrder(frozen.items.filter(isCredited)).map((m) => {
    const name =
      m.caption || m.text || { picture: WORDS.aPicture, video: WORDS.video, sound: WORDS.sound }[m.kind ?? "picture"];
    const address = safeAddress(m.address);
    const parts = [
      escapeXml(name),
      escapeXml([m.credit, m.licence].filter(Boolean).join(", ")),
      address ? `<a href="${escapeXml(address)}" rel="noopener nofollow">${WORDS.foundHere}</a>` : "",
    ];
    return `<li>${parts.filter(Boolean).join(". ")}${used(where([m.of]))}</li>`;
  });
  const list = (heading: string, lines: readonly string[]) =>
    lines.length === 0 ? "" : `<h3>${heading}</h3><ul class="credits">${lines.join("")}</ul>`;
  const text =
    (frozen.closing ?? []).length > 0 ? `<div class="text"${said(frozen)}>${blocksHtml(frozen.closing!)}</div>` : "";
  return `<section class="closing" id="c-closing" tabindex="-1" aria-label="${WORDS.closing}">${text}${list(WORDS.sources, sourceLines)}${list(WORDS.picturesVideoSound, mediaLines)}</section>`;
}

const used = (where: string) => (where ? ` <span class="used">(${where})</span>` : "");
