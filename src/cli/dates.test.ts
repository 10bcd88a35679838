import { Readable, Writable } from "node:stream";
import { describe, expect, it } from "vitest";
import type { ReadOptions } from "@/core/time/read/options";
import { dateLine, dates } from "./dates";

type Row = [input: string, edtf: string, from: string | null, to: string | null];

const MONTHS = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
];
const two = (n: number) => String(n).padStart(2, "0");
const four = (n: number) => String(n).padStart(4, "0");
const year = (n: number): [string, string] => [`${four(n)}-01-01T00:00:00`, `${four(n)}-12-31T23:59:59`];
const day = (iso: string): [string, string] => [`${iso}T00:00:00`, `${iso}T23:59:59`];
const ordinal = (n: number) =>
  `${n}${n % 100 >= 11 && n % 100 <= 13 ? "th" : (["th", "st", "nd", "rd"][n % 10] ?? "th")}`;

function expectRows(rows: Row[], options: ReadOptions = {}) {
  for (const [input, edtf, from, to] of rows) {
    const got = dateLine(input, options);
    expect([input, got.edtf, got.from, got.to], JSON.stringify(got)).toEqual([input, edtf, from, to]);
    // What is shown back reads the same.
    const again = dateLine(String(got.label), { order: "dmy", ...options });
    if (!/some |later/.test(String(got.label)))
      expect([again.from, again.to], `"${got.label}" for "${input}"`).toEqual([from, to]);
  }
}

