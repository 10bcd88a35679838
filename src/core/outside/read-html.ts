import { parse, parseFragment } from "parse5";

interface Parsed {
  nodeName: string;
  value?: string;
  attrs?: { name: string; value: string }[];
  childNodes?: Parsed[];
}

/** An element with its attributes, and the words directly in it. */
export interface Element {
  name: string;
  attributes: Record<string, string>;
  words: string;
}

/** So many elements of a page are looked at; what it says of itself stands at its beginning. */
const MOST_ELEMENTS = 50_000;

/** The elements of HTML in their order. Nothing of it is run or fetched. */
export function elementsOf(html: string, whole: boolean): Element[] {
  const found: Element[] = [];
  const open: Parsed[] = [(whole ? parse(html) : parseFragment(html)) as unknown as Parsed];
  for (let node = open.pop(); node && found.length < MOST_ELEMENTS; node = open.pop()) {
    const children = node.childNodes ?? [];
    if (!node.nodeName.startsWith("#"))
      found.push({
        name: node.nodeName,
        attributes: Object.fromEntries((node.attrs ?? []).map((a) => [a.name, a.value])),
        words: children.map((c) => (c.nodeName === "#text" ? (c.value ?? "") : "")).join(""),
      });
    for (let i = children.length - 1; i >= 0; i--) open.push(children[i]!);
  }
  return found;
}
