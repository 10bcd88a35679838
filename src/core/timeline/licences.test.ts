import { expect, it } from "vitest";
import { LICENCES, licenceOf } from "./licences";

it.each<[string, string | null]>([
  ["CC0", "CC0"],
  ["cc by 4.0", "CC BY 4.0"],
  ["CC-BY-SA 3.0", "CC BY-SA 4.0"],
  ["CC BY-NC-ND", "CC BY-NC-ND 4.0"],
  [" Public  domain ", "Public domain"],
  ["© Ambrel Post", "All rights reserved"],
  ["Copyright 1990 the Post", "All rights reserved"],
  ["Photo: all rights reserved", "All rights reserved"],
  ["my own rules", null],
  ["cc by-xx 4.0", null],
  ["", null],
])("%s is known as %s", (written, name) => expect(licenceOf(written)?.name ?? null).toBe(name));

it("each that is offered is known by its own name", () => {
  for (const l of LICENCES) expect(licenceOf(l.name)).toBe(l);
});