describe("by rule", () => {
  it("every month by every name, in both orders (96)", () => {
    const rows: Row[] = MONTHS.flatMap((name, i) =>
      [name, name.slice(0, 3), `${name.slice(0, 3)}.`, name.toUpperCase()].flatMap((word): Row[] => [
        [`14 ${word} 1872`, `1872-${two(i + 1)}-14`, ...day(`1872-${two(i + 1)}-14`)],
        [`${word} 14, 1872`, `1872-${two(i + 1)}-14`, ...day(`1872-${two(i + 1)}-14`)],
      ]),
    );
    expect(rows.length).toBe(96);
    expectRows(rows);
  });

  it("every day of a month as an ordinal (31)", () => {
    expectRows(
      Array.from(
        { length: 31 },
        (_, i): Row => [`${ordinal(i + 1)} of March 1702`, `1702-03-${two(i + 1)}`, ...day(`1702-03-${two(i + 1)}`)],
      ),
    );
  });

  it("every month alone (24)", () => {
    const last = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
    expectRows(
      MONTHS.flatMap((name, i): Row[] =>
        [name, name.slice(0, 3)].map(
          (w): Row => [
            `${w} 1875`,
            `1875-${two(i + 1)}`,
            `1875-${two(i + 1)}-01T00:00:00`,
            `1875-${two(i + 1)}-${last[i]}T23:59:59`,
          ],
        ),
      ),
    );
  });

  it("every decade from the 1500s to the 1990s, with its thirds (200)", () => {
    const rows = Array.from({ length: 50 }, (_, k) => 1500 + k * 10)
      .filter((d) => d % 100 !== 0)
      .flatMap((d): Row[] => [
        [`${d}s`, `${d / 10}X`, year(d)[0], year(d + 9)[1]],
        [`early ${d}s`, `[${d}..${d + 3}]`, year(d)[0], year(d + 3)[1]],
        [`mid ${d}s`, `[${d + 4}..${d + 6}]`, year(d + 4)[0], year(d + 6)[1]],
        [`late ${d}s`, `[${d + 7}..${d + 9}]`, year(d + 7)[0], year(d + 9)[1]],
      ]);
    expect(rows.length).toBe(180);
    expectRows(rows);
  });

  it("every century AD, and some BC (26)", () => {
    expectRows(
      Array.from(
        { length: 21 },
        (_, k): Row => [
          `${ordinal(k + 1)} century`,
          `[${four(k * 100 + 1)}..${four(k * 100 + 100)}]`,
          year(k * 100 + 1)[0],
          year(k * 100 + 100)[1],
        ],
      ),
    );
    expectRows(
      Array.from(
        { length: 5 },
        (_, k): Row => [
          `${ordinal(k + 1)} century BC`,
          `[-${four(k * 100 + 99)}..${k === 0 ? "" : "-"}${four(k * 100)}]`,
          `-${four(k * 100 + 99)}-01-01T00:00:00`,
          `${k === 0 ? "" : "-"}${four(k * 100)}-12-31T23:59:59`,
        ],
      ),
    );
  });

  it("every hour of the day, on either clock (48)", () => {
    expectRows(
      Array.from({ length: 24 }, (_, h) => h).flatMap((h): Row[] => {
        const iso = `1872-11-14T${two(h)}:10`;
        const half = `${h % 12 === 0 ? 12 : h % 12}:10 ${h < 12 ? "am" : "pm"}`;
        return [
          [`14 Nov 1872 ${two(h)}:10`, iso, `${iso}:00`, `${iso}:59`],
          [`${half}, 14 Nov 1872`, iso, `${iso}:00`, `${iso}:59`],
        ];
      }),
    );
  });

  it("every dash a keyboard or a word processor makes, close and spaced (18)", () => {
    expectRows(
      ["-", "\u2010", "\u2011", "\u2012", "\u2013", "\u2014", "\u2015", "\u2212", "\uff0d"].flatMap((d): Row[] =>
        [`1631${d}1702`, `1631 ${d} 1702`].map((t): Row => [t, "1631/1702", year(1631)[0], year(1702)[1]]),
      ),
    );
  });

  it("every way to say about (10) and every weekday (14)", () => {
    expectRows(
      ["about", "around", "circa", "ca", "ca.", "c.", "approximately", "approx.", "roughly", "some"].map(
        (w): Row => [`${w} 1604`, "1604~", ...year(1604)],
      ),
    );
    for (const w of ["about", "c.", "~"]) expect(dateLine(`${w} 1604`, {}).margin).toEqual({ amount: 5, unit: "year" });
    expectRows(
      ["Monday", "Tuesday", "Wednesday", "Thursday", "Friday", "Saturday", "Sunday"].flatMap((w): Row[] =>
        [`${w} 14 Nov 1872`, `${w.slice(0, 3)}, 14 Nov 1872`].map((t): Row => [t, "1872-11-14", ...day("1872-11-14")]),
      ),
    );
  });

  it("seasons of the north and of the south (16)", () => {
    const of = (season: string, code: number, a: string, b: string): Row => [
      `${season} 1783`,
      `1783-${code}`,
      `${a}-01T00:00:00`,
      `${b}T23:59:59`,
    ];
    expectRows([
      of("spring", 21, "1783-03", "1783-05-31"),
      of("summer", 22, "1783-06", "1783-08-31"),
      of("autumn", 23, "1783-09", "1783-11-30"),
      of("fall", 23, "1783-09", "1783-11-30"),
      of("winter", 24, "1783-12", "1784-02-29"),
    ]);
    expectRows(
      [
        of("spring", 21, "1783-09", "1783-11-30"),
        of("summer", 22, "1783-12", "1784-02-29"),
        of("autumn", 23, "1783-03", "1783-05-31"),
        of("winter", 24, "1783-06", "1783-08-31"),
      ],
      { hemisphere: "south" },
    );
  });
});

