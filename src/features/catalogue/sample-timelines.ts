import { seededTimeline } from "@/core/testing/seeded-timeline";
import { readWhen } from "@/core/time/read/read-when";
import { readOptionsOf } from "@/core/timeline/read-options";
import type { WORDS } from "@/core/words/catalogue";
import { emptyCategory, emptyEvent, emptyTimeline, type Timeline, type TimelineEvent } from "@/core/timeline/timeline";

const CATEGORIES = [
  { ...emptyCategory("c1"), name: "Crossing", colour: "verdigris", pattern: "solid", place: "a1" },
  { ...emptyCategory("c2"), name: "Trade", colour: "copper", pattern: "slanted", place: "a2" },
  { ...emptyCategory("c3"), name: "Water", colour: "river", pattern: "waves", place: "a3" },
] as const;

type Line = [when: string, title: string, more?: Partial<TimelineEvent>];

/** A timeline of lines; each goes into the next category. */
function timelineOf(lines: readonly Line[], more: Partial<Timeline> = {}): Timeline {
  const whole = { ...emptyTimeline("catalogue"), ...more };
  const events = lines.map(([when, title, rest], i) => ({
    ...emptyEvent(`e${i}`),
    title,
    when: readWhen(when, readOptionsOf(whole)),
    category: CATEGORIES[i % CATEGORIES.length]!.id,
    ...rest,
  }));
  return {
    ...whole,
    categories: new Map(CATEGORIES.map((c) => [c.id, c])),
    events: new Map(events.map((e) => [e.id, e])),
  };
}

const MOMENTS: Line[] = [
  ["310 BC", "A hoard of bronze rings"],
  ["1604", "Rope ferry"],
  ["1719", "Carts cross on the ice"],
  ["1783", "Spring flood takes the timber bridge"],
  ["1889", "Viaduct opens"],
];
const SPANS: Line[] = [
  ["1744 - 1783", "Timber bridge"],
  ["1766 - 1850", "School on the bridge"],
  ["1838 - 1871", "Barge trade at its height"],
  ["1805 - 1811", "Stone bridge is built"],
];
const MIXED = [...MOMENTS, ...SPANS];

export type StateName = keyof (typeof WORDS)["states"];
export interface StageState {
  timeline: Timeline;
  upright?: boolean;
  /** Looks of categories that are folded; without it, one row for all. */
  rows?: readonly number[];
  selected?: string;
  view?: string;
  board?: boolean;
}

/** Each state of the chart, with the timeline that shows it. */
export const STATES: Record<StateName, StageState> = {
  empty: { timeline: timelineOf([]) },
  one: { timeline: timelineOf([["14 Nov 1872", "The long night flood"]]) },
  moments: { timeline: timelineOf(MOMENTS) },
  spans: { timeline: timelineOf(SPANS) },
  precision: {
    timeline: timelineOf([
      ["14 Nov 1872 22:10", "A minute"],
      ["15 Nov 1872", "A day"],
      ["Mar 1873", "A month"],
      ["spring 1874", "A season"],
      ["1876", "A year"],
      ["about 1879", "About a year"],
      ["1880s", "A decade"],
      ["1885?", "Uncertain"],
      ["before 1890", "Before"],
      ["1886 - present", "Still going on"],
      ["about 1873 - 1875", "Begins about then"],
      ["", "Without a date"],
    ]),
  },
  even: { timeline: timelineOf(MIXED, { scale: "even" }) },
  trueScale: { timeline: timelineOf(MIXED, { scale: "true" }) },
  selected: { timeline: timelineOf(MIXED), selected: "e3" },
  closeUp: {
    timeline: timelineOf([
      ...MOMENTS,
      ["14 Nov 1872 16:00 - 15 Nov 1872 06:00", "The long night flood", { closeUp: "open" }],
      ["14 Nov 1872 19:30", "Bell rung", { partOf: "e5" }],
      ["14 Nov 1872 22:50", "First arch falls", { partOf: "e5" }],
      ["15 Nov 1872 01:45", "Two boats out", { partOf: "e5" }],
    ]),
  },
  rows: { timeline: timelineOf(MIXED), rows: [2] },
  upright: { timeline: timelineOf(MIXED), upright: true },
  byHand: {
    timeline: timelineOf(
      MIXED.map(([when, title], i): Line => [when, title, i === 1 ? { spot: { along: -120, across: 150 } } : {}]),
    ),
  },
  crowd: { timeline: seededTimeline(400, 3, "busy") },
  zoomed: { timeline: timelineOf(MIXED), view: "1700..1800" },
  hours: {
    timeline: timelineOf(
      [
        ["9:00 - 12:30", "Stalls on the quay"],
        ["10:15", "The bell is rung"],
        ["11:00 - 11:40", "Boat race"],
        ["16:20", "Prizes"],
      ],
      { timesOn: readWhen("6 Jun 1931") },
    ),
  },
  board: { timeline: timelineOf(MIXED), board: true },
};
