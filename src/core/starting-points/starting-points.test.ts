import { describe, expect, it } from "vitest";
import { apply } from "../change/apply";
import { chartOf } from "../chart/frame/chart";
import { inOrder } from "../timeline/order";
import { problems } from "../timeline/problems";
import { categoriesOf } from "../timeline/timeline";
import { STARTING_POINTS as GERMAN } from "../words/de/starting-points";
import { STARTING_POINTS as SPANISH } from "../words/es/starting-points";
import { STARTING_POINTS as ENGLISH } from "../words/en/starting-points";
import { keepExamples, pointTimeline, untouchedExamples, withoutExamples } from "./starting-points";

const ALL = [ENGLISH, GERMAN, SPANISH].flatMap((all) => (all as typeof ENGLISH).map((p) => [p.title, p] as const));

describe.each(ALL)("the starting point %s", (_, point) => {
  const t = pointTimeline(point);
  const events = inOrder(t.events.values());

  it("has every date understood, nothing that contradicts itself, and every whole", () => {
    expect(events).toHaveLength(point.rows.length);
    expect(events.filter((e) => !["moment", "span"].includes(e.when.readAs.kind)).map((e) => e.when.typed)).toEqual([]);
    expect(problems(t)).toEqual([]);
    expect(events.filter((e) => e.partOf).length).toBe(point.rows.filter((r) => r[3] !== "").length);
    expect(categoriesOf(t).length).toBeGreaterThan(1);
  });

  it("is drawn with nothing left out", () => {
    const chart = chartOf(t, { width: 1_280, height: 480 }, { upright: false, rows: undefined, closeUps: "none" });
    expect(chart.laid.data.count).toBe(point.rows.length);
  });

  it("loses its examples in one change, but for what somebody has written in; its categories stay", () => {
    expect(untouchedExamples(t)).toHaveLength(events.length);
    const own = apply(t, [{ kind: "set_event", id: events[0]!.id, field: "title", value: "Mine" }]).timeline;
    const after = apply(own, withoutExamples(own)).timeline;
    expect(inOrder(after.events.values()).map((e) => [e.title, e.origin])).toEqual([["Mine", ""]]);
    expect(categoriesOf(after)).toEqual(categoriesOf(t));
    const kept = apply(t, keepExamples(t)).timeline;
    expect(untouchedExamples(kept)).toEqual([]);
    expect(inOrder(kept.events.values())).toHaveLength(events.length);
  });
});
