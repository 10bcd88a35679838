import { describe, expect, it } from "vitest";
import type { Block } from "./description";
import { blocksOfNodes, nodesOf, paragraphsOf } from "./formatted";

const text = (words: string, ...marks: object[]) => ({ kind: "text", text: words, marks }) as never;

describe("a formatted text", () => {
  const blocks: Block[] = [
    { kind: "heading", level: 1, content: [text("What to do")] },
    { kind: "heading", level: 2, content: [text("First")] },
    {
      kind: "paragraph",
      content: [
        text("Look at "),
        text("the archive", { kind: "bold" }, { kind: "link", address: "https://archive.example/" }),
        { kind: "break" },
        text("and write.", { kind: "italic" }, { kind: "colour", colour: "copper" }),
      ],
    },
    { kind: "quote", blocks: [{ kind: "paragraph", content: [text("The river rose.")] }] },
    { kind: "medium", item: "p1" },
    {
      kind: "list",
      ordered: true,
      items: [
        [{ kind: "paragraph", content: [text("one")] }],
        [
          { kind: "paragraph", content: [text("two")] },
          { kind: "list", ordered: false, items: [[{ kind: "paragraph", content: [text("in it")] }]] },
        ],
      ],
    },
  ];

  it("goes into the editor and comes back as it was", () => {
    expect(blocksOfNodes(nodesOf(blocks))).toEqual(blocks);
    expect(blocksOfNodes(nodesOf([]))).toEqual([]);
  });

  it("leaves out what it does not know, and addresses that may not be followed", () => {
    const odd = {
      type: "doc",
      content: [
        { type: "table", content: [{ type: "text", text: "a cell" }] },
        { type: "medium", attrs: { item: "../etc" } },
        {
          type: "paragraph",
          content: [
            { type: "text", text: "go", marks: [{ type: "link", attrs: { href: "javascript:alert(1)" } }] },
            { type: "text", text: "x", marks: [{ type: "strike" }, { type: "colour", attrs: { name: "none" } }] },
          ],
        },
        { type: "paragraph" },
      ],
    };
    expect(blocksOfNodes(odd)).toEqual([
      { kind: "paragraph", content: [text("a cell")] },
      { kind: "paragraph", content: [text("go"), text("x")] },
    ]);
  });

  it.each([
    ["", []],
    ["  \n ", []],
    ["one", [["one"]]],
    ["one\r\n\ntwo", [["one"], [], ["two"]]],
  ])("plain words %j are a paragraph a line", (plain, lines) => {
    expect(paragraphsOf(plain)).toEqual(
      lines.map((l) => ({ kind: "paragraph", content: l.map((words) => text(words)) })),
    );
  });
});
