import fc from "fast-check";
import { readTable } from "./table";
import { describe, expect, it } from "vitest";
import { descriptionFrom } from "../text/write-description";
import { readWhen } from "../time/read/read-when";
import { emptyCategory, emptyEvent, emptyItem, emptyTimeline, type Timeline } from "../timeline/timeline";
import { canonicalJson } from "../text/canonical-json";
import { mediaIn, timelineFromFrozen, toFrozen } from "./frozen";
import { endingsFor, FORMATS, formatFor } from "./formats";
import { readJson } from "./read-json";
import { fromSnapshot, toSnapshot } from "./snapshot";
import { LIMIT_SENTENCES } from "../words/limits";

const timeline: Timeline = {
  ...emptyTimeline("t"),
  title: "How the Ambrel was crossed",
  byline: "Nia",
  introduction: descriptionFrom(["Every way across."], 1),
  categories: new Map([
    ["c", { ...emptyCategory("c"), name: "Crossing" }],
    ["gone", { ...emptyCategory("gone"), name: "Gone", deleted: true }],
  ]),
  events: new Map(
    [
      { ...emptyEvent("late"), title: "Last crossing", when: readWhen("1931") },
      {
        ...emptyEvent("early"),
        title: "Rope ferry",
        when: readWhen("c. 1604"),
        category: "c",
        description: descriptionFrom(["One boat."], 2),
      },
      { ...emptyEvent("gone"), title: "Secret", deleted: true },
    ].map((e) => [e.id, e]),
  ),
  items: new Map(
    [
      { ...emptyItem("p"), of: "early", list: "media" as const, kind: "picture" as const, media: "m1" },
      { ...emptyItem("p2"), of: "late", list: "media" as const, kind: "picture" as const, media: "m1" },
      { ...emptyItem("of gone"), of: "gone", list: "media" as const, kind: "picture" as const, media: "m2" },
      { ...emptyItem("deleted"), of: "late", list: "source" as const, text: "Secret roll", deleted: true },
    ].map((i) => [i.id, i]),
  ),
};

describe("a frozen timeline", () => {
  const frozen = toFrozen(timeline);

  it("holds what is not deleted, events in their order, and nothing else", () => {
    expect(frozen.events.map((e) => e.title)).toEqual(["Rope ferry", "Last crossing"]);
    expect(frozen.categories.map((c) => c.name)).toEqual(["Crossing"]);
    expect(canonicalJson(frozen)).not.toContain("Secret");
    expect(frozen.events[0]!.description).toEqual([
      { kind: "paragraph", content: [{ kind: "text", text: "One boat.", marks: [] }] },
    ]);
  });

  it("names each medium it shows once", () => expect(mediaIn(frozen)).toEqual(["m1"]));

  it("draws like the timeline it was taken from", () => {
    const back = timelineFromFrozen(JSON.parse(canonicalJson(frozen)));
    expect([...back.events.keys()].sort()).toEqual(["early", "late"]);
    expect(back.events.get("early")!.when).toEqual(timeline.events.get("early")!.when);
  });
});

describe("what was arranged by hand", () => {
  const arranged: Timeline = {
    ...timeline,
    lengths: true,
    today: true,
    events: new Map([
      ["w", { ...emptyEvent("w"), title: "Night", when: readWhen("1872 - 1874"), closeUp: "open", done: 40 }],
      [
        "p",
        { ...emptyEvent("p"), title: "Hour", when: readWhen("1873"), partOf: "w", spot: { along: -40, across: 90 } },
      ],
      ["q", { ...emptyEvent("q"), title: "Loop", when: readWhen("1873"), partOf: "~p" }],
    ]),
  };

  it("is kept in a version, and a whole that counts as unset is not in it", () => {
    const frozen = toFrozen(arranged);
    const back = timelineFromFrozen(JSON.parse(canonicalJson(frozen)) as typeof frozen);
    expect(back.events.get("p")).toMatchObject({ partOf: "w", spot: { along: -40, across: 90 } });
    expect(back.events.get("w")).toMatchObject({ closeUp: "open", done: 40 });
    expect(back.events.get("q")!.partOf).toBeNull();
    expect(back).toMatchObject({ lengths: true, today: true });
    const read = readJson(canonicalJson(frozen));
    expect("frozen" in read && canonicalJson(read.frozen)).toBe(canonicalJson(frozen));
  });

  it.each<[string, object]>([
    ["numbers for names", { title: 5, shortTitle: {}, partOf: 3, category: [] }],
    ["a spot that is none", { spot: { along: "left" } }],
    ["more done than all", { done: 400 }],
    ["words that mean nothing here", { closeUp: 7, sign: null, emphasis: "yes" }],
  ])("comes from JSON as it should be, whatever stands there: %s", (_, fields) => {
    const read = readJson(JSON.stringify({ events: [{ when: readWhen("1872"), ...fields }] }));
    if ("problem" in read) throw new Error(read.problem);
    const { description: _d, when: _w, id: _i, ...usual } = read.frozen.events[0]!;
    const { description: _x, when: _y, id: _z, deleted: _q, ...expected } = emptyEvent("");
    expect(usual).toEqual(expected);
  });
});

