import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { mentionsIn } from "./mentions";

const PEOPLE = ["Nia", "Nia Byron", "Obi", "Ms Ward", "Ålesund", ""];

describe("who is named in a text", () => {
  it.each([
    ["@Nia look", ["Nia"], []],
    ["@nia byron, and @OBI!", ["Nia Byron", "Obi"], []],
    ["(@Ms Ward) @ålesund", ["Ms Ward", "Ålesund"], []],
    ["@Niamh", [], ["Niamh"]],
    ["@Wren and @Wren", [], ["Wren"]],
    ["write to nia@school.example", [], []],
    ["at 5 @ the ferry", [], []],
    ["@Nia@Obi", ["Nia"], []],
    ["", [], []],
  ])("%s", (text, named, unknown) => {
    expect(mentionsIn(text, PEOPLE)).toEqual({ named, unknown });
  });

  it("names nobody who is not among the people, and misses nobody who stands after an @", () => {
    fc.assert(
      fc.property(fc.array(fc.constantFrom(...PEOPLE, "x", " @", "@Nia ", " "), { maxLength: 12 }), (parts) => {
        const { named } = mentionsIn(parts.join(" "), PEOPLE);
        for (const n of named) expect(PEOPLE).toContain(n);
        for (const [i, p] of parts.entries())
          if (p === " @" && parts[i + 1] === "x") expect(named.includes("x")).toBe(false);
        if (parts.includes("@Nia ")) expect(named.some((n) => n.startsWith("Nia"))).toBe(true);
      }),
    );
  });
});
