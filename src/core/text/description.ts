import * as Y from "yjs";

/** The name of the fragment that holds the text in the Yjs document. */
export const FRAGMENT = "default";

export interface Mark {
  kind: "bold" | "italic" | "link";
  /** Links only: http, https or mailto. */
  address?: string;
}
export type Inline = { kind: "text"; text: string; marks: Mark[] } | { kind: "break" };
export type Block =
  | { kind: "paragraph"; content: Inline[] }
  | { kind: "quote"; blocks: Block[] }
  | { kind: "list"; ordered: boolean; items: Block[][] };

/** The two states as one. Updates commute and may be repeated; an update that is no Yjs update throws. */
export function mergeDescriptions(a: Uint8Array, b: Uint8Array): Uint8Array {
  return a.length === 0 ? b : b.length === 0 ? a : Y.mergeUpdates([a, b]);
}

/** Whether the bytes are a Yjs update that a document can take. */
export function isUpdate(bytes: Uint8Array): boolean {
  try {
    Y.applyUpdate(new Y.Doc(), bytes);
    return true;
  } catch {
    return false;
  }
}

/** The blocks of a description: only what Fastigo knows how to show, whatever the document holds. */
export function blocksOf(state: Uint8Array): Block[] {
  if (state.length === 0) return [];
  const doc = new Y.Doc();
  Y.applyUpdate(doc, state);
  const blocks = childBlocks(doc.getXmlFragment(FRAGMENT), 0);
  while (blocks.length > 0 && isEmptyParagraph(blocks.at(-1)!)) blocks.pop();
  return blocks;
}

const DEEPEST = 8;

function isEmptyParagraph(b: Block): boolean {
  return b.kind === "paragraph" && b.content.length === 0;
}

function childBlocks(parent: Y.XmlFragment | Y.XmlElement, depth: number): Block[] {
  if (depth > DEEPEST) return [];
  return parent.toArray().flatMap((node): Block[] => {
    if (node instanceof Y.XmlText) return [{ kind: "paragraph", content: textOf(node) }];
    if (!(node instanceof Y.XmlElement)) return [];
    switch (node.nodeName) {
      case "blockquote":
        return [{ kind: "quote", blocks: childBlocks(node, depth + 1) }];
      case "bulletList":
      case "orderedList":
        return [
          {
            kind: "list",
            ordered: node.nodeName === "orderedList",
            items: node
              .toArray()
              .filter((n) => n instanceof Y.XmlElement)
              .map((item) => childBlocks(item, depth + 1)),
          },
        ];
      default:
        return [{ kind: "paragraph", content: inlineOf(node) }];
    }
  });
}

function inlineOf(node: Y.XmlElement): Inline[] {
  return node.toArray().flatMap((child): Inline[] => {
    if (child instanceof Y.XmlText) return textOf(child);
    if (child instanceof Y.XmlElement) return child.nodeName === "hardBreak" ? [{ kind: "break" }] : inlineOf(child);
    return [];
  });
}

function textOf(node: Y.XmlText): Inline[] {
  const delta = node.toDelta() as { insert: unknown; attributes?: Record<string, unknown> }[];
  return delta.flatMap((part): Inline[] => {
    if (typeof part.insert !== "string" || part.insert === "") return [];
    return [{ kind: "text", text: part.insert, marks: marksOf(part.attributes ?? {}) }];
  });
}

function marksOf(attributes: Record<string, unknown>): Mark[] {
  const marks: Mark[] = [];
  for (const [name, value] of Object.entries(attributes)) {
    const kind = name.split("--")[0];
    if (kind === "bold" || kind === "italic") marks.push({ kind });
    if (kind === "link") {
      const address = safeAddress((value as { href?: unknown } | null)?.href);
      if (address) marks.push({ kind: "link", address });
    }
  }
  return marks;
}

/** A web or mail address that may be followed; null for anything else (scripts, files, nonsense). */
export function safeAddress(text: unknown): string | null {
  if (typeof text !== "string" || text.length > 2_000) return null;
  try {
    const url = new URL(text);
    return ["http:", "https:", "mailto:"].includes(url.protocol) ? url.href : null;
  } catch {
    return null;
  }
}

/** The words alone, a line a block. */
export function plainTextOf(blocks: readonly Block[]): string {
  return blocks
    .map((b) => {
      if (b.kind === "paragraph") return b.content.map((c) => (c.kind === "text" ? c.text : "\n")).join("");
      if (b.kind === "quote") return plainTextOf(b.blocks);
      return b.items.map(plainTextOf).join("\n");
    })
    .join("\n")
    .trim();
}

/** Words as a teacher counts them: runs between spaces that hold a letter or a digit. */
export function wordCount(text: string): number {
  return text.split(/\s+/).filter((w) => /[\p{L}\p{N}]/u.test(w)).length;
}

/** A description made of plain paragraphs, as a Yjs update; for imports and for timelines made by a program. */
export function descriptionFrom(paragraphs: readonly string[], clientId: number): Uint8Array {
  const doc = new Y.Doc();
  doc.clientID = clientId;
  const nodes = paragraphs.map((text) => {
    const p = new Y.XmlElement("paragraph");
    p.insert(0, [new Y.XmlText(text)]);
    return p;
  });
  doc.getXmlFragment(FRAGMENT).insert(0, nodes);
  return Y.encodeStateAsUpdate(doc);
}
