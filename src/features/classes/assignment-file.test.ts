import fc from "fast-check";
import { describe, expect, it } from "vitest";
import type { Requirement } from "@/core/check/requirements";
import { knowLanguages } from "@/core/testing/languages";
import { requirementText } from "@/core/words/class-work";
import { speakIn } from "@/core/language/spoken";
import { assignmentFrom } from "./assignment-file";
import { draftOf, requirementOf } from "./requirement-rows";

const LANGUAGES = knowLanguages();

const REQUIREMENTS: Requirement[] = [
  { kind: "events", count: 12 },
  { kind: "spans", count: 2, wished: true },
  { kind: "media", count: 6 },
  { kind: "media", count: 1, of: ["map"] },
  { kind: "sources" },
  { kind: "sources", count: 2 },
  { kind: "structured" },
  { kind: "beyond_encyclopedias" },
  { kind: "words", least: 20, count: 80 },
  { kind: "words_in_all", count: 600, most: 900 },
  { kind: "credits" },
  { kind: "around", event: "The long night", before: 3, after: 0 },
  { kind: "given" },
  { kind: "categories", names: ["Crossing", "Weather"] },
  { kind: "introduction", count: 60 },
  { kind: "conclusion", count: 60, wished: true },
  { kind: "further", count: 2 },
  { kind: "close_up", count: 1 },
  { kind: "places", count: 5 },
  { kind: "parts", count: 3 },
  { kind: "voice_each" },
  { kind: "voice_whole" },
];
const file = (assignment: unknown) => ({ fastigo: "assignment", version: 1, assignment });
const WHOLE = {
  title: "Crossing project",
  instructions: [{ kind: "paragraph", content: [{ kind: "text", text: "Find the crossings.", marks: [] }] }],
  pictures: [{ id: "p1", text: "The ferry", data: "AAAA", width: 640, height: 400 }],
  period: "1600 - 1931",
  total: 20,
  requirements: REQUIREMENTS,
  given: [{ title: "The bell is recast", typed: "17 Aug 1851", locked: false }],
  options: {
    lateRule: "refused",
    grouping: "teacher",
    blind: true,
    rubric: null,
    texts: [{ title: "Letter", text: "Sir" }],
  },
};

describe("an assignment out of a file", () => {
  it("is what its teacher took out, but for the day it was due", () => {
    expect(assignmentFrom(file(WHOLE))).toMatchObject({
      title: "Crossing project",
      instructions: WHOLE.instructions,
      pictures: [{ id: "p1", text: "The ferry", width: 640, height: 400, src: "data:image/webp;base64,AAAA" }],
      period: "1600 - 1931",
      due: "",
      total: 20,
      requirements: REQUIREMENTS,
      given: WHOLE.given,
      options: { ...WHOLE.options },
    });
  });

  it("of older days had plain words, and few choices", () => {
    const old = assignmentFrom(file({ title: "Old", instructions: "First line\nSecond" }))!;
    expect(old.instructions).toHaveLength(2);
    expect(old).toMatchObject({
      total: 20,
      requirements: [],
      given: [],
      options: { lateRule: "accepted", grouping: "pupils", blind: false, rubric: null },
    });
  });

  it("is none where it is something else, or of another version", () => {
    for (const odd of [
      null,
      7,
      "x",
      [],
      {},
      { fastigo: "rubric", version: 1 },
      { fastigo: "assignment", version: 2, assignment: WHOLE },
    ])
      expect([odd, assignmentFrom(odd)]).toEqual([odd, null]);
  });

  it.each([
    ["a kind there is not", { kind: "songs", count: 3 }],
    ["a name every object has", { kind: "toString" }],
    ["another of those", { kind: "constructor", count: 3 }],
    ["categories without names", { kind: "categories" }],
    ["names that are none", { kind: "categories", names: [1, null] }],
    ["a number in words", { kind: "events", count: "twelve" }],
    ["no number", { kind: "events" }],
    ["more than anybody makes", { kind: "events", count: 1e9 }],
    ["media of a kind there is not", { kind: "media", count: 1, of: ["hologram"] }],
    ["media of no list", { kind: "media", count: 1, of: "picture" }],
    ["something around nothing", { kind: "around", before: 1, after: 1 }],
    ["a wish that is none", { kind: "credits", wished: "yes" }],
  ])("leaves out a requirement that is %s, and keeps the others", (_, odd) => {
    expect(assignmentFrom(file({ ...WHOLE, requirements: [odd, ...REQUIREMENTS] }))!.requirements).toEqual(
      REQUIREMENTS,
    );
  });

  it("leaves out pictures that are no pictures, and whatever else is odd, and never fails", () => {
    const pictures = [
      { id: "../x", data: "AAAA" },
      { id: "a", data: "" },
      { id: "b", data: "<svg>" },
      { id: "c", data: "AAAA", width: -1, height: 1e9 },
    ];
    expect(assignmentFrom(file({ ...WHOLE, pictures }))!.pictures).toMatchObject([
      { id: "c", width: 100, height: 100 },
    ]);
    const shape = (a: unknown) => assignmentFrom(file(a))!;
    fc.assert(
      fc.property(
        fc.dictionary(
          fc.constantFrom(...Object.keys(WHOLE), ...Object.keys(WHOLE.options), "kind", "count", "of", "names"),
          fc.anything({ maxDepth: 3 }),
        ),
        (odd) => {
          const read = shape({
            ...odd,
            options: odd,
            requirements: [odd, ...(Array.isArray(odd.requirements) ? odd.requirements : [])],
          });
          expect(typeof read.title + typeof read.period + typeof read.total).toBe("stringstringnumber");
          for (const r of read.requirements) expect(requirementOf(draftOf(r, 0))).not.toBeUndefined();
          for (const g of read.given)
            expect([typeof g.title, typeof g.typed, typeof g.locked]).toEqual(["string", "string", "boolean"]);
        },
      ),
      { seed: 61, numRuns: 500 },
    );
  });
});

describe("a requirement in its row", () => {
  it("is written as it is read, and reads in every language without a gap", () => {
    for (const r of REQUIREMENTS) {
      expect(requirementOf(draftOf(r, 0))).toEqual(
        r.kind === "media" && !r.of ? { ...r, ...(requirementOf(draftOf(r, 0)) as object) } : r,
      );
      for (const l of LANGUAGES)
        expect(speakIn(l, () => requirementText(r))).toEqual(expect.not.stringMatching(/undefined|NaN|\[object|^$/));
    }
  });

  it("says nothing while its number is missing, is none, or is too large", () => {
    const draft = draftOf({ kind: "events", count: 12 }, 0);
    for (const count of ["", "0", "-1", "1.5", "12x", "10001", " "])
      expect([count, requirementOf({ ...draft, numbers: { count } })]).toEqual([count, null]);
    expect(requirementOf({ ...draft, numbers: { count: " 7 " } })).toEqual({ kind: "events", count: 7 });
    expect(requirementOf({ ...draftOf({ kind: "categories", names: [] }, 0), text: " , " })).toBeNull();
  });
});
