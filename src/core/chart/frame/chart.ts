import { categoriesOf, type Timeline, type TimelineEvent } from "../../timeline/timeline";
import type { Instant } from "../../time/instant";
import { type ChartData, chartData, pickChart, shownEvents } from "../data/chart-data";
import { languageLike } from "../../language/asked-language";
import { drawnIn } from "../../words/chart";
import { type CloseUp, type CloseUpMode, type Opened, openUp } from "../close-ups/close-ups";
import { type Lane, layoutLanes } from "./lanes";
import { type Frame, type Laid, layoutChart, type Stretch, uprightLength } from "./layout";
import { type Words, wordsOf } from "../data/words";

/** A chart laid out: what any view of it is drawn from. */
export interface Chart {
  timeline: Pick<Timeline, "gridlines">;
  /** All events, in their order. */
  data: ChartData;
  /** What a screen reader says of each. */
  nameOf: (i: number) => string;
  /** What stands on the main ridge; in rows all events, and the ridge over them. */
  laid: Laid;
  words: Words;
  /** The index of each of those among all; null: they are all. */
  main: Int32Array | null;
  /** Where that begins, px from the top of the drawing. */
  top: number;
  lanes?: Lane[];
  closeUps: (CloseUp & { words: Words })[];
  /** Parts that are gathered in their whole and not drawn, by the whole's index among all. */
  gathered: ReadonlyMap<number, readonly number[]>;
  /** Names of the categories, by look. */
  names: string[];
  /** Drawn as a line; null: not wanted. */
  today: Instant | null;
}

export interface ChartOptions {
  /** Categories left out by the reader's filter. */
  hidden?: ReadonlySet<string>;
  /** Ridge, roofs and bobs only, small and without labels, as the strip above the read view. */
  strip?: boolean;
  /** The ridge runs down. */
  upright?: boolean;
  /** A row for each category, these folded; not in an upright chart. */
  rows?: { folded: ReadonlySet<string> } | undefined;
  closeUps?: CloseUpMode;
  /** Where close-ups leave too little room their parts are gathered, but not those beside the event with this id. */
  gather?: { seen: string | null } | undefined;
  /** The day it is, where the timeline wants it shown. */
  today?: Instant | undefined;
  /** What is drawn lies within one of its events: where that is a night, times tell enough. */
  within?: boolean;
  /** As in `LayoutOptions`; without close-ups. */
  taken?: Stretch | undefined;
}

/** What close-ups leave at least for the chart itself, px. */
const LEAST_MAIN = 300;

/** What there is to lay out: the close-ups laid out already, and what is left for the main ridge. */
export interface Prepared {
  timeline: Timeline;
  events: readonly TimelineEvent[];
  data: ChartData;
  opened: Opened;
  mainEvents: readonly TimelineEvent[];
  mainData: ChartData;
  mainFrame: Frame;
}

/** The columns of the parts of a close-up. */
export function closeUpColumns(timeline: Timeline, events: readonly TimelineEvent[], data: ChartData) {
  return (index: number[]): ChartData => {
    const own = chartData(
      timeline,
      index.map((i) => events[i]!),
    );
    // Within a night the times tell; its roof says the day.
    const dates = own.withinDays ? own.shortDates : own.dates;
    // Chapters stand on the main ridge only.
    return { ...own, chapters: [], dates, letters: index.map((i) => data.letters[i]!) };
  };
}

interface OpenOptions {
  upright: boolean;
  closeUps: CloseUpMode;
  gather?: ChartOptions["gather"];
}

/** Opens the close-ups of a chart. */
export function openOf(
  timeline: Timeline,
  events: readonly TimelineEvent[],
  data: ChartData,
  frame: Frame,
  options: OpenOptions,
): Opened {
  return openUp(data, {
    scale: timeline.scale,
    period: timeline.period,
    whenOf: (i) => events[i]!.when,
    frame,
    upright: options.upright,
    mode: options.closeUps,
    gather: options.gather ? { seen: data.ids.indexOf(options.gather.seen ?? "") } : null,
    columns: closeUpColumns(timeline, events, data),
  });
}

