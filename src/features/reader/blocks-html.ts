import { language as spoken } from "@/core/language/spoken";
import { escapeXml } from "@/core/chart/draw/to-svg";
import type { Block, Inline } from "@/core/text/description";

/** What stands in a text by the id of an entry, as HTML; "" where it is not there any more. */
export interface InText {
  medium: (item: string) => string;
  /** The source a quotation is taken from. */
  source: (item: string) => string;
}

/** A description as HTML: every text escaped, links only where the core let them in. */
export function blocksHtml(blocks: readonly Block[], inText: InText): string {
  return blocks
    .map((b) => {
      const align = "align" in b && b.align ? ` class="${b.align}"` : "";
      if (b.kind === "paragraph") return `<p${align}>${b.content.map(inlineHtml).join("")}</p>`;
      if (b.kind === "heading")
        return `<h${b.level + 2}${align}>${b.content.map(inlineHtml).join("")}</h${b.level + 2}>`;
      if (b.kind === "medium") return inText.medium(b.item);
      if (b.kind === "quote") {
        const source = b.source ? inText.source(b.source) : "";
        return `<blockquote>${blocksHtml(b.blocks, inText)}${source && `<footer>${source}</footer>`}</blockquote>`;
      }
      const tag = b.ordered ? "ol" : "ul";
      return `<${tag}>${b.items.map((i) => `<li>${blocksHtml(i, inText)}</li>`).join("")}</${tag}>`;
    })
    .join("");
}

function inlineHtml(i: Inline): string {
  if (i.kind === "break") return "<br>";
  return i.marks.reduce((html, m) => {
    if (m.kind === "bold") return `<strong>${html}</strong>`;
    if (m.kind === "italic") return `<em>${html}</em>`;
    if (m.kind === "colour") return `<span class="${m.colour}">${html}</span>`;
    return `<a href="${escapeXml(m.address ?? "")}" rel="noopener nofollow">${html}</a>`;
  }, escapeXml(i.text));
}

/** The language that what its author wrote is in, as an attribute; nothing where it is the page's own. */
export function said({ language }: { language?: string }): string {
  return language && language !== spoken() ? ` lang="${escapeXml(language)}"` : "";
}
