import type { Block, Inline, Mark } from "./description";
import { blocksIn } from "./write-description";

/** A node of the editor for formatted text, as its library writes it. */
export interface TextNode {
  type: string;
  attrs?: Record<string, unknown>;
  text?: string;
  marks?: { type: string; attrs?: Record<string, unknown> }[];
  content?: TextNode[];
}

/** Plain words as blocks, a paragraph a line. */
export function paragraphsOf(text: string): Block[] {
  if (text.trim() === "") return [];
  return text.split(/\r?\n/).map((line) => ({
    kind: "paragraph",
    content: line === "" ? [] : [{ kind: "text", text: line, marks: [] }],
  }));
}

/** What the editor for formatted text begins with. */
export function nodesOf(blocks: readonly Block[]): TextNode {
  return { type: "doc", content: blocks.length === 0 ? [{ type: "paragraph" }] : blocks.map(nodeOf) };
}

function nodeOf(b: Block): TextNode {
  switch (b.kind) {
    case "paragraph":
    case "heading":
      return {
        type: b.kind,
        ...(b.kind === "heading" ? { attrs: { level: b.level + 2 } } : {}),
        content: b.content.map(inlineNode),
      };
    case "quote":
      return { type: "blockquote", content: b.blocks.map(nodeOf) };
    case "medium":
      return { type: "medium", attrs: { item: b.item } };
    case "list":
      return {
        type: b.ordered ? "orderedList" : "bulletList",
        content: b.items.map((item) => ({
          type: "listItem",
          content: item.length === 0 ? [{ type: "paragraph" }] : item.map(nodeOf),
        })),
      };
  }
}

function inlineNode(i: Inline): TextNode {
  if (i.kind === "break") return { type: "hardBreak" };
  return { type: "text", text: i.text, marks: i.marks.flatMap(markNode) };
}

function markNode(m: Mark): { type: string; attrs?: Record<string, unknown> }[] {
  if (m.kind === "link") return [{ type: "link", attrs: { href: m.address } }];
  return m.kind === "colour" ? [{ type: "colour", attrs: { name: m.colour } }] : [{ type: m.kind }];
}

/** What was written in the editor, as blocks: only what Fastigo knows how to show. Empty paragraphs at its end are none. */
export function blocksOfNodes(doc: TextNode): Block[] {
  const blocks = blocksIn((doc.content ?? []).map(looseBlock));
  while (blocks.at(-1)?.kind === "paragraph" && (blocks.at(-1) as { content: Inline[] }).content.length === 0)
    blocks.pop();
  return blocks;
}

function looseBlock(n: TextNode): object {
  const inner = n.content ?? [];
  switch (n.type) {
    case "heading":
      return { kind: "heading", level: n.attrs?.level === 4 ? 2 : 1, content: inner.map(looseInline) };
    case "blockquote":
      return { kind: "quote", blocks: inner.map(looseBlock) };
    case "medium":
      return { kind: "medium", item: n.attrs?.item };
    case "bulletList":
    case "orderedList":
      return {
        kind: "list",
        ordered: n.type === "orderedList",
        items: inner.map((item) => (item.content ?? []).map(looseBlock)),
      };
    default:
      return { kind: "paragraph", content: inner.map(looseInline) };
  }
}

function looseInline(n: TextNode): object {
  if (n.type === "hardBreak") return { kind: "break" };
  return {
    kind: "text",
    text: n.text,
    marks: (n.marks ?? []).map((m) =>
      m.type === "link"
        ? { kind: "link", address: m.attrs?.href }
        : { kind: m.type, ...(m.type === "colour" ? { colour: m.attrs?.name } : {}) },
    ),
  };
}
