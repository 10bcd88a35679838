import { describe, expect, it } from "vitest";
import { seededTimeline } from "@/core/testing/seeded-timeline";
import type { Timeline, TimelineEvent } from "@/core/timeline/timeline";
import { descriptionFrom } from "@/core/text/write-description";
import { changedSpots, sameDrawn, sameLayout, type StageSubject } from "./stage-hooks";

const base = seededTimeline(100, 1);
const ids = [...base.events.keys()];
const set = (t: Timeline, id: string, fields: Partial<TimelineEvent>): Timeline => ({
  ...t,
  events: new Map(t.events).set(id, { ...t.events.get(id)!, ...fields }),
});
const SPOT = { along: -40, across: 90 };

describe("the spots that are all that changed", () => {
  it("are those of the labels moved, put back, and moved by several at once", () => {
    const moved = set(set(base, ids[3]!, { spot: SPOT }), ids[9]!, { spot: { along: 0, across: 60 } });
    expect([...changedSpots(base.events, moved.events)!]).toEqual([
      [ids[3], SPOT],
      [ids[9], { along: 0, across: 60 }],
    ]);
    expect([...changedSpots(moved.events, set(moved, ids[3]!, { spot: null }).events)!]).toEqual([[ids[3], null]]);
    expect(changedSpots(base.events, base.events)!.size).toBe(0);
  });

  it.each<[string, (t: Timeline) => Timeline]>([
    ["a title changed too", (t) => set(t, ids[3]!, { spot: SPOT, title: "Other" })],
    ["another event changed", (t) => set(set(t, ids[3]!, { spot: SPOT }), ids[4]!, { emphasis: true })],
    ["an event was deleted", (t) => set(t, ids[3]!, { deleted: true })],
    [
      "an event was added",
      (t) => ({ ...t, events: new Map(t.events).set("new", { ...t.events.get(ids[0]!)!, id: "new" }) }),
    ],
    [
      "the events stand in another order",
      (t) => ({
        ...set(t, ids[3]!, { spot: SPOT }),
        events: new Map([...set(t, ids[3]!, { spot: SPOT }).events].reverse()),
      }),
    ],
    ["more changed than a hand can move", (t) => ids.slice(0, 60).reduce((u, id) => set(u, id, { spot: SPOT }), t)],
  ])("are not told when %s", (_, change) => {
    expect(changedSpots(base.events, change(base).events)).toBeNull();
  });
});

describe("two subjects are laid out the same", () => {
  const subject: StageSubject = { timeline: base, hidden: new Set(), upright: null, rows: null };

  it("when what the chart shows of them is", () => {
    expect(sameLayout(subject, { ...subject })).toBe(true);
    expect(sameLayout(subject, { ...subject, timeline: { ...base, title: "Other" } })).toBe(true);
  });

  it.each<[string, Partial<StageSubject>]>([
    ["events", { timeline: set(base, ids[0]!, { title: "Other" }) }],
    ["scale", { timeline: { ...base, scale: "even" } }],
    ["lengths", { timeline: { ...base, lengths: true } }],
    ["today", { timeline: { ...base, today: true } }],
    ["marks", { timeline: { ...base, marks: { kind: "list", text: "1872" } } }],
    ["the filter", { hidden: new Set(["c0"]) }],
    ["orientation", { upright: true }],
    ["rows", { rows: new Set([1]) }],
  ])("but not when they differ in %s", (_, other) => {
    expect(sameLayout(subject, { ...subject, ...other })).toBe(false);
  });
});

describe("events that are drawn the same", () => {
  const t = seededTimeline(50, 3, "spread", "true");
  const [first] = t.events.keys();
  const altered = (part: object) => new Map(t.events).set(first!, { ...t.events.get(first!)!, ...part });
  it.each<[string, Timeline["events"], boolean]>([
    ["the very same", t.events, true],
    ["copied", new Map(t.events), true],
    ["with other words in a description", altered({ description: new Uint8Array([1, 2]) }), true],
    ["with another title", altered({ title: "Other" }), false],
    ["with a place by hand", altered({ spot: { along: 1, across: 60 } }), false],
    ["with one deleted", altered({ deleted: true }), false],
    ["with one more", new Map([...t.events, ["new", t.events.get(first!)!]]), false],
  ])("%s", (_, events, wanted) => expect(sameDrawn(t.events, events, false)).toBe(wanted));

  it("but other first words of a description are another drawing where those stand on it, and what follows them is not", () => {
    const long = "The water rose nine feet in one night. ".repeat(8);
    const said = (text: string) => altered({ description: descriptionFrom([text], 7) });
    expect(sameDrawn(said(long), said(`In June ${long}`), true)).toBe(false);
    expect(sameDrawn(said(long), said(`In June ${long}`), false)).toBe(true);
    expect(sameDrawn(said(long), said(`${long} In June.`), true)).toBe(true);
  });
});
