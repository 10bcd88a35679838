import { describe, expect, it } from "vitest";
import { FAILURES } from "./en/failures";
import { LIMIT_SENTENCES, tooLongText } from "./en/limits";

const all = [...Object.entries(FAILURES), ...Object.entries(LIMIT_SENTENCES)];

describe("the sentences for what is not done", () => {
  it.each(all)("%s says it in whole sentences, without shouting or blame", (_, sentence) => {
    expect(sentence).toMatch(/^[A-Z0-9].*\.$/s);
    expect(sentence).not.toMatch(/!|\b(error|invalid|illegal|please|oops)\b/i);
  });

  it("no two of them are the same", () => {
    const texts = Object.values(FAILURES);
    expect(new Set(texts).size).toBe(texts.length);
  });

  it("a text that does not fit says how long it is, what fits, and that it is still there", () =>
    expect(tooLongText({ field: "shortTitle", length: 1_200, most: 120 })).toBe(
      "This short title has 1,200 characters; 120 fit. It was not saved and is still in the field: shorten it, or put the rest into the description.",
    ));
});
