import fc from "fast-check";
import { describe, expect, it } from "vitest";
import * as Y from "yjs";
import { fromBase64, toBase64 } from "./base64";
import {
  type Block,
  blocksOf,
  FRAGMENT,
  mediaInText,
  mergeDescriptions,
  plainTextOf,
  safeAddress,
  takeUpdate,
  withEntries,
  wordCount,
} from "./description";
import { descriptionFrom } from "./write-description";

/** A document as the editor makes it. */
function documentOf(build: (f: Y.XmlFragment) => void): Uint8Array {
  const doc = new Y.Doc();
  build(doc.getXmlFragment(FRAGMENT));
  return Y.encodeStateAsUpdate(doc);
}

function element(name: string, ...children: (Y.XmlElement | Y.XmlText)[]): Y.XmlElement {
  const e = new Y.XmlElement(name);
  e.insert(0, children);
  return e;
}

function text(words: string, marks: Record<string, unknown> = {}): Y.XmlText {
  const t = new Y.XmlText();
  t.insert(0, words, marks);
  return t;
}

describe("a description", () => {
  it("gives its paragraphs, lists, quotes, marks and links", () => {
    const state = documentOf((f) =>
      f.insert(0, [
        element("paragraph", text("One boat", { bold: {} }), text(" of twenty feet")),
        element(
          "bulletList",
          element("listItem", element("paragraph", text("a rope"))),
          element("listItem", element("paragraph", text("of hemp", { italic: {} }))),
        ),
        element(
          "blockquote",
          element("paragraph", text("as licensed", { link: { href: "https://archive.example/x" } })),
        ),
        element("paragraph"),
      ]),
    );
    expect(blocksOf(state)).toEqual([
      {
        kind: "paragraph",
        content: [
          { kind: "text", text: "One boat", marks: [{ kind: "bold" }] },
          { kind: "text", text: " of twenty feet", marks: [] },
        ],
      },
      {
        kind: "list",
        ordered: false,
        items: [
          [{ kind: "paragraph", content: [{ kind: "text", text: "a rope", marks: [] }] }],
          [{ kind: "paragraph", content: [{ kind: "text", text: "of hemp", marks: [{ kind: "italic" }] }] }],
        ],
      },
      {
        kind: "quote",
        blocks: [
          {
            kind: "paragraph",
            content: [
              { kind: "text", text: "as licensed", marks: [{ kind: "link", address: "https://archive.example/x" }] },
            ],
          },
        ],
      },
    ]);
    expect(plainTextOf(blocksOf(state))).toBe("One boat of twenty feet\na rope\nof hemp\nas licensed");
    expect(wordCount(plainTextOf(blocksOf(state)))).toBe(11);
  });

  it("shows nothing it does not know: other nodes are their words, other marks and addresses are left out", () => {
    const state = documentOf((f) =>
      f.insert(0, [
        element("script", text("alert(1)", { link: { href: "javascript:alert(1)" }, onclick: { x: 1 } })),
        element("iframe"),
      ]),
    );
    expect(blocksOf(state)).toEqual([{ kind: "paragraph", content: [{ kind: "text", text: "alert(1)", marks: [] }] }]);
  });

  it("holds entries of its event by their ids, which a copy has anew; anything else in their place is not shown", () => {
    const node = (name: string, attribute: string, value: unknown, ...children: Y.XmlElement[]) => {
      const e = element(name, ...children);
      e.setAttribute(attribute, value as string);
      return e;
    };
    const state = documentOf((f) =>
      f.insert(0, [
        node("medium", "item", "m1"),
        node("blockquote", "source", "s1", element("paragraph", text("It rose"))),
        node("blockquote", "source", "other", node("medium", "item", "<script>")),
        node("medium", "item", 7),
      ]),
    );
    const quote = (source: string, blocks: Block[] = []): Block => ({ kind: "quote", blocks, source });
    const rose: Block = { kind: "paragraph", content: [{ kind: "text", text: "It rose", marks: [] }] };
    expect(blocksOf(state)).toEqual([{ kind: "medium", item: "m1" }, quote("s1", [rose]), quote("other")]);
    expect(mediaInText(blocksOf(state))).toEqual(["m1"]);
    expect(plainTextOf(blocksOf(state))).toBe("It rose");
    const copy = withEntries(
      state,
      new Map([
        ["m1", "n1"],
        ["s1", "t1"],
      ]),
    );
    expect(blocksOf(copy)).toEqual([{ kind: "medium", item: "n1" }, quote("t1", [rose]), quote("other")]);
    expect(withEntries(state, new Map())).toBe(state);
  });

  it("survives nesting without end", () => {
    const state = documentOf((f) => {
      let inner = element("paragraph", text("deep"));
      for (let i = 0; i < 60; i++) inner = element("blockquote", inner);
      f.insert(0, [inner]);
    });
    expect(JSON.stringify(blocksOf(state)).length).toBeLessThan(2_000);
  });

  it("merges the same whatever the order and however often", () => {
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.string({ minLength: 1, maxLength: 8 }), fc.integer({ min: 1, max: 1e6 })), {
          minLength: 1,
          maxLength: 6,
        }),
        (parts) => {
          const clients = new Set<number>();
          const updates = parts
            .filter(([, c]) => !clients.has(c) && clients.add(c))
            .map(([words, client]) => descriptionFrom([words], client));
          const all = (list: Uint8Array[]) => list.reduce(mergeDescriptions, new Uint8Array(0));
          const there = plainTextOf(blocksOf(all(updates)));
          expect(plainTextOf(blocksOf(all([...updates].reverse())))).toBe(there);
          expect(plainTextOf(blocksOf(all([...updates, ...updates])))).toBe(there);
        },
      ),
      { seed: 31, numRuns: 100 },
    );
  });

  it.each<[string, boolean]>([
    ["AAA=", true],
    ["CQkJ", false],
  ])("%s is an update: %s", (base64, wanted) =>
    expect(takeUpdate(new Uint8Array(0), fromBase64(base64)) !== null).toBe(wanted),
  );

  it("goes to base64 and back, also when long", () => {
    const bytes = Uint8Array.from({ length: 100_000 }, (_, i) => (i * 31) % 256);
    expect(fromBase64(toBase64(bytes))).toEqual(bytes);
  });
});

