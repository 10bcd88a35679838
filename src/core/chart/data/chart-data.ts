import { compareInstants, endOf, extent, type Moment, middleOf, startOf } from "../../time/when";
import type { Instant } from "../../time/instant";
import { whenLabel } from "../../time/write-when";
import { lengthText } from "../../time/gap";
import { inOrder, rowsOf } from "../../timeline/order";
import { MOST_DEEP, wholesOf } from "../../timeline/parts";
import { categoriesOf, type Timeline, type TimelineEvent } from "../../timeline/timeline";
import { type ChartStyle, paintedColour, styleOf } from "../../looks/style";
import { MOST_WORDED, type Pattern, type Sign } from "../../timeline/looks";
import type { Focus, PicturesShown, Spot } from "../../timeline/fields";
import { firstWordsOf } from "../../text/first-words";
import { freeLooks } from "../../timeline/free-looks";
import { mediaOf } from "./event-media";
import { partsSaid, sayUndated, saidBeside, SAYS_PICTURE, SAYS_WORDS, usuallySaid } from "./label-says";
import { shortDate, WITHIN_DAYS, yearsCovered } from "./short-date";
import { importanceOf, letterOf, loudnessOf } from "./weigh";
import { chartTitle } from "../style/house-style";
import { mannerOf } from "../../timeline/read-options";

export const UNDATED_KIND = 0;
export const MOMENT_KIND = 1;
export const SPAN_KIND = 2;

/** Bits of `flags`. */
export const EMPHASIS = 1;
export const UNCERTAIN = 2;
export const OPEN_START = 4;
export const OPEN_END = 8;

/** The five points of time of an event: what is drawn of it, and where it begins as written. */
export const POINTS = 5;
export const OUTER_START = 0;
/** A moment's apex is both inner points. */
export const INNER_START = 1;
export const INNER_END = 2;
export const OUTER_END = 3;
export const WRITTEN = 4;

/** The events of a chart in their order, as columns: what a layout needs, and a worker can be handed. */
export interface ChartData {
  count: number;
  ids: string[];
  kind: Uint8Array;
  /** POINTS per event; NaN where there is none. */
  days: Float64Array;
  seconds: Float64Array;
  flags: Uint8Array;
  /** Greater goes first. */
  importance: Float32Array;
  /** What all of it is painted with. */
  style: ChartStyle;
  /** Index into `looks`: of its category, or of what it is part of. */
  look: Uint16Array;
  /** Index into `looks`: what it is painted with, which may be a colour of its own. */
  paint: Uint16Array;
  /** Its line beside the others: -1 finer, 1 stronger. */
  weight: Int8Array;
  /** What its label says: SAYS_DATE, SAYS_TITLE, SAYS_UNMARKED. */
  says: Uint8Array;
  sign: Sign[];
  /** Where labels were placed by hand, by the index of the event. */
  spots: ReadonlyMap<number, Spot>;
  /** How much is done, percent; NaN where that is not asked. */
  done: Float32Array;
  /** The index of what an event is part of; -1 for none, or where that is not shown. */
  whole: Int32Array;
  /** 0: its parts go into a close-up when there is too little room for them; 1: always; 2: never. */
  closeUp: Uint8Array;
  /** The letter of what has parts, "" for the others. */
  letters: string[];
  titles: string[];
  dates: string[];
  /** The same where there is little room: the year, if that tells the dates of this chart apart. */
  shortDates: string[];
  /** All of them begin within a night and a day or two. */
  withinDays: boolean;
  /** The item of the first picture, or of the first video that has a still; null for none. */
  pictures: (string | null)[];
  /** What else there is to see and hear. */
  media: Uint8Array;
  /** What of the picture is to be seen where it is cropped, by event, percent; the middle of those that are missing. */
  focus: ReadonlyMap<number, Focus>;
  /** Pictures that stand in place of bobs, by event. */
  bobPictures: ReadonlyMap<number, { item: string; proportion: number }>;
  /** The first words of the description; "" where there are none or they are not wanted. */
  words: string[];
  /** Of a label beside the others: -1 quieter, 1 louder. */
  loudness: Int8Array;
  /** The width of each picture by its height; 0 where that is not known. */
  proportions: Float32Array;
  /** What the author holds of how labels are set; the type in px, null: as there is room. */
  held: { pictures: PicturesShown; type: number | null };
  /** The first is of events without a category, then those of the categories, in the order of the key; then those of spans. */
  looks: { colour: string; pattern: Pattern }[];
  /** How many of them are not of spans. */
  lanes: number;
  /** The chapters: before which event of the order each stands, by its index, and its title. */
  chapters: readonly { before: number; title: string }[];
  /** The events with the first and the last date, as written; -1 without any. An open end is later than all. */
  first: number;
  last: number;
}

