import { expect, it } from "vitest";
import { COVERED, fuzzReader, READERS } from "./fuzz-readers";

it("every kind of file that can be brought in is tried", () => expect(COVERED).toBe(true));

it.each(READERS)("2,000 spoilt files: %s", { timeout: 300_000 }, async (reader) =>
  expect(await fuzzReader(reader, 2_000, 1)).toEqual([]),
);
