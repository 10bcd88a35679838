import { describe, expect, it } from "vitest";
import { wholeView, type View, zoomed } from "../axis/view";
import { type Box, meet } from "../../testing/boxes";
import { seededTimeline, studentTimeline, typedTimeline } from "../../testing/seeded-timeline";
import { emptyItem, type Item, type Timeline } from "../../timeline/timeline";
import { pictureOnRoof } from "../draw/draw-roofs";
import { drawView } from "../draw/draw-chart";
import { leader, pictureOf, textOfLabel } from "../draw/draw-labels";
import { type Chart, chartOf } from "./chart";
import { groundOf, uprightLength } from "./layout";
import { inFrame, rankX, titleBox } from "./shown";
import { usedBox } from "./used";

const SEEDS = Array.from({ length: 40 }, (_, k) => k + 1);
const student = (seed: number) => studentTimeline(6 + ((seed * 7) % 15), seed);
const moments = (t: Timeline) => [...t.events.values()].filter((e) => e.when.readAs.kind !== "span").length;

function seen(chart: Chart, view?: View) {
  const whole = wholeView(groundOf(chart.laid.axis, chart.laid.layout));
  const { parts } = drawView(chart, view ?? whole, "at rest", null);
  return { parts, content: parts[0]!.content, used: usedBox(chart, parts) };
}

/** The labels whose words are cut, and the heights of the pictures. */
function found(chart: Chart) {
  const { content, used } = seen(chart);
  const texts = content.labels.map((l) => textOfLabel(chart.laid, l.i));
  return {
    used,
    labels: content.labels.length,
    cut: texts.filter((t) => [t.date, ...t.lines].some((w) => w.endsWith("…"))).length,
    cutTitles: content.roofs.filter((r) => !r.title || r.title.cut !== null).length,
    pictures: texts.filter((t) => t.picture).map((t) => t.pictureH),
  };
}

describe.each([
  [1_280, 800, 110],
  [1_280, 420, 60],
])("what students hand in, in %i x %i px", (width, height, least) => {
  it("uses the height, cuts no title, and shows pictures large", () => {
    const pictures: number[] = [];
    for (const seed of SEEDS) {
      const t = student(seed);
      const f = found(chartOf(t, { width, height }));
      expect([seed, f.used.h >= 0.7 * height]).toEqual([seed, true]);
      expect([seed, f.used.y >= 0, f.used.y + f.used.h <= height]).toEqual([seed, true, true]);
      expect([seed, f.labels, f.cut, f.cutTitles]).toEqual([seed, moments(t), 0, 0]);
      pictures.push(...f.pictures);
    }
    expect(pictures.reduce((a, b) => a + b, 0) / pictures.length).toBeGreaterThan(least);
  });
});

describe("more room", () => {
  const STEPS = [
    [900, 420],
    [1_100, 500],
    [1_280, 600],
    [1_280, 800],
    [1_600, 900],
  ] as const;
  const typeOf = (t: Timeline, width: number, height: number) => chartOf(t, { width, height }).laid.layout.setting.type;

  // A search that is quick finds the best most times, not always: one step in fifteen may be a step back.
  it("seldom makes type smaller, and from the smallest frame to the largest never", () => {
    let back = 0;
    for (const seed of SEEDS) {
      const types = STEPS.map(([width, height]) => typeOf(student(seed), width, height));
      back += types.slice(1).filter((type, k) => type < types[k]!).length;
      expect([seed, types.at(-1)! >= types[0]!]).toEqual([seed, true]);
    }
    expect(back / (SEEDS.length * (STEPS.length - 1))).toBeLessThan(1 / 15);
  });

  it("by one event fewer seldom does either", () => {
    let [back, steps] = [0, 0];
    for (const seed of SEEDS.slice(0, 20)) {
      const t = student(seed);
      const before = typeOf(t, 1_280, 800);
      for (const id of [...t.events.keys()].filter((_, k) => k % 3 === 0)) {
        const events = new Map(t.events);
        events.delete(id);
        steps++;
        if (typeOf({ ...t, events }, 1_280, 800) < before) back++;
      }
    }
    expect(back / steps).toBeLessThan(1 / 6);
  });
});

it("upright on a phone every label is whole, over all the length its events need", () => {
  for (const seed of SEEDS) {
    const t = student(seed);
    const height = Math.max(844, uprightLength(t.events.size));
    const f = found(chartOf(t, { width: 390, height }, { upright: true }));
    // Of spans too: their words run across.
    expect([seed, f.labels, f.cut]).toEqual([seed, t.events.size, 0]);
    expect([seed, f.used.h >= 0.7 * height]).toEqual([seed, true]);
  }
});

