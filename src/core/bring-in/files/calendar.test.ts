import ICAL from "ical.js";
import { describe, expect, it } from "vitest";
import { dayFromGregorian } from "../../time/calendar";
import type { Found, ReadFileOptions } from "./found";
import { readText } from "./read-file";
import { type RepeatRule, repeatedDays } from "./repeats";

type Rows = Extract<Found, { kind: "rows" }>;

describe("a calendar", () => {
  const calendar = (...lines: string[]) =>
    `BEGIN:VCALENDAR\r\nVERSION:2.0\r\n${lines.join("\r\n")}\r\nEND:VCALENDAR\r\n`;
  const event = (...lines: string[]) => ["BEGIN:VEVENT", ...lines, "END:VEVENT"].join("\r\n");
  const rows = (text: string, options?: ReadFileOptions) =>
    (readText("ics", text, options) as Rows).sheets[0]!.cells.slice(1);
  it.each<[string, string[], string]>([
    ["a day", ["DTSTART;VALUE=DATE:18721114"], "1872-11-14"],
    [
      "days up to the one before the end",
      ["DTSTART;VALUE=DATE:20240503", "DTEND;VALUE=DATE:20240506"],
      "2024-05-03 to 2024-05-05",
    ],
    ["one day and its end", ["DTSTART;VALUE=DATE:20240503", "DTEND;VALUE=DATE:20240504"], "2024-05-03"],
    ["hours", ["DTSTART:20240503T100000", "DTEND:20240503T113000"], "2024-05-03 10:00 to 11:30"],
    ["over a night", ["DTSTART:20240503T220000", "DTEND:20240504T010000"], "2024-05-03 22:00 to 2024-05-04 01:00"],
    ["a length", ["DTSTART:20240503T220000", "DURATION:PT3H"], "2024-05-03 22:00 to 2024-05-04 01:00"],
    ["a year of three digits", ["DTSTART;VALUE=DATE:09870102"], "0987-01-02"],
    ["a day that never was", ["DTSTART;VALUE=DATE:20230230"], ""],
  ])("%s", (_, lines, when) => expect(rows(calendar(event(...lines, "SUMMARY:Market")))[0]![0]).toBe(when));

  it("has texts, folded lines, tasks and journals in their places", () => {
    const text = calendar(
      event(
        "UID:a1",
        "DTSTART;VALUE=DATE:20240503",
        "SUMMARY:Market\\, the",
        "  long one",
        "DESCRIPTION:First\\nSecond",
        "LOCATION:Ambrelford",
        "GEO:51.5;-2.25",
        "CATEGORIES:Town,fair",
        "URL:https://ambrel.example",
      ),
      "BEGIN:VTODO\r\nSUMMARY:Paint\r\nDUE;VALUE=DATE:20240601\r\nPERCENT-COMPLETE:40\r\nEND:VTODO",
      "BEGIN:VJOURNAL\r\nSUMMARY:No day\r\nEND:VJOURNAL",
    );
    expect(rows(text)).toEqual([
      [
        "2024-05-03",
        "Market, the long one",
        "First\nSecond",
        "Ambrelford",
        "51.5, -2.25",
        "Town",
        "fair",
        "https://ambrel.example",
        "",
        "a1",
      ],
      ["2024-06-01", "Paint", "", "", "", "", "", "", "40", ""],
      ["", "No day", "", "", "", "", "", "", "", ""],
    ]);
  });

  it("unfolds repeats within the time that is set, without those that were taken out or moved", () => {
    const text = calendar(
      event(
        "UID:m",
        "DTSTART;VALUE=DATE:20240501",
        "RRULE:FREQ=WEEKLY;BYDAY=WE",
        "EXDATE;VALUE=DATE:20240515",
        "SUMMARY:Market",
      ),
      event("UID:m", "RECURRENCE-ID;VALUE=DATE:20240508", "DTSTART;VALUE=DATE:20240509", "SUMMARY:Market, late"),
    );
    const found = readText("ics", text) as Rows;
    expect(found.repeats).toEqual({ from: "2024-05-01", to: "2025-05-01" });
    const may = rows(text, { repeats: { from: "2024-05-01", to: "2024-05-31" } });
    expect(may.map((r) => [r[0], r[9]])).toEqual([
      ["2024-05-01", "m"],
      ["2024-05-22", "m/2024-05-22"],
      ["2024-05-29", "m/2024-05-29"],
      ["2024-05-09", "m"],
    ]);
  });

  it("says what it does not follow, and of what there is too much", () => {
    const often = readText(
      "ics",
      calendar(event("DTSTART:20240501T100000Z", "RRULE:FREQ=MINUTELY", "SUMMARY:Bell")),
    ) as Rows;
    expect(often.notes.join(" ")).toMatch(/UTC.*|oftener than daily/);
    expect(often.sheets[0]!.cells).toHaveLength(2);
    const many = readText("ics", calendar(event("DTSTART;VALUE=DATE:19000101", "RRULE:FREQ=DAILY", "SUMMARY:Bell")), {
      repeats: { from: "1900-01-01", to: "2000-01-01" },
    }) as Rows;
    expect(many.sheets[0]!.cells).toHaveLength(5_001);
    expect(many.notes.join(" ")).toContain("Of what comes again only the first 5,000 are here.");
  });

  it("of thousands of rules that never come again ends", () => {
    const never = event("DTSTART;VALUE=DATE:20240101", "RRULE:FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=30", "SUMMARY:Never");
    const found = readText("ics", calendar(...Array.from({ length: 2_000 }, () => never)), {
      repeats: { from: "2024-01-01", to: "2300-01-01" },
    }) as Rows;
    expect(found.sheets[0]!.cells).toHaveLength(2_001);
    expect(found.notes).toHaveLength(1);
  });

  it("that is none is refused with a sentence", () => {
    for (const text of ["", "x", "BEGIN:VCALENDAR", calendar(), "BEGIN:VCALENDAR\r\nEND:VEVENT"])
      expect(() => readText("ics", text)).toThrow(/no calendar/);
  });
});

