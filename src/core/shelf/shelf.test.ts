import { describe, expect, it } from "vitest";
import { licenceOf } from "../timeline/licences";
import { searchShelf } from "./search";
import { drawShelfPicture, findOnShelf, SHELF, SHELF_LICENCE } from "./shelf";

describe("the shelf", () => {
  it("has at least 60 pictures over at least 24 subjects, each with all that is said of one", () => {
    expect(SHELF.length).toBeGreaterThanOrEqual(60);
    expect(new Set(SHELF.map((p) => p.subject)).size).toBeGreaterThanOrEqual(24);
    expect(new Set(SHELF.map((p) => p.id)).size).toBe(SHELF.length);
    expect(new Set(SHELF.map((p) => p.title)).size).toBe(SHELF.length);
    for (const p of SHELF) {
      expect([p.id, p.title.length > 4, p.says.length > 20, p.words.split(" ").length >= 4]).toEqual([
        p.id,
        true,
        true,
        true,
      ]);
      expect(findOnShelf(p.id)).toMatchObject({ title: p.title });
    }
    expect(licenceOf(SHELF_LICENCE)).not.toBeNull();
  });

  it("has no picture that is another one in other colours", () => {
    const shapes = SHELF.map((p) => drawShelfPicture(p.id)!.replaceAll(/#[0-9A-F]{3,6}/gi, ""));
    expect(new Set(shapes).size).toBe(SHELF.length);
  });

  it("draws each the same every time, with no number that is none, and nothing from elsewhere", () => {
    for (const p of SHELF) {
      const drawn = drawShelfPicture(p.id)!;
      expect(drawShelfPicture(p.id)).toBe(drawn);
      expect([p.id, /NaN|undefined|Infinity|href|<script|<image/.test(drawn)]).toEqual([p.id, false]);
    }
    expect(drawShelfPicture("none")).toBeNull();
  });
});

describe("what is looked for on the shelf", () => {
  const titles = (text: string) => searchShelf(text).map((p) => p.id);
  it.each<[string, string]>([
    ["castle", "castle"],
    ["Fortress", "castle"],
    ["railroad", "steam-train"],
    ["vikings", "longship"],
    ["pyramids of egypt", "pyramids"],
    ["egyptian writing", "scribe"],
    ["maths", "abacus-and-shapes"],
    ["pluralité", ""],
    ["elec", "ballot"],
    ["sustainability", "wind-turbines"],
    ["black death", "plague-doctor-street"],
    ["astronaut landing", "moon-walk"],
    ["Rome: a road!", "roman-road"],
  ])("“%s” finds %s first", (text, first) => expect(titles(text)[0] ?? "").toBe(first));

  it("all stand there when nothing is said", () => {
    expect(titles("")).toHaveLength(SHELF.length);
    expect(titles(" the ")).toHaveLength(SHELF.length);
  });

  it("each is found by each word of its title", () => {
    for (const p of SHELF)
      for (const word of p.title.split(/\W+/).filter((w) => w.length > 3 && !["from", "with"].includes(w)))
        expect([p.id, word, titles(word).includes(p.id)]).toEqual([p.id, word, true]);
  });
});
