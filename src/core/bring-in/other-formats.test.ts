import { spawnSync } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import fc from "fast-check";
import ICAL from "ical.js";
import { describe, expect, it } from "vitest";
import { apply } from "../change/apply";
import { type FormatId, writeFormat } from "../formats/formats";
import { type Frozen, toFrozen } from "../formats/frozen";
import { wordsOf } from "../formats/full-table";
import { writeICalendar } from "../formats/write-icalendar";
import { descriptionFrom } from "../text/write-description";
import { readWhen } from "../time/read/read-when";
import { emptyCategory, emptyEvent, emptyItem, emptyTimeline, type Timeline } from "../timeline/timeline";
import { bringIn } from "./bring-in";
import { readFile } from "./files/read-file";
import { lookAtRows } from "./look-at-rows";

const written = (id: FormatId, f: Frozen) => writeFormat(id, f, { width: 800, height: 400 });

/** Brought in as rows, as a file of another program is. */
async function rowsBack(name: string, bytes: Uint8Array): Promise<Frozen> {
  const found = await readFile(name, bytes, { today: 740_000 });
  if (found.kind !== "rows") throw new Error("no rows");
  const sheet = found.sheets[0]!;
  const looked = lookAtRows(sheet.cells, {}, [], sheet.uses ? { uses: sheet.uses, named: true } : {});
  let made = 0;
  const t = emptyTimeline("t");
  const steps = bringIn(t, looked.table.rows, { newId: () => `n${++made}`, client: 1 });
  let step = steps.next();
  while (!step.done) step = steps.next();
  if ("tooLong" in step.value) throw new Error("too long");
  return toFrozen(apply(t, step.value.ops).timeline, true);
}

const TYPED = [
  "1846",
  "c. 1604",
  "14 Nov 1872",
  "14 Nov 1872 22:10",
  "1631 - 1702",
  "310 BC",
  "2 May 2001",
  "3 May 2001 10:00 to 11:00",
  "about 1702 to 1710",
  "from 1890",
  "spring 1783",
];
const TITLES = [
  "Flood",
  "The long night flood",
  "Überschwemmung",
  "=1+2 tolls",
  "Bell & <rope>",
  "Bridge * one_two *",
  "洪水",
  "Ferry, sold; again",
];
const TEXTS = ["", "One boat.", "First line.\n\nSecond, with <b> & *stars*."];
const event = fc.record({
  typed: fc.constantFrom(...TYPED),
  title: fc.constantFrom(...TITLES),
  text: fc.constantFrom(...TEXTS),
  category: fc.boolean(),
  place: fc.constantFrom("", "Ambrelford"),
  point: fc.constantFrom(null, { lat: 51.5, lon: -2.25 }, { lat: -33.86785, lon: 151.20732 }),
  source: fc.constantFrom("", "Parish book, 4"),
});
const timelines = fc.array(event, { minLength: 1, maxLength: 6 }).map(
  (list): Timeline => ({
    ...emptyTimeline("t"),
    title: "How the Ambrel was crossed",
    categories: new Map([["c", { ...emptyCategory("c"), name: "Crossing" }]]),
    events: new Map(
      list.map((e, n) => [
        `e${n}`,
        {
          ...emptyEvent(`e${n}`),
          title: e.title,
          place: e.place,
          point: e.point,
          when: readWhen(e.typed),
          category: e.category ? "c" : null,
          description: e.text ? descriptionFrom(e.text.split("\n\n"), 1) : new Uint8Array(0),
        },
      ]),
    ),
    items: new Map(
      list.flatMap((e, n) =>
        e.source
          ? [[`s${n}`, { ...emptyItem(`s${n}`), of: `e${n}`, list: "source" as const, text: e.source }] as const]
          : [],
      ),
    ),
  }),
);

/** What a format says of a timeline, as far as it goes (docs/formats.md). */
const said: Partial<Record<FormatId, (f: Frozen) => unknown>> = {
  md: (f) =>
    f.events.map((e) => [
      e.when.edtf,
      plain(e.title),
      plain(wordsOf(e.description)),
      nameOf(f, e.category),
      e.place,
      sourcesOf(f, e.id),
    ]),
  html: (f) =>
    f.events.map((e) => [
      e.when.edtf,
      e.title,
      wordsOf(e.description),
      nameOf(f, e.category),
      e.place,
      sourcesOf(f, e.id),
    ]),
  txt: (f) => f.events.map((e) => [e.when.edtf, e.title, wordsOf(e.description)]),
  ics: (f) => f.events.map((e) => [e.when.edtf, e.title, nameOf(f, e.category), e.place, e.point]),
};
/** Signs of Markdown stay behind in texts that are read as they stand. */
const plain = (text: string) => text.replaceAll("\\", "");
const nameOf = (f: Frozen, id: string | null) => f.categories.find((c) => c.id === id)?.name ?? "";
const sourcesOf = (f: Frozen, id: string) =>
  f.items.filter((i) => i.of === id && i.list === "source").map((i) => i.text);