it.each<[unknown, string | null]>([
  ["https://school.example/a?b=c", "https://school.example/a?b=c"],
  ["http://school.example", "http://school.example/"],
  ["mailto:nia@school.example", "mailto:nia@school.example"],
  ["javascript:alert(1)", null],
  ["JaVaScRiPt:alert(1)", null],
  ["data:text/html,x", null],
  ["file:///etc/passwd", null],
  ["not an address", null],
  ["www.school.example/a?b=c", "https://www.school.example/a?b=c"],
  [" school.example ", "https://school.example/"],
  ["school.example:8443/x", "https://school.example:8443/x"],
  ["page 2.", null],
  ["localhost", null],
  [`https://x.example/${"x".repeat(3000)}`, null],
  [42, null],
])("the address %s is %s", (text, wanted) => expect(safeAddress(text)).toBe(wanted));

it.each<[string, number]>([
  ["", 0],
  ["one", 1],
  ["Ada Tolley took the last fare – a farthing.", 8],
  ["— ... !", 0],
  ["1872 was wet", 3],
  ["naïve façade", 2],
])("“%s” has %d words", (text, n) => expect(wordCount(text)).toBe(n));

describe("an update taken into a description", () => {
  const EMPTY = new Uint8Array(0);

  it("leaves nothing of what was deleted in the state", () => {
    const doc = new Y.Doc();
    const p = element("paragraph", text("a secret word "));
    doc.getXmlFragment(FRAGMENT).insert(0, [p]);
    const first = takeUpdate(EMPTY, Y.encodeStateAsUpdate(doc))!;
    expect(Buffer.from(first.state).includes("secret")).toBe(true);
    const before = Y.encodeStateVector(doc);
    (p.get(0) as Y.XmlText).delete(0, 14);
    (p.get(0) as Y.XmlText).insert(0, "the ferry");
    const second = takeUpdate(first.state, Y.encodeStateAsUpdate(doc, before))!;
    expect(plainTextOf(blocksOf(second.state))).toBe("the ferry");
    expect(Buffer.from(second.state).includes("secret")).toBe(false);
    expect(second.changed).toBe(true);
  });

  it("that is known, or says nothing, changes nothing", () => {
    const update = descriptionFrom(["the ferry"], 4);
    const { state } = takeUpdate(EMPTY, update)!;
    expect(takeUpdate(state, update)).toMatchObject({ changed: false, characters: 9 });
    expect(takeUpdate(state, fromBase64("AAA="))!.changed).toBe(false);
    expect(takeUpdate(EMPTY, fromBase64("AAA="))!.changed).toBe(false);
  });

  it.each<[string, (f: Y.XmlFragment) => void, object]>([
    [
      "plain words",
      (f) => f.insert(0, [element("paragraph", text("words"))]),
      { clean: true, plainLinks: true, depth: 0 },
    ],
    ["a control character", (f) => f.insert(0, [element("paragraph", text("a\u0000b"))]), { clean: false }],
    [
      "one in an address",
      (f) => f.insert(0, [element("paragraph", text("a", { link: { href: "https://x.example/\u0007" } }))]),
      { clean: false },
    ],
    [
      "a link",
      (f) => f.insert(0, [element("paragraph", text("a", { link: { href: "https://x.example" } }))]),
      { plainLinks: true },
    ],
    [
      "a link as editors wrote it earlier",
      (f) =>
        f.insert(0, [
          element(
            "paragraph",
            text("a", {
              link: { href: "https://x.example", target: "_blank", rel: "noopener noreferrer nofollow", class: null },
            }),
          ),
        ]),
      { plainLinks: true },
    ],
    [
      "a link over the whole screen",
      (f) =>
        f.insert(0, [element("paragraph", text("a", { link: { href: "https://x.example", class: "fixed inset-0" } }))]),
      { plainLinks: false },
    ],
    [
      "a list in a quote",
      (f) =>
        f.insert(0, [
          element("blockquote", element("bulletList", element("listItem", element("paragraph", text("x"))))),
        ]),
      { depth: 2, characters: 1 },
    ],
  ])("of %s is looked through", (_, build, wanted) =>
    expect(takeUpdate(EMPTY, documentOf(build))).toMatchObject(wanted),
  );

  it("nested 2,000 deep is measured without running out of stack", () => {
    const doc = new Y.Doc();
    let parent: Y.XmlFragment | Y.XmlElement = doc.getXmlFragment(FRAGMENT);
    for (let n = 0; n < 2_000; n++) {
      const next = new Y.XmlElement("blockquote");
      parent.insert(0, [next]);
      parent = next;
    }
    expect(takeUpdate(EMPTY, Y.encodeStateAsUpdate(doc))?.depth ?? 2_000).toBe(2_000);
  });
});