describe("the settled meanings", () => {
  it.each<Row>([
    ["1846", "1846", "1846-01-01T00:00:00", "1846-12-31T23:59:59"],
    ["1600s", "16XX", "1600-01-01T00:00:00", "1699-12-31T23:59:59"],
    ["19th century", "[1801..1900]", "1801-01-01T00:00:00", "1900-12-31T23:59:59"],
    ["5th century BC", "[-0499..-0400]", "-0499-01-01T00:00:00", "-0400-12-31T23:59:59"],
    ["late 1600s", "[1667..1699]", "1667-01-01T00:00:00", "1699-12-31T23:59:59"],
    ["early 19th century", "[1801..1833]", "1801-01-01T00:00:00", "1833-12-31T23:59:59"],
    ["before 1650", "[..1649]", null, "1649-12-31T23:59:59"],
    ["after 1931", "[1932..]", "1932-01-01T00:00:00", null],
    ["between 1631 and 1702", "[1631..1702]", "1631-01-01T00:00:00", "1702-12-31T23:59:59"],
    ["until 1702", "../1702", null, "1702-12-31T23:59:59"],
    ["from 1890", "1890/..", "1890-01-01T00:00:00", null],
    ["1890-present", "1890/..", "1890-01-01T00:00:00", null],
    ["1958 – present", "1958/..", "1958-01-01T00:00:00", null],
    ["since 1958", "1958/..", "1958-01-01T00:00:00", null],
    ["-310", "-0309", "-0309-01-01T00:00:00", "-0309-12-31T23:59:59"],
    ["-0309", "-0309", "-0309-01-01T00:00:00", "-0309-12-31T23:59:59"],
    ["310 BC", "-0309", "-0309-01-01T00:00:00", "-0309-12-31T23:59:59"],
    ["500 BCE", "-0499", "-0499-01-01T00:00:00", "-0499-12-31T23:59:59"],
    ["1 BC", "0000", "0000-01-01T00:00:00", "0000-12-31T23:59:59"],
    ["AD 1", "0001", "0001-01-01T00:00:00", "0001-12-31T23:59:59"],
    ["AD 96", "0096", "0096-01-01T00:00:00", "0096-12-31T23:59:59"],
    ["29 Feb 1 BC", "0000-02-29", "0000-02-29T00:00:00", "0000-02-29T23:59:59"],
    ["1 Jan 4713 BC", "-4712-01-01", "-4712-01-01T00:00:00", "-4712-01-01T23:59:59"],
    ["310-281 BC", "-0309/-0280", "-0309-01-01T00:00:00", "-0280-12-31T23:59:59"],
    ["2-5 Feb 1900", "1900-02-02/1900-02-05", "1900-02-02T00:00:00", "1900-02-05T23:59:59"],
    ["14 Nov - 3 Dec 1872", "1872-11-14/1872-12-03", "1872-11-14T00:00:00", "1872-12-03T23:59:59"],
    ["Nov 1872 - Jan 1873", "1872-11/1873-01", "1872-11-01T00:00:00", "1873-01-31T23:59:59"],
    ["1872-73", "1872/1873", "1872-01-01T00:00:00", "1873-12-31T23:59:59"],
    ["1872-11", "1872-11", "1872-11-01T00:00:00", "1872-11-30T23:59:59"],
    ["14.11.1872", "1872-11-14", "1872-11-14T00:00:00", "1872-11-14T23:59:59"],
    ["14/11/1872", "1872-11-14", "1872-11-14T00:00:00", "1872-11-14T23:59:59"],
    ["11/14/1872", "1872-11-14", "1872-11-14T00:00:00", "1872-11-14T23:59:59"],
    ["3 Mar 1702 (Julian)", "1702-03-14", "1702-03-14T00:00:00", "1702-03-14T23:59:59"],
    ["29 Feb 1700 (Julian)", "1700-03-11", "1700-03-11T00:00:00", "1700-03-11T23:59:59"],
    ["12,000 BP", "[Y-10550..-9551]", "-10550-01-01T00:00:00", "-9551-12-31T23:59:59"],
    ["1872-11-14T22:10", "1872-11-14T22:10", "1872-11-14T22:10:00", "1872-11-14T22:10:59"],
  ])("%s", (...row) => expectRows([row]));

  it("a time needs its day; a range of times may cross midnight", () => {
    expect(dateLine("22:10", {})).toMatchObject({ ok: false });
    const options = { day: 683_988 + 0 };
    expect(dateLine("10-11:30 pm", options)).toMatchObject({ kind: "span" });
    expect(String(dateLine("10:10 pm", options).edtf)).toMatch(/T22:10$/);
    const night = dateLine("10 pm - 2 am", options);
    expect(String(night.to).slice(0, 10) > String(night.from).slice(0, 10)).toBe(true);
  });

  it.each<[string, string]>([
    ["The mill opened on 14 Nov 1872 in heavy rain.", "1872-11-14"],
    ["In 1766 the school moved onto the bridge, and in 1880 off it.", "1766"],
    ["It was about 1604 when the first rope was hung.", "1604~"],
    ["Nobody knows, though the plate says November 1846 quite plainly", "1846-11"],
  ])("the first date in “%s”", (text, edtf) => expect(dateLine(text, {}).edtf).toBe(edtf));
});

