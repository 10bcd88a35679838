import { describe, expect, it } from "vitest";
import type { Op } from "@/core/change/change";
import { knowLanguages } from "@/core/testing/languages";
import { fitsSchema } from "@/core/text/fits-schema";
import { readWhen } from "@/core/time/read/read-when";
import { UNDATED } from "@/core/time/when";
import { LANGUAGES as KNOWN, type Language, speakIn } from "@/core/language/spoken";
import { type Field, TABLES } from "@/core/timeline/fields";
import {
  emptyCategory,
  emptyEvent,
  emptyItem,
  emptySource,
  emptyTimeline,
  type Timeline,
} from "@/core/timeline/timeline";
import { fieldName, inWords, isOrder, isSpoken, value } from "./step-words";

const LANGUAGES = knowLanguages();
const t: Timeline = {
  ...emptyTimeline("t"),
  events: new Map([["e", { ...emptyEvent("e"), title: "Flood" }]]),
  categories: new Map([["c", { ...emptyCategory("c"), name: "Weather" }]]),
  items: new Map([["m", { ...emptyItem("m"), of: "e", list: "media" as const, kind: "picture" as const }]]),
  sources: new Map([["s", { ...emptySource("s"), title: "The Ambrel and its crossings" }]]),
};
const RECORD = { timeline: "", event: "e", category: "c", item: "m", source: "s" } as const;

/** Some values that a field may hold, of every shape there is. */
const CANDIDATES: readonly unknown[] = [
  ..."balanced true even large small none room always unmarked never unpictured slate oak linen plain fill whole beside above north".split(
    " ",
  ),
  ..."south dmy mdy apa harvard numbered book archive open closed solid dots verdigris leaf picture page media de c e s x a0".split(
    " ",
  ),
  "",
  "2026-11-28",
  "#aa3300",
  true,
  false,
  null,
  -1,
  0,
  1,
  14,
  40,
  ["river", "ice"],
  [],
  ["date", "title"],
  [{ x: 10, y: 20, lat: 1, lon: 2 }],
  { lat: 52.1, lon: -1.5 },
  { x: 40.4, y: 60.6 },
  { along: 10, across: -40 },
  { kind: "list", text: "1872" },
  { kind: "step", unit: "years", step: 10 },
  { century: { amount: 20, unit: "year" } },
  { order: "mdy", months: "names", era: "BCE", weekdays: true, julian: false, clock: "12" },
  { of: "x", x: 0, y: 0, width: 50, height: 50, turn: 90 },
  { dark: "#000000", light: "#ffffff" },
  { DOI: "10.1/ambrel" },
  readWhen("14 Nov 1872"),
  UNDATED,
];

/** Every field of every table that people set, with the values of ours that it may hold. */
const SET = Object.entries(TABLES).flatMap(([kind, fields]) =>
  Object.entries(fields as Record<string, Field<unknown>>)
    .filter(([name, f]) => !f.serverOnly && !f.fixed && isSpoken(kind, name))
    .map(([name, f]) => ({
      kind: kind as keyof typeof RECORD,
      name,
      values: CANDIDATES.filter((v) => fitsSchema(f.schema, v)),
    })),
);
interface Schema {
  enum?: unknown[];
  anyOf?: Schema[];
}
/** The texts a field may be set to where they are listed, but for the one that stands for none. */
const chosen = (schema: Schema): string[] =>
  [...(schema.enum ?? []), ...(schema.anyOf ?? []).flatMap(chosen)].filter(
    (v): v is string => typeof v === "string" && v !== "",
  );