describe("what comes again", () => {
  // A second opinion: the library that reads the file unfolds rules too.
  it.each([
    "FREQ=DAILY;INTERVAL=3;COUNT=20",
    "FREQ=WEEKLY;BYDAY=MO,WE,FR;INTERVAL=2",
    "FREQ=WEEKLY;INTERVAL=2;WKST=SU;BYDAY=TU,SU",
    "FREQ=MONTHLY;BYDAY=2TU",
    "FREQ=MONTHLY;BYDAY=-1FR;COUNT=7",
    "FREQ=MONTHLY;BYMONTHDAY=15,-1",
    "FREQ=MONTHLY;BYDAY=MO,TU,WE,TH,FR;BYSETPOS=-1",
    "FREQ=MONTHLY;INTERVAL=5",
    "FREQ=YEARLY",
    "FREQ=YEARLY;BYMONTH=11;BYDAY=4TH",
    "FREQ=YEARLY;BYMONTH=3,11",
    "FREQ=YEARLY;UNTIL=20300101",
    "FREQ=DAILY;BYMONTH=2;BYMONTHDAY=29",
  ])("%s", (rule) => {
    const first = ICAL.Time.fromDateString("2024-01-09");
    const iterator = ICAL.Recur.fromString(rule).iterator(first);
    const last = dayFromGregorian(2032, 12, 31);
    const second: number[] = [];
    for (let t = iterator.next(); t; t = iterator.next()) {
      const day = dayFromGregorian(t.year, t.month, t.day);
      if (day > last || second.length > 2_000) break;
      second.push(day);
    }
    const start = dayFromGregorian(2024, 1, 9);
    // The first day counts for us whether the rule says it or not, as the standard wants; of a number of times it is one.
    const ours = [...repeatedDays(ruleFrom(rule), start, last)];
    const theirs =
      second.includes(start) || !rule.includes("COUNT")
        ? [...new Set([start, ...second])]
        : [start, ...second.slice(0, -1)];
    expect(ours).toEqual(theirs);
  });

  it("a day that never comes ends all the same", () => {
    const rule = { ...ruleFrom("FREQ=YEARLY"), byMonth: [2], byMonthDay: [30] };
    expect([...repeatedDays(rule, dayFromGregorian(2024, 1, 1), 10_000_000)]).toEqual([dayFromGregorian(2024, 1, 1)]);
  });
});

function ruleFrom(text: string): RepeatRule {
  const parts = new Map(text.split(";").map((p) => p.split("=") as [string, string]));
  const numbers = (k: string) => (parts.get(k)?.split(",") ?? []).map(Number);
  const days = ["MO", "TU", "WE", "TH", "FR", "SA", "SU"];
  const until = /^(\d{4})(\d\d)(\d\d)$/.exec(parts.get("UNTIL") ?? "");
  return {
    freq: parts.get("FREQ") as RepeatRule["freq"],
    interval: numbers("INTERVAL")[0] ?? 1,
    count: numbers("COUNT")[0] ?? null,
    until: until ? dayFromGregorian(Number(until[1]), Number(until[2]), Number(until[3])) : null,
    byMonth: numbers("BYMONTH"),
    byMonthDay: numbers("BYMONTHDAY"),
    byYearDay: [],
    byWeekNo: [],
    byDay: (parts.get("BYDAY")?.split(",") ?? []).map((d) => ({
      day: days.indexOf(d.slice(-2)),
      nth: Number(d.slice(0, -2)),
    })),
    bySetPos: numbers("BYSETPOS"),
    weekStart: days.indexOf(parts.get("WKST") ?? "MO"),
  };
}