describe("ISO 8601-2", () => {
  it.each<[string, string | null, string | null]>([
    ["1985-04-12", "1985-04-12T00:00:00", "1985-04-12T23:59:59"],
    ["1985-04", "1985-04-01T00:00:00", "1985-04-30T23:59:59"],
    ["1985", "1985-01-01T00:00:00", "1985-12-31T23:59:59"],
    ["1985-04-12T23:20:30", "1985-04-12T23:20:30", "1985-04-12T23:20:30"],
    ["1985-04-12T23:20:30Z", "1985-04-12T23:20:30", "1985-04-12T23:20:30"],
    ["1985-04-12T23:20:30-04", "1985-04-12T23:20:30", "1985-04-12T23:20:30"],
    ["1985-04-12T23:20:30+04:30", "1985-04-12T23:20:30", "1985-04-12T23:20:30"],
    ["1964/2008", "1964-01-01T00:00:00", "2008-12-31T23:59:59"],
    ["2004-06/2006-08", "2004-06-01T00:00:00", "2006-08-31T23:59:59"],
    ["2004-02-01/2005-02-08", "2004-02-01T00:00:00", "2005-02-08T23:59:59"],
    ["2004-02-01/2005", "2004-02-01T00:00:00", "2005-12-31T23:59:59"],
    ["2005/2006-02", "2005-01-01T00:00:00", "2006-02-28T23:59:59"],
    ["Y170000002", "+170000002-01-01T00:00:00", "+170000002-12-31T23:59:59"],
    ["Y-170000002", "-170000002-01-01T00:00:00", "-170000002-12-31T23:59:59"],
    ["2001-22", "2001-06-01T00:00:00", "2001-08-31T23:59:59"],
    ["1984?", "1984-01-01T00:00:00", "1984-12-31T23:59:59"],
    ["2004-06~", "2004-06-01T00:00:00", "2004-06-30T23:59:59"],
    ["2004-06-11%", "2004-06-11T00:00:00", "2004-06-11T23:59:59"],
    ["201X", "2010-01-01T00:00:00", "2019-12-31T23:59:59"],
    ["20XX", "2000-01-01T00:00:00", "2099-12-31T23:59:59"],
    ["2004-XX", "2004-01-01T00:00:00", "2004-12-31T23:59:59"],
    ["1985-04-XX", "1985-04-01T00:00:00", "1985-04-30T23:59:59"],
    ["1985-XX-XX", "1985-01-01T00:00:00", "1985-12-31T23:59:59"],
    ["1985-04-12/..", "1985-04-12T00:00:00", null],
    ["1985/..", "1985-01-01T00:00:00", null],
    ["../1985-04-12", null, "1985-04-12T23:59:59"],
    ["1985-04/", "1985-04-01T00:00:00", null],
    ["/1985-04-12", null, "1985-04-12T23:59:59"],
    ["1984~/2004-06", "1984-01-01T00:00:00", "2004-06-30T23:59:59"],
    ["1984/2004-06~", "1984-01-01T00:00:00", "2004-06-30T23:59:59"],
    ["-1985", "-1985-01-01T00:00:00", "-1985-12-31T23:59:59"],
    ["Y-17E7", "-170000000-01-01T00:00:00", "-170000000-12-31T23:59:59"],
    ["1950S2", "1900-01-01T00:00:00", "1999-12-31T23:59:59"],
    ["Y171010000S3", "+171000000-01-01T00:00:00", "+171999999-12-31T23:59:59"],
    ["Y3388E2S3", "+338000-01-01T00:00:00", "+338999-12-31T23:59:59"],
    ["[1667,1668,1670..1672]", "1667-01-01T00:00:00", "1672-12-31T23:59:59"],
    ["[..1760-12-03]", null, "1760-12-03T23:59:59"],
    ["[1760-12..]", "1760-12-01T00:00:00", null],
    ["[1667,1760-12]", "1667-01-01T00:00:00", "1760-12-31T23:59:59"],
    ["156X-12-25", "1560-12-25T00:00:00", "1569-12-25T23:59:59"],
    ["15XX-12-25", "1500-12-25T00:00:00", "1599-12-25T23:59:59"],
    ["XXXX-12-XX", "0000-12-01T00:00:00", "9999-12-31T23:59:59"],
    ["1XXX-XX", "1000-01-01T00:00:00", "1999-12-31T23:59:59"],
    ["1XXX-12", "1000-12-01T00:00:00", "1999-12-31T23:59:59"],
    ["1984-1X", "1984-10-01T00:00:00", "1984-12-31T23:59:59"],
    ["190X-02-29", "1904-02-29T00:00:00", "1908-02-29T23:59:59"],
  ])("%s is read, and written again as it was", (edtf, from, to) => {
    expect(dateLine(edtf, {})).toMatchObject({ ok: true, edtf, exact: true, from, to });
  });

  it.each([
    "1985-13",
    "1985-02-30",
    "2004-06-11T25:00",
    "1985/1984",
    "Y19",
    "[",
    "[]",
    "[..]",
    "1985-XX-99",
    "-0000",
    "12X",
    "1985-04-12T",
    "../..",
  ])("%s is not", (text) => expect(dateLine(text, {}).ok).toBe(false));
});