const HALF_YEAR = 183;
const NEVER: Instant = { day: Number.POSITIVE_INFINITY, second: 0 };

/** What is drawn of a date: its extent with "about"; an unknown side reaches half a year beyond. */
export function drawnExtent(m: Moment, event: Pick<TimelineEvent, "when">): [Instant, Instant] {
  const e = extent(m, event.when.margin);
  const mid = middleOf(m);
  return [
    e.from ?? { day: mid.day - HALF_YEAR, second: mid.second },
    e.to ?? { day: mid.day + HALF_YEAR, second: mid.second },
  ];
}

/** The events that are not deleted nor hidden, in their order. */
export function shownEvents(timeline: Timeline, hidden?: ReadonlySet<string>): TimelineEvent[] {
  const events = inOrder(timeline.events.values());
  return hidden && hidden.size > 0 ? events.filter((e) => !hidden.has(e.category ?? "")) : events;
}

/**
 * Fills the columns a slice at a time, so that whoever has a screen to keep alive can stop in between; the generator's
 * result is the whole.
 */
export function* chartDataSlowly(
  timeline: Timeline,
  events: readonly TimelineEvent[],
  slice = 500,
): Generator<void, ChartData> {
  const n = events.length;
  const categories = categoriesOf(timeline);
  const style = styleOf(timeline);
  const lookOf = new Map(categories.map((c, i) => [c.id, i + 1]));
  const media = mediaOf(timeline);
  const wholes = wholesOf(timeline.events);
  const free = freeLooks(timeline, wholes);
  const worded = isWorded(timeline);
  const usual = usuallySaid(timeline);
  const titled = timeline.labelTitles === "always";
  const focus = new Map<number, Focus>();
  const bobPictures = new Map<number, { item: string; proportion: number }>();
  const ownLook = new Map<string, number>();
  const data: ChartData = {
    count: n,
    ids: events.map((e) => e.id),
    kind: new Uint8Array(n),
    days: new Float64Array(n * POINTS).fill(Number.NaN),
    seconds: new Float64Array(n * POINTS).fill(Number.NaN),
    flags: new Uint8Array(n),
    importance: new Float32Array(n),
    style,
    look: new Uint16Array(n),
    paint: new Uint16Array(n),
    weight: Int8Array.from(events, (e) => e.lineWeight),
    says: new Uint8Array(n),
    sign: new Array<Sign>(n).fill(""),
    spots: new Map(events.flatMap((e, i): [number, Spot][] => (e.spot ? [[i, e.spot]] : []))),
    done: new Float32Array(n).fill(Number.NaN),
    whole: new Int32Array(n).fill(-1),
    closeUp: new Uint8Array(n),
    letters: new Array<string>(n).fill(""),
    titles: new Array<string>(n).fill(""),
    dates: new Array<string>(n).fill(""),
    shortDates: new Array<string>(n).fill(""),
    withinDays: false,
    pictures: new Array<string | null>(n).fill(null),
    media: new Uint8Array(n),
    focus,
    bobPictures,
    words: new Array<string>(n).fill(""),
    loudness: Int8Array.from(events, (e) => loudnessOf(e, timeline)),
    proportions: new Float32Array(n),
    held: { pictures: timeline.pictures, type: timeline.typeSize },
    chapters: chaptersAmong(timeline, events),
    first: -1,
    last: -1,
    looks: [
      { colour: style.none, pattern: "solid" },
      ...[...categories, ...free].map(({ colour, pattern }) => ({ colour: paintedColour(style, colour), pattern })),
    ],
    lanes: categories.length + 1,
  };
  for (const [k, { id }] of free.entries()) ownLook.set(id, categories.length + 1 + k);
  const years = yearsCovered(events);
  data.withinDays = years < WITHIN_DAYS;
  const ends = new Ends();
  for (const [i, e] of events.entries()) {
    if (i % slice === slice - 1) yield;
    fill(data, i, e, timeline);
    data.shortDates[i] = shortDate(e, data.dates[i]!, years, timeline);
    data.look[i] = lookOf.get(e.category ?? "") ?? ownLook.get(e.id) ?? 0;
    const of = media.get(e.id);
    const said = partsSaid(e, usual);
    if (of) {
      const { shown } = of;
      const proportion = shown?.width && shown.height ? shown.width / shown.height : 0;
      // In place of a bob, and not once more in the label.
      if (shown && e.pictureBob && data.kind[i] !== SPAN_KIND) bobPictures.set(i, { item: shown.id, proportion });
      else if (shown && (said & SAYS_PICTURE) !== 0) [data.pictures[i], data.proportions[i]] = [shown.id, proportion];
      data.media[i] = of.bits;
      if (shown?.focus) focus.set(i, shown.focus);
    }
    if (worded && (said & SAYS_WORDS) !== 0)
      data.words[i] = timeline.firstWords?.get(e.id) ?? firstWordsOf(e.description);
    // What was said of this one stands.
    data.says[i] = saidBeside(said, data.pictures[i] !== null, titled || e.labelSays !== null);
    data.importance[i] = importanceOf(e, data.pictures[i] !== null, data.loudness[i]!);
    ends.take(i, e, (data.flags[i]! & OPEN_END) !== 0);
  }
  data.first = ends.first;
  data.last = ends.last;
  sayUndated(data, (i) => data.kind[i] === UNDATED_KIND, style.language);
  findWholes(data, wholes);
  paintOwn(data, events);
  return data;
}