/** What is left for the main ridge. */
export function prepared(
  timeline: Timeline,
  events: readonly TimelineEvent[],
  data: ChartData,
  frame: Frame,
  upright: boolean,
  opened: Opened,
): Prepared {
  const { main } = opened;
  if (!main) return { timeline, events, data, opened, mainEvents: events, mainData: data, mainFrame: frame };
  const least = upright ? uprightLength(main.length) : LEAST_MAIN;
  return {
    timeline,
    events,
    data,
    opened,
    mainEvents: main.map((i) => events[i]!),
    mainData: sayGathered(pickChart(data, events, main), main, opened.gathered, data.whole),
    mainFrame: { width: frame.width, height: Math.max(least, frame.height - opened.top) },
  };
}

/** Opens the close-ups of a chart, and says what is left for the main ridge. */
export function prepare(
  timeline: Timeline,
  events: readonly TimelineEvent[],
  data: ChartData,
  frame: Frame,
  options: OpenOptions,
): Prepared {
  return prepared(timeline, events, data, frame, options.upright, openOf(timeline, events, data, frame, options));
}

/** Titles of what holds gathered parts say how many there are. */
function sayGathered(
  data: ChartData,
  main: readonly number[],
  gathered: Opened["gathered"],
  whole: ChartData["whole"],
): ChartData {
  if (gathered.size === 0) return data;
  const titles = data.titles.map((title, k) => {
    const parts = gathered.get(main[k]!);
    // Of parts that have parts themselves it says what its letter says: how many it has itself.
    return parts
      ? drawnIn(data.style.language).withParts(title, parts.filter((i) => whole[i] === main[k]).length)
      : title;
  });
  return { ...data, titles };
}

/** A chart from what was prepared and the main ridge that was laid out. */
export function assemble(p: Prepared, laid: Laid, today: Instant | null, lanes?: Lane[]): Chart {
  const { timeline, events, data, opened } = p;
  const { closeUps } = opened;
  return {
    timeline,
    data,
    nameOf: wordsOf(timeline, events, data).nameOf,
    laid,
    words: wordsOf(timeline, p.mainEvents, p.mainData),
    main: opened.main && Int32Array.from(opened.main),
    top: opened.top,
    gathered: opened.gathered,
    ...(lanes ? { lanes } : {}),
    closeUps: closeUps.map((c) => ({
      ...c,
      words: wordsOf(
        { ...timeline, period: events[c.whole]!.when, marks: null },
        Array.from(c.at, (i) => events[i]!),
        c.laid.data,
      ),
    })),
    names: laneNames(timeline),
    today: timeline.today ? today : null,
  };
}

export function chartOf(timeline: Timeline, frame: Frame, options: ChartOptions = {}): Chart {
  const events = shownEvents(timeline, options.hidden);
  const all = chartData(timeline, events);
  const data = options.within && all.withinDays ? { ...all, dates: all.shortDates } : all;
  const upright = options.upright ?? false;
  const strip = options.strip ?? false;
  const inRows = options.rows !== undefined && !upright && !strip && data.count > 0;
  const mode = strip || inRows || options.taken ? "none" : (options.closeUps ?? "auto");
  const prepared = prepare(timeline, events, data, frame, { upright, closeUps: mode, gather: options.gather });
  const today = options.today ?? null;
  if (inRows) {
    const { laid, lanes } = layoutLanes(timeline, data, frame, foldedLooks(timeline, options.rows!.folded));
    return assemble(prepared, laid, today, lanes);
  }
  const { mainData, mainFrame } = prepared;
  const laid = layoutChart(timeline, mainData, mainFrame, { strip, upright, taken: options.taken });
  return assemble(prepared, laid, today);
}

function laneNames(timeline: Pick<Timeline, "categories" | "language">): string[] {
  const words = drawnIn(languageLike(timeline.language));
  return [words.noCategory, ...categoriesOf(timeline).map((c) => c.name || words.unnamed)];
}

/** Which rows are folded, by look; "" stands for events without a category. */
function foldedLooks(timeline: Pick<Timeline, "categories">, folded: ReadonlySet<string>): Set<number> {
  const looks = new Set(categoriesOf(timeline).flatMap((c, i) => (folded.has(c.id) ? [i + 1] : [])));
  if (folded.has("")) looks.add(0);
  return looks;
}
