import { expect, it } from "vitest";
import { apply } from "../change/apply";
import { applyAndInvert } from "../change/invert";
import { blocksOf, plainTextOf } from "../text/description";
import { descriptionFrom } from "../text/write-description";
import { readWhen } from "../time/read/read-when";
import { emptyCategory, emptyEvent, emptyItem, emptyTimeline, type Timeline } from "../timeline/timeline";
import { findPlaces, replacePlaces } from "./find";

const wanted = { text: "ferry", matchCase: false, wholeWords: true };
const t: Timeline = {
  ...emptyTimeline("t"),
  title: "The ferry",
  introduction: descriptionFrom(["A ferry, and another ferry."], 1),
  categories: new Map([["c", { ...emptyCategory("c"), name: "Ferry" }]]),
  events: new Map([
    ["b", { ...emptyEvent("b"), title: "Ferry", when: readWhen("1700") }],
    [
      "a",
      {
        ...emptyEvent("a"),
        title: "Rope ferry of 1604",
        note: "Whose ferry?",
        when: readWhen("1604"),
        description: descriptionFrom(["The ferryman of the ferry."], 2),
      },
    ],
    ["g", { ...emptyEvent("g"), title: "Last ferry", when: readWhen("1931"), given: "x", locked: true }],
    ["d", { ...emptyEvent("d"), title: "No ferry", when: readWhen("1500"), deleted: true }],
  ]),
  items: new Map([
    ["i", { ...emptyItem("i"), of: "a", list: "source", text: "Ferry roll", address: "https://ferry.example" }],
  ]),
};
const all = (found: ReturnType<typeof findPlaces>["places"]) => new Set(found.map((p) => p.key));

it("every text is looked through, in the order of the events, deleted ones left out", () => {
  expect(findPlaces(t, wanted).places.map((p) => p.key)).toEqual([
    "timeline:title:0",
    "description:introduction:0",
    "description:introduction:1",
    "category:c:0",
    "event:a:title:0",
    "event:a:note:0",
    "description:a:0",
    "item:i:text:0",
    "item:i:address:0",
    "event:b:title:0",
    "event:g:title:0",
  ]);
});

it("all chosen places are replaced as one change, and one undo puts them back; given ones and titles that would go stay", () => {
  const { places } = findPlaces(t, wanted);
  const { ops, ...counts } = replacePlaces(t, places, all(places), wanted, "");
  expect(counts).toEqual({ places: 8, emptied: 2 });
  const { timeline: after, inverse } = applyAndInvert(t, ops);
  expect(after.events.get("a")!.title).toBe("Rope  of 1604");
  expect(plainTextOf(blocksOf(after.events.get("a")!.description))).toBe("The ferryman of the .");
  expect(plainTextOf(blocksOf(after.introduction))).toBe("A , and another .");
  expect([after.events.get("b")!.title, after.events.get("g")!.title]).toEqual(["Ferry", "Last ferry"]);
  const back = apply(after, inverse).timeline;
  expect(findPlaces(back, wanted).places.map((p) => [p.key, p.text])).toEqual(places.map((p) => [p.key, p.text]));
});

it("a date is read anew from what it says then; of one text some places only", () => {
  const date = { text: "1604", matchCase: false, wholeWords: false };
  const { places } = findPlaces(t, date);
  const after = apply(t, replacePlaces(t, places, all(places), date, "1605").ops).timeline;
  expect(after.events.get("a")).toMatchObject({ title: "Rope ferry of 1605", when: readWhen("1605") });
  const some = findPlaces(t, wanted).places;
  const { ops } = replacePlaces(t, some, new Set(["description:introduction:1"]), wanted, "boat");
  expect(plainTextOf(blocksOf(apply(t, ops).timeline.introduction))).toBe("A ferry, and another boat.");
});
