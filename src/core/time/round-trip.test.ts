import edtf from "edtf";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { civilFrom } from "./calendar";
import { partsOf, textOfParts } from "./parts";
import { readEdtf } from "./read/notation";
import { readWhen } from "./read/read-when";
import { extent, inDays } from "./when";
import { USUAL_MANNER, whenLabel, whenLongLabel } from "./write-when";
import { edtfOf, isExact } from "./write-edtf";

const YEAR = fc.oneof(
  fc.integer({ min: 1, max: 2100 }).map((y) => (y < 100 ? `AD ${y}` : String(y))),
  fc.integer({ min: 1, max: 4000 }).map((y) => `${y} BC`),
);
const MONTH = fc.constantFrom(
  "Jan",
  "Feb",
  "March",
  "April",
  "May",
  "June",
  "Jul",
  "Aug",
  "Sept",
  "Oct",
  "November",
  "December",
);
const DATE = fc.oneof(
  YEAR,
  fc.tuple(MONTH, YEAR).map((p) => p.join(" ")),
  fc.tuple(fc.integer({ min: 1, max: 28 }), MONTH, YEAR).map((p) => p.join(" ")),
  fc
    .tuple(
      fc.integer({ min: 1, max: 28 }),
      MONTH,
      YEAR,
      fc.integer({ min: 0, max: 23 }),
      fc.integer({ min: 0, max: 59 }),
    )
    .map(([d, m, y, h, n]) => `${d} ${m} ${y} ${h}:${String(n).padStart(2, "0")}`),
  fc.integer({ min: 100, max: 209 }).map((d) => `${d * 10}s`),
  fc.integer({ min: 2, max: 20 }).map((c) => `${c}th century`.replace("2th", "2nd").replace("3th", "3rd")),
);
const MARKED = fc
  .tuple(fc.constantFrom("", "about ", "before ", "after "), DATE, fc.constantFrom("", "?"))
  .map((p) => p.join(""));

