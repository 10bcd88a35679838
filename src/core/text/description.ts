import * as Y from "yjs";
import { isClean, isCleanValue } from "./clean";
import { COLOURS, type Colour } from "./colours";

/** The name of the fragment that holds the text in the Yjs document. */
export const FRAGMENT = "default";

export interface Mark {
  kind: "bold" | "italic" | "link" | "colour";
  /** Links only: http, https or mailto. */
  address?: string;
  /** Colours only: one of the house, which all are read on white. */
  colour?: Colour;
}
/** How a paragraph or heading stands; missing: at the left. */
export type Align = "center" | "right";
export type Inline = { kind: "text"; text: string; marks: Mark[] } | { kind: "break" };
export type Block =
  | { kind: "paragraph"; content: Inline[]; align?: Align }
  | { kind: "heading"; level: 1 | 2; content: Inline[]; align?: Align }
  /** `source`: the entry of the event's sources it is taken from. */
  | { kind: "quote"; blocks: Block[]; source?: string }
  /** A picture, video or sound: the entry of the event's media that stands here. */
  | { kind: "medium"; item: string }
  | { kind: "list"; ordered: boolean; items: Block[][] };

/** The two states as one. Updates commute and may be repeated; an update that is no Yjs update throws. */
export function mergeDescriptions(a: Uint8Array, b: Uint8Array): Uint8Array {
  return a.length === 0 ? b : b.length === 0 ? a : Y.mergeUpdates([a, b]);
}

/** A description after an update: its state without what was deleted, and what it holds. */
export interface Described {
  state: Uint8Array;
  /** False when the update was known already, or says nothing. */
  changed: boolean;
  characters: number;
  /** How deep lists and quotes lie in each other. */
  depth: number;
  /** Whether every text in it, and every address, is free of control characters. */
  clean: boolean;
  /** Whether its links hold an address and nothing else that is set. */
  plainLinks: boolean;
}

/**
 * Takes an update into a description and looks at the whole of it. The state that comes back is compact: what was deleted is
 * gone from it. Null when the bytes are no update. Takes as long as the update wants it to, so what comes from outside
 * is taken where nobody waits, under a time limit.
 */
export function takeUpdate(before: Uint8Array, update: Uint8Array): Described | null {
  const doc = new Y.Doc();
  try {
    if (before.length > 0) Y.applyUpdate(doc, before);
    const old = Y.encodeStateAsUpdate(doc);
    Y.applyUpdate(doc, update);
    const state = Y.encodeStateAsUpdate(doc);
    const changed = old.length !== state.length || old.some((byte, i) => byte !== state[i]);
    return { state, changed, ...contentsOf(doc.getXmlFragment(FRAGMENT)) };
  } catch {
    return null;
  }
}

const NESTING = new Set(["blockquote", "bulletList", "orderedList"]);

/** Walks without recursion: a document made to be deep cannot exhaust the stack. */
function contentsOf(fragment: Y.XmlFragment): Omit<Described, "state" | "changed"> {
  const found = { characters: 0, depth: 0, clean: true, plainLinks: true };
  const stack: { node: unknown; depth: number }[] = [{ node: fragment, depth: 0 }];
  while (stack.length > 0) {
    const { node, depth } = stack.pop()!;
    if (node instanceof Y.XmlText) {
      for (const part of node.toDelta() as { insert: unknown; attributes?: Record<string, unknown> }[]) {
        if (typeof part.insert === "string") {
          found.characters += part.insert.length;
          found.clean &&= isClean(part.insert);
        }
        for (const [name, value] of Object.entries(part.attributes ?? {})) {
          found.clean &&= isCleanValue(value);
          if (name.split("--")[0] === "link") found.plainLinks &&= isPlainLink(value);
        }
      }
    } else if (node instanceof Y.XmlElement || node instanceof Y.XmlFragment) {
      const nested = node instanceof Y.XmlElement && NESTING.has(node.nodeName) ? depth + 1 : depth;
      found.depth = Math.max(found.depth, nested);
      for (const child of node.toArray()) stack.push({ node: child, depth: nested });
    }
  }
  return found;
}

/** What an editor writes beside an address on its own: how a link opens is not a matter of the text. */
const USUAL: Record<string, readonly unknown[]> = {
  target: [null, "_blank"],
  rel: [null, "noopener noreferrer nofollow"],
  class: [null],
  title: [null],
};

