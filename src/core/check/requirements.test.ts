import { WORDS as LACKS } from "../words/checks";
import { describe, expect, it } from "vitest";
import { speakIn } from "../language/spoken";
import { knowLanguages } from "../testing/languages";
import { descriptionFrom } from "../text/write-description";
import { readWhen } from "../time/read/read-when";
import { emptyOf, SOURCE } from "../timeline/fields";
import {
  emptyEvent,
  emptyItem,
  emptyTimeline,
  type Item,
  type Timeline,
  type TimelineEvent,
} from "../timeline/timeline";
import { REQUIREMENT_NAMES, requirementName, requirementText } from "../words/class-work";
import { isEncyclopedia } from "./encyclopedias";
import { type Check, checkRequirements, missingText, type Requirement, requirementKey, unmet } from "./requirements";

knowLanguages();

type EventPart = Partial<TimelineEvent> & { typed?: string; words?: string };
type ItemPart = Partial<Item>;

/** A timeline of these events (e0, e1, …) and entries, with the words of its two pages. */
function timeline(
  events: EventPart[],
  items: ItemPart[] = [],
  pages: { opening?: string; closing?: string } = {},
): Timeline {
  const t = emptyTimeline("t");
  const text = (words: string | undefined, client: number) =>
    words ? descriptionFrom([words], client) : t.introduction;
  return {
    ...t,
    introduction: text(pages.opening, 900),
    closing: text(pages.closing, 901),
    events: new Map(
      events.map(({ typed, words, ...more }, i) => [
        `e${i}`,
        { ...emptyEvent(`e${i}`), when: readWhen(typed ?? `18${10 + i}`), description: text(words, i + 1), ...more },
      ]),
    ),
    sources: new Map([
      [
        "book",
        {
          ...emptyOf(SOURCE),
          id: "book",
          deleted: false,
          kind: "book" as const,
          title: "Toll book",
          authors: ["Ward, Iris"],
        },
      ],
      ["bare", { ...emptyOf(SOURCE), id: "bare", deleted: false, kind: "book" as const, title: "Toll book" }],
      [
        "wiki",
        {
          ...emptyOf(SOURCE),
          id: "wiki",
          deleted: false,
          kind: "web" as const,
          title: "Ambrel",
          within: "The Great Encyclopaedia",
        },
      ],
    ]),
    items: new Map(items.map((more, i) => [`i${i}`, { ...emptyItem(`i${i}`), ...more }])),
  };
}

const source = (of: string, more: ItemPart = {}): ItemPart => ({ of, list: "source", text: "Abbey roll", ...more });
const medium = (of: string, kind: Item["kind"], more: ItemPart = {}): ItemPart => ({
  of,
  list: "media",
  kind,
  ...more,
});
const part = (of: string): EventPart => ({ partOf: of });
const free = { credit: "Nia", licence: "CC BY 4.0" };

