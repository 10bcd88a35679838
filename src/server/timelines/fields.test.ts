import { describe, expect, it } from "vitest";
import postgres from "postgres";
import { canonicalJson } from "@/core/text/canonical-json";
import { timelineFromFrozen, toFrozen } from "@/core/formats/frozen";
import { readWhen } from "@/core/time/read/read-when";
import { type Field, TABLES } from "@/core/timeline/fields";
import { db } from "../db/pool";
import { shape } from "../http/shape";
import { edit, must } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { createTimeline } from "./create";
import { findTimeline } from "./queries";

withTestDatabase("fields");

type Table = keyof typeof TABLES;
const fieldsOf = (table: Table) => Object.entries(TABLES[table]) as [string, Field<unknown>][];

describe("the tables of fields", () => {
  it.each(Object.keys(TABLES) as Table[])(
    "every field of %s has its column, and its empty value may be set",
    async (table) => {
      const rows = await db()<{ columnName: string }[]>`
      select column_name from information_schema.columns where table_schema = 'public' and table_name = ${table}`;
      const columns = new Set(rows.map((r) => r.columnName));
      for (const [name, f] of fieldsOf(table)) {
        expect([name, columns.has(postgres.fromCamel(name))]).toEqual([name, true]);
        expect([name, shape(f.schema)(f.empty)]).toEqual([name, true]);
      }
    },
  );

  /** Another value than the empty one, for each field a browser sets. */
  const OTHER: Record<string, unknown> = {
    title: "Flood",
    subject: "River",
    byline: "Nia",
    period: readWhen("1600 - 1931"),
    scale: "even",
    dateOrder: "dmy",
    dateStyle: { order: "mdy", months: "names", era: "BC", weekdays: false, julian: true, clock: "12" },
    hemisphere: "south",
    margins: { year: { amount: 2, unit: "year" } },
    timesOn: readWhen("14 Nov 1872"),
    gridlines: true,
    marks: { kind: "list", text: "1872" },
    lengths: true,
    today: true,
    firstView: "1800-01-01T00:00:00..1900-01-01T00:00:00",
    shortTitle: "The flood",
    when: readWhen("14 Nov 1872"),
    category: "c",
    partOf: "whole",
    emphasis: true,
    sign: "bell",
    spot: { along: 10, across: -20 },
    closeUp: "open",
    done: 40,
    byHand: "a1",
    name: "Trade",
    colour: "#2b7a3f",
    look: "oak",
    paper: "#fdf6e3",
    texture: "linen",
    backStrength: 35,
    backFit: "whole",
    lineWeight: 1,
    labelDates: "unmarked",
    labelTitles: "unpictured",
    labelSays: ["date", "picture"],
    tones: { dark: "#101010", light: "#fafafa" },
    pattern: "dots",
    place: "b1",
    tags: ["flood", "long night"],
    note: "Ask at the archive",
    origin: "I7/BIRT",
    point: { lat: 51.50853, lon: -0.12574 },
    language: "cy",
    basedOn: { title: "Crossings", byline: "Obi", address: "/t/abc", at: "2026-11-27T10:00:00.000Z" },
    text: "A roll",
    caption: "The east bank",
    pictures: "small",
    typeSize: 16,
    coverPlace: "above",
    pictureBob: true,
    mapTies: [{ x: 10, y: 20, lat: 51.5, lon: -0.1 }],
    onMap: { x: 12.5, y: 80 },
    labelWords: "none",
    loudness: 1,
    focus: { x: 20, y: 62.5 },
    media: "part",
    width: 300,
    height: 200,
    cut: { of: "m", x: 10, y: 0, width: 50, height: 100, turn: 90 },
    moving: true,
    startAt: 12,
    endAt: 40.5,
    length: 61.25,
    spoken: "The bell rings.",
    subtitles: "WEBVTT\n\n00:00:01.000 --> 00:00:02.000\nThe bell\n",
    credit: "Nia",
    licence: "CC0",
    address: "https://archive.example/roll",
    foundOn: "2026-11-26",
    source: "s",
    page: "3-5",
    quote: "The long night",
    kind: "book",
    authors: ["Bell, Anna", "Ambrelford Town Council"],
    within: "Ambrel Papers",
    volume: "2",
    issue: "3",
    pages: "1-20",
    publisher: "Hollin Press",
    date: readWhen("Nov 1872"),
    lookedUp: "2026-11-25",
    callNumber: "AP 3914",
    rest: { ISBN: "123" },
    sourceManner: "numbered",
  };

  it("every field is set by a change, read back, and kept in the frozen form", async () => {
    const nia = await makePerson("Nia");
    const { id } = must(await createTimeline(nia.id, { title: "x", subject: "" }));
    for (const media of ["whole", "part"])
      await db()`
        insert into media (id, timeline_id, kind, name, created_by) values (${media}, ${id}, 'picture', 'x.png', ${nia.id})`;
    await edit(
      id,
      nia.id,
      { kind: "add_event", id: "whole", fields: { when: readWhen("1800 - 1900") } },
      { kind: "add_event", id: "e", fields: {} },
      { kind: "add_category", id: "c", fields: {} },
      { kind: "add_item", id: "i", fields: { of: "e", list: "media", media: "whole", kind: "picture" } },
      { kind: "add_source", id: "s", fields: {} },
    );
    const ids = { event: "e", category: "c", item: "i", source: "s" } as Record<Table, string>;
    const settable = (Object.keys(TABLES) as Table[]).flatMap((table) =>
      fieldsOf(table).flatMap(([field, f]) => (f.fixed || f.serverOnly ? [] : [{ table, field }])),
    );
    await edit(
      id,
      nia.id,
      ...settable.map(({ table, field }) => {
        expect([field, field in OTHER]).toEqual([field, true]);
        const value = OTHER[field];
        return (
          table === "timeline"
            ? { kind: "set_timeline", field, value }
            : { kind: `set_${table}`, id: ids[table], field, value }
        ) as never;
      }),
    );
    const { timeline } = (await findTimeline(id))!;
    const frozen = JSON.parse(canonicalJson(toFrozen(timeline)));
    const again = timelineFromFrozen(frozen);
    for (const { table, field } of settable)
      for (const t of [timeline, again]) {
        const record = {
          timeline: t,
          event: t.events.get("e"),
          category: t.categories.get("c"),
          item: t.items.get("i"),
          source: t.sources.get("s"),
        }[table] as unknown as Record<string, unknown>;
        // What only editors see is not in the frozen form.
        const unsaid = t === again && (TABLES[table] as Record<string, Field<unknown>>)[field]!.editorsOnly;
        const empty = (TABLES[table] as Record<string, Field<unknown>>)[field]!.empty;
        expect([field, record[field]]).toEqual([field, unsaid ? empty : OTHER[field]]);
      }
  });
});