describe("a timeline in a form that cannot say everything comes back as far as that goes", () => {
  it.each(Object.keys(said) as FormatId[])("%s", async (id) => {
    await fc.assert(
      fc.asyncProperty(timelines, async (t) => {
        const f = toFrozen(t, true);
        const back = await rowsBack(`x.${id}`, await written(id, f));
        expect(said[id]!(back)).toEqual(said[id]!(f));
      }),
      { numRuns: 150, seed: 3 },
    );
  });

  it("GEDCOM: persons, families, their facts, dates in its words and places", async () => {
    const file = `0 HEAD\n1 GEDC\n2 VERS 7.0\n0 @I1@ INDI\n1 NAME Ada /Bell/\n1 BIRT\n2 DATE ABT 1840\n2 PLAC Ambrelford\n3 MAP\n4 LATI N51.5\n4 LONG W2.25\n1 DEAT\n2 DATE 3 MAR 1902\n0 @F1@ FAM\n1 HUSB @I2@\n1 WIFE @I1@\n1 MARR\n2 DATE BET 1861 AND 1862\n0 @I2@ INDI\n1 NAME Tom /Reed/\n1 RESI\n2 DATE FROM 1850 TO 1899\n2 NOTE By the ford\n3 CONT twice\n1 DEAT Y\n0 TRLR\n`;
    const first = await rowsBack("x.ged", new TextEncoder().encode(file));
    const out = new TextDecoder().decode(await written("ged", first));
    expect(out).toContain("0 @F1@ FAM\n1 HUSB @I2@\n1 WIFE @I1@\n1 MARR\n2 DATE BET 1861 AND 1862\n");
    expect(out).toContain("1 NAME Ada /Bell/");
    const again = await rowsBack("x.ged", new TextEncoder().encode(out));
    const facts = (f: Frozen) =>
      f.events.map((e) => [e.title, e.when.typed, e.place, e.point, wordsOf(e.description), e.origin]).sort();
    expect(facts(again)).toEqual(facts(first));
    expect(first.events.find((e) => e.place)!.point).toEqual({ lat: 51.5, lon: -2.25 });
    expect(first.events).toHaveLength(4);
  });
});

it("a calendar is one to another reader: days end the day before, times are times, what is not a day is a journal entry", () => {
  const t: Timeline = {
    ...emptyTimeline("t"),
    events: new Map(
      ["2 May 2001 to 4 May 2001", "3 May 2001 10:00 to 11:30", "c. 1604", "310 BC", ""].map((typed, n) => [
        `e${n}`,
        {
          ...emptyEvent(`e${n}`),
          title: `Day ${n}`,
          when: typed ? readWhen(typed) : { ...readWhen(""), place: { after: null, key: "a0" } },
        },
      ]),
    ),
  };
  const calendar = new ICAL.Component(ICAL.parse(writeICalendar(toFrozen(t))));
  const events = calendar.getAllSubcomponents("vevent").map((c) => new ICAL.Event(c));
  expect(events.map((e) => [e.summary, e.startDate.toString(), e.endDate.toString()])).toEqual([
    ["Day 0", "2001-05-02", "2001-05-05"],
    ["Day 1", "2001-05-03T10:00:00", "2001-05-03T11:30:00"],
  ]);
  expect(calendar.getAllSubcomponents("vjournal")).toHaveLength(3);
  for (const c of calendar.getAllSubcomponents()) expect(c.hasProperty("uid") && c.hasProperty("dtstamp")).toBe(true);
});

const soffice = spawnSync("soffice", ["--version"]).status === 0;
describe(`LibreOffice ${soffice ? "opens" : "is not here (Debian: libreoffice-calc-nogui), so it does not open"} what we write`, () => {
  const formulas = ["=1+2", "+1+1", "-1+1", "@x", "'quoted", "plain"];
  const t: Timeline = {
    ...emptyTimeline("t"),
    events: new Map(
      formulas.map((title, n) => [
        `e${n}`,
        { ...emptyEvent(`e${n}`), title, when: readWhen(n === 0 ? "14 Nov 1972" : `${1800 + n}`) },
      ]),
    ),
  };
  it.skipIf(!soffice).each<[FormatId, string]>([
    ["xlsx", "csv:Text - txt - csv (StarCalc):44,34,76"],
    ["ods", "csv:Text - txt - csv (StarCalc):44,34,76"],
  ])("%s: what begins like a formula stays a text, a day is a day", { timeout: 120_000 }, async (id, filter) => {
    const folder = mkdtempSync(join(tmpdir(), "office-"));
    try {
      writeFileSync(join(folder, `x.${id}`), await written(id, toFrozen(t, true)));
      const done = spawnSync("soffice", [
        "--headless",
        `-env:UserInstallation=file://${folder}/profile`,
        "--convert-to",
        filter,
        "--outdir",
        folder,
        join(folder, `x.${id}`),
      ]);
      expect(done.status).toBe(0);
      const back = await rowsBack("x.csv", readFileSync(join(folder, "x.csv")));
      expect(back.events.map((e) => e.title).sort()).toEqual([...formulas].sort());
      expect(readFileSync(join(folder, "x.csv"), "utf8")).toContain("14 Nov 1972,1972-11-14");
    } finally {
      rmSync(folder, { recursive: true });
    }
  });
});
