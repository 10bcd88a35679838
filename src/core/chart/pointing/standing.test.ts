import { describe, expect, it } from "vitest";
import { typedTimeline } from "../../testing/seeded-timeline";
import type { Timeline } from "../../timeline/timeline";
import { type Chart, chartOf } from "../frame/chart";
import { HEAD } from "../close-ups/close-ups";
import { drawView } from "../draw/draw-chart";
import type { Part } from "../frame/frame";
import { groundOf } from "../frame/layout";
import { wholeView } from "../axis/view";
import { inBox, mainIndex, partAt, roofUnder, standing } from "./standing";

const TYPED: [string, string][] = [
  ["1604", "Ferry"],
  ["14 Nov 1872 - 15 Nov 1872", "Night"],
  ["14 Nov 1872 20:00", "Bell"],
  ["15 Nov 1872 01:00", "Boats"],
  ["1931", "Last ferry"],
];

/** A chart with the night opened, and what is seen of all of it. */
function opened(upright: boolean): { chart: Chart; parts: Part[]; id: (title: string) => string } {
  const t: Timeline = typedTimeline(TYPED, "true");
  const byTitle = new Map([...t.events.values()].map((e) => [e.title, e.id]));
  const events = new Map(t.events);
  for (const title of ["Bell", "Boats"]) {
    const id = byTitle.get(title)!;
    events.set(id, { ...events.get(id)!, partOf: byTitle.get("Night")! });
  }
  const frame = upright ? { width: 400, height: 800 } : { width: 1_000, height: 500 };
  const chart = chartOf({ ...t, events }, frame, { upright });
  const view = wholeView(groundOf(chart.laid.axis, chart.laid.layout));
  return { chart, parts: drawView(chart, view, [], null).parts, id: (title) => byTitle.get(title)! };
}

describe.each([false, true])("where things are in a drawing with a close-up (upright: %s)", (upright) => {
  const { chart, parts, id } = opened(upright);
  const closeUp = chart.closeUps[0]!;

  it("a roof is under a place of it, wherever its words stand", () => {
    for (const { laid, content, left, top } of parts)
      for (const r of content.roofs) {
        const [along, across] = [(r.x0 + r.x1) / 2, (r.y0 + r.y1) / 2];
        const [x, y] = upright ? [left + across, top + along] : [left + along, top + across];
        expect(roofUnder(parts, x, y)).toBe(laid.data.ids[r.i]);
      }
    expect(parts.some((p) => p.content.roofs.length > 0)).toBe(true);
    expect(roofUnder(parts, -50, -50)).toBeNull();
  });

  it("an event stands on the ridge it is drawn on, in time order along it", () => {
    const at = (title: string) => standing(parts, id(title))!;
    expect([at("Bell").closeUp, at("Boats").closeUp, at("Ferry").closeUp, at("Night").closeUp]).toEqual([0, 0, -1, -1]);
    expect(at("Bell").from).toBeLessThan(at("Boats").from);
    expect(at("Ferry").to).toBeLessThan(at("Night").from);
    expect(at("Night").to).toBeLessThan(at("Last ferry").from);
    expect(standing(parts, "nobody")).toBeNull();
  });

  it("a part stands within its close-up's box", () => {
    const { from, across } = standing(parts, id("Bell"))!;
    const [x, y] = upright ? [across, from] : [from, across];
    expect(inBox(closeUp, x, y)).toBe(true);
  });

  it("on the main ridge a part is found where its whole is", () => {
    const night = chart.laid.data.ids.indexOf(id("Night"));
    expect(mainIndex(chart, id("Boats"))).toBe(night);
    expect(mainIndex(chart, id("Night"))).toBe(night);
    expect(mainIndex(chart, id("Ferry"))).toBe(0);
    expect(mainIndex(chart, "nobody")).toBe(-1);
    expect(mainIndex(chart, null)).toBe(-1);
  });

  it("a place belongs to the close-up it lies in, to the chart below, or to nothing on a close-up's roof and between", () => {
    const inside = partAt(chart, parts, closeUp.x + closeUp.w / 2, closeUp.y + HEAD + 20);
    expect(inside?.closeUp).toBe(0);
    expect(partAt(chart, parts, closeUp.x + 40, closeUp.y + HEAD / 2)).toBeNull();
    expect(partAt(chart, parts, 200, closeUp.y + closeUp.h + 2)).toBeNull();
    expect(partAt(chart, parts, 200, chart.top + 40)?.closeUp).toBe(-1);
  });
});