describe("writing and reading", () => {
  it("give the same value: as label, as ISO 8601-2, as JSON, in every manner", () => {
    const manner = fc.record({
      order: fc.constant<"dmy">("dmy"),
      months: fc.constantFrom<"names" | "numbers">("names", "numbers"),
      era: fc.constantFrom<"BC" | "BCE">("BC", "BCE"),
      weekdays: fc.boolean(),
      julian: fc.constant(true),
      language: fc.constantFrom("en", "de", "es"),
    });
    fc.assert(
      fc.property(MARKED, manner, (typed, m) => {
        const when = readWhen(typed);
        if (when.readAs.kind !== "moment") return;
        expect(JSON.parse(JSON.stringify(when))).toEqual(when);
        const back = readWhen(whenLabel(when, m), { order: "dmy" });
        expect([back.edtf, back.readAs.kind], `${typed} as ${whenLabel(when, m)}`).toEqual([when.edtf, "moment"]);
        const read = readEdtf(when.edtf!);
        expect(read && edtfOf(read)).toBe(when.edtf);
        expect(isExact(when.readAs)).toBe(true);
      }),
      { seed: 21, numRuns: 3_000 },
    );
  });

  it("give the same span in every language, long and short", () => {
    const language = fc.constantFrom<"en" | "de" | "es">("en", "de", "es");
    const span = fc.tuple(DATE, DATE, fc.constantFrom("span", "from", "until", "between"));
    fc.assert(
      fc.property(span, language, fc.boolean(), ([a, b, shape], spoken, long) => {
        const typed = { span: `${a} - ${b}`, from: `from ${a}`, until: `until ${a}`, between: `between ${a} and ${b}` }[
          shape
        ]!;
        const when = readWhen(typed);
        if (when.readAs.kind === "not_understood") return;
        const label = (long ? whenLongLabel : whenLabel)(when, { ...USUAL_MANNER, language: spoken });
        // What lies between two dates is written by its edges, which are told from each other by their own exactness.
        if (shape === "between" && /\d:\d/.test(typed)) return;
        expect(readWhen(label).edtf, `${typed} as ${label}`).toBe(when.edtf);
      }),
      { seed: 25, numRuns: 3_000 },
    );
  });

  it("never end before they begin, and about only widens", () => {
    fc.assert(
      fc.property(MARKED, (typed) => {
        const r = readWhen(typed).readAs;
        if (r.kind !== "moment") return;
        const plain = extent({ ...r.at, about: false });
        const wide = extent(r.at);
        if (plain.from && plain.to) expect(inDays(plain.from)).toBeLessThan(inDays(plain.to));
        if (plain.from) expect(inDays(wide.from!)).toBeLessThanOrEqual(inDays(plain.from));
        if (plain.to) expect(inDays(wide.to!)).toBeGreaterThanOrEqual(inDays(plain.to));
      }),
      { seed: 22, numRuns: 2_000 },
    );
  });

  it("what cannot be said exactly is enclosed, and said not to be exact", () => {
    const r = readWhen("early 14 Nov 1872").readAs;
    const deep = readWhen("3 Mar 12000 BC").readAs;
    for (const reading of [r, deep]) {
      if (reading.kind !== "moment") continue;
      const back = readEdtf(edtfOf(reading)!);
      if (back?.kind !== "moment") throw new Error("not enclosed");
      expect(inDays(back.at.from!)).toBeLessThanOrEqual(inDays(reading.at.from!));
      expect(inDays(back.at.to!)).toBeGreaterThanOrEqual(inDays(reading.at.to!));
    }
    expect(deep.kind === "moment" && isExact(deep)).toBe(false);
  });

  it("taken apart and put together say the same", () => {
    const simple = fc
      .tuple(
        fc.constantFrom("", "about "),
        fc.oneof(
          YEAR,
          fc.tuple(MONTH, YEAR).map((p) => p.join(" ")),
          fc.tuple(fc.integer({ min: 1, max: 28 }), MONTH, YEAR).map((p) => p.join(" ")),
        ),
        fc.constantFrom("", "?"),
      )
      .map((p) => p.join(""));
    fc.assert(
      fc.property(
        simple,
        simple,
        fc.constantFrom("moment", "span", "from", "until"),
        fc.boolean(),
        (a, b, shape, julian) => {
          const typed =
            { moment: a, span: `${a} - ${b}`, from: `from ${a}`, until: `until ${a}` }[shape] +
            (julian ? " (Julian)" : "");
          const when = readWhen(typed);
          if (when.readAs.kind !== "moment" && when.readAs.kind !== "span") return;
          for (const spoken of ["en", "de", "es"] as const)
            expect(readWhen(textOfParts(partsOf(when), spoken)).edtf, `${typed} in ${spoken}`).toBe(when.edtf);
        },
      ),
      { seed: 23, numRuns: 1_500 },
    );
  });
});

describe("a second opinion, for level 0 and plain level 1", () => {
  it("agrees on the first and the last day", () => {
    const text = fc.oneof(
      fc.integer({ min: 1000, max: 2099 }).map(String),
      fc
        .tuple(fc.integer({ min: 1000, max: 2099 }), fc.integer({ min: 1, max: 12 }))
        .map(([y, m]) => `${y}-${String(m).padStart(2, "0")}`),
      fc
        .tuple(fc.integer({ min: 1000, max: 2099 }), fc.integer({ min: 1, max: 12 }), fc.integer({ min: 1, max: 28 }))
        .map(([y, m, d]) => `${y}-${String(m).padStart(2, "0")}-${String(d).padStart(2, "0")}`),
      fc.integer({ min: 100, max: 209 }).map((d) => `${d}X`),
      fc.tuple(fc.integer({ min: 1000, max: 2099 }), fc.constantFrom("?", "~", "%")).map(([y, q]) => `${y}${q}`),
    );
    fc.assert(
      fc.property(text, (t) => {
        const mine = readEdtf(t);
        if (mine?.kind !== "moment") throw new Error(`${t} was not read`);
        const other = edtf(t) as { min: number; max: number };
        const iso = (ms: number) => new Date(ms).toISOString().slice(0, 10);
        const own = (dayNumber: number) => {
          const { year, month, day } = civilFrom("gregorian", dayNumber);
          return `${year}-${String(month).padStart(2, "0")}-${String(day).padStart(2, "0")}`;
        };
        expect([own(mine.at.from!.day), own(mine.at.to!.day - 1)], t).toEqual([iso(other.min), iso(other.max)]);
      }),
      { seed: 24, numRuns: 600 },
    );
  });
});

