import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { toFrozen } from "../formats/frozen";
import { readWhen } from "../time/read/read-when";
import { emptyEvent, emptyTimeline, type Timeline } from "../timeline/timeline";
import { embedCode } from "./embed-code";
import { configOf, daysOf, foundIn } from "./found-in";
import { toWord } from "./short-link";
import { readSites } from "./sites";

describe("the word of a short link", () => {
  it.each<[string, string]>([
    ["Over the Ambrel!", "over-the-ambrel"],
    ["  Äpfel & Birnen ", "apfel-birnen"],
    ["--a--", "a"],
    ["洪水", ""],
    ["a".repeat(60), "a".repeat(40)],
    [`${"a".repeat(39)} b`, "a".repeat(39)],
  ])("%s", (typed, word) => expect(toWord(typed)).toBe(word));

  it("is its own word, whatever was typed", () => {
    fc.assert(
      fc.property(fc.string({ maxLength: 80 }), (typed) => {
        const word = toWord(typed);
        expect(toWord(word)).toBe(word);
        expect(word).toMatch(/^([a-z0-9]+(-[a-z0-9]+)*)?$/);
      }),
    );
  });
});

describe("sites", () => {
  it.each<[string[], string[] | null]>([
    [["school.example"], ["https://school.example"]],
    [["https://school.example/course?id=1#x"], ["https://school.example"]],
    [["http://127.0.0.1:3400"], ["http://127.0.0.1:3400"]],
    [["a.example", "a.example", ""], ["https://a.example"]],
    [["a.example", "*"], ["*"]],
    [["ftp://a.example"], null],
    [["javascript:alert(1)"], null],
    [["https://a.example; script-src *"], null],
    [["https://me:pw@a.example"], null],
    [["a'b.example"], null],
    [Array.from({ length: 21 }, (_, i) => `s${i}.example`), null],
  ])("%j", (typed, read) => expect(readSites(typed)).toEqual(read));

  it("hold no sign that means something in a header, whatever was typed", () => {
    fc.assert(
      fc.property(fc.array(fc.string({ maxLength: 40 }), { maxLength: 4 }), (typed) => {
        for (const site of readSites(typed) ?? []) expect(site).toMatch(/^(\*|https?:\/\/[a-z0-9.:[\]-]+)$/);
      }),
    );
  });
});

describe("what a timeline is found by", () => {
  const of = (more: Partial<Timeline>, dates: string[] = []) => {
    const events = dates.map(
      (d, i) => [`e${i}`, { ...emptyEvent(`e${i}`), title: `Event ${i}`, when: readWhen(d) }] as const,
    );
    return toFrozen({ ...emptyTimeline("t"), ...more, events: new Map(events) });
  };
  const day = (typed: string) => daysOf(readWhen(typed), []);

  it.each<[string, string]>([
    ["en-GB", "english"],
    ["DE", "german"],
    ["cy", "simple"],
    ["nb", "norwegian"],
  ])("in %s as %s takes words apart", (language, config) => expect(configOf(language)).toBe(config));

  it("goes from its first date to before its last, or over the period that was set", () => {
    const dated = foundIn(of({}, ["1872", "about 1604", "1702 - 1790"]));
    expect([dated.fromDay, dated.toDay]).toEqual([day("1604").from, day("1872").to]);
    const set = foundIn(of({ period: readWhen("1500 - 2000") }, ["1872"]));
    expect([set.fromDay, set.toDay]).toEqual([day("1500").from, day("2000").to]);
    expect(foundIn(of({}, ["", "whenever"])).fromDay).toBeNull();
    expect(foundIn(of({}, ["from 1890"])).toDay).toBe(Number.POSITIVE_INFINITY);
  });
});

describe("the code for another page", () => {
  const page = "https://fastigo.example/t/abc";
  it.each<[Parameters<typeof embedCode>[0], string[], string[]]>([
    [
      { page, title: "A", first: "", height: { kind: "fixed", px: 500 } },
      ['src="https://fastigo.example/t/abc?as=embed"', 'height="500"'],
      ["script"],
    ],
    [
      { page, title: "A", first: "e-x1", height: { kind: "growing" } },
      ["?as=embed#e-x1", "data-fastigo", "https://fastigo.example/embed.js"],
      [],
    ],
    [
      { page, title: '"><script>', first: "", height: { kind: "fixed", px: 9 } },
      ["&quot;&gt;&lt;script&gt;", 'height="240"'],
      ["<script"],
    ],
    [
      { page, title: "A", first: "", view: "1800..1900&x", height: { kind: "fixed", px: 99_999 } },
      ["view=1800..1900%26x", 'height="3000"'],
      [],
    ],
  ])("%#", (wish, has, hasNot) => {
    const code = embedCode(wish);
    for (const text of has) expect(code).toContain(text);
    for (const text of hasNot) expect(code).not.toContain(text);
  });
});
