import { describe, expect, it } from "vitest";
import { wholeView } from "@/core/chart/axis/view";
import { drawView } from "@/core/chart/draw/draw-chart";
import { chartOf } from "@/core/chart/frame/chart";
import { groundOf } from "@/core/chart/frame/layout";
import { typedTimeline } from "@/core/testing/seeded-timeline";
import { nearestTo, whereItHangs } from "./hanging";

const TAKEN = { from: 300, to: 900 };
const timeline = typedTimeline(
  [
    ["1600", "Ferry"],
    ["1640 - 1660", "Toll"],
    ["1700", "Viaduct"],
  ],
  "true",
);
const chart = chartOf(timeline, { width: 1_200, height: 600 }, { taken: TAKEN });
const part = drawView(chart, wholeView(groundOf(chart.laid.axis, chart.laid.layout)), [], null).parts[0]!;
const id = (title: string) => [...timeline.events.values()].find((e) => e.title === title)!.id;
const foot = chart.laid.layout.ridgeTop + chart.laid.layout.ridge;

describe("what hangs open", () => {
  it("hangs from its moment on the ridge, a span from the middle of its roof", () => {
    const toll = whereItHangs(part, { id: id("Toll"), ...TAKEN });
    expect(toll.x).toBeGreaterThan(560);
    expect(toll.x).toBeLessThan(640);
    expect(toll.y).toBeLessThan(chart.laid.layout.ridgeTop + 1);
    const ferry = whereItHangs(part, { id: id("Ferry"), ...TAKEN });
    expect(ferry.y).toBe(foot);
    expect(ferry.x).toBeLessThan(100);
  });

  it("hangs from the middle of its stretch where the filter has taken it out", () => {
    expect(whereItHangs(part, { id: "nobody", ...TAKEN })).toMatchObject({ x: 600, y: foot });
  });

  it("gives way to what is nearest to a press on the ridge", () => {
    expect(nearestTo(part, 0)).toBe(id("Ferry"));
    expect(nearestTo(part, 600)).toBe(id("Toll"));
    expect(nearestTo(part, 1_190)).toBe(id("Viaduct"));
  });
});