const NOT_WORDS = /undefined|\[object|NaN|null|\{|\}/;

describe.each(LANGUAGES)("a step of the history, in %s", (language: Language) => {
  const say = <T>(of: () => T): T => speakIn(language, of);

  it("names every field by the name people know it by", () => {
    const same: string[] = [];
    for (const { name, values } of SET) {
      expect([name, values.length > 0]).toEqual([name, true]);
      const said = say(() => fieldName(name));
      expect([name, said]).toEqual([name, expect.not.stringMatching(/[a-z][A-Z]|^$/)]);
      // What is not English is said otherwise, or is the same word there.
      if (language !== "en" && said === name) same.push(name);
    }
    expect(same).toEqual([]);
  });

  it("names every value that is chosen from a list by its name, never by the key under which it is kept", () => {
    const keys: string[] = [];
    for (const [kind, fields] of Object.entries(TABLES))
      for (const [name, f] of Object.entries(fields as Record<string, Field<unknown>>)) {
        if (f.serverOnly || f.fixed || !isSpoken(kind, name)) continue;
        for (const v of chosen(f.schema as Schema)) {
          const [text, english] = [say(() => value(v, name)), value(v, name)].map((said) =>
            said.replace(/[“”„«»]/g, ""),
          );
          if (language === "en" ? /[a-z][A-Z]|_/.test(text!) : text === english) keys.push(`${name} ${v}`);
        }
      }
    expect(keys).toEqual([]);
  });

  it("says what every field was and is, whatever it may hold", () => {
    for (const { kind, name, values } of SET)
      for (const v of values) {
        const op = {
          kind: `set_${kind}`,
          ...(kind === "timeline" ? {} : { id: RECORD[kind] }),
          field: name,
          value: v,
        } as Op;
        for (const was of [null, { value: v }, { value: undefined, skipped: "changed_since" }]) {
          const said = say(() => inWords(op, was, t));
          expect([name, v, said]).toEqual([name, v, expect.not.stringMatching(NOT_WORDS)]);
          expect(said.length).toBeLessThan(4_200);
        }
        const [text, none] = say(() => [value(v, name, t), value("", "title")]);
        const isNothing = v === null || v === "" || (Array.isArray(v) && v.length === 0);
        if (!isNothing) expect([name, v, text]).toEqual([name, v, expect.not.stringMatching(`^${none}$`)]);
      }
  });
});

describe("a step of the history", () => {
  const said = (op: Op, was: unknown = undefined) => inWords(op, { value: was }, t);
  it("reads as a sentence about what one knows", () => {
    expect(said({ kind: "set_event", id: "e", field: "category", value: "c" }, null)).toBe(
      "set category of “Flood” from nothing to “Weather”",
    );
    expect(said({ kind: "set_event", id: "e", field: "when", value: readWhen("1872") }, UNDATED)).toBe(
      "set date of “Flood” from “no date” to “1872”",
    );
    expect(said({ kind: "set_timeline", field: "scale", value: "even" }, "true")).toBe(
      "set the timeline's scale from “true” to “even”",
    );
    expect(said({ kind: "set_event", id: "e", field: "loudness", value: 1 } as Op, 0)).toBe(
      "set loudness of the label of “Flood” from “as usual” to “louder”",
    );
    expect(said({ kind: "set_event", id: "e", field: "onMap", value: { x: 40.4, y: 60.6 } } as Op, null)).toBe(
      "set spot on the map of “Flood” from nothing to 40 % across, 61 % down",
    );
    expect(said({ kind: "delete_event", id: "e" })).toBe("deleted “Flood”");
    expect(said({ kind: "set_event", id: "gone", field: "emphasis", value: true }, false)).toBe(
      "set importance of “Untitled” from no to yes",
    );
  });

  it("says of keys of an order that something was moved, not what the keys are", () => {
    const placed = (key: string) => ({ ...UNDATED, place: { after: null, key } });
    for (const [op, was, words] of [
      [{ kind: "set_category", id: "c", field: "place", value: "a0V" }, "a0", "moved category “Weather” in the order"],
      [{ kind: "set_item", id: "m", field: "place", value: "a0V" }, "a0", "moved a picture in the order"],
      [{ kind: "set_event", id: "e", field: "byHand", value: "a0V" }, "", "moved “Flood” in the order"],
      [{ kind: "set_event", id: "e", field: "when", value: placed("a1") }, placed("a0"), "moved “Flood” in the order"],
    ] as [Op, unknown, string][])
      expect(said(op, was)).toBe(words);
    // Where an event or a source has a place of the world, that is said.
    expect(said({ kind: "set_event", id: "e", field: "place", value: "Ambrelford" }, "")).toContain("“Ambrelford”");
    expect(isOrder("source", "place", "", "London")).toBe(false);
    expect(isOrder("event", "when", placed("a0"), readWhen("1872"))).toBe(false);
  });

  it("tells two manners of writing dates apart", () => {
    const manner = { order: "dmy", months: "names", era: "BC", weekdays: false, julian: false } as const;
    const ways = [manner, { ...manner, order: "mdy" }, { ...manner, era: "BCE" }, { ...manner, clock: "12" }];
    expect(new Set(ways.map((m) => value(m, "dateStyle"))).size).toBe(ways.length);
  });

  it("is said of each language that there is", () => {
    expect([...LANGUAGES].sort()).toEqual(Object.keys(KNOWN).sort());
  });
});