// Each: what is asked, a timeline, and how much of how much there is, which events are at fault, and what is said.
const TABLE: [string, Requirement, Timeline, [number, number, string[], string]][] = [
  ["spans, met", { kind: "spans", count: 1 }, timeline([{ typed: "1810 - 1812" }, {}]), [1, 1, [], ""]],
  [
    "spans, short",
    { kind: "spans", count: 2 },
    timeline([{ typed: "1810 - 1812" }, {}]),
    [1, 2, [], "1 more time span"],
  ],
  ["spans, open at one end", { kind: "spans", count: 1 }, timeline([{ typed: "from 1890" }]), [1, 1, [], ""]],
  [
    "sounds alone",
    { kind: "media", count: 2, of: ["sound"] },
    timeline([{}], [medium("e0", "sound"), medium("e0", "picture")]),
    [1, 2, [], "1 more sound"],
  ],
  [
    "maps counted with pictures",
    { kind: "media", count: 2, of: ["picture", "map"] },
    timeline([{}], [medium("e0", "picture"), { of: "timeline", list: "map", kind: "picture" }]),
    [2, 2, [], ""],
  ],
  [
    "maps are no pictures otherwise",
    { kind: "media", count: 1 },
    timeline([{}], [{ of: "timeline", list: "map", kind: "picture" }]),
    [0, 1, [], "1 more picture or video"],
  ],
  [
    "two sources an event",
    { kind: "sources", count: 2 },
    timeline([{}, {}], [source("e0"), source("e0"), source("e1")]),
    [1, 2, ["e1"], "1 with fewer than 2 sources"],
  ],
  [
    "sources taken apart",
    { kind: "structured" },
    timeline([{}, {}], [source("e0", { source: "book" }), source("e1", { source: "bare" })]),
    [1, 2, ["e1"], "1 not taken apart"],
  ],
  [
    "a line is not taken apart",
    { kind: "structured" },
    timeline([{}], [source("e0")]),
    [0, 1, ["e0"], "1 not taken apart"],
  ],
  ["no source is none taken apart", { kind: "structured" }, timeline([{}]), [0, 0, [], "no sources yet"]],
  [
    "nothing but an encyclopedia",
    { kind: "beyond_encyclopedias" },
    timeline([{}, {}, {}], [source("e0", { source: "wiki" }), source("e1", { source: "wiki" }), source("e1")]),
    [2, 3, ["e0"], "1 with nothing but an encyclopedia"],
  ],
  [
    "words, too few and too many",
    { kind: "words", least: 2, count: 3 },
    timeline([{ words: "one" }, { words: "one two" }, { words: "one two three four" }]),
    [1, 3, ["e0", "e2"], "1 too long, 1 too short"],
  ],
  [
    "words, at least alone",
    { kind: "words", least: 2 },
    timeline([{ words: "one two" }, {}]),
    [1, 2, ["e1"], "1 without a description"],
  ],
  [
    "words in all, pages too",
    { kind: "words_in_all", count: 6 },
    timeline([{ words: "one two" }], [], { opening: "three four", closing: "five" }),
    [5, 6, [], "1 more word"],
  ],
  [
    "words in all, too many",
    { kind: "words_in_all", count: 1, most: 2 },
    timeline([{ words: "one two three" }]),
    [3, 1, [], "1 too many"],
  ],
  ["credits, met", { kind: "credits" }, timeline([{}], [medium("e0", "picture", free)]), [1, 1, [], ""]],
  [
    "credits: none, and a closed licence",
    { kind: "credits" },
    timeline([{}, {}], [medium("e0", "picture"), medium("e1", "sound", { ...free, licence: "All rights reserved" })]),
    [0, 2, ["e0", "e1"], "2 without credit or an open licence"],
  ],
  [
    "credits: permission is not open",
    { kind: "credits" },
    timeline([{}], [medium("e0", "picture", { ...free, licence: "Used with permission" })]),
    [0, 1, ["e0"], "1 without credit or an open licence"],
  ],
  ["credits, nothing shown", { kind: "credits" }, timeline([{}]), [0, 0, [], ""]],
  [
    "around, met",
    { kind: "around", event: " the FLOOD ", before: 1, after: 1 },
    timeline([{}, { title: "The flood" }, {}]),
    [2, 2, [], ""],
  ],
  [
    "around, short on one side",
    { kind: "around", event: "The flood", before: 2, after: 1 },
    timeline([{}, { title: "The flood" }, {}]),
    [2, 3, [], "1 more before it"],
  ],
  [
    "around what is not there",
    { kind: "around", event: "The flood", before: 1, after: 1 },
    timeline([{}]),
    [0, 2, [], "“The flood” is not there"],
  ],
  [
    "given events, one undated",
    { kind: "given" },
    timeline([{ given: "g1" }, { given: "g2", typed: "" }, {}]),
    [1, 2, ["e1"], "1 without a date"],
  ],
  [
    "opening page, short",
    { kind: "introduction", count: 3 },
    timeline([], [], { opening: "one two" }),
    [2, 3, [], "1 more word"],
  ],
  ["closing page, none", { kind: "conclusion", count: 3 }, timeline([]), [0, 3, [], "nothing written yet"]],
  [
    "links",
    { kind: "further", count: 2 },
    timeline(
      [{}],
      [
        { of: "e0", list: "link", address: "https://a.example" },
        { of: "timeline", list: "link", address: "https://b.example" },
        { of: "e0", list: "link", text: "words" },
      ],
    ),
    [2, 2, [], ""],
  ],
  [
    "a close-up has two parts",
    { kind: "close_up", count: 1 },
    timeline([{ typed: "1810 - 1820" }, part("e0"), part("e0")]),
    [1, 1, [], ""],
  ],
  [
    "a close-up of one part is none",
    { kind: "close_up", count: 1 },
    timeline([{ typed: "1810 - 1820" }, part("e0")]),
    [0, 1, [], "1 more close-up"],
  ],
  [
    "a close-up that is kept closed is none",
    { kind: "close_up", count: 1 },
    timeline([{ typed: "1810 - 1820", closeUp: "closed" }, part("e0"), part("e0")]),
    [0, 1, [], "1 more close-up"],
  ],
  [
    "places, by name or point",
    { kind: "places", count: 3 },
    timeline([{ place: "Hollin" }, { point: { lat: 1, lon: 2 } as TimelineEvent["point"] }, {}]),
    [2, 3, [], "1 more event with a place"],
  ],
  ["parts", { kind: "parts", count: 1 }, timeline([{}, part("e0")]), [1, 1, [], ""]],
  [
    "a part of what was deleted is none",
    { kind: "parts", count: 1 },
    timeline([{ deleted: true }, part("e0")]),
    [0, 1, [], "1 more part"],
  ],
  [
    "a voice for each",
    { kind: "voice_each" },
    timeline([{}, {}], [medium("e0", "sound", { voice: true }), medium("e1", "sound")]),
    [1, 2, ["e1"], "1 without a recorded voice"],
  ],
  [
    "a voice for the whole",
    { kind: "voice_whole" },
    timeline([{}], [medium("timeline", "sound", { voice: true })]),
    [1, 1, [], ""],
  ],
  [
    "no voice for the whole",
    { kind: "voice_whole" },
    timeline([{}], [medium("e0", "sound", { voice: true })]),
    [0, 1, [], "nothing recorded yet"],
  ],
];