describe("canonical JSON", () => {
  const value = fc.jsonValue();
  it("is the same for equal values, whatever the order of their keys, and reads back the same", () => {
    const shuffled = (v: unknown): unknown =>
      Array.isArray(v)
        ? v.map(shuffled)
        : v !== null && typeof v === "object"
          ? Object.fromEntries(
              Object.entries(v)
                .reverse()
                .map(([k, x]) => [k, shuffled(x)]),
            )
          : v;
    fc.assert(
      fc.property(value, (v) => {
        const text = canonicalJson(v);
        expect(canonicalJson(shuffled(v))).toBe(text);
        expect(canonicalJson(JSON.parse(text))).toBe(text);
      }),
      { seed: 32, numRuns: 500 },
    );
  });
});

it("a snapshot on its way to the browser comes out as it went in", () => {
  expect(fromSnapshot(JSON.parse(JSON.stringify(toSnapshot(timeline, 7))))).toEqual(timeline);
});

it("a table of more rows than fit is refused with a sentence, and one that fits is read in time, whatever it names", () => {
  const row = "1872,The same,,The same\n";
  const table = (n: number) => `When,Title,Category,Part of\n${row.repeat(n)}`;
  expect(readTable(table(20_001))).toEqual({ problem: LIMIT_SENTENCES.tableRows });
  const read = readTable(table(20_000));
  expect("frozen" in read && read.frozen.events.length).toBe(20_000);
  expect("frozen" in readTable(table(20_001), {}, "drawn")).toBe(true);
});

describe("the table of formats", () => {
  it.each(FORMATS.map((f) => [f.id, f] as const))(
    "%s is found by its endings, and written is read back",
    async (_, f) => {
      for (const ending of f.endings) {
        expect(formatFor(`A Timeline${ending.toUpperCase()}`, "write")).toBe(f);
        expect(formatFor(`x${ending}`, "read")).toBe(f.read ? f : null);
      }
      const frozen = toFrozen(timeline);
      if (f.id === "ged") {
        await expect(Promise.resolve(f.write(frozen, { width: 900, height: 400 }))).rejects.toThrow(
          /does not come from a family file/,
        );
        return;
      }
      const text = await f.write(frozen, { width: 900, height: 400 });
      expect(text.length).toBeGreaterThan(40);
      if (!f.read || typeof text !== "string") return;
      const back = f.read(text, {});
      if ("problem" in back) throw new Error(back.problem);
      expect(back.frozen.events.map((e) => [e.title, e.when.edtf])).toEqual(
        frozen.events.map((e) => [e.title, e.when.edtf]),
      );
    },
  );

  it("names no format twice, and says in words what can be done", () => {
    const all = FORMATS.flatMap((f) => f.endings);
    expect(new Set(all).size).toBe(all.length);
    expect([endingsFor("read"), endingsFor("write"), formatFor("x.doc", "read")]).toEqual([
      ".csv or .json",
      ".xlsx, .ods, .csv, .ics, .md, .html, .txt, .json, .svg or .ged",
      null,
    ]);
  });
});
