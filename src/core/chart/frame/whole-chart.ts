import type { Instant } from "../../time/instant";
import { firstWordsOf } from "../../text/first-words";
import type { Timeline, TimelineEvent } from "../../timeline/timeline";
import { type ChartData, chartData, isWorded, pickData, shownEvents } from "../data/chart-data";
import { axisFrom } from "../axis/axis";
import { pickPositions } from "../axis/positions";
import type { CloseUp, Opened } from "../close-ups/close-ups";
import { assemble, type Chart, closeUpColumns, openOf, type Prepared, prepared } from "./chart";
import { answerOf, type LayoutAnswer, laidFrom } from "./hand-over";
import { type Lane, layoutLanes } from "./lanes";
import { type Frame, layoutChart, type Stretch, uprightLength } from "./layout";

/** What a chart of few events is laid out from, as a worker can be handed it. */
export interface ChartTask {
  timeline: Timeline;
  hidden: ReadonlySet<string>;
  room: Frame;
  upright: boolean;
  /** The looks of folded rows; null: no rows. */
  rows: ReadonlySet<number> | null;
  /** An event that must be drawn, even where its close-up has little room; null: none. */
  seen: string | null;
  /** What hangs open takes this stretch of the ridge. */
  taken?: Stretch | undefined;
}

type Handed<T extends { laid: unknown }> = Omit<T, "laid"> & { laid: LayoutAnswer };

/** The same chart laid out, as a worker hands it back. */
export interface ChartAnswer {
  opened: Omit<Opened, "closeUps"> & { closeUps: Handed<CloseUp>[] };
  laid: LayoutAnswer;
  lanes: (Omit<Lane, "laid"> & { layout: LayoutAnswer["layout"] })[] | null;
}

/** A task without what no layout needs: deleted events, and more of descriptions than their first words. */
export function lightened(task: ChartTask): ChartTask {
  const { timeline } = task;
  const nothing = new Uint8Array(0);
  const events = [...timeline.events.values()].filter((e) => !e.deleted);
  const worded = isWorded(timeline);
  return {
    ...task,
    timeline: {
      ...timeline,
      introduction: nothing,
      events: new Map(events.map((e) => [e.id, e.description.length > 0 ? { ...e, description: nothing } : e])),
      ...(worded
        ? { firstWords: timeline.firstWords ?? new Map(events.map((e) => [e.id, firstWordsOf(e.description)])) }
        : {}),
    },
  };
}

/** What is opened and what is left for the main ridge, of a task; `opened`: where that is known already. */
export function preparedFor(
  task: ChartTask,
  events: readonly TimelineEvent[],
  data: ChartData,
  opened?: Opened,
): Prepared {
  const { timeline, upright, rows, taken, room, seen } = task;
  // An upright ridge is as long as its labels need; whoever shows it scrolls.
  const frame = upright ? { width: room.width, height: Math.max(room.height, uprightLength(events.length)) } : room;
  const closeUps = (rows && !upright) || taken ? "none" : "auto";
  const options = { upright, closeUps, gather: { seen } } as const;
  return prepared(timeline, events, data, frame, upright, opened ?? openOf(timeline, events, data, frame, options));
}

const hasRows = ({ rows, upright }: ChartTask, data: ChartData) => rows !== null && !upright && data.count > 0;

/** Lays out what was handed over. */
export function layOutWhole(task: ChartTask): ChartAnswer {
  const { timeline, upright, taken, rows, room } = task;
  const events = shownEvents(timeline, task.hidden);
  const data = chartData(timeline, events);
  const { opened, mainData, mainFrame } = preparedFor(task, events, data);
  const handed = {
    ...opened,
    closeUps: opened.closeUps.map((c) => ({ ...c, laid: answerOf(c.laid) })),
  };
  if (hasRows(task, data)) {
    const { laid, lanes } = layoutLanes(timeline, data, room, rows!);
    const layouts = lanes.map(({ laid: { layout }, ...lane }) => ({ ...lane, layout }));
    return { opened: handed, laid: answerOf(laid), lanes: layouts };
  }
  const laid = layoutChart(timeline, mainData, mainFrame, { upright, taken });
  return { opened: handed, laid: answerOf(laid), lanes: null };
}

/** The chart from an answer; its columns are filled here, where its texts and functions are. */
export function chartFrom(
  task: ChartTask,
  answer: ChartAnswer,
  today: Instant,
): { chart: Chart; events: readonly TimelineEvent[] } {
  const { timeline } = task;
  const events = shownEvents(timeline, task.hidden);
  const data = chartData(timeline, events);
  const columns = closeUpColumns(timeline, events, data);
  const closeUps = answer.opened.closeUps.map((c) => ({ ...c, laid: laidFrom(c.laid, columns([...c.at])) }));
  const p = preparedFor(task, events, data, { ...answer.opened, closeUps });
  const laid = laidFrom(answer.laid, p.mainData);
  const axis = axisFrom(answer.laid.axis, data);
  const lanes = answer.lanes?.map(({ layout, ...lane }): Lane => {
    const index = [...lane.at];
    return { ...lane, laid: { data: pickData(data, index), axis, p: pickPositions(answer.laid.p, index), layout } };
  });
  return { chart: assemble(p, laid, today, lanes), events };
}
