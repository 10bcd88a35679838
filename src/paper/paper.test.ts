import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { type Frozen, toFrozen } from "@/core/formats/frozen";
import { PAPER_NAMES, type PaperWishes, PT_PER_MM, sheetOf, USUAL_WISHES } from "@/core/paper/sheets";
import { readWhen } from "@/core/time/read/read-when";
import { LOOKS, type LookName } from "@/core/timeline/looks";
import { descriptionFrom } from "@/core/text/write-description";
import { emptyCategory, emptyEvent, emptyItem, emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import { linesOf } from "./flow";
import { makePdf, planPaper } from "./make-pdf";
import { drawPicture } from "./picture";
import { scriptsOf, stretchesOf, widthOf } from "./type";

const hasPoppler = spawnSync("pdftotext", ["-v"]).error === undefined;
const withPoppler = hasPoppler ? it : it.skip;

const EVENTS: [title: string, when: string, text: string][] = [
  ["Ford stones laid", "about 1200 BC", "Eight flat stones."],
  ["Rope ferry licensed", "about 1604", "One boat of no more than twenty feet."],
  ["Timber bridge", "1702 - 1790", ""],
  ["Spring flood takes two arches", "19 Mar 1783", "The water stood in the nave."],
  ["Steam mill", "1840s", ""],
  ["The long night flood", "14 Nov 1872 22:00 - 15 Nov 1872 06:00", "Hour by hour."],
  ["Last ferry crossing", "27 Sep 1931", "Ada Tolley took the last fare."],
];

function timelineOf(more: Partial<Timeline> = {}): Timeline {
  const category = { ...emptyCategory("c"), name: "Crossing", colour: "copper" as const, pattern: "slanted" as const };
  return {
    ...emptyTimeline("t"),
    title: "How the Ambrel was crossed",
    byline: "Nia and Obi",
    categories: new Map([["c", category]]),
    events: new Map(
      EVENTS.map(([title, when, text], i) => [
        `e${i}`,
        {
          ...emptyEvent(`e${i}`),
          title,
          when: readWhen(when),
          category: "c",
          description: text ? descriptionFrom([text], 1) : new Uint8Array(0),
        },
      ]),
    ),
    ...more,
  };
}
const AROUND = { day: "27 November 2026", picture: async () => null };

async function inPoppler(
  bytes: Uint8Array,
  run: (file: string, folder: string) => void | Promise<void>,
): Promise<void> {
  const folder = mkdtempSync(join(tmpdir(), "fastigo-pdf-"));
  try {
    const file = join(folder, "a.pdf");
    writeFileSync(file, bytes);
    await run(file, folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
const words = (program: string, ...args: string[]) =>
  spawnSync(program, args, { encoding: "utf8", maxBuffer: 50_000_000 }).stdout;
const pdf = (frozen: Frozen, wishes: Partial<PaperWishes> = {}) =>
  makePdf(frozen, { ...USUAL_WISHES, ...wishes }, AROUND);

describe("a timeline on paper", () => {
  withPoppler("has the size that was asked for, on every sheet", async () => {
    const papers: PaperWishes["paper"][] = [...PAPER_NAMES, { w: 900, h: 300 }, { w: 5_000, h: 420 }];
    for (const paper of papers)
      for (const across of typeof paper === "string" ? [true, false] : [true]) {
        const made = await pdf(toFrozen(timelineOf()), { paper, across });
        await inPoppler(made.bytes, (file) => {
          const [, w, h] = /Page size: +([\d.]+) x ([\d.]+)/.exec(words("pdfinfo", file))!;
          const mm = sheetOf({ paper, across });
          expect([
            paper,
            Math.abs(Number(w) - mm.w * PT_PER_MM) < 1,
            Math.abs(Number(h) - mm.h * PT_PER_MM) < 1,
          ]).toEqual([paper, true, true]);
        });
      }
  });

  withPoppler("has its type inside, its words to be found, and is tagged", async () => {
    const made = await pdf(toFrozen(timelineOf()), { texts: true });
    await inPoppler(made.bytes, (file) => {
      const fonts = words("pdffonts", file).split("\n").slice(2).filter(Boolean);
      expect(fonts.length).toBeGreaterThan(2);
      for (const line of fonts) expect(line).toMatch(/ yes yes yes +\d+ +\d+$/);
      expect(words("pdfinfo", file)).toMatch(
        /Title: +How the Ambrel was crossed[\s\S]*Author: +Nia and Obi[\s\S]*Tagged: +yes/,
      );
      expect(words("pdfinfo", "-struct", file)).toMatch(/Document[\s\S]*H1[\s\S]*Figure[\s\S]*H2/);
      const chart = words("pdftotext", "-l", "1", file, "-").replaceAll(/\s+/g, " ");
      for (const [i, [title]] of EVENTS.entries()) expect(chart).toContain(`${i + 1}. ${title}`);
      expect(chart).toContain("Crossing");
      // In the order of time, numbered as the labels are.
      const texts = words("pdftotext", "-f", "2", file, "-").replaceAll(/\s+/g, " ");
      let at = -1;
      for (const [i, [title, , text]] of EVENTS.entries()) {
        for (const part of [`${i + 1}. `, title, text].filter(Boolean)) {
          const found = texts.indexOf(part, at + 1);
          expect([part, found > at]).toEqual([part, true]);
          at = found;
        }
      }
    });
  });

  withPoppler("folds: two pages a side, whose words stand where the booklet is opened at them", async () => {
    const flat = await pdf(toFrozen(timelineOf()), { what: "read", paper: { w: 148.5, h: 210 } });
    const made = await pdf(toFrozen(timelineOf()), { what: "read", paper: "a4", folded: true });
    expect(made.sheets).toBe(Math.ceil(flat.sheets / 4) * 2);
    expect(made.notices.join()).toContain("folded in the middle");
    await inPoppler(made.bytes, (file) => {
      const info = words("pdfinfo", file);
      expect(info).toMatch(/Title: +How the Ambrel was crossed/);
      expect(Number(/Pages: +(\d+)/.exec(info)![1])).toBe(made.sheets);
      const [, w, h] = /Page size: +([\d.]+) x ([\d.]+)/.exec(info)!;
      expect([Math.round(Number(w)), Math.round(Number(h))]).toEqual([842, 595]);
      for (const line of words("pdffonts", file).split("\n").slice(2).filter(Boolean))
        expect(line).toMatch(/ yes yes yes +\d+ +\d+$/);
      // The title page is the right half of the outer side.
      const half = ["-f", "1", "-l", "1", "-y", "0", "-W", "421", "-H", "595"];
      expect(words("pdftotext", ...half, "-x", "421", file, "-").replaceAll(/\s+/g, " ")).toContain("How the Ambrel");
      const all = words("pdftotext", file, "-").replaceAll(/\s+/g, " ");
      for (const [title] of EVENTS) expect(all).toContain(title);
    });
    // A chart is never folded.
    expect((await pdf(toFrozen(timelineOf()), { folded: true })).sheets).toBe(1);
  });

  withPoppler("no letter is cut by the edge of the sheet or lies in its margin", async () => {
    for (const wishes of [
      {},
      { paper: "a5" as const },
      { across: false },
      { border: true },
      { what: "read" as const },
      { what: "index" as const },
    ]) {
      const made = await pdf(toFrozen(timelineOf()), wishes);
      await inPoppler(made.bytes, (file) => {
        const page = sheetOf({ ...USUAL_WISHES, ...wishes });
        const boxes = [
          ...words("pdftotext", "-bbox", file, "-").matchAll(
            /<word xMin="([-\d.]+)" yMin="([-\d.]+)" xMax="([-\d.]+)" yMax="([-\d.]+)">/g,
          ),
        ];
        expect(boxes.length).toBeGreaterThan(15);
        for (const [, x0, y0, x1, y1] of boxes) {
          expect(Number(x0)).toBeGreaterThan(15);
          expect(Number(y0)).toBeGreaterThan(10);
          expect(Number(x1)).toBeLessThan(page.w * PT_PER_MM - 15);
          expect(Number(y1)).toBeLessThan(page.h * PT_PER_MM - 10);
        }
      });
    }
  });

  withPoppler("over several sheets shows every event on one at least, and says which sheet is which", async () => {
    const made = await pdf(toFrozen(timelineOf()), { sheets: { across: 3, down: 2 } });
    expect(made.sheets).toBe(6);
    await inPoppler(made.bytes, (file) => {
      const text = words("pdftotext", file, "-").replaceAll(/\s+/g, " ");
      // A label on a seam is whole once the sheets are glued; some of it is whole on one of them.
      for (const [title] of EVENTS)
        expect([title, title.split(" ").some((word) => text.includes(word))]).toEqual([title, true]);
      for (let n = 1; n <= 6; n++) expect(text).toContain(`Sheet ${n} of 6`);
    });
  });

  withPoppler("is drawn as the screen draws it: ink where the scene has ink", async () => {
    const timeline = timelineOf();
    const made = await pdf(toFrozen(timeline));
    const png = await drawPicture(
      toFrozen(timeline),
      { width: 1_100, height: 620, scale: 1, transparent: false, view: "" },
      async () => null,
    );
    await inPoppler(made.bytes, async (file, folder) => {
      words("pdftoppm", "-r", "96", "-png", "-singlefile", file, join(folder, "p"));
      const [a, b] = await Promise.all(
        [readFileSync(join(folder, "p.png")), Buffer.from(png)].map((x) => sharp(x).stats()),
      );
      // The same colours in like amounts: ridge, roofs and letters are there.
      for (const c of [0, 1, 2]) expect(Math.abs(a!.channels[c]!.mean - b!.channels[c]!.mean)).toBeLessThan(14);
      expect(a!.channels[0]!.stdev).toBeGreaterThan(20);
    });
  });

  it.each([...LOOKS] as LookName[])("in the look %s, with a texture and every pattern, nothing fails", async (look) => {
    const made = await pdf(toFrozen(timelineOf({ look, texture: "linen" })));
    expect(made.bytes.length).toBeGreaterThan(5_000);
    expect(made.notices).toEqual([]);
  });

  it("says before what has no room, and from which paper on it has", () => {
    const events = Array.from(
      { length: 10_000 },
      (_, i) =>
        [`e${i}`, { ...emptyEvent(`e${i}`), title: `Event ${i}`, when: readWhen(String(1000 + (i % 1000))) }] as const,
    );
    const planned = planPaper(toFrozen(timelineOf({ events: new Map(events) })), { ...USUAL_WISHES, paper: "a5" });
    expect(planned.notices.join(" ")).toMatch(/events find no room of their own on A5.*Even A0 is too small/);
  });

  it("names pictures that are coarse or not at hand, and prints all the same", async () => {
    const item = {
      ...emptyItem("i"),
      of: "e1",
      list: "media" as const,
      kind: "picture" as const,
      media: "m",
      width: 60,
      height: 40,
      text: "The ferry",
    };
    const frozen = toFrozen(timelineOf({ items: new Map([["i", item]]) }));
    expect(planPaper(frozen, USUAL_WISHES).notices[0]).toMatch(/“Rope ferry licensed” has \d+ of the [\d,]+ px/);
    const made = await pdf(frozen);
    expect(made.notices.join(" ")).toContain("A picture of “Rope ferry licensed” is not at hand");
  });

  it("says which letters no type has", async () => {
    const events = new Map([["e0", { ...emptyEvent("e0"), title: "洪水 and שיטפון 🌉", when: readWhen("1872") }]]);
    const made = await pdf(toFrozen(timelineOf({ events })));
    expect(made.notices.join(" ")).toMatch(/letters for .*Chinese.*Hebrew.*emoji|letters for/);
    expect(made.bytes.length).toBeGreaterThan(3_000);
  });

  it("nothing is a page that says so", async () => {
    const made = await pdf(toFrozen(emptyTimeline("t")));
    expect([made.sheets, made.notices]).toEqual([1, ["There is nothing to print yet."]]);
  });
});

describe("type", () => {
  const cut = { family: "hyperlegible", weight: 400 } as const;
  it("is taken apart into files that have all their letters, and nothing is lost", () => {
    const text = "Ångström Łódź Über 1872 – “ja”";
    const stretches = stretchesOf(text, cut);
    expect(stretches.map((s) => s.text).join("")).toBe(text);
    expect(new Set(stretches.map((s) => s.file.key)).size).toBe(2);
    expect(scriptsOf(new Set(["洪", "ш"]))).toBe("Chinese, Japanese or Korean, Cyrillic");
  });

  it("lines are no wider than they may be, and hold every word once", () => {
    const text = Array.from({ length: 60 }, (_, i) => `word${i}`).join(" ");
    const lines = linesOf([{ text, cut, fill: "#000" }], 10, 180);
    expect(
      lines
        .flat()
        .map((w) => w.text)
        .join(" "),
    ).toBe(text);
    for (const line of lines) expect(widthOf(line.map((w) => w.text).join(" "), cut, 10)).toBeLessThan(180.5);
    const long = linesOf([{ text: "x".repeat(300), cut, fill: "#000" }], 10, 100);
    expect(
      long
        .flat()
        .map((w) => w.text)
        .join(""),
    ).toBe("x".repeat(300));
  });
});

it("a picture is as large as it was asked for, and clear where it has no ground", async () => {
  const wishes = { width: 800, height: 500, scale: 2, transparent: true, view: "" };
  const png = await drawPicture(toFrozen(timelineOf()), wishes, async () => null);
  const { width, hasAlpha } = await sharp(png).metadata();
  expect([width, hasAlpha]).toEqual([1_600, true]);
  const corner = await sharp(png).extract({ left: 0, top: 0, width: 1, height: 1 }).raw().toBuffer();
  expect(corner.at(-1)).toBe(0);
});
