import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { cleanText, cleanValue, isClean, isCleanValue } from "./clean";

describe("a text", () => {
  it.each<[string, string]>([
    ["Ferry", "Ferry"],
    ["a\u0000b", "ab"],
    ["tab\tand line\nand\r", "tab\tand line\nand\r"],
    ["bell\u0007 del\u007f nel\u0085", "bell del nel"],
    ["\ud83c\udf09 bridge", "\ud83c\udf09 bridge"],
    ["half \ud83c, half \udf09", "half , half "],
    ["\ud83c\ud83c\udf09", "\ud83c\udf09"],
    ["שלום \u200fעולם", "שלום \u200fעולם"],
  ])("%j is kept as %j", (text, wanted) => {
    expect(cleanText(text)).toBe(wanted);
    expect(isClean(text)).toBe(text === wanted);
  });

  it("is clean once it has been cleaned, and can be stored as UTF-8", () => {
    fc.assert(
      fc.property(fc.string({ unit: "binary" }), (text) => {
        const clean = cleanText(text);
        expect(isClean(clean)).toBe(true);
        expect(cleanText(clean)).toBe(clean);
        expect(new TextDecoder().decode(new TextEncoder().encode(clean))).toBe(clean);
      }),
      { seed: 5, numRuns: 2_000 },
    );
  });
});

describe("a value", () => {
  it("is the same object when nothing was taken out", () => {
    const value = { a: ["x", { b: 1 }], bytes: new Uint8Array([0, 1]) };
    expect(cleanValue(value)).toBe(value);
    expect(cleanValue({ a: ["x\u0000", { b: "y" }] })).toEqual({ a: ["x", { b: "y" }] });
  });

  it.each<[unknown, boolean]>([
    [{ a: ["x"] }, true],
    [{ "a\u0000": 1 }, false],
    [[[["\ud800"]]], false],
    [null, true],
    [12, true],
  ])("%j is clean: %s", (value, wanted) => expect(isCleanValue(value)).toBe(wanted));

  it("nested beyond measure is refused, not followed", () => {
    let deep: unknown = "x";
    for (let n = 0; n < 100_000; n++) deep = [deep];
    expect(isCleanValue(deep)).toBe(false);
  });
});
