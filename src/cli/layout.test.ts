import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { afterAll, describe, expect, it } from "vitest";
import { canonicalJson } from "@/core/text/canonical-json";
import { toFrozen } from "@/core/formats/frozen";
import { readJson } from "@/core/formats/read-json";
import { readTable } from "@/core/formats/table";
import { writeCsv } from "@/core/formats/write-csv";
import { seededTimeline } from "@/core/testing/seeded-timeline";
import { convert } from "./convert";
import { layoutOf, readEvents, Refusal } from "./layout";

const folder = mkdtempSync(join(tmpdir(), "fastigo-cli-"));
afterAll(() => rmSync(folder, { recursive: true }));
const file = (name: string, text: string) => {
  const path = join(folder, name);
  writeFileSync(path, text);
  return path;
};
const table = (text: string) => {
  const read = readTable(text);
  if ("problem" in read) throw new Error(read.problem);
  return read.frozen;
};

const CSV = `Title,When,Category,Part of,Description,Source,Link,Picture,Credit,Colour
Rope ferry,c. 1604,Crossing,,"One boat.

Paid in eels.",County roll 12,https://archive.example/12,,,red
Timber bridge,1744-1783,crossing,,,,,,,
Nothing known,,,,,,,,,
A riddle,the year of the long beards,,,,,,,,
Flood,14 Nov 1872 22:10,Weather & water,Timber bridge,,"Post 3914
Post 3915",,https://pictures.example/flood.jpg,"Drawing: Nia",
`;

describe("a table of events", () => {
  const frozen = table(CSV);

  it("is read by the names of its columns, with records from 1 as ids", () => {
    expect(frozen.events.map((e) => [e.id, e.title])).toEqual([
      ["1", "Rope ferry"],
      ["2", "Timber bridge"],
      ["3", "Nothing known"],
      ["4", "A riddle"],
      ["5", "Flood"],
    ]);
    expect(frozen.categories.map((c) => c.name)).toEqual(["Crossing", "Weather & water"]);
    expect(frozen.events[1]!.category).toBe(frozen.events[0]!.category);
    expect(frozen.events[4]!.partOf).toBe("2");
    expect(frozen.events[0]!.description).toHaveLength(2);
    expect(frozen.items.filter((i) => i.of === "5").map((i) => [i.list, i.text || i.address, i.credit])).toEqual([
      ["source", "Post 3914", ""],
      ["source", "Post 3915", ""],
      ["media", "https://pictures.example/flood.jpg", "Drawing: Nia"],
    ]);
  });

  it("puts what has no date, or none that is understood, after the dated record above it", () => {
    expect(frozen.events[2]!.when.place?.after).toBe("2");
    expect(frozen.events[3]!.when).toMatchObject({ typed: "the year of the long beards", place: { after: "2" } });
    const order = layoutOf(frozen, { width: 1_000, height: 400, scale: "even" });
    const apex = new Map([
      ...order.moments.map((m) => [m.id, m.apex] as const),
      ...order.spans.map((s) => [s.id, s.x0] as const),
    ]);
    expect([...apex].sort((a, b) => a[1] - b[1]).map(([id]) => id)).toEqual([1, 2, 3, 4, 5]);
  });

  it("is written so that reading it gives the same again", () => {
    const again = table(writeCsv(frozen));
    expect(again).toEqual(frozen);
    expect(writeCsv(again)).toBe(writeCsv(frozen));
  });

  it("goes through JSON unchanged, and a later format or another JSON is refused with a sentence", () => {
    const text = canonicalJson(frozen);
    const read = readJson(text);
    expect("frozen" in read && canonicalJson(read.frozen)).toBe(text);
    for (const [bad, says] of [
      ["{", /not JSON/],
      ["[]", /no timeline of Fastigo/],
      ['{"events":1}', /no timeline of Fastigo/],
      ['{"format":99,"events":[]}', /later Fastigo/],
      ['{"events":[{"when":{"readAs":{"kind":"moment"}}}]}', /Event 1 .* no date/],
    ] as const) {
      const r = readJson(bad);
      expect("problem" in r ? r.problem : "").toMatch(says);
    }
  });

  it("without a header that says what is what is refused with a sentence", () => {
    const r = readTable("Name,Year\nx,1872\n");
    expect("problem" in r ? r.problem : "").toMatch(/first line must name the columns/);
  });
});