describe("a requirement", () => {
  it.each(TABLE)("%s", (_, requirement, t, [have, need, events, missing]) => {
    const [check] = checkRequirements(t, [requirement], LACKS);
    expect(check).toMatchObject({ requirement, met: missing === "", have, need, events, missing });
    // Kept as JSON, it says the same; to somebody else in theirs.
    const kept = JSON.parse(JSON.stringify(check)) as Check;
    expect(missingText(kept, LACKS)).toBe(missing);
    const german = speakIn("de", () => checkRequirements(t, [requirement], LACKS)[0]!.missing);
    expect(speakIn("de", () => missingText(kept, LACKS))).toBe(german);
    if (missing !== "") expect(german).not.toBe(missing);
  });

  it("that was kept without saying what it lacks stays as it was said", () => {
    const [check] = checkRequirements(timeline([]), [{ kind: "events", count: 2 }], LACKS);
    const { lacks: _, ...before } = check!;
    expect(speakIn("es", () => missingText(before, LACKS))).toBe("2 more events");
  });

  it("of every kind stands in the table, has a name and reads as one sentence", () => {
    const kinds = new Set(TABLE.map(([, r]) => r.kind));
    const elsewhere = ["events", "categories"];
    expect([...kinds, ...elsewhere].sort()).toEqual(Object.keys(REQUIREMENT_NAMES).sort());
    for (const [, r] of TABLE) {
      expect(requirementText(r)).toMatch(/^[A-Z][^\n]+$/);
      expect(requirementName(r)).not.toBe("");
    }
    expect(requirementName({ kind: "media", count: 1, of: ["sound", "map"] })).toBe("Sounds, maps");
    expect(requirementText({ kind: "around", event: "The flood", before: 3, after: 0 })).toBe(
      "At least 3 events before “The flood”",
    );
  });

  it("that is only wished is checked and said, and never missing", () => {
    const wished: Requirement = { kind: "events", count: 3, wished: true };
    const checks = checkRequirements(timeline([{}]), [wished, { kind: "events", count: 2 }], LACKS);
    expect(checks.map((c) => c.met)).toEqual([false, false]);
    expect(unmet(checks).map((c) => c.need)).toEqual([2]);
    expect(requirementText(wished)).toBe("At least 3 events (wished, not asked)");
  });

  it("is told from another of its kind", () => {
    const keys = TABLE.map(([, r]) => requirementKey(r)).filter((k) => k.startsWith("media") || k.startsWith("around"));
    expect(new Set(keys)).toEqual(
      new Set(["media sound", "media picture+map", "media ", "around  the FLOOD ", "around The flood"]),
    );
  });
});

it.each([
  ["Encyclopaedia of Rivers", true],
  ["Große Enzyklopädie", true],
  ["Enciclopedia universal", true],
  ["https://en.wikipedia.org/wiki/Ferry", true],
  ["Toll book of the Ambrel bridge", false],
  ["Cyclopean walls of the west bank", false],
])("%s is an encyclopedia: %s", (title, is) =>
  expect(isEncyclopedia({ title, within: "", publisher: "", address: "" })).toBe(is),
);