it("upright a span that is seen is read, also when its middle is out of view", () => {
  const t = typedTimeline([
    ["1604", "Ferry"],
    ["1610 - 1900", "Tolls paid in salt"],
    ["1744 - 1783", "Timber bridge"],
    ["1931", "Last ferry"],
  ]);
  const chart = chartOf(t, { width: 390, height: 844 }, { upright: true });
  const g = groundOf(chart.laid.axis, chart.laid.layout);
  const titles = (view: View) =>
    seen(chart, view).content.labels.map((l) => [chart.laid.data.titles[l.i]!, l]) as [string, Box][];
  for (const factor of [1, 2, 4, 9, 30]) {
    // At its beginning, and at its end.
    for (const rank of [0, chart.laid.layout.byApex.length - 1]) {
      const whole = wholeView(g);
      const view = factor === 1 ? whole : zoomed(g, whole, rankX(chart.laid, g, whole, rank), factor);
      const shown = titles(view);
      const roof = seen(chart, view).content.roofs.find((r) => chart.laid.data.titles[r.i] === "Tolls paid in salt");
      const inView = roof ? Math.min(g.size, roof.top1) - Math.max(0, roof.top0) : 0;
      if (inView >= 150)
        expect([factor, rank, shown.map((s) => s[0])]).toEqual([
          factor,
          rank,
          expect.arrayContaining(["Tolls paid in salt"]),
        ]);
      for (const [i, a] of shown.entries()) for (const b of shown.slice(i + 1)) expect(meet(a[1], b[1])).toBe(false);
    }
  }
});

it.each([30, 45, 60])("of %i events no title is cut in 1280 x 800 px where all have their labels", (n) => {
  for (let seed = 1; seed <= 12; seed++) {
    const chart = chartOf(seededTimeline(n, seed, "spread", "balanced"), { width: 1_280, height: 800 });
    const f = found(chart);
    // One line says how many have none.
    if (chart.laid.layout.counted) continue;
    expect([seed, f.cut]).toEqual([seed, 0]);
  }
});

it("no label, picture, title or line lies on another at any zoom, however high the labels are", () => {
  for (const seed of SEEDS) {
    const chart = chartOf(student(seed), { width: 1_280, height: 800 });
    const { laid } = chart;
    const g = groundOf(laid.axis, laid.layout);
    let view = wholeView(g);
    for (let k = 0; k < 24; k++) {
      const { content } = seen(chart, view);
      const boxes: Box[] = content.labels.map((l) => l);
      for (const [i, a] of boxes.entries())
        for (const b of boxes.slice(i + 1)) if (meet(a, b)) throw new Error(`seed ${seed}, zoom ${k}: two labels meet`);
      for (const l of content.labels) {
        const points = leader(laid, l);
        const [x, y0, y1] = [points.at(-2)!, laid.layout.labelsTop, points.at(-1)!];
        for (const o of content.labels)
          if (o !== l && x > o.x + 1 && x < o.x + o.w - 1 && y0 < o.y + o.h && o.y < y1 && o.apex !== l.apex)
            throw new Error(`seed ${seed}, zoom ${k}: a line runs through a label`);
        const p = pictureOf(laid, l, textOfLabel(laid, l.i));
        if (p) {
          const box = inFrame(false, l);
          expect(p.x >= box.x - 0.5 && p.x + p.w <= box.x + box.w + 0.5 && p.y + p.h <= box.y + box.h).toBe(true);
        }
      }
      view = zoomed(g, view, rankX(laid, g, view, Math.floor(laid.layout.byApex.length * 0.4)), Math.SQRT2);
    }
  }
});

describe("what the author holds", () => {
  const drawn = (t: Timeline) => {
    const chart = chartOf(t, { width: 1_280, height: 700 });
    return { ...found(chart), type: chart.laid.layout.setting.type };
  };
  it.each([3, 8, 21])("stays held: pictures none, small, or as large as there is room (seed %i)", (seed) => {
    const t = student(seed);
    expect(drawn({ ...t, pictures: "none" }).pictures).toEqual([]);
    const small = drawn({ ...t, pictures: "small" }).pictures;
    expect(Math.max(...small)).toBeLessThanOrEqual(62);
    expect(Math.max(...drawn(t).pictures)).toBeGreaterThan(62);
  });

  it.each([12, 16, 20])("type of %i px", (typeSize) => {
    for (const seed of [3, 8, 21]) expect(drawn({ ...student(seed), typeSize }).type).toBe(typeSize);
    const many = chartOf({ ...seededTimeline(300, 1), typeSize }, { width: 1_280, height: 700 });
    expect(many.laid.layout.setting.type).toBe(typeSize);
  });
});