describe("the layout command", () => {
  const all = (l: ReturnType<typeof layoutOf>) => [
    ...l.labels.map((x) => x.id),
    ...l.clusters.flatMap((c) => c.ids),
    ...l.spans
      .map((s) => s.id)
      .filter((id) => !l.labels.some((x) => x.id === id) && !l.clusters.some((c) => c.ids.includes(id))),
  ];

  it.each([
    [15, 1_280],
    [60, 1_280],
    [60, 320],
    [600, 1_000],
  ])("puts each of %i records in exactly one place at %i px, whole or in a window", (n, width) => {
    for (const scale of ["true", "even", "balanced"] as const)
      for (const kind of ["spread", "mixed", "same"] as const) {
        const frozen = toFrozen(seededTimeline(n, 4, kind, scale));
        const whole = layoutOf(frozen, { width, height: 500, scale });
        expect(all(whole).sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i + 1));
        expect([whole.before, whole.after]).toEqual([0, 0]);
        const part = layoutOf(frozen, { width, height: 500, scale, from: "1700", to: "1809" });
        const ids = all(part);
        expect(new Set(ids).size).toBe(ids.length);
        expect(ids.length + part.before + part.after).toBe(n);
      }
  });

  it("puts each record in one place in rows by category and upright too, and no two labels meet", () => {
    for (const more of [{ rows: true }, { upright: true }])
      for (const n of [24, 200]) {
        const frozen = toFrozen(seededTimeline(n, 9, "mixed", "balanced"));
        const l = layoutOf(frozen, { width: 900, height: 1_100, ...more });
        expect(all(l).sort((a, b) => a - b)).toEqual(Array.from({ length: n }, (_, i) => i + 1));
        const boxes = [...l.labels, ...l.clusters.map((c) => ({ ...c, id: 0 }))];
        for (const [i, a] of boxes.entries())
          for (const b of boxes.slice(i + 1)) {
            const apart =
              a.x + a.w <= b.x + 0.5 || b.x + b.w <= a.x + 0.5 || a.y + a.h <= b.y + 0.5 || b.y + b.h <= a.y + 0.5;
            expect(apart, `${a.id} meets ${b.id}`).toBe(true);
          }
        const part = layoutOf(frozen, { width: 900, height: 1_100, from: "1700", to: "1850", ...more });
        expect(all(part).length + part.before + part.after).toBe(n);
      }
  });

  it("in rows gives every category roofs and plumb lines of its own, below those before it", () => {
    const l = layoutOf(table(CSV), { width: 900, height: 500, rows: true });
    const y = (id: number) => l.moments.find((m) => m.id === id)?.y ?? l.spans.find((s) => s.id === id)!.y1;
    expect(y(2)).toBeLessThan(y(1));
    expect(y(5)).toBeGreaterThan(y(1) + 60);
    expect(y(3)).toBeGreaterThan(y(5) + 60);
  });

  it("says where everything is, in the frame", () => {
    const l = layoutOf(table(CSV), { width: 900, height: 420 });
    expect(Object.keys(l)).toEqual([
      "width",
      "height",
      "labels",
      "leaders",
      "moments",
      "spans",
      "clusters",
      "closeUps",
      "used",
      "ticks",
      "before",
      "after",
    ]);
    expect(l.labels.find((x) => x.id === 5)).toMatchObject({ of: "moment", lines: ["14 Nov 1872 22:10", "Flood"] });
    expect(l.labels.find((x) => x.id === 2)).toMatchObject({ of: "span", lines: ["Timber bridge"] });
    for (const x of l.leaders) {
      const m = l.moments.find((y) => y.id === x.id)!;
      expect(x.points[0]![0]).toBeCloseTo(m.apex, 1);
    }
    for (const m of l.moments) expect(m.apex >= m.x0 - 0.01 && m.apex <= m.x1 + 0.01).toBe(true);
    expect(l.ticks.filter((t) => t.major).length).toBeGreaterThan(1);
    expect(l.closeUps).toEqual([]);
  });

  it("says of each label how its words are set, of each span where its title is, and what of the frame is used", () => {
    const csv =
      "When,Title,Picture\n1604,Rope ferry,https://a.example/x.png\n1744 - 1783,Timber bridge,\n1872,Flood,\n";
    const l = layoutOf(table(csv), { width: 1_280, height: 700 });
    const ferry = l.labels.find((x) => x.id === 1)!;
    expect(ferry).toMatchObject({ cut: false, type: 20, lines: ["1604", "Rope ferry"] });
    expect(ferry.picture!.h).toBe(240);
    expect(ferry.picture!.y).toBeGreaterThanOrEqual(ferry.y);
    expect(l.labels.find((x) => x.id === 3)!.picture).toBeNull();
    const [roof] = l.spans;
    expect(roof!.title).toMatchObject({ cut: false });
    expect(roof!.title!.x).toBeGreaterThan(roof!.x0);
    expect(l.used.h).toBeGreaterThan(400);
    expect(l.used.y + l.used.h).toBeLessThanOrEqual(700);
    // In a strip of a frame, a title on its roof is cut and says so.
    const words = "A very long name for one bridge that was built of timber and of stone and of both again";
    const narrow = layoutOf(table(`When,Title\n1744 - 1783,${words}\n1604,Ferry\n1931,End\n`), {
      width: 420,
      height: 300,
    });
    expect(narrow.spans[0]!.title).toMatchObject({ cut: true });
    expect(narrow.labels.find((x) => x.of === "span")!.cut).toBe(true);
  });

  it("of an empty file is empty lists", async () => {
    for (const [name, text] of [
      ["a.csv", ""],
      ["b.csv", "When,Title\n"],
      ["c.json", '{"events":[]}'],
      ["d.json", " \n"],
    ] as const) {
      const l = layoutOf(await readEvents(file(name, text)), { width: 400, height: 300 });
      expect([l.labels, l.leaders, l.moments, l.spans, l.clusters, l.ticks, l.before, l.after]).toEqual([
        [],
        [],
        [],
        [],
        [],
        [],
        0,
        0,
      ]);
    }
  });

  it.each<[string, () => Promise<unknown>]>([
    ["there is no such file", () => readEvents(join(folder, "missing.csv"))],
    ["ending in .csv or .json", () => readEvents(file("x.txt", ""))],
    ["is no date", async () => layoutOf(table(CSV), { width: 500, height: 300, from: "yesterday" })],
    ["is not before", async () => layoutOf(table(CSV), { width: 500, height: 300, from: "1900", to: "1800" })],
    [
      "can be written",
      () => convert(file("y.csv", CSV), join(folder, "y.doc"), { width: 500, height: 300, fonts: async () => "" }),
    ],
  ])("refuses with a sentence: %s", async (says, act) => {
    const refused = await act().then(
      () => null,
      (e: unknown) => e,
    );
    expect(refused).toBeInstanceOf(Refusal);
    expect((refused as Error).message).toContain(says);
  });

  it("converts a table to a drawing that stands alone, to JSON, and back", async () => {
    const input = file("in.csv", CSV);
    const to = (name: string) => join(folder, name);
    const options = { width: 800, height: 400, fonts: async () => "@font-face{}" };
    await convert(input, to("out.svg"), options);
    const svg = readFileSync(to("out.svg"), "utf8");
    expect(svg).toMatch(/^<svg xmlns/);
    expect(svg).toContain("@font-face{}");
    expect(svg).toContain("Rope ferry");
    await convert(input, to("out.json"), options);
    await convert(to("out.json"), to("back.csv"), options);
    expect(readFileSync(to("back.csv"), "utf8")).toContain("Rope ferry");
  });
});
