import { describe, expect, it } from "vitest";
import { apply } from "../change/apply";
import type { Op } from "../change/change";
import { drawChart } from "../chart/draw/draw-chart";
import { inOrder } from "../timeline/order";
import { periodText } from "../timeline/period";
import { problems } from "../timeline/problems";
import { readLine } from "../timeline/read-line";
import { mannerOf, readOptionsFor } from "../timeline/read-options";
import { setReading, settingsFor, timesOnOps } from "../change/reading-steps";
import { emptyTimeline, type Timeline } from "../timeline/timeline";
import { partsOf, textOfParts } from "./parts";
import { readWhen } from "./read/read-when";
import { redated } from "./redate";
import { isTimeAlone, NO_DAY, startOf, UNDATED } from "./when";
import { type Manner, USUAL_MANNER, whenFullLabel, whenLabel, whenLongLabel } from "./write-when";
import { edtfOf } from "./write-edtf";

/** The timeline that lines written one after the other make, as the ledger's foot adds them. */
function written(...lines: string[]): Timeline {
  let t = emptyTimeline("t");
  for (const [i, line] of lines.entries()) {
    const read = readLine(line, readOptionsFor(t));
    const ops: Op[] = [
      ...settingsFor(t, [read.when]),
      { kind: "add_event", id: `e${i}`, fields: { title: read.title, when: read.when } },
    ];
    t = apply(t, ops).timeline;
  }
  return t;
}

const labels = (t: Timeline) => inOrder(t.events.values()).map((e) => `${whenLabel(e.when, mannerOf(t))}|${e.title}`);

describe("a day of hours", () => {
  const day = written("5:40 Hives opened", "9:10 - 9:50 Frames spun", "about 14:00 Smoke", "22:30 - 1:15 Honey runs");

  it("is written without a date, and its labels say the time only", () => {
    expect(labels(day)).toEqual([
      "05:40|Hives opened",
      "09:10 – 09:50|Frames spun",
      "about 14:00|Smoke",
      "22:30 – 01:15|Honey runs",
    ]);
    expect([day.timesOn, problems(day)]).toEqual([UNDATED, []]);
    expect(periodText(day.period, inOrder(day.events.values()), mannerOf(day))).toBe("05:40 – 01:15, a day later");
  });

  it("is drawn with times on its ridge and no date anywhere", () => {
    for (const scale of ["true", "balanced", "even"] as const) {
      const texts = wordsDrawn({ ...day, scale });
      expect(texts.join(" ")).not.toMatch(/\bBC\b|Jan|yrs|million/);
      expect(texts).toContain("05:40");
    }
  });

  it("gets its date by one setting, and its labels stay as they are", () => {
    const dated = apply(day, timesOnOps(day, "14 Nov 1872")).timeline;
    expect(labels(dated)).toEqual(labels(day));
    expect(whenFullLabel(dated.events.get("e0")!.when, mannerOf(dated))).toBe("Thursday 14 November 1872 05:40");
    expect(dated.events.get("e0")!.when.edtf).toBe("1872-11-14T05:40");
    expect(wordsDrawn({ ...dated, scale: "true" }).join(" ")).toContain("14 Nov 1872");
    const more = apply(dated, [
      { kind: "add_event", id: "n", fields: { title: "Bell", when: readWhen("6:00", readOptionsFor(dated)) } },
    ]).timeline;
    expect(labels(more)).toContain("06:00|Bell");
    const undone = apply(dated, setReading(dated, { timesOn: null })).timeline;
    expect(undone.events.get("e0")!.when).toMatchObject({ typed: "5:40", readAs: { kind: "not_understood" } });
  });

  it("among dates its times are findings with the days that are meant, and stand at the end", () => {
    const mixed = apply(day, [
      { kind: "add_event", id: "d", fields: { title: "Flood", when: readWhen("14 Nov 1872") } },
    ]).timeline;
    expect(labels(mixed)[0]).toBe("14 Nov 1872|Flood");
    const found = problems(mixed);
    expect(found).toHaveLength(4);
    expect(found[0]).toMatchObject({ code: "time_without_day", days: ["14 Nov 1872"] });
    expect(wordsDrawn(mixed).join(" ")).not.toMatch(/\bBC\b|million/);
    const mended = apply(mixed, timesOnOps(mixed, "14 Nov 1872")).timeline;
    expect(problems(mended)).toEqual([]);
  });

  it("begins no day of hours where events have dates already", () => {
    const t = written("1872 The flood", "5:40 Hives opened");
    expect(t.timesOn).toBeNull();
    expect(t.events.get("e1")).toMatchObject({ title: "Hives opened", when: { typed: "5:40" } });
    expect(problems(t)).toMatchObject([{ code: "date_not_understood", problem: { code: "no_day_for_time" } }]);
  });

  it("has no place in ISO 8601-2, and is taken apart and put together by its times", () => {
    const when = readWhen("5:40 - 6:10", { day: NO_DAY });
    expect([isTimeAlone(when), edtfOf(when.readAs), when.edtf]).toEqual([true, undefined, undefined]);
    expect(textOfParts(partsOf(when))).toBe("05:40 - 06:10");
  });

  it("its events are dragged to other times", () => {
    const at = { day: NO_DAY, second: 7 * 3_600 + 125 };
    const moved = redated(readWhen("5:40", { day: NO_DAY }), null, at, 1 / 1_440, { day: NO_DAY });
    expect([moved?.typed, moved && startOf(moved)?.second]).toEqual(["07:02", 25_320]);
    const end = redated(readWhen("5:40 - 6:10", { day: NO_DAY }), "end", at, 1 / 1_440, { day: NO_DAY });
    expect(end?.typed).toBe("05:40 - 07:02");
  });
});

