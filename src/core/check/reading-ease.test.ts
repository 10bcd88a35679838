import { describe, expect, it } from "vitest";
import { readingEase, syllablesOf } from "./reading-ease";

describe("how easy a text is to read", () => {
  it.each([
    ["river", "en", 2],
    ["bridge", "en", 1],
    ["table", "en", 2],
    ["the", "en", 1],
    ["crossed", "en", 2],
    ["hmm", "en", 1],
    ["Brücke", "de", 2],
    ["Überschwemmung", "de", 4],
    ["puente", "es", 2],
    ["río", "es", 1],
  ])("%s (%s) has %i syllables, as vowels tell", (word, language, n) => expect(syllablesOf(word, language)).toBe(n));

  it("is worked out by the formula of its language", () => {
    // Six words, six syllables, two sentences: 206.835 - 1.015 * 3 - 84.6 * 1 = 119.2, which is as easy as can be.
    expect(readingEase("The dog ran. The cat sat.", "en")).toBe(100);
    // Ten words in one sentence with twenty syllables: 206.835 - 10.15 - 169.2 = 27.5.
    expect(readingEase("River water river water river water river water river water.", "en-GB")).toBe(27);
    // The same count in German: 180 - 10 - 117 = 53; in Spanish 206.84 - 10.2 - 120 = 76.6.
    expect(readingEase("Wasser Wasser Wasser Wasser Wasser Wasser Wasser Wasser Wasser Wasser.", "de")).toBe(53);
    expect(readingEase("casa casa casa casa casa casa casa casa casa casa.", "es")).toBe(77);
  });

  it("says nothing of a language it has no formula for, or of no words", () => {
    expect(readingEase("Sana sana sana.", "fi")).toBeNull();
    expect(readingEase(" ... 1872!", "en")).toBeNull();
  });

  it("is harder the longer words and sentences are", () => {
    const easy = "The water rose. It took the old bridge. Men ran to the hill.";
    const hard =
      "Notwithstanding considerable administrative deliberation, municipal authorities subsequently established infrastructural reconstruction.";
    expect(readingEase(easy, "en")!).toBeGreaterThan(80);
    expect(readingEase(hard, "en")).toBe(0);
  });
});
