import * as Y from "yjs";
import { COLOURS, type Colour } from "./colours";
import { type Align, type Block, DEEPEST, FRAGMENT, type Inline, isId, type Mark, safeAddress } from "./description";

/** A description made of plain paragraphs, as a Yjs update; for imports and for timelines made by a program. */
export function descriptionFrom(paragraphs: readonly string[], clientId: number): Uint8Array {
  return descriptionOf(paragraphs.map(plainParagraph), clientId);
}

/** Blocks out of something that was read from a file: what is none, or nested beyond measure, is left out. */
export function blocksIn(given: unknown, depth = 0): Block[] {
  if (!Array.isArray(given) || depth > DEEPEST) return [];
  return given.flatMap((b: Record<string, unknown> | null): Block[] => {
    const align: { align?: Align } = b?.align === "center" || b?.align === "right" ? { align: b.align } : {};
    switch (b?.kind) {
      case "paragraph":
        return [{ kind: "paragraph", content: inlineIn(b.content), ...align }];
      case "heading":
        return [{ kind: "heading", level: b.level === 2 ? 2 : 1, content: inlineIn(b.content), ...align }];
      case "quote":
        return [
          { kind: "quote", blocks: blocksIn(b.blocks, depth + 1), ...(isId(b.source) ? { source: b.source } : {}) },
        ];
      case "medium":
        return isId(b.item) ? [{ kind: "medium", item: b.item }] : [];
      case "list":
        return [
          {
            kind: "list",
            ordered: b.ordered === true,
            items: (Array.isArray(b.items) ? b.items : []).map((i) => blocksIn(i, depth + 1)),
          },
        ];
      default:
        return [];
    }
  });
}

function inlineIn(given: unknown): Inline[] {
  if (!Array.isArray(given)) return [];
  return given.flatMap((c: Record<string, unknown> | null): Inline[] => {
    if (c?.kind === "break") return [{ kind: "break" }];
    if (c?.kind !== "text" || typeof c.text !== "string" || c.text === "") return [];
    const marks = (Array.isArray(c.marks) ? c.marks : []).flatMap((m: Record<string, unknown> | null): Mark[] => {
      if (m?.kind === "bold" || m?.kind === "italic") return [{ kind: m.kind }];
      if (m?.kind === "colour" && typeof m.colour === "string" && Object.hasOwn(COLOURS, m.colour))
        return [{ kind: "colour", colour: m.colour as Colour }];
      const address = m?.kind === "link" ? safeAddress(m.address) : null;
      return address ? [{ kind: "link", address }] : [];
    });
    return [{ kind: "text", text: c.text, marks }];
  });
}

const plainParagraph = (text: string): Block => ({ kind: "paragraph", content: [{ kind: "text", text, marks: [] }] });

/** A description made of blocks, as a Yjs update: `blocksOf` gives them back. None for no blocks. */
export function descriptionOf(blocks: readonly Block[], clientId: number): Uint8Array {
  if (blocks.length === 0) return new Uint8Array(0);
  const doc = new Y.Doc();
  doc.clientID = clientId;
  doc.getXmlFragment(FRAGMENT).insert(0, blocks.map(nodeOf));
  return Y.encodeStateAsUpdate(doc);
}

/** The update that puts plain paragraphs behind a description. */
export function moreParagraphs(now: Uint8Array, paragraphs: readonly string[], clientId: number): Uint8Array {
  const doc = new Y.Doc();
  doc.clientID = clientId;
  if (now.length > 0) Y.applyUpdate(doc, now);
  const before = Y.encodeStateVector(doc);
  const text = doc.getXmlFragment(FRAGMENT);
  text.insert(text.length, paragraphs.map(plainParagraph).map(nodeOf));
  return Y.encodeStateAsUpdate(doc, before);
}

/** Levels of headings as the editor of descriptions numbers them. */
const HEADING_LEVEL = { 1: 3, 2: 4 } as const;

function nodeOf(block: Block): Y.XmlElement {
  switch (block.kind) {
    case "paragraph":
    case "heading": {
      const node = new Y.XmlElement(block.kind);
      if (block.kind === "heading") node.setAttribute("level", HEADING_LEVEL[block.level] as never);
      if (block.align) node.setAttribute("textAlign", block.align);
      node.insert(0, inlineNodes(block.content));
      return node;
    }
    case "quote": {
      const node = new Y.XmlElement("blockquote");
      if (block.source) node.setAttribute("source", block.source);
      node.insert(0, block.blocks.map(nodeOf));
      return node;
    }
    case "medium": {
      const node = new Y.XmlElement("medium");
      node.setAttribute("item", block.item);
      return node;
    }
    case "list": {
      const node = new Y.XmlElement(block.ordered ? "orderedList" : "bulletList");
      const items = block.items.map((blocks) => {
        const item = new Y.XmlElement("listItem");
        item.insert(0, blocks.map(nodeOf));
        return item;
      });
      node.insert(0, items);
      return node;
    }
  }
}

function inlineNodes(content: readonly Inline[]): (Y.XmlText | Y.XmlElement)[] {
  const nodes: (Y.XmlText | Y.XmlElement)[] = [];
  let text: Y.XmlText | null = null;
  let at = 0;
  for (const part of content) {
    if (part.kind === "break") {
      nodes.push(new Y.XmlElement("hardBreak"));
      text = null;
      continue;
    }
    if (!text) {
      text = new Y.XmlText();
      at = 0;
      nodes.push(text);
    }
    text.insert(at, part.text, Object.fromEntries(part.marks.map(markAttribute)));
    at += part.text.length;
  }
  return nodes;
}

function markAttribute(mark: Mark): [string, object] {
  if (mark.kind === "link") return ["link", { href: mark.address ?? "" }];
  return mark.kind === "colour" ? ["colour", { name: mark.colour }] : [mark.kind, {}];
}
