import { describe, expect, it } from "vitest";
import { readTable } from "@/core/formats/table";
import { chance } from "@/core/testing/seeded-timeline";
import { type LayoutOptions, layoutOf } from "./layout";
import { type Box, meet } from "@/core/testing/boxes";

const WORDS =
  "flood bridge ferry of the Ambrel opens market licensed night timber stone Überschwemmung 洪水 🌉 فيضان".split(" ");
const KINDS = ["mixed", "mixed", "deep", "night", "same", "spans", "none"] as const;

type Kind = (typeof KINDS)[number];
interface Case {
  name: string;
  count: number;
  kind: Kind;
  csv: string;
  options: LayoutOptions;
}

/** A table, a frame and a manner of drawing, all by chance but the same for the same seed. */
function caseOf(seed: number): Case {
  const r = chance(seed * 131 + 7);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(r() * list.length)]!;
  const kind = pick(KINDS);
  const count = pick([0, 1, 2, 3, 8, 15, 30, 45, 60, 61, 100, 220]);
  const when = () => {
    const y = Math.floor(1500 + r() * 500);
    const clock = `${Math.floor(r() * 24)}:${String(Math.floor(r() * 60)).padStart(2, "0")}`;
    const mixed = [
      `${y}`,
      `c. ${y}`,
      `${y}s`,
      `${1 + Math.floor(r() * 28)} Nov ${y}`,
      `${y} - ${y + Math.floor(r() * 80)}`,
      `about ${y} - ${y + 30}`,
      "",
      "whenever",
      `${y}?`,
      `before ${y}`,
      `after ${y}`,
      `from ${y}`,
      `${y}-present`,
      `${Math.ceil(r() * 20)}th century`,
      `${Math.floor(1 + r() * 3_000)} BC`,
      `14 Nov 1872 ${clock}`,
    ];
    const deep = [
      `${(r() * 4.6).toFixed(2)} Ga`,
      `${Math.floor(1 + r() * 500)} million years ago`,
      `${Math.floor(r() * 20_000)} BP`,
      `${y}`,
    ];
    const of: Record<Kind, () => string> = {
      mixed: () => pick(mixed),
      deep: () => pick(deep),
      night: () => `14 Nov 1872 ${clock}`,
      same: () => "14 Nov 1872",
      spans: () => `${y} - ${y + Math.floor(r() * r() * 200)}`,
      none: () => "",
    };
    return of[kind]();
  };
  const title = () =>
    r() < 0.03 ? "" : Array.from({ length: 1 + Math.floor(r() * pick([3, 6, 30])) }, () => pick(WORDS)).join(" ");
  const titles = Array.from({ length: count }, title);
  // In some tables events are part of others, whether they lie within them or not, now and then in circles.
  const share = pick([0, 0, 0.3, 0.8]);
  const wholes = titles.slice(0, 1 + Math.floor(count / 6));
  const whole = () => (r() < share ? pick(wholes.length > 0 ? wholes : [""]) : "");
  const rows = titles.map((t) =>
    [`"${when()}"`, `"${t}"`, pick(["Crossing", "Trade", "", "Town"]), r() < 0.2 ? "x" : "", `"${whole()}"`].join(","),
  );
  const options: LayoutOptions = {
    width: pick([320, 390, 600, 1_000, 1_280, 1_920]),
    height: pick([160, 300, 480, 800]),
    scale: pick(["true", "even", "balanced"] as const),
    ...pick([
      {},
      {},
      {},
      { from: "1700", to: "1900" },
      { from: "1872-11-14", to: "1872-11-15" },
      { from: "3000" },
      { upright: true },
      { rows: true },
    ]),
    ...(share > 0 ? { closeUps: pick(["auto", "all", "all", "none"] as const) } : {}),
  };
  return {
    name: `${seed}: ${count} ${kind} ${JSON.stringify(options)}`,
    count,
    kind,
    csv: ["When,Title,Category,Picture,Part of", ...rows].join("\n"),
    options,
  };
}

function passes([x0, y0]: [number, number], [x1, y1]: [number, number], b: Box): boolean {
  for (let t = 0; t <= 1; t += 1 / 32) {
    const [x, y] = [x0 + (x1 - x0) * t, y0 + (y1 - y0) * t];
    if (x > b.x + 0.6 && x < b.x + b.w - 0.6 && y > b.y + 0.6 && y < b.y + b.h - 0.6) return true;
  }
  return false;
}

/** How many close-ups were looked at. */
let opened = 0;