describe("what is refused", () => {
  it.each<[string, string[]]>([
    ["03/04/1872", ["1872-04-03", "1872-03-04"]],
    ["1905-06", ["1905-06", "1905/1906"]],
    ["31 Feb 1900", ["1900-02-28", "1900-03-03"]],
    ["29 Feb 1900", ["1900-02-28", "1900-03-01"]],
    ["31 April 1872", ["1872-04-30", "1872-05-01"]],
    ["72", ["1872", "1972", "2072", "0072"]],
    ["14 Nov 72", ["1872-11-14", "1972-11-14", "2072-11-14", "0072-11-14"]],
    ["0", ["0000", "0001"]],
    ["1931 - 1604", ["1604/1931"]],
    ["14 Nov", []],
    ["32/13/1872", []],
    ["the day the bell rang", []],
    ["25:10 14 Nov 1872", []],
    ["", []],
  ])("%s", (input, edtfs) => {
    const got = dateLine(input, {}) as { ok: boolean; error: string; readings?: { edtf: string; label: string }[] };
    expect(got.ok).toBe(false);
    expect(got.error.length).toBeGreaterThan(10);
    expect((got.readings ?? []).map((r) => r.edtf)).toEqual(edtfs);
  });
});

describe("the command", () => {
  async function run(args: string[], input: string): Promise<{ status: number; lines: string[] }> {
    const written: string[] = [];
    const output = new Writable({
      write(chunk, _, done) {
        written.push(String(chunk));
        done();
      },
    });
    const status = await dates(args, Readable.from([input]), output, "usage");
    return { status, lines: written.join("").split("\n").filter(Boolean) };
  }

  it("writes a line for each line in order, refused and empty ones too, and ends with 0", async () => {
    const { status, lines } = await run(
      ["--order", "mdy", "--day", "1872-11-14"],
      "1846\n\n03/04/1872\nnonsense\r\n22:10",
    );
    expect(status).toBe(0);
    expect(
      lines
        .map((l) => JSON.parse(l) as { input: string; ok: boolean; edtf?: string })
        .map((l) => [l.input, l.ok, l.edtf]),
    ).toEqual([
      ["1846", true, "1846"],
      ["", false, undefined],
      ["03/04/1872", true, "1872-03-04"],
      ["nonsense", false, undefined],
      ["22:10", true, "1872-11-14T22:10"],
    ]);
  });

  it.each([[["--order", "dym"]], [["--day", "noon"]], [["--wide"]], [["--order"]]])("%j ends with 2", async (args) =>
    expect((await run(args, "1846")).status).toBe(2),
  );
});