function isPlainLink(value: unknown): boolean {
  if (value === null || typeof value !== "object") return value === null;
  return Object.entries(value).every(([k, v]) => k === "href" || (USUAL[k]?.includes(v) ?? false));
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

/** Lists and quotes are read so deep in each other; deeper ones are refused when they are written. */
export const DEEPEST = 12;

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
        return [{ kind: "quote", blocks: childBlocks(node, depth + 1), ...named(node, "source") }];
      case "medium": {
        const { item } = named(node, "item");
        return item ? [{ kind: "medium", item }] : [];
      }
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
      case "heading":
        return [
          {
            kind: "heading",
            level: node.getAttribute("level") === (4 as never) ? 2 : 1,
            content: inlineOf(node),
            ...alignOf(node),
          },
        ];
      default:
        return [{ kind: "paragraph", content: inlineOf(node), ...alignOf(node) }];
    }
  });
}

export const isId = (id: unknown): id is string => typeof id === "string" && /^[A-Za-z0-9_-]{1,40}$/.test(id);

/** An entry's id that a node holds. */
function named<K extends "source" | "item">(node: Y.XmlElement, attribute: K): { [k in K]?: string } {
  const id: unknown = node.getAttribute(attribute);
  return isId(id) ? ({ [attribute]: id } as { [k in K]?: string }) : {};
}

function alignOf(node: Y.XmlElement): { align?: Align } {
  const align = node.getAttribute("textAlign");
  return align === "center" || align === "right" ? { align } : {};
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
    if (kind === "colour") {
      const { name } = (value ?? {}) as { name?: unknown };
      if (typeof name === "string" && Object.hasOwn(COLOURS, name))
        marks.push({ kind: "colour", colour: name as Colour });
    }
    if (kind === "link") {
      const address = safeAddress((value as { href?: unknown } | null)?.href);
      if (address) marks.push({ kind: "link", address });
    }
  }
  return marks;
}

/** A host's name at the beginning, as people copy it without https://. */
const BARE = /^(?:[\p{L}\p{N}-]+\.)+\p{L}{2,}(?::\d{1,5})?(?:[/?#]|$)/u;

/** A web or mail address that may be followed, completed where its https:// is missing; null for anything else. */
export function safeAddress(text: unknown): string | null {
  if (typeof text !== "string" || text.length > 2_000) return null;
  try {
    const url = new URL(BARE.test(text.trim()) ? `https://${text.trim()}` : text);
    return ["http:", "https:", "mailto:"].includes(url.protocol) ? url.href : null;
  } catch {
    return null;
  }
}

/** The words alone, a line a block. */
export function plainTextOf(blocks: readonly Block[]): string {
  return blocks
    .map((b) => {
      if (b.kind === "paragraph" || b.kind === "heading")
        return b.content.map((c) => (c.kind === "text" ? c.text : "\n")).join("");
      if (b.kind === "quote") return plainTextOf(b.blocks);
      if (b.kind === "medium") return "";
      return b.items.map(plainTextOf).join("\n");
    })
    .join("\n")
    .trim();
}

/** The entries of media that stand in a text. */
export function mediaInText(blocks: readonly Block[]): string[] {
  return blocks.flatMap((b) => {
    if (b.kind === "medium") return [b.item];
    if (b.kind === "quote") return mediaInText(b.blocks);
    return b.kind === "list" ? b.items.flatMap(mediaInText) : [];
  });
}

/** A description for a copy of its event: what stands in it by the id of an entry has the copy's. */
export function withEntries(state: Uint8Array, copies: ReadonlyMap<string, string>): Uint8Array {
  const doc = new Y.Doc();
  Y.applyUpdate(doc, state);
  const stack: unknown[] = [doc.getXmlFragment(FRAGMENT)];
  let changed = false;
  while (stack.length > 0) {
    const node = stack.pop();
    if (node instanceof Y.XmlElement)
      for (const attribute of ["item", "source"] as const) {
        const copy = copies.get(named(node, attribute)[attribute] ?? "");
        if (copy === undefined) continue;
        node.setAttribute(attribute, copy);
        changed = true;
      }
    if (node instanceof Y.XmlElement || node instanceof Y.XmlFragment) stack.push(...node.toArray());
  }
  return changed ? Y.encodeStateAsUpdate(doc) : state;
}

/** Words as a teacher counts them: runs between spaces that hold a letter or a digit. */
export function wordCount(text: string): number {
  return text.split(/\s+/).filter((w) => /[\p{L}\p{N}]/u.test(w)).length;
}