describe("roofs", () => {
  it("of spans alone stand in the middle of the frame, with larger titles", () => {
    const t = typedTimeline([
      ["1604 - 1688", "Tolls paid in salt"],
      ["1744 - 1783", "Timber bridge"],
      ["1800 - 1872", "Barge trade at its height"],
    ]);
    const { laid } = chartOf(t, { width: 1_280, height: 500 });
    expect(laid.layout.roofs.type).toBe(20);
    expect(laid.layout.roofs.roof).toBe(44);
    expect(laid.layout.ridgeTop).toBeGreaterThan(180);
  });

  it("keep their usual height where many stand over each other", () => {
    const t = typedTimeline(Array.from({ length: 30 }, (_, i) => [`${1700 + i} - ${1850 + i}`, "Keeper"] as const));
    expect(chartOf(t, { width: 1_280, height: 500 }).laid.layout.roofs.roof).toBeLessThanOrEqual(24);
  });
});

describe("pictures of spans", () => {
  const pictured = (t: Timeline): Timeline => {
    const spans = [...t.events.values()].filter((e) => e.when.readAs.kind === "span");
    const items = spans.map((e): [string, Item] => [
      `s${e.id}`,
      { ...emptyItem(`s${e.id}`), of: e.id, list: "media", kind: "picture", media: "m", width: 640, height: 400 },
    ]);
    return { ...t, items: new Map([...t.items, ...items]) };
  };
  const roofs = (t: Timeline) => seen(chartOf(t, { width: 1_280, height: 800 })).content.roofs;

  it("stand before titles where there is room, on no other roof or title, and take no title its room", () => {
    let pictures = 0;
    for (const seed of SEEDS) {
      const found = roofs(pictured(student(seed)));
      for (const r of found) {
        expect([seed, r.title?.cut ?? null]).toEqual([seed, null]);
        const p = pictureOnRoof(r);
        if (!p) continue;
        pictures++;
        expect([seed, p.h >= 22, p.y >= r.y0, p.y + p.h <= r.y1]).toEqual([seed, true, true, true]);
        for (const o of found) {
          if (o === r) continue;
          const other = [{ x: o.x0, y: o.y0, w: o.x1 - o.x0, h: o.y1 - o.y0 }];
          if (o.title) other.push(titleBox(o, o.title));
          for (const b of other)
            if (meet(p, b)) throw new Error(`seed ${seed}: a picture of a span lies on another roof`);
        }
      }
    }
    expect(pictures).toBeGreaterThan(40);
  });

  it("are none where the author wants none", () => {
    for (const seed of [3, 8, 21])
      expect(roofs({ ...pictured(student(seed)), pictures: "none" }).some((r) => pictureOnRoof(r))).toBe(false);
  });
});

describe("beside something that hangs open", () => {
  it("labels stand only where there is room, and each of them hangs from its own moment", () => {
    for (const seed of SEEDS) {
      const taken = { from: 300, to: 900 };
      const chart = chartOf(student(seed), { width: 1_280, height: 700 }, { taken });
      const { content } = seen(chart);
      for (const l of content.labels) expect(l.x + l.w <= taken.from || l.x >= taken.to).toBe(true);
      for (const c of content.counts) expect(c.x + c.w <= taken.from || c.x >= taken.to).toBe(true);
      const { roofs } = chart.laid.layout;
      const titles = content.roofs.filter((r) => r.title !== null);
      // Where they stand in few rows their titles are read all the same.
      if (chart.laid.layout.roofRows <= 5) expect(titles.length).toBe(content.roofs.length);
      else expect([titles.length, roofs.roof < 17]).toEqual([0, true]);
      const beside = chart.laid.layout.byApex.length - content.labels.length;
      const behind = Array.from(chart.laid.layout.hi.keys()).filter((r) => {
        const x = rankX(chart.laid, content.ground, content.view, r);
        return x > taken.from - 10 && x < taken.to + 10;
      });
      if (!chart.laid.layout.counted) expect(beside).toBe(behind.length);
    }
  });

  it("in a large timeline too", () => {
    const taken = { from: 300, to: 900 };
    const { content } = seen(chartOf(seededTimeline(800, 2), { width: 1_280, height: 700 }, { taken }));
    expect(content.labels.length).toBeGreaterThan(4);
    for (const l of content.labels) expect(l.x + l.w <= taken.from || l.x >= taken.to).toBe(true);
  });
});
