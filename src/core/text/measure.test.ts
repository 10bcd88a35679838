import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cutToWidth, type Face, textWidth, wrap } from "./measure";
import { titleFace } from "../looks/style";
import { chartOf } from "../chart/frame/chart";
import { seededTimeline } from "../testing/seeded-timeline";

const FACE: Face = titleFace(chartOf(seededTimeline(1, 1), { width: 800, height: 400 }).data.style);
const texts = fc
  .array(fc.constantFrom("a", "W", " ", "  ", "é", "洪", "🌉", "…", "\u0301", "\ufe0f", "ferry", "\n"), {
    maxLength: 30,
  })
  .map((parts) => parts.join(""));

/** The same, by trying every length. */
function longestThatFits(text: string, size: number, most: number): string {
  const characters = [...text];
  const cuts = characters.map((_, n) => `${characters.slice(0, n).join("").trimEnd()}…`);
  return cuts.filter((cut) => textWidth(cut, FACE, size) <= most).at(-1) ?? "…";
}

describe("a text that is cut", () => {
  it("is as long as has room with its dots, and ends with no space before them; what fits stays", () => {
    fc.assert(
      fc.property(texts, fc.integer({ min: 0, max: 400 }), fc.constantFrom(11, 13.5, 20), (text, most, size) => {
        const cut = cutToWidth(text, FACE, size, most);
        if (textWidth(text, FACE, size) <= most) expect(cut).toBe(text);
        else expect(cut).toBe(longestThatFits(text, size, most));
      }),
      { numRuns: 500 },
    );
  });
});

describe("a text in lines", () => {
  it("loses nothing but what is cut at the end, has lines that fit, and breaks none before it must", () => {
    fc.assert(
      fc.property(
        texts,
        fc.integer({ min: 30, max: 400 }),
        fc.constantFrom(11, 13.5, 20),
        fc.integer({ min: 1, max: 5 }),
        (text, most, size, mostLines) => {
          const lines = wrap(text, FACE, size, most, mostLines);
          const words = text.split(/\s+/).filter(Boolean);
          expect(lines.length).toBeLessThanOrEqual(mostLines);
          for (const l of lines) expect(textWidth(l, FACE, size)).toBeLessThanOrEqual(most);
          const bare = (t: string) => t.replaceAll(/\s/g, "");
          const whole = bare(words.join(""));
          const shown = bare(lines.join(""));
          expect(shown === whole || whole.startsWith(shown.replace(/…$/, ""))).toBe(true);
          // Whatever of the next line's first word had room would have stood on this one, but within a word that is wider than a line.
          for (const [i, l] of lines.slice(0, -1).entries()) {
            const next = lines[i + 1]!.split(" ")[0]!;
            const word = words.find((w) => textWidth(w, FACE, size) > most && w.includes(next.replace(/…$/, "")));
            if (!word && !next.endsWith("…")) expect(textWidth(`${l} ${next}`, FACE, size)).toBeGreaterThan(most);
          }
        },
      ),
      { numRuns: 500 },
    );
  });
});
