import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { apply } from "@/core/change/apply";
import { knowLanguages } from "@/core/testing/languages";
import { readWhen } from "@/core/time/read/read-when";
import { type Problem, problems } from "@/core/timeline/problems";
import { readOptionsOf } from "@/core/timeline/read-options";
import { emptyEvent, emptyTimeline, type Timeline, type TimelineEvent } from "@/core/timeline/timeline";
import { mendsOf } from "./mends";

knowLanguages();

const DATES = [
  "1846",
  "14 Nov 1872",
  "14 Nov 1872 22:10",
  "310 BC",
  "1631 - 1702",
  "44 BC - AD 14",
  "about 1702",
  "1840s",
  "19th century",
  "late 1600s",
  "spring 1783",
  "before 1650",
  "after 1931",
  "from 1890",
  "1958 - present",
  "2-5 Feb 1900",
  "66 million years ago",
  "12,000 BP",
  "3 Mar 1702 (Julian)",
  "13/04/1872",
  "04/13/1872",
  "22:10",
  "5:40 am",
  "",
  "whenever",
];
const typed = fc.constantFrom(...DATES);

/** Timelines with a period, dates of every kind and parts that do not fit what they are part of. */
const timelines: fc.Arbitrary<Timeline> = fc
  .record({
    language: fc.constantFrom("en", "de", "es", "fr"),
    period: fc.constantFrom("", "1600 - 1900", "1846", "310 BC - AD 96", "1890 - present", "1840s"),
    dateOrder: fc.constantFrom("dmy" as const, "mdy" as const, null),
    events: fc.array(fc.record({ typed, partOf: fc.option(fc.nat(5)), locked: fc.constantFrom(false, false, true) }), {
      minLength: 1,
      maxLength: 6,
    }),
  })
  .map(({ events, period, ...more }) => {
    const t = { ...emptyTimeline("t"), ...more, period: readWhen(period) };
    const list = events.map(
      (e, i): TimelineEvent => ({
        ...emptyEvent(`e${i}`),
        title: `Event ${i}`,
        when: readWhen(e.typed, readOptionsOf(t)),
        partOf: e.partOf === null || e.partOf === i ? null : `e${e.partOf % events.length}`,
        locked: e.locked,
      }),
    );
    return { ...t, events: new Map(list.map((e) => [e.id, e])) };
  });

const same = (p: Problem) => JSON.stringify([p.code, p.event, "side" in p ? p.side : "", "whole" in p ? p.whole : ""]);
const found = (t: Timeline) => problems(t).map(same);
const mends = (t: Timeline, code: Problem["code"]) =>
  problems(t)
    .filter((p) => p.code === code)
    .flatMap((p) => mendsOf(p, t));
const of = (period: string, ...typedDates: string[]): Timeline => {
  const t = { ...emptyTimeline("t"), period: readWhen(period) };
  const events = typedDates.map((d, i) => ({ ...emptyEvent(`e${i}`), title: `Event ${i}`, when: readWhen(d) }));
  return { ...t, events: new Map(events.map((e) => [e.id, e])) };
};

describe("a way to mend a finding", () => {
  it("mends it: once it is taken, that is found no more", () => {
    fc.assert(
      fc.property(timelines, (t) => {
        for (const p of problems(t))
          for (const mend of mendsOf(p, t)) {
            const after = apply(t, mend.ops).timeline;
            if (found(after).includes(same(p)))
              throw new Error(
                JSON.stringify([
                  mend.words,
                  t.language,
                  t.period.typed,
                  p,
                  [...t.events.values()].map((e) => [e.when.typed, e.partOf]),
                ]),
              );
          }
      }),
      { seed: 51, numRuns: 1_500 },
    );
  });

  it("never alters an event the teacher has given with its date, nor what it is not about", () => {
    fc.assert(
      fc.property(timelines, (t) => {
        for (const p of problems(t))
          for (const { ops } of mendsOf(p, t)) {
            const { events } = apply(t, ops).timeline;
            for (const [id, e] of t.events) {
              if (e.locked) expect(events.get(id)!.when).toEqual(e.when);
              const about = id === p.event || ("whole" in p && id === p.whole);
              if (!about && p.code !== "time_without_day") expect(events.get(id)).toEqual(e);
            }
          }
      }),
      { seed: 52, numRuns: 500 },
    );
  });

  it("widens a period by the year it needs, in the words of the timeline, or works it out", () => {
    const t = of("1600 - 1900", "1931", "1850");
    expect(mends(t, "outside_period").map((m) => m.words)).toEqual([
      "Widen the period to 1600 - 1931",
      "Work it out from the events",
    ]);
    const early = { ...of("1600 - 1900", "310 BC"), language: "de" };
    const [first] = mends(early, "outside_period");
    expect(first!.words).toMatch(/310 v\. Chr\. - 1900/);
    expect(problems(apply(early, first!.ops).timeline)).toEqual([]);
  });

  it("lets what holds a part go as far as that, or takes it out, or into what does hold it", () => {
    const t = of("", "1840 - 1850", "1846 - 1872", "1800 - 1900");
    const set = (id: string, more: Partial<TimelineEvent>) => Object.assign(t.events.get(id)!, more);
    set("e1", { partOf: "e0" });
    const ways = mends(t, "part_outside_whole");
    expect(ways.map((m) => m.words)).toEqual([
      expect.stringMatching(/Event 0.*1840.*1872/),
      expect.stringMatching(/Event 2/),
      expect.stringMatching(/Event 0/),
    ]);
    // Of a whole that is given with its date only the part is altered.
    set("e0", { locked: true });
    expect(mends(t, "part_outside_whole")).toHaveLength(2);
  });

  it("is offered for nothing that only people can know", () => {
    for (const code of ["date_not_understood", "no_credit", "no_alternative", "no_address"] as const)
      expect(
        mendsOf({ code, event: "e0", item: "m", typed: "", text: "", problem: {} } as never, of("", "1872")),
      ).toEqual([]);
    expect(mendsOf({ code: "outside_period", event: "gone", side: "after" }, of("1600 - 1700"))).toEqual([]);
  });
});
