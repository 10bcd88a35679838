import { expect, it } from "vitest";
import { COVERED, fuzzReader, READERS } from "./fuzz-readers";

it("every kind of file that can be brought in is tried", () => expect(COVERED).toBe(true));

// Packed ones take ten times as long; `npm run fuzz` tries more of all.
it.each(READERS)("many spoilt files: %s", { timeout: 300_000 }, async (reader) =>
  expect(await fuzzReader(reader, ["xlsx", "ods"].includes(reader) ? 700 : 2_000, 1)).toEqual([]),
);
