import { expect, it } from "vitest";
import { fuzz } from "./fuzz-core";

it("2,000 texts of any kind: nothing throws, nothing is lost, nothing ends before it begins", () => {
  expect(fuzz(2_000, 7)).toEqual([]);
});
