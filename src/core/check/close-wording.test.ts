import { describe, expect, it } from "vitest";
import { closeWording, LEAST_WORDS, ownWords, type Worded } from "./close-wording";

/** Even numbers from a seed. */
function random(seed: number): () => number {
  let a = seed >>> 0;
  return () => {
    a = (Math.imul(a, 1_664_525) + 1_013_904_223) >>> 0;
    return a / 4_294_967_296;
  };
}
const SYLLABLES = [
  "am",
  "brel",
  "fer",
  "ry",
  "to",
  "ll",
  "stone",
  "ri",
  "ver",
  "ba",
  "nk",
  "mi",
  "ll",
  "sal",
  "t",
  "cro",
  "ss",
  "ing",
];
/** Words as often as in a language: few often, many seldom. */
function essay(words: number, next: () => number): string {
  const word = () => {
    const rank = Math.floor(2_500 ** next());
    return `${SYLLABLES[rank % SYLLABLES.length]}${SYLLABLES[(rank * 7) % SYLLABLES.length]}${rank.toString(36)}`;
  };
  return Array.from({ length: words }, (_, i) => word() + (i % 13 === 12 ? "." : "")).join(" ");
}
const text = (id: string, words: string, group = id): Worded => ({ id, group, text: words });

describe("close wording", () => {
  it("is found whatever its case, accents and punctuation, and shown as each wrote it", () => {
    const a = "At night the river rose, and by ten the Quay was under water; nobody slept in Hollín.";
    const b = "Then the river rose and by ten the quay was under WATER nobody slept in hollin again";
    expect(closeWording([text("a", a), text("b", b)])).toEqual([
      {
        a: "a",
        b: "b",
        inA: "the river rose, and by ten the Quay was under water; nobody slept in Hollín",
        inB: "the river rose and by ten the quay was under WATER nobody slept in hollin",
        words: 15,
      },
    ]);
  });

  it("is not what two say alike in a few words, nor within one group", () => {
    const few = "the stone bridge was built in one summer";
    expect(few.split(" ").length).toBe(LEAST_WORDS);
    expect(closeWording([text("a", `x ${few.slice(4)}`), text("b", few.slice(4))])).toEqual([]);
    expect(closeWording([text("a", few), text("b", few)])).toHaveLength(1);
    expect(closeWording([text("a", few, "g"), text("b", few, "g")])).toEqual([]);
    expect(closeWording([text("a", ""), text("b", "one"), text("c", "!!!")])).toEqual([]);
  });

  it("finds every planted copy among 200 texts, and nothing between 500 independent ones", () => {
    const next = random(7);
    const independent = Array.from({ length: 500 }, (_, i) => text(`t${i}`, essay(220, next)));
    expect(closeWording(independent)).toEqual([]);
    const texts = independent.slice(0, 200).map((t) => ({ ...t }));
    const planted = new Set<string>();
    for (let i = 0; i < 60; i++) {
      const from = texts[i]!.text.split(" ");
      const to = texts[199 - i]!;
      const length = LEAST_WORDS + (i % 17);
      const at = Math.floor(next() * (from.length - length));
      const there = to.text.split(" ");
      there.splice(Math.floor(next() * there.length), 0, ...from.slice(at, at + length));
      to.text = there.join(" ");
      planted.add(`${texts[i]!.id} ${to.id} ${length}`);
    }
    const found = closeWording(texts);
    for (const p of planted) {
      const [a, b, length] = p.split(" ");
      expect(
        found.some((f) => f.words >= Number(length) && ((f.a === a && f.b === b) || (f.a === b && f.b === a))),
        p,
      ).toBe(true);
    }
    expect(found).toHaveLength(60);
  });

  it("of the same text twice in one is one stretch each, never followed without end", () => {
    const words = "a rope and a boat and a farthing a head";
    const found = closeWording([text("a", `${words} ${words}`), text("b", words)]);
    expect(found.map((f) => f.words)).toEqual([10, 10]);
  });

  it("leaves out what stands there as a quotation", () => {
    const said = [
      {
        kind: "text" as const,
        text: "The Post wrote: “all of the lower town was under water by ten” and more.",
        marks: [],
      },
    ];
    const own = ownWords([
      { kind: "paragraph", content: said } as never,
      { kind: "quote", blocks: [{ kind: "paragraph", content: said } as never] },
    ]);
    expect(own).not.toContain("lower town");
    expect(own).toContain("The Post wrote");
  });
});
