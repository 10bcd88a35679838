import { describe, expect, it } from "vitest";
import { licenceOf } from "../timeline/licences";
import { DE } from "./said/de";
import { ES } from "./said/es";
import { searchShelf } from "./search";
import { drawShelfPicture, findOnShelf, pictureIn, SHELF, SHELF_LICENCE } from "./shelf";

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

describe.each(["de", "es"] as const)("the shelf in %s", (language) => {
  const own = SHELF.map((p) => pictureIn(language, p));

  it("says of each picture all that English says, each its own", () => {
    const missing = SHELF.filter((p, i) => own[i]!.title === p.title || own[i]!.says === p.says || own[i] === p);
    expect(missing).toEqual([]);
    expect(new Set(own.map((p) => p.title)).size).toBe(SHELF.length);
    expect(own.map((p) => p.id)).toEqual(SHELF.map((p) => p.id));
    for (const p of own)
      expect([p.id, p.title.length > 4, /^[\p{Lu}¿].{19,}\.$/u.test(p.says), p.words.split(" ").length >= 4]).toEqual([
        p.id,
        true,
        true,
        true,
      ]);
  });

  it("has as many subjects as in English, each with its name", () => {
    expect(new Set(own.map((p) => p.subject)).size).toBe(new Set(SHELF.map((p) => p.subject)).size);
    const { subjects, pictures } = language === "de" ? DE : ES;
    // And it speaks of none that are not there.
    expect(Object.keys(subjects).toSorted()).toEqual([...new Set(SHELF.map((p) => p.subject))].toSorted());
    expect(Object.keys(pictures).toSorted()).toEqual(SHELF.map((p) => p.id).toSorted());
  });

  it("is found by each word of its titles, and by English ones too", () => {
    for (const [i, p] of own.entries())
      for (const text of [p.title, SHELF[i]!.title])
        for (const word of text.split(/[^\p{L}]+/u).filter((w) => w.length > 4)) {
          const found = searchShelf(word, language);
          expect([word, found.some((f) => f.id === p.id && f.title === p.title)]).toEqual([word, true]);
        }
  });
});

it.each([
  ["de", "Burg", "castle"],
  ["de", "burgen und ritter", "castle"],
  ["de", "Wikinger", "longship"],
  ["de", "Ägypten Schrift", "scribe"],
  ["de", "die Pest", "plague-doctor-street"],
  ["de", "Eisenb", "steam-train"],
  ["es", "castillo", "castle"],
  ["es", "vikingos", "longship"],
  ["es", "la peste", "plague-doctor-street"],
  ["es", "elecc", "ballot"],
  ["es", "volcan", "volcano"],
] as const)("in %s “%s” finds %s first", (language, text, first) =>
  expect(searchShelf(text, language)[0]?.id).toBe(first),
);

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
