import { expect, it } from "vitest";
import { readWhen } from "../time/read/read-when";
import { inOrder } from "../timeline/order";
import { emptyCategory, emptyEvent, emptyItem, emptyTimeline, itemsByOwner, type Timeline } from "../timeline/timeline";
import { LOOK_AT_ALL, type LookAt, lookedAt, tagsIn } from "./look-at";

const event = (id: string, title: string, when: string, more = {}) =>
  [id, { ...emptyEvent(id), title, when: readWhen(when), ...more }] as const;
const t: Timeline = {
  ...emptyTimeline("t"),
  categories: new Map([
    ["c", { ...emptyCategory("c"), name: "Trade" }],
    ["gone", { ...emptyCategory("gone"), name: "Old", deleted: true }],
  ]),
  events: new Map([
    event("ferry", "rope Ferry", "c. 1604", { category: "c", tags: ["River"], description: new Uint8Array([1]) }),
    event("bridge", "Bridge 10", "1744", { category: "gone", tags: ["river", "toll"], done: 40 }),
    event("even", "bridge 9", "no date", { place: "East bank", note: "ask Obi" }),
    event("flood", "", "31 Feb 1872", { done: 100 }),
    event("deleted", "Gone", "1500", { deleted: true }),
  ]),
  items: new Map([
    ["i", { ...emptyItem("i"), of: "ferry", list: "source", text: "Post, No 39" }],
    [
      "p",
      { ...emptyItem("p"), of: "bridge", list: "media", kind: "picture", credit: "Drawn by Obi", text: "A bridge" },
    ],
    ["e", { ...emptyItem("e"), of: "bridge", list: "source", text: " " }],
  ]),
};
const from = {
  timeline: t,
  items: itemsByOwner(t),
  words: (d: Uint8Array) => d.length,
  plainText: (d: Uint8Array) => (d.length > 0 ? "The boat on its rope" : ""),
  writerOf: (id: string) => (id === "ferry" ? "nia" : "obi"),
};

it.each<[string, Partial<LookAt>, string[]]>([
  ["all, in the order of time", {}, ["ferry", "bridge", "even", "flood"]],
  ["words in any text, whatever the case", { text: "BOAT rope" }, ["ferry"]],
  ["words in sources and credits", { text: "obi" }, ["bridge", "even"]],
  ["a category", { categories: ["c"] }, ["ferry"]],
  ["no category, a deleted one counted as none", { categories: [""] }, ["bridge", "even", "flood"]],
  ["a tag, whatever its case", { tags: ["river"] }, ["ferry", "bridge"]],
  ["who wrote it", { people: ["obi"] }, ["bridge", "even", "flood"]],
  ["without a date", { lacks: ["date"] }, ["even", "flood"]],
  ["without a source: an empty one is none", { lacks: ["source"] }, ["bridge", "even", "flood"]],
  ["without a picture", { lacks: ["picture"] }, ["ferry", "even", "flood"]],
  ["without a description", { lacks: ["description"] }, ["bridge", "even", "flood"]],
  ["with a finding", { lacks: ["finding"] }, ["even", "flood"]],
  ["two at once", { tags: ["river"], lacks: ["description"] }, ["bridge"]],
  [
    "by title: numbers by their size, empty last",
    { sort: { column: "title", down: false } },
    ["even", "bridge", "ferry", "flood"],
  ],
  [
    "by title backwards: empty last all the same",
    { sort: { column: "title", down: true } },
    ["ferry", "bridge", "even", "flood"],
  ],
  ["by number", { sort: { column: "done", down: true } }, ["flood", "bridge", "ferry", "even"]],
  ["by date backwards", { sort: { column: "when", down: true } }, ["flood", "even", "bridge", "ferry"]],
])("%s", (_, look, ids) => {
  const order = inOrder(t.events.values());
  expect(lookedAt(from, order, { ...LOOK_AT_ALL, ...look }).map((e) => e.id)).toEqual(ids);
});

it("tags are counted whatever their case", () =>
  expect(tagsIn(t.events.values())).toEqual([
    { tag: "River", events: 2 },
    { tag: "toll", events: 1 },
  ]));