/** Events with a colour of their own keep the pattern they have. */
function paintOwn(data: ChartData, events: readonly TimelineEvent[]): void {
  const made = new Map<string, number>();
  for (const [i, e] of events.entries()) {
    data.paint[i] = data.look[i]!;
    if (e.colour === "") continue;
    const { pattern } = data.looks[data.look[i]!]!;
    const key = `${e.colour} ${pattern}`;
    let at = made.get(key);
    if (at === undefined) {
      at = data.looks.push({ colour: paintedColour(data.style, e.colour), pattern }) - 1;
      made.set(key, at);
    }
    data.paint[i] = at;
  }
}

/** The chapters of a timeline, by the events of a chart: those before none of them are not shown. */
function chaptersAmong(timeline: Timeline, events: readonly TimelineEvent[]): ChartData["chapters"] {
  const rows = rowsOf(timeline.events);
  if (!rows.some((r) => r.chapter)) return [];
  const at = new Map(events.map((e, i) => [e.id, i]));
  const found: { before: number; title: string }[] = [];
  let before = -1;
  for (let k = rows.length - 1; k >= 0; k--) {
    const row = rows[k]!;
    if (!row.chapter) before = at.get(row.id) ?? before;
    else if (before >= 0) found.push({ before, title: row.title });
  }
  return found.reverse();
}

/** Whether first words of descriptions may stand on its chart. */
export function isWorded({ labelWords, events }: Pick<Timeline, "labelWords" | "events">): boolean {
  let n = 0;
  for (const e of events.values()) if (!e.deleted && ++n > MOST_WORDED) return false;
  return labelWords === "room";
}

/** Finds which events have the first and the last date. */
class Ends {
  first = -1;
  last = -1;
  private earliest: Instant | null = null;
  private latest: Instant | null = null;

  take(i: number, e: TimelineEvent, open: boolean): void {
    const from = startOf(e.when);
    if (from && (!this.earliest || compareInstants(from, this.earliest) < 0)) {
      this.earliest = from;
      this.first = i;
    }
    const to = open ? NEVER : endOf(e.when);
    if (to && (!this.latest || compareInstants(to, this.latest) > 0)) {
      this.latest = to;
      this.last = i;
    }
  }
}

/** Some of the events as a chart of their own; nothing among them is part of another. */
export function pickChart(data: ChartData, events: readonly TimelineEvent[], index: readonly number[]): ChartData {
  const ends = new Ends();
  for (const [k, i] of index.entries()) ends.take(k, events[i]!, (data.flags[i]! & OPEN_END) !== 0);
  return { ...pickData(data, index), first: ends.first, last: ends.last };
}

/** What is part of what, and the letters of the wholes, in their order. */
function findWholes(data: ChartData, wholes: ReadonlyMap<string, string>): void {
  if (wholes.size === 0) return;
  const index = new Map(data.ids.map((id, i) => [id, i]));
  const withParts = new Set<number>();
  for (let i = 0; i < data.count; i++) {
    const whole = index.get(wholes.get(data.ids[i]!) ?? "");
    if (whole === undefined) continue;
    data.whole[i] = whole;
    withParts.add(whole);
  }
  // A part without a category looks like its whole.
  for (let i = 0; i < data.count; i++) {
    let at = i;
    for (let n = 0; data.look[at] === 0 && data.whole[at]! >= 0 && n <= MOST_DEEP; n++) at = data.whole[at]!;
    data.look[i] = data.look[at]!;
  }
  for (const [k, i] of [...withParts].sort((a, b) => a - b).entries()) data.letters[i] = letterOf(k);
}

