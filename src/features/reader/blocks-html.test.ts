import fc from "fast-check";
import { SaxesParser } from "saxes";
import { describe, expect, it } from "vitest";
import { knowLanguages } from "@/core/testing/languages";
import { speakIn } from "@/core/language/spoken";
import type { Block, Inline, Mark } from "@/core/text/description";
import { blocksHtml, said } from "./blocks-html";

knowLanguages();
const NOTHING = { medium: () => "", source: () => "" };

const marks: fc.Arbitrary<Mark[]> = fc.subarray<Mark>([
  { kind: "bold" },
  { kind: "italic" },
  { kind: "colour", colour: "plum" },
  { kind: "link", address: 'https://ambrel.example/?a=1&b="2"<' },
]);
/** What XML, and so a page, may hold. */
const text = fc.string({
  minLength: 1,
  unit: fc.constantFrom("a", "<", ">", "&", '"', "'", " ", "]]>", "</p>", "é", "🌉"),
});
const inline: fc.Arbitrary<Inline> = fc.oneof(
  { weight: 4, arbitrary: fc.record({ kind: fc.constant("text" as const), text, marks }) },
  { weight: 1, arbitrary: fc.constant({ kind: "break" as const }) },
);
const content = fc.array(inline, { maxLength: 4 });
const { block } = fc.letrec<{ block: Block }>((tie) => ({
  block: fc.oneof(
    { maxDepth: 3, depthSize: "small" },
    fc.record({ kind: fc.constant("paragraph" as const), content }),
    fc.record({
      kind: fc.constant("heading" as const),
      level: fc.constantFrom(1 as const, 2 as const),
      content,
      align: fc.constant("center" as const),
    }),
    fc.record({ kind: fc.constant("medium" as const), item: fc.constantFrom("m", "gone") }),
    fc.record({
      kind: fc.constant("quote" as const),
      blocks: fc.array(tie("block"), { maxLength: 2 }),
      source: fc.constantFrom("s", "gone"),
    }),
    fc.record({
      kind: fc.constant("list" as const),
      ordered: fc.boolean(),
      items: fc.array(fc.array(tie("block"), { maxLength: 2 }), { maxLength: 3 }),
    }),
  ) as fc.Arbitrary<Block>,
}));

/** Reads a page's piece as XML, which is stricter: its text, and which elements stand in it. Throws where it is not well formed. */
function read(html: string): { text: string; names: string[]; attributes: string[] } {
  const found = { text: "", names: [] as string[], attributes: [] as string[] };
  const parser = new SaxesParser();
  parser.on("error", (e) => {
    throw e;
  });
  parser.on("text", (t) => (found.text += t));
  parser.on("opentag", (t) => {
    found.names.push(t.name);
    found.attributes.push(...Object.entries(t.attributes).map(([k, v]) => `${k}=${String(v)}`));
  });
  parser.write(`<x>${html.replaceAll("<br>", "<br/>")}</x>`).close();
  return { ...found, names: found.names.slice(1) };
}
const textsOf = (blocks: readonly Block[]): string =>
  blocks
    .map((b) =>
      b.kind === "paragraph" || b.kind === "heading"
        ? b.content.map((i) => (i.kind === "text" ? i.text : "")).join("")
        : b.kind === "quote"
          ? textsOf(b.blocks)
          : b.kind === "list"
            ? b.items.map(textsOf).join("")
            : "",
    )
    .join("");

describe("a description on a page", () => {
  it("is well formed and says what was written, whatever that is", () => {
    fc.assert(
      fc.property(fc.array(block, { maxLength: 4 }), (blocks) => {
        const { text: words, names, attributes } = read(blocksHtml(blocks, NOTHING));
        // Where lines end is nothing of the text; all else is.
        expect(words).toBe(textsOf(blocks));
        for (const name of names)
          expect(["p", "h3", "h4", "blockquote", "ul", "ol", "li", "strong", "em", "span", "a", "br"]).toContain(name);
        for (const a of attributes)
          expect([
            'href=https://ambrel.example/?a=1&b="2"<',
            "rel=noopener nofollow",
            "class=plum",
            "class=center",
          ]).toContain(a);
      }),
      { seed: 71, numRuns: 400 },
    );
  });

  it("holds the pictures and sources it names, and nothing where they are gone", () => {
    const there = {
      medium: (m: string) => (m === "m" ? "<img>" : ""),
      source: (s: string) => (s === "s" ? "<b>Toll book</b>" : ""),
    };
    const quote = (source: string): Block =>
      ({ kind: "quote", blocks: [{ kind: "paragraph", content: [] }], source }) as Block;
    expect(blocksHtml([{ kind: "medium", item: "m" } as Block, quote("s")], there)).toBe(
      "<img><blockquote><p></p><footer><b>Toll book</b></footer></blockquote>",
    );
    expect(blocksHtml([{ kind: "medium", item: "gone" } as Block, quote("gone")], there)).toBe(
      "<blockquote><p></p></blockquote>",
    );
  });

  it("says its language where the page speaks another", () => {
    expect([said({ language: "en" }), said({ language: "de" }), said({})]).toEqual(["", ' lang="de"', ""]);
    expect(speakIn("de", () => said({ language: "de" }))).toBe("");
    expect(said({ language: '"><script>' })).toBe(' lang="&quot;&gt;&lt;script&gt;"');
  });
});