it.each<[string, Partial<typeof USUAL_MANNER>, string]>([
  ["14 Nov 1872", { order: "mdy" }, "Nov 14, 1872"],
  ["14 Nov 1872", { months: "numbers" }, "14/11/1872"],
  ["14 Nov 1872", { months: "numbers", order: "mdy" }, "11/14/1872"],
  ["14 Nov 1872", { weekdays: true }, "Thu 14 Nov 1872"],
  ["310 BC", { era: "BCE" }, "310 BCE"],
  ["AD 96", { era: "BCE" }, "96 CE"],
  ["3 Mar 1702 (Julian)", { julian: false }, "14 Mar 1702"],
  ["14-19 Nov 1872", {}, "14 – 19 Nov 1872"],
  ["14 Nov 1872", { language: "de" }, "14. Nov. 1872"],
  ["14 Nov 1872", { language: "de", weekdays: true }, "Do 14. Nov. 1872"],
  ["14 Nov 1872", { language: "de", months: "numbers" }, "14.11.1872"],
  ["14 Nov 1872", { language: "de", order: "mdy" }, "14. Nov. 1872"],
  ["14-19 Nov 1872", { language: "de" }, "14. – 19. Nov. 1872"],
  ["2 Feb - 5 Mar 1900", { language: "de" }, "2. Feb. – 5. März 1900"],
  ["14 Nov 1872 22:10", { language: "de" }, "14. Nov. 1872 22:10"],
  ["14 Nov 1872 10 pm", { language: "de" }, "14. Nov. 1872 22 Uhr"],
  ["310 BC", { language: "de" }, "310 v. Chr."],
  ["310 BC", { language: "de", era: "BCE" }, "310 v. u. Z."],
  ["AD 96", { language: "de" }, "96 n. Chr."],
  ["1840s", { language: "de" }, "1840er"],
  ["early 1840s", { language: "de" }, "Anfang der 1840er"],
  ["late 16th century", { language: "de" }, "Ende des 16. Jahrhunderts"],
  ["about 1702", { language: "de" }, "um 1702"],
  ["4.6 billion years ago", { language: "de" }, "vor 4,6 Milliarden Jahren"],
  ["3 Mar 1702 (Julian)", { language: "de" }, "3. März 1702 (julianisch)"],
  ["from 1890", { language: "de" }, "ab 1890"],
  ["14 Nov 1872", { language: "es" }, "14 nov 1872"],
  ["14 Nov 1872", { language: "es", weekdays: true }, "jue 14 nov 1872"],
  ["310 BC", { language: "es" }, "310 a. C."],
  ["AD 96", { language: "es", era: "BCE" }, "96 e. c."],
  ["19th century", { language: "es" }, "siglo XIX"],
  ["late 16th century", { language: "es" }, "finales del siglo XVI"],
  ["1840s", { language: "es" }, "década de 1840"],
  ["before 1840s", { language: "es" }, "antes de 1840"],
  ["spring 1783", { language: "es" }, "primavera de 1783"],
  ["66 million years ago", { language: "es" }, "hace 66 millones de años"],
  ["1631-1702", { language: "es" }, "1631 – 1702"],
])("%s written in the manner %j is %s", (typed, manner, label) =>
  expect(whenLabel(readWhen(typed), { ...USUAL_MANNER, ...manner })).toBe(label),
);

it.each<["de" | "es", string, string]>([
  ["de", "14 Nov 1872", "Donnerstag, 14. November 1872"],
  ["es", "14 Nov 1872", "jueves, 14 de noviembre de 1872"],
  ["es", "Nov 1872", "noviembre de 1872"],
  ["es", "2 Feb - 5 Mar 1702", "jueves, 2 de febrero de 1702 – domingo, 5 de marzo de 1702"],
])("in running text, in %s, %s is %s", (spoken, typed, label) =>
  expect(whenLongLabel(readWhen(typed), { ...USUAL_MANNER, language: spoken })).toBe(label),
);