export function chartData(timeline: Timeline, events: readonly TimelineEvent[]): ChartData {
  const work = chartDataSlowly(timeline, events, Number.POSITIVE_INFINITY);
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}

/** Some of the events, in the same order. Nothing among them is part of another, and `first` and `last` are not theirs. */
export function pickData(data: ChartData, index: readonly number[]): ChartData {
  const floats = (a: Float64Array) =>
    Float64Array.from(
      { length: index.length * POINTS },
      (_, k) => a[index[Math.floor(k / POINTS)]! * POINTS + (k % POINTS)]!,
    );
  return {
    ...data,
    count: index.length,
    chapters: data.chapters.flatMap(({ before, title }) => {
      const k = index.findIndex((i) => i >= before);
      return k < 0 ? [] : [{ before: k, title }];
    }),
    ids: index.map((i) => data.ids[i] ?? ""),
    kind: Uint8Array.from(index, (i) => data.kind[i]!),
    days: floats(data.days),
    seconds: floats(data.seconds),
    flags: Uint8Array.from(index, (i) => data.flags[i]!),
    importance: Float32Array.from(index, (i) => data.importance[i]!),
    look: Uint16Array.from(index, (i) => data.look[i]!),
    paint: Uint16Array.from(index, (i) => data.paint[i]!),
    weight: Int8Array.from(index, (i) => data.weight[i]!),
    says: Uint8Array.from(index, (i) => data.says[i]!),
    sign: index.map((i) => data.sign[i]!),
    spots: picked(data.spots, index),
    done: Float32Array.from(index, (i) => data.done[i]!),
    whole: Int32Array.from(index, () => -1),
    closeUp: Uint8Array.from(index, (i) => data.closeUp[i]!),
    letters: index.map((i) => data.letters[i]!),
    titles: index.map((i) => data.titles[i]!),
    dates: index.map((i) => data.dates[i]!),
    shortDates: index.map((i) => data.shortDates[i]!),
    pictures: index.map((i) => data.pictures[i]!),
    proportions: Float32Array.from(index, (i) => data.proportions[i]!),
    media: Uint8Array.from(index, (i) => data.media[i]!),
    focus: picked(data.focus, index),
    bobPictures: picked(data.bobPictures, index),
    words: index.map((i) => data.words[i]!),
    loudness: Int8Array.from(index, (i) => data.loudness[i]!),
  };
}

function picked<T>(of: ReadonlyMap<number, T>, index: readonly number[]): Map<number, T> {
  const found = new Map<number, T>();
  if (of.size === 0) return found;
  for (const [k, i] of index.entries()) {
    const value = of.get(i);
    if (value !== undefined) found.set(k, value);
  }
  return found;
}

function fill(data: ChartData, i: number, e: TimelineEvent, timeline: Timeline): void {
  const put = (point: number, at: Instant | null) => {
    if (!at) return;
    data.days[i * POINTS + point] = at.day;
    data.seconds[i * POINTS + point] = at.second;
  };
  const r = e.when.readAs;
  let flags = e.emphasis ? EMPHASIS : 0;
  if (r.kind === "moment") {
    const [from, to] = drawnExtent(r.at, e);
    const mid = middleOf(r.at);
    data.kind[i] = MOMENT_KIND;
    for (const [point, at] of [from, mid, mid, to].entries()) put(point, at);
    if (r.at.uncertain) flags |= UNCERTAIN;
  } else if (r.kind === "span") {
    data.kind[i] = SPAN_KIND;
    if (r.start) for (const [k, at] of drawnExtent(r.start, e).entries()) put(k === 0 ? OUTER_START : INNER_START, at);
    else flags |= OPEN_START;
    if (r.end) for (const [k, at] of drawnExtent(r.end, e).entries()) put(k === 0 ? INNER_END : OUTER_END, at);
    else flags |= OPEN_END;
    if (r.start?.uncertain || r.end?.uncertain) flags |= UNCERTAIN;
  }
  put(WRITTEN, startOf(e.when));
  data.flags[i] = flags;
  data.sign[i] = e.sign;
  if (e.done !== null) data.done[i] = e.done;
  data.closeUp[i] = e.closeUp === "open" ? 1 : e.closeUp === "closed" ? 2 : 0;
  const length = timeline.lengths ? lengthText(e.when, data.style.language) : null;
  // A roof's title has one line.
  const title = r.kind === "span" ? chartTitle(e, timeline).replaceAll(/\s*\n\s*/g, " ") : chartTitle(e, timeline);
  data.titles[i] = length ? `${title}, ${length}` : title;
  data.dates[i] = whenLabel(e.when, mannerOf(timeline));
}
