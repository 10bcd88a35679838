import type { Block, Inline } from "../text/description";
import { escapeXml } from "../chart/draw/to-svg";
import { WORDS } from "../words/take-out";
import type { Frozen } from "./frozen";
import { cellSources, cellsOf, type FullColumn, itemsOf, wordsOf } from "./full-table";

interface Written {
  cells: Record<FullColumn, string>;
  description: readonly Block[];
}

/** What is written of each event, in their order. */
function eventsOf(f: Frozen): Written[] {
  const from = cellSources(f);
  const items = itemsOf(f);
  return f.events.map((e) => ({ cells: cellsOf(from, e, items(e.id)), description: e.description }));
}

const head = ({ cells }: Written, between: string) =>
  [cells.When, cells.Title || WORDS.untitled]
    .filter(Boolean)
    .join(between)
    .replaceAll(/\s*\n\s*/g, " ");

/**
 * A document in Markdown (CommonMark 0.31): the title, the introduction, a heading for each event with its date, its text, and lines
 * that name its category, place, tags, sources and links; the closing page. Read again, headings are events.
 */
export function writeMarkdown(f: Frozen): string {
  const marked = (name: string, text: string) =>
    text.split("\n").flatMap((l) => (l.trim() ? [`${name}: ${l.trim()}`] : []));
  const parts = [`# ${inMarkdown(f.title || WORDS.untitled)}`, blocksInMarkdown(f.introduction)];
  for (const e of eventsOf(f)) {
    const { cells } = e;
    parts.push(`## ${inMarkdown(head(e, ": "))}`, blocksInMarkdown(e.description));
    const lines = [
      ...marked(WORDS.category, cells.Category),
      ...marked(WORDS.partOf, cells["Part of"]),
      ...marked(WORDS.place, cells.Place),
      ...marked(WORDS.tags, cells.Tags),
      ...marked(WORDS.source, cells.Source),
      ...marked(WORDS.link, cells.Link),
    ];
    parts.push(lines.join("  \n"));
  }
  parts.push(blocksInMarkdown(f.closing ?? []));
  return `${parts.filter((p) => p.trim() !== "").join("\n\n")}\n`;
}

function blocksInMarkdown(blocks: readonly Block[]): string {
  return blocks
    .flatMap((b): string[] => {
      switch (b.kind) {
        case "paragraph":
          return [inlineInMarkdown(b.content)];
        case "heading":
          return [`${b.level === 1 ? "###" : "####"} ${inlineInMarkdown(b.content)}`];
        case "quote":
          return [indented(blocksInMarkdown(b.blocks), "> ", "> ")];
        case "list":
          return [
            b.items
              .map((item, n) => indented(blocksInMarkdown(item), b.ordered ? `${n + 1}. ` : "- ", "   "))
              .join("\n"),
          ];
        default:
          return [];
      }
    })
    .filter((t) => t.trim() !== "")
    .join("\n\n");
}

const indented = (text: string, first: string, rest: string) =>
  text
    .split("\n")
    .map((l, n) => (n === 0 ? first : rest) + l)
    .join("\n");

function inlineInMarkdown(content: readonly Inline[]): string {
  return content
    .map((c) => {
      if (c.kind === "break") return "  \n";
      let text = inMarkdown(c.text);
      for (const m of c.marks) {
        if (m.kind === "bold") text = `**${text}**`;
        if (m.kind === "italic") text = `*${text}*`;
        if (m.kind === "link") text = `[${text}](<${m.address}>)`;
      }
      return text;
    })
    .join("");
}

/** A text in which nothing is a sign of Markdown's. */
const inMarkdown = (text: string) =>
  text.replaceAll(/([\\`*_[\]<>])/g, "\\$1").replaceAll(/^(\s*)(#{1,6}\s|[-+]\s|\d+[.)]\s)/gm, "$1\\$2");

/** Plain text: a line an event, its date first; its description below it, four spaces in. */
export function writeText(f: Frozen): string {
  const below = (text: string) =>
    text
      .split("\n")
      .map((l) => (l.trim() ? `    ${l}` : ""))
      .join("\n");
  const events = eventsOf(f).map((e) =>
    [head(e, ": "), ...(e.description.length > 0 ? [below(wordsOf(e.description))] : [])].join("\n"),
  );
  return `${events.join("\n")}\n`;
}

/** A page of its own with one table (HTML, WHATWG). Everything in it is text; nothing is loaded. */
export function writeHtml(f: Frozen): string {
  const lines = (text: string) => escapeXml(text).replaceAll("\n", "<br>");
  const rows = eventsOf(f).map(({ cells: c, description }) =>
    [
      lines(c.When),
      lines(c.Title),
      lines(c.Category),
      lines(c.Place),
      lines(wordsOf(description)),
      [...linesOf(c.Source), ...linesOf(c.Link)].map(linked).join("<br>"),
    ]
      .map((cell) => `<td>${cell}</td>`)
      .join(""),
  );
  return `<!doctype html>
<html lang="${escapeXml(f.language)}">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width">
<title>${escapeXml(f.title || WORDS.untitled)}</title>
<style>body{font-family:sans-serif;margin:2rem;line-height:1.4}table{border-collapse:collapse}td,th{border-bottom:1px solid #c5d0d1;padding:.4rem .8rem;text-align:left;vertical-align:top}</style>
</head>
<body>
<h1>${escapeXml(f.title || WORDS.untitled)}</h1>
${f.introduction.length > 0 ? `<p>${lines(wordsOf(f.introduction))}</p>\n` : ""}<table>
<thead><tr>${WORDS.columns.map((c) => `<th>${c}</th>`).join("")}</tr></thead>
<tbody>
${rows.map((r) => `<tr>${r}</tr>`).join("\n")}
</tbody>
</table>
</body>
</html>
`;
}

const linesOf = (text: string) => text.split("\n").filter((l) => l.trim() !== "");

/** A line of a source or link; an address at its end can be followed. */
function linked(line: string): string {
  const at = /^(.*?)\s*(https?:\/\/\S+)$/.exec(line);
  return at ? `<a href="${escapeXml(at[2]!)}">${escapeXml(at[1] || at[2]!)}</a>` : escapeXml(line);
}
