import { type ChartData, chartDataSlowly, shownEvents } from "@/core/chart/chart-data";
import { laidFrom, type LayoutAnswer, taskOf } from "@/core/chart/hand-over";
import { type Lane, layoutLanes } from "@/core/chart/lanes";
import { type Frame, type Laid, layoutChart, uprightLength } from "@/core/chart/layout";
import type { Timeline, TimelineEvent } from "@/core/timeline/timeline";

/** Up to so many events the chart is laid out at once, where it is; more go to the worker. */
const AT_ONCE = 400;
/** Columns of a large chart are filled for so long at a time, ms. */
const SLICE_MS = 8;

export type Done = (timeline: Timeline, events: TimelineEvent[], laid: Laid, lanes: Lane[] | null) => void;

/** Lays out charts one after the other; what a newer one has overtaken is not delivered. */
export class LayoutQueue {
  private task = 0;
  private worker: Worker | null = null;
  private makeWorker: () => Worker;
  private done: Done;
  /** For measuring: how long each answer of the worker kept the page, ms. */
  answerTimes: number[] = [];

  constructor(makeWorker: () => Worker, done: Done) {
    this.makeWorker = makeWorker;
    this.done = done;
  }

  stop(): void {
    this.task++;
    this.worker?.terminate();
  }

  run(
    timeline: Timeline,
    hidden: ReadonlySet<string>,
    room: Frame,
    upright: boolean,
    rows: ReadonlySet<number> | null,
  ): void {
    const task = ++this.task;
    const events = shownEvents(timeline, hidden);
    // An upright ridge is as long as its labels need; whoever shows it scrolls.
    const moments = upright ? events.filter((e) => e.when.readAs.kind !== "span").length : 0;
    const frame = upright ? { width: room.width, height: Math.max(room.height, uprightLength(moments)) } : room;
    const work = chartDataSlowly(timeline, events);
    if (events.length <= AT_ONCE) {
      let step = work.next();
      while (!step.done) step = work.next();
      this.deliver(timeline, events, step.value, frame, upright, rows);
      return;
    }
    const go = () => {
      if (task !== this.task) return;
      const begun = performance.now();
      for (;;) {
        const step = work.next();
        if (step.done) {
          // Rows are laid out where they are: each is a chart of its own, and small.
          if (rows && !upright) this.deliver(timeline, events, step.value, frame, upright, rows);
          else this.send(task, timeline, events, step.value, frame, upright);
          return;
        }
        if (performance.now() - begun > SLICE_MS) break;
      }
      setTimeout(go);
    };
    go();
  }

  private deliver(
    timeline: Timeline,
    events: TimelineEvent[],
    data: ChartData,
    frame: Frame,
    upright: boolean,
    rows: ReadonlySet<number> | null,
  ): void {
    if (rows && !upright && data.count > 0) {
      const { laid, lanes } = layoutLanes(timeline, data, frame, rows);
      this.done(timeline, events, laid, lanes);
    } else this.done(timeline, events, layoutChart(timeline, data, frame, { upright }), null);
  }

  private send(
    task: number,
    timeline: Timeline,
    events: TimelineEvent[],
    data: ChartData,
    frame: Frame,
    upright: boolean,
  ): void {
    this.worker ??= this.makeWorker();
    this.worker.onmessage = (m: MessageEvent<{ number: number; answer: LayoutAnswer }>) => {
      // An answer that comes too late is about a chart that is no longer there.
      if (m.data.number !== this.task) return;
      const begun = performance.now();
      this.done(timeline, events, laidFrom(m.data.answer, data), null);
      this.answerTimes.push(performance.now() - begun);
    };
    this.worker.postMessage({ number: task, task: taskOf(timeline, data, frame, { upright }) });
  }
}