describe("the manner of writing times and days", () => {
  const manner = (more: Partial<Manner>): Manner => ({ ...USUAL_MANNER, ...more });
  it.each<[string, Partial<Manner>, string]>([
    ["14 Nov 1872 22:10", {}, "14 Nov 1872 22:10"],
    ["14 Nov 1872 10:10 pm", { clock: "24" }, "14 Nov 1872 22:10"],
    ["14 Nov 1872 22:10", { clock: "12" }, "14 Nov 1872 10:10 pm"],
    ["14 Nov 1872 00:05", { clock: "12" }, "14 Nov 1872 12:05 am"],
    ["14 Nov 1872 12:00", { clock: "12" }, "14 Nov 1872 12:00 pm"],
    ["14 Nov 1872 22:10:05", { clock: "12" }, "14 Nov 1872 10:10:05 pm"],
    ["14 Nov 1872 10 pm", { clock: "24" }, "14 Nov 1872 22 h"],
    ["14 Nov 1872 10 pm", { clock: "12" }, "14 Nov 1872 10 pm"],
    ["14 Nov 1872 10 pm - 11 pm", { clock: "12" }, "14 Nov 1872 10 pm – 11 pm"],
    ["14 Nov 1872 22:10 - 23:40", { clock: "12" }, "14 Nov 1872 10:10 pm – 11:40 pm"],
    ["14 Nov 1872", { finest: "month" }, "Nov 1872"],
    ["14 Nov 1872 22:10", { finest: "month" }, "Nov 1872"],
    ["2-5 Feb 1900", { finest: "month" }, "Feb 1900"],
    ["2 Feb - 5 Mar 1900", { finest: "month" }, "Feb 1900 – Mar 1900"],
    ["1840s", { finest: "month" }, "1840s"],
  ])("%s in %o: %s", (typed, more, text) => expect(whenLabel(readWhen(typed), manner(more))).toBe(text));

  it.each<[string, string]>([
    ["14 Nov 1872", "Thursday 14 November 1872"],
    ["4 Oct 1582", "4 October 1582"],
    ["15 Oct 1582", "Friday 15 October 1582"],
    ["25 Dec 800", "25 December AD 800"],
    ["Friday 25 Dec 800", "Monday 25 December AD 800"],
  ])("weekdays are named from 15 October 1582 on, or where they were typed: %s", (typed, long) =>
    expect(whenLongLabel(readWhen(typed))).toBe(long),
  );

  it("whatever is left unsaid, the field says all that was understood", () =>
    expect(whenFullLabel(readWhen("14 Nov 1872 22:10"), manner({ finest: "month", silentDay: 683_988 }))).toMatch(
      /14 November 1872 22:10/,
    ));

  it.each<[string[], "24" | "12" | undefined]>([
    [["1872 Flood"], undefined],
    [["14 Nov 1872 22:10 East quay"], "24"],
    [["14 Nov 1872 10 pm East quay", "14 Nov 1872 22:10 West quay"], "12"],
    [["5:40 Hives opened", "2 pm Smoke"], "24"],
  ])("is chosen by the first time that is typed: %j", (lines, clock) =>
    expect(written(...lines).dateStyle?.clock).toBe(clock),
  );
});

describe("ticks within a week", () => {
  it.each<[string, boolean]>([
    ["1872", true],
    ["1482", false],
  ])("name weekdays in November %s: %s", (year, named) => {
    const t = written(...[11, 12, 13, 14, 15, 16].map((d) => `${d} Nov ${year} Day ${d}`));
    for (const scale of ["true", "balanced"] as const)
      expect(wordsDrawn({ ...t, scale }, 1_600).some((w) => /^(?:Mon|Tue|Wed|Thu|Fri|Sat|Sun) 1\d Nov$/.test(w))).toBe(
        named,
      );
  });
});

function wordsDrawn(t: Timeline, width = 1_200): string[] {
  return drawChart(t, { width, height: 500 }).shapes.flatMap((s) => (s.kind === "text" ? [s.text] : []));
}
