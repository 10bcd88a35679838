import { escapeXml } from "@/core/chart/draw/to-svg";
import { pageText, sourceText } from "@/core/sources/cited";
import type { InText } from "./blocks-html";
import { said } from "./blocks-html";
import type { FrozenItem, ReaderPage } from "./page-input";
import { figure, linked } from "./reader-figure";

/** What stands in the texts of a page: its pictures, video and sound, and the sources of its quotations. */
export function inText(p: ReaderPage): InText {
  const items = new Map(p.frozen.items.map((i) => [i.id, i]));
  return {
    medium: (id) => {
      const item = items.get(id);
      return item?.list === "media" ? figure(p, item) : "";
    },
    source: (id) => {
      const item = items.get(id);
      return item?.list === "source" ? (namedHtml(p, item) ?? "") : "";
    },
  };
}

/** How an event names a source: in short with a link to the list, or by its whole line. */
function namedHtml({ sources }: ReaderPage, item: FrozenItem): string | null {
  const found = sources.cited(item);
  if (!found) return null;
  const { source } = found.work;
  const page = item.page ? `, ${escapeXml(pageText(item.page))}` : "";
  if (found.text !== null) return `<a href="#${found.anchor}">${escapeXml(found.text)}</a>`;
  return source.kind === "line"
    ? linked({ text: source.title, address: source.address }) + page
    : `<a href="#${found.anchor}">${escapeXml(sourceText(source))}</a>${page}`;
}

/** The same with its words; null where it says nothing. */
export function sourceHtml(p: ReaderPage, item: FrozenItem): string | null {
  const named = namedHtml(p, item);
  return named !== null && item.quote ? `${named}<br><q${said(p.frozen)}>${escapeXml(item.quote)}</q>` : named;
}