/** What is wrong with a layout; empty when nothing is. */
function wrong({ count, csv, options }: Case): string[] {
  const read = readTable(csv);
  if ("problem" in read) return [read.problem];
  const l = layoutOf(read.frozen, options);
  const found: string[] = [];
  const main = shownIn(l);
  const closed = l.closeUps.flatMap((c) => c.ids);
  const ids = [...main, ...closed];
  if (new Set(ids).size !== ids.length) found.push("a record stands twice");
  if (ids.length + l.before + l.after !== count) found.push(`${ids.length} + ${l.before} + ${l.after} of ${count}`);
  // What has no picture, and a roof without a title, say so.
  if (/null|NaN/.test(JSON.stringify(l).replaceAll(/"(picture|title)":null/g, ""))) found.push("a number is none");
  for (const x of l.labels) {
    if (x.picture && !within(x.picture, x)) found.push(`the picture of ${x.id} leaves its label`);
    if (!(x.type >= 11 && x.type <= 23)) found.push(`type of ${x.id}: ${x.type}`);
  }
  const whole = options.from === undefined;
  if (whole && !within(l.used, { x: 0, y: 0, w: l.width, h: l.height })) found.push("more is used than there is");
  const frame = { x: 0, y: 0, w: l.width, h: l.height };
  found.push(...wrongOn(l, whole ? frame : null, frame, options.upright ?? false, count <= 60));
  opened += l.closeUps.length;
  for (const c of l.closeUps) {
    const name = `close-up of ${c.id}: `;
    const own = shownIn(c);
    if (whole && own.sort().join() !== [...c.ids].sort().join()) found.push(`${name}it shows ${own} for ${c.ids}`);
    if (!within(c, frame)) found.push(`${name}it leaves the frame`);
    found.push(...wrongOn(c, c, c, options.upright ?? false, count <= 60).map((w) => name + w));
    for (const o of l.closeUps) if (o.id < c.id && meet(o, c)) found.push(`${name}it meets that of ${o.id}`);
    for (const b of whole ? [...l.labels, ...l.clusters] : [])
      if (meet(b, c)) found.push(`${name}it meets a label of the chart`);
  }
  return found;
}

type Ridge = Pick<ReturnType<typeof layoutOf>, "labels" | "leaders" | "spans" | "clusters" | "ticks">;

/** The records a ridge shows, each once: with a label, in a count, or as a roof without a title. */
function shownIn(l: Ridge): number[] {
  const titled = new Set([...l.labels.map((x) => x.id), ...l.clusters.flatMap((c) => c.ids)]);
  return [
    ...l.labels.map((x) => x.id),
    ...l.clusters.flatMap((c) => c.ids),
    ...l.spans.map((s) => s.id).filter((id) => !titled.has(id)),
  ];
}

const within = (a: Box, b: Box) =>
  a.x > b.x - 0.6 && a.x + a.w < b.x + b.w + 0.6 && a.y > b.y - 0.6 && a.y + a.h < b.y + b.h + 0.6;

/** What is wrong with what stands on one ridge: it leaves `bounds` (null: it may), meets, is struck through. */
function wrongOn(l: Ridge, bounds: Box | null, sight: Box, upright: boolean, few: boolean): string[] {
  const found: string[] = [];
  const boxes: (Box & { name: string })[] = [
    ...l.labels.map((x) => ({ ...x, name: `label ${x.id}` })),
    ...l.clusters.map((c) => ({ ...c, name: `count of ${c.ids.length}` })),
  ];
  for (const [i, a] of boxes.entries()) {
    if (bounds && !within(a, bounds)) found.push(`${a.name} leaves the frame`);
    const inSight = (b: Box) => b.x < sight.x + sight.w && b.x + b.w > sight.x;
    for (const b of boxes.slice(i + 1))
      if (inSight(a) && inSight(b) && meet(a, b)) found.push(`${a.name} meets ${b.name}`);
  }
  if (!upright)
    for (const a of l.labels)
      for (const s of l.spans)
        if (a.of === "span" && s.id !== a.id && meet(a, { x: s.x0, y: s.y0, w: s.x1 - s.x0, h: s.y1 - s.y0 }))
          found.push(`title ${a.id} lies on roof ${s.id}`);
  for (const x of few ? l.leaders : [])
    for (let k = 0; k + 1 < x.points.length; k++)
      for (const b of l.labels)
        if (b.id !== x.id && b.of === "moment" && passes(x.points[k]!, x.points[k + 1]!, b))
          found.push(`the line of ${x.id} passes label ${b.id}`);
  const ticks = l.ticks.filter((t) => t.text);
  for (const [k, t] of ticks.entries())
    if (k > 0 && t.x - t.w / 2 < ticks[k - 1]!.x + ticks[k - 1]!.w / 2 - 0.5)
      found.push(`${ticks[k - 1]!.text} meets ${t.text}`);
  return found;
}

describe("any table in any frame", () => {
  it.each([0, 1, 2, 3])("is laid out by all the rules (part %i of 4)", { timeout: 120_000 }, (part) => {
    opened = 0;
    for (let seed = part * 250; seed < (part + 1) * 250; seed++) {
      const c = caseOf(seed);
      expect({ [c.name]: wrong(c) }).toEqual({ [c.name]: [] });
    }
    expect(opened).toBeGreaterThan(60);
  });

  it("shows every label of all tables of up to 60 events in a laptop's frame", { timeout: 60_000 }, () => {
    let [all, complete] = [0, 0];
    for (let seed = 0; seed < 1_200; seed++) {
      const c = caseOf(seed);
      const { width, height } = c.options;
      if (c.count === 0 || c.count > 60 || c.kind === "same" || width < 1_000 || height < 480) continue;
      if (c.options.from || c.options.rows || c.options.upright) continue;
      const read = readTable(c.csv);
      if ("problem" in read) throw new Error(read.problem);
      all++;
      if (layoutOf(read.frozen, { ...c.options, closeUps: "none" }).clusters.length === 0) complete++;
    }
    expect(all).toBeGreaterThan(60);
    expect(complete).toBe(all);
  });
});
