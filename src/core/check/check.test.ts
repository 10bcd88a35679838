import { WORDS as LACKS } from "../words/checks";
import { describe, expect, it } from "vitest";
import { descriptionFrom } from "../text/write-description";
import { readWhen } from "../time/read/read-when";
import { emptyCategory, emptyEvent, emptyItem, emptyTimeline, type Timeline } from "../timeline/timeline";
import { compareGiven, type GivenResult } from "./given-dates";
import { checkRequirements, type Requirement } from "./requirements";
import { requirementText } from "../words/class-work";

describe("a given date", () => {
  it.each<[string, string, GivenResult]>([
    ["14 Nov 1872", "14 Nov 1872", "right"],
    ["14 Nov 1872", "14 Nov 1872 22:10", "right"],
    ["14 Nov 1872", "Nov 1872", "less_exact"],
    ["14 Nov 1872", "1872", "less_exact"],
    ["14 Nov 1872", "1870s", "less_exact"],
    ["14 Nov 1872", "15 Nov 1872", "wrong"],
    ["14 Nov 1872", "about 14 Nov 1872", "less_exact"],
    ["14 Nov 1872", "", "no_date"],
    ["14 Nov 1872", "31 Feb 1872", "no_date"],
    ["1872", "14 Nov 1872", "right"],
    ["about 1604", "about 1604", "right"],
    ["about 1604", "1604", "right"],
    ["1744 - 1783", "1744 - 1783", "right"],
    ["1744 - 1783", "1740s - 1780s", "less_exact"],
    ["1744 - 1783", "1744", "wrong"],
    ["from 1890", "from 1890", "right"],
    ["310 BC", "310", "wrong"],
    ["2 - 5 Feb 1900", "Feb 1900", "less_exact"],
    ["2 - 5 Feb 1900", "3 Feb 1900", "wrong"],
    ["2 - 5 Feb 1900", "Mar 1900", "wrong"],
    ["14 Nov 1872", "1870 - 1875", "less_exact"],
    ["14 Nov 1872", "13 - 14 Nov 1872", "less_exact"],
    ["14 Nov 1872", "15 - 16 Nov 1872", "wrong"],
  ])("%s, answered %s, is %s", (right, answer, wanted) =>
    expect(compareGiven(readWhen(right), readWhen(answer))).toBe(wanted),
  );
});

it("an answer that ends before it begins is wrong, though it lies within everything", () => {
  const at = (text: string) => (readWhen(text).readAs as { at: { from: object; to: object } }).at;
  const answer = {
    ...readWhen("1872"),
    readAs: { kind: "moment", at: { ...at("1872"), from: at("1950").from, to: at("1800").to } },
  };
  expect(compareGiven(readWhen("14 Nov 1872"), answer as ReturnType<typeof readWhen>)).toBe("wrong");
});

const REQUIREMENTS: Requirement[] = [
  { kind: "events", count: 2 },
  { kind: "media", count: 2 },
  { kind: "sources" },
  { kind: "words", count: 3 },
  { kind: "categories", names: ["Trade", "Crossing"] },
];

function timeline(): Timeline {
  const e = (id: string, more = {}) => ({ ...emptyEvent(id), when: readWhen("1872"), ...more });
  const i = (id: string, more = {}) => ({ ...emptyItem(id), ...more });
  return {
    ...emptyTimeline("t"),
    categories: new Map([["c", { ...emptyCategory("c"), name: " trade" }]]),
    events: new Map(
      [
        e("a", { category: "c", description: descriptionFrom(["one two three"], 1) }),
        e("b", { description: descriptionFrom(["one two three four"], 2) }),
        e("gone", { deleted: true }),
      ].map((x) => [x.id, x]),
    ),
    items: new Map(
      [
        i("s", { of: "a", list: "source", text: "Abbey roll" }),
        i("blank", { of: "b", list: "source", text: "  " }),
        i("p1", { of: "a", list: "media", media: "m1", kind: "picture" }),
        i("p1 again", { of: "b", list: "media", media: "m1", kind: "picture" }),
        i("sound", { of: "b", list: "media", media: "m2", kind: "sound" }),
        i("of a deleted event", { of: "gone", list: "media", media: "m3", kind: "picture" }),
        i("deleted", { of: "a", list: "media", media: "m4", kind: "picture", deleted: true }),
      ].map((x) => [x.id, x]),
    ),
  };
}

describe("the requirements", () => {
  it("count what counts, and name what is missing and where", () => {
    expect(
      checkRequirements(timeline(), REQUIREMENTS, LACKS).map(({ met, have, need, events, missing }) => [
        met,
        have,
        need,
        events,
        missing,
      ]),
    ).toEqual([
      [true, 2, 2, [], ""],
      [false, 1, 2, [], "1 more picture or video"],
      [false, 1, 2, ["b"], "1 without a source"],
      [false, 1, 2, ["b"], "1 too long"],
      [false, 1, 2, [], "“Crossing” not in use"],
    ]);
  });

  it("nothing written is not written in few words", () => {
    const t = timeline();
    const bare = { ...emptyEvent("bare"), when: readWhen("1890") };
    const [check] = checkRequirements(
      { ...t, events: new Map(t.events).set("bare", bare) },
      [{ kind: "words", count: 3 }],
      LACKS,
    );
    expect(check).toMatchObject({
      met: false,
      have: 1,
      need: 3,
      events: ["b", "bare"],
      missing: "1 too long, 1 without a description",
    });
  });

  it("read as sentences", () => {
    expect(REQUIREMENTS.map(requirementText)).toEqual([
      "At least 2 events",
      "At least 2 pictures or videos",
      "Every event with a source",
      "A description of at most 3 words for every event",
      "The categories “Trade”, “Crossing”, each in use",
    ]);
  });

  it("are not met by an empty timeline", () => {
    expect(
      checkRequirements(emptyTimeline("t"), REQUIREMENTS, LACKS)
        .filter((c) => c.met)
        .map((c) => c.requirement.kind),
    ).toEqual([]);
  });
});
