import { describe, expect, it } from "vitest";
import { KINDS, seededTimeline, studentTimeline } from "../../testing/seeded-timeline";
import { descriptionFrom } from "../../text/write-description";
import type { Timeline } from "../../timeline/timeline";
import { drawView } from "../draw/draw-chart";
import { wholeView } from "../axis/view";
import { shownEvents } from "../data/chart-data";
import { type Chart, chartOf } from "./chart";
import { groundOf, uprightLength } from "./layout";
import { chartFrom, layOutWhole, lightened } from "./whole-chart";

const TODAY = { day: 740_000, second: 0 };

/** Some events with descriptions, parts of a span, and one deleted. */
function varied(seed: number): Timeline {
  const t = seed % 2 === 0 ? studentTimeline(12, seed) : seededTimeline(40, seed, KINDS[seed % KINDS.length], "true");
  const list = [...t.events.values()];
  const span = list.find((e) => e.when.readAs.kind === "span");
  const events = list.map((e, i) => ({
    ...e,
    description: i % 3 === 0 ? descriptionFrom([`The water rose in the year ${i}.`], i + 1) : e.description,
    partOf: span && e !== span && i % 4 === 1 ? span.id : null,
    deleted: i === 5,
  }));
  return { ...t, events: new Map(events.map((e) => [e.id, e])) };
}

const drawn = (chart: Chart) => {
  const view = wholeView(groundOf(chart.laid.axis, chart.laid.layout));
  return drawView(chart, view, "at rest", null).scene;
};

describe("a chart laid out elsewhere", () => {
  it.each([
    ["in a frame", 1_280, 600, false, null],
    ["in a low frame", 1_280, 380, false, null],
    ["upright", 390, 700, true, null],
    ["in rows", 1_280, 600, false, new Set([1])],
  ] as const)("is drawn as one laid out here: %s", (_, width, height, upright, rows) => {
    for (let seed = 1; seed <= 12; seed++) {
      const timeline = varied(seed);
      const task = { timeline, hidden: new Set<string>(), room: { width, height }, upright, rows, seen: null };
      // As it is handed to a worker and back.
      const answer = structuredClone(layOutWhole(structuredClone(lightened(task))));
      const { chart, events } = chartFrom(task, answer, TODAY);
      const count = shownEvents(timeline).length;
      const frame = { width, height: upright ? Math.max(height, uprightLength(count)) : height };
      const folded = rows ? { folded: new Set(["c0"]) } : undefined;
      const here = chartOf(timeline, frame, { upright, rows: folded, gather: { seen: null }, today: TODAY });
      expect(events).toHaveLength(count);
      expect([seed, drawn(chart)]).toEqual([seed, drawn(here)]);
      expect(chart.nameOf(0)).toBe(here.nameOf(0));
    }
  });

  it("is handed on without what no drawing needs", () => {
    const task = { hidden: new Set<string>(), room: { width: 1, height: 1 }, upright: false, rows: null, seen: null };
    const { timeline } = lightened({ ...task, timeline: varied(4) });
    const events = [...timeline.events.values()];
    expect(events.some((e) => e.deleted || e.description.length > 0)).toBe(false);
    expect(timeline.firstWords!.get(events[0]!.id)).toBe("The water rose in the year 0.");
  });
});
