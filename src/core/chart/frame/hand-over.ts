import type { Pattern, Sign } from "../../timeline/looks";
import { type AxisNumbers, type AxisSettings, axisFrom, axisNumbers } from "../axis/axis";
import type { Positions } from "../axis/positions";
import type { ChartData } from "../data/chart-data";
import { type ChartLayout, type Frame, type Laid, type LayoutOptions, layoutChart } from "./layout";

/** What a worker is handed: columns of numbers, and the words as one text each, which cost nothing to pass on. */
export interface LayoutTask {
  settings: AxisSettings;
  frame: Frame;
  options: LayoutOptions;
  data: Omit<
    ChartData,
    "ids" | "titles" | "words" | "dates" | "shortDates" | "pictures" | "sign" | "letters" | "looks"
  > & {
    titles: string;
    words: string;
    dates: string;
    shortDates: string;
    pictures: Uint8Array;
    sign: string;
    letters: string;
  };
}

export interface LayoutAnswer {
  axis: AxisNumbers;
  p: Positions;
  layout: ChartLayout;
}

const END = "\u0000";

export function taskOf(settings: AxisSettings, data: ChartData, frame: Frame, options: LayoutOptions = {}): LayoutTask {
  const { ids: _, looks: __, ...columns } = data;
  return {
    settings: { scale: settings.scale, period: settings.period },
    frame,
    options,
    data: {
      ...columns,
      titles: data.titles.join(END),
      words: data.words.join(END),
      dates: data.dates.join(END),
      shortDates: data.shortDates.join(END),
      pictures: Uint8Array.from(data.pictures, (p) => (p ? 1 : 0)),
      sign: data.sign.join(END),
      letters: data.letters.join(END),
    },
  };
}

/** Lays out what was handed over. */
export function answerTo(task: LayoutTask): LayoutAnswer {
  const list = (text: string) => (task.data.count === 0 ? [] : text.split(END));
  const looks: { colour: string; pattern: Pattern }[] = [];
  const data: ChartData = {
    ...task.data,
    ids: [],
    looks,
    titles: list(task.data.titles),
    words: list(task.data.words),
    dates: list(task.data.dates),
    shortDates: list(task.data.shortDates),
    pictures: Array.from(task.data.pictures, (p) => (p ? "p" : null)),
    sign: list(task.data.sign) as Sign[],
    letters: list(task.data.letters),
  };
  return answerOf(layoutChart(task.settings, data, task.frame, task.options));
}

/** A layout as it is handed back. */
export function answerOf({ axis, p, layout }: Laid): LayoutAnswer {
  return { axis: axisNumbers(axis), p, layout };
}

/** The buffers of an answer, to be handed on instead of copied. */
export function buffersOf(answer: object): ArrayBuffer[] {
  const found = new Set<ArrayBuffer>();
  const look = (v: unknown, depth: number) => {
    if (ArrayBuffer.isView(v)) found.add(v.buffer as ArrayBuffer);
    else if (v && typeof v === "object" && depth < 6) for (const x of Object.values(v)) look(x, depth + 1);
  };
  look(answer, 0);
  return [...found];
}

export function laidFrom(answer: LayoutAnswer, data: ChartData): Laid {
  return { data, axis: axisFrom(answer.axis, data), p: answer.p, layout: answer.layout };
}
