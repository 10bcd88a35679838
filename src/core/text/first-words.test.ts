import { expect, it } from "vitest";
import type { Block } from "./description";
import { firstWords } from "./first-words";

const blocks = (...texts: string[]): Block[] =>
  texts.map((text) => ({ kind: "paragraph", content: [{ kind: "text", text, marks: [] }] }));
const LONG = "The water rose nine feet in one night, and the bell of the school was found in June. ".repeat(5);

it.each([
  ["", ""],
  ["Two boats.", "Two boats."],
  ["  Two \n boats.  ", "Two boats."],
])("the first words of %j are %j", (text, first) => expect(firstWords(blocks(text))).toBe(first));

it("run on over paragraphs, end with a whole word, and say that there are more", () => {
  expect(firstWords(blocks("Two boats.", "Nobody drowned."))).toBe("Two boats. Nobody drowned.");
  const first = firstWords(blocks(LONG));
  expect(first.length).toBeLessThanOrEqual(180);
  expect(first.length).toBeGreaterThan(140);
  expect(first.endsWith("…")).toBe(true);
  expect(LONG.replaceAll(/\s+/g, " ").startsWith(first.slice(0, -1))).toBe(true);
  expect(LONG[first.length - 1]).toMatch(/[\s,.]/);
  // What holds only the first words has the same ones.
  expect(firstWords(blocks(first))).toBe(first);
});

it("of a text without a space are cut between characters", () => {
  const first = firstWords(blocks("🛶".repeat(300)));
  expect(first).toMatch(/^(🛶)+…$/u);
  expect(firstWords(blocks(first))).toBe(first);
});
