import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { apply } from "../change/apply";
import { anyTimeline } from "../testing/any-timeline";
import { LOOKS, OWN_TEXTURES } from "../timeline/looks";
import { emptyCategory, emptyTimeline, type Timeline } from "../timeline/timeline";
import { lookOf, readLook, wearOps } from "./look-file";

const t: Timeline = {
  ...emptyTimeline("t"),
  look: "oak",
  paper: "#fdf6e3",
  labelDates: "never",
  categories: new Map([
    ["c", { ...emptyCategory("c"), name: "Trade", colour: "#803300", pattern: "dots", loudness: 1 }],
  ]),
};

describe("a look as a file", () => {
  it("comes back as it went out", () => {
    fc.assert(
      fc.property(anyTimeline, fc.constantFrom(...LOOKS), fc.constantFrom(...OWN_TEXTURES), (any, look, texture) => {
        const file = lookOf({ ...any, look, texture });
        expect(readLook(JSON.stringify(file))).toEqual(file);
      }),
      { seed: 5, numRuns: 60 },
    );
  });

  it.each([
    ["{", "no_json"],
    ["[1]", "no_look"],
    ['{"fastigo":"timeline"}', "no_look"],
    ['{"fastigo":"look","version":2}', "other_version"],
    [JSON.stringify({ ...lookOf(t), wears: { look: "marble" } }), "broken"],
    [JSON.stringify({ ...lookOf(t), wears: { paper: "url(x)" } }), "broken"],
    [JSON.stringify({ ...lookOf(t), categories: [{ name: "a", colour: "red", pattern: "dots" }] }), "broken"],
    [JSON.stringify({ ...lookOf(t), more: 1 }), "broken"],
  ])("with a fault is read as one: %s", (text, fault) => {
    expect(readLook(text)).toBe(fault);
  });

  it("with a byte order mark, or of before a field was there, is read all the same", () => {
    expect(readLook(`\ufeff${JSON.stringify(lookOf(t))}`)).toEqual(lookOf(t));
    const { typeSize: _, ...wears } = lookOf(t).wears;
    expect(typeof readLook(JSON.stringify({ ...lookOf(t), wears }))).toBe("object");
  });
});

describe("wearing a look", () => {
  const worn = (of: Timeline, by: Timeline) => apply(of, wearOps(of, lookOf(by))).timeline;

  it("makes a timeline look so, its categories by their names, and asks for nothing twice", () => {
    const other: Timeline = {
      ...emptyTimeline("o"),
      title: "Mine",
      categories: new Map([
        ["x", { ...emptyCategory("x"), name: " trade", colour: "river" }],
        ["y", { ...emptyCategory("y"), name: "Water", colour: "river" }],
      ]),
    };
    const made = worn(other, t);
    expect([made.title, made.look, made.paper, made.labelDates]).toEqual(["Mine", "oak", "#fdf6e3", "never"]);
    expect(made.categories.get("x")).toMatchObject({ name: " trade", colour: "#803300", pattern: "dots", loudness: 1 });
    expect(made.categories.get("y")).toMatchObject({ colour: "river", pattern: "solid" });
    expect(wearOps(made, lookOf(t))).toEqual([]);
  });
});
