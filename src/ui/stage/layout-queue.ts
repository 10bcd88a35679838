import { assemble, type Chart, type Prepared, prepare } from "@/core/chart/frame/chart";
import { type ChartData, chartDataSlowly, shownEvents } from "@/core/chart/data/chart-data";
import { laidFrom, type LayoutAnswer, taskOf } from "@/core/chart/frame/hand-over";
import { layoutLanes } from "@/core/chart/frame/lanes";
import { type Frame, layoutChart, type Stretch, uprightLength } from "@/core/chart/frame/layout";
import type { Instant } from "@/core/time/instant";
import type { Timeline, TimelineEvent } from "@/core/timeline/timeline";

/** Up to so many events the chart is laid out at once, where it is; more go to the worker. */
const AT_ONCE = 400;
/** Columns of a large chart are filled for so long at a time, ms. */
const SLICE_MS = 8;

export interface Wanted {
  timeline: Timeline;
  hidden: ReadonlySet<string>;
  room: Frame;
  upright: boolean;
  rows: ReadonlySet<number> | null;
  today: Instant;
  /** An event that must be drawn, even where its close-up has little room; null: none. */
  seen: string | null;
  /** What hangs open takes this stretch of the ridge. */
  taken?: Stretch | undefined;
}

export type Done = (chart: Chart, events: readonly TimelineEvent[]) => void;

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

  /** A worker has not answered yet. */
  busy = false;
  /** No worker can be had: a script that did not come, a browser that forbids it. */
  private alone = false;

  stop(): void {
    this.task++;
    this.worker?.terminate();
  }

  run(w: Wanted): void {
    const task = ++this.task;
    this.busy = true;
    const { timeline } = w;
    const events = shownEvents(timeline, w.hidden);
    const work = chartDataSlowly(timeline, events);
    if (events.length <= AT_ONCE) {
      let step = work.next();
      while (!step.done) step = work.next();
      this.deliver(w, events, step.value);
      return;
    }
    const go = () => {
      if (task !== this.task) return;
      const begun = performance.now();
      for (;;) {
        const step = work.next();
        if (step.done) {
          // Rows are laid out where they are: each is a chart of its own, and small.
          if (w.rows && !w.upright) this.deliver(w, events, step.value);
          else if (this.alone) this.deliver(w, events, step.value);
          else this.send(task, w, events, step.value);
          return;
        }
        if (performance.now() - begun > SLICE_MS) break;
      }
      setTimeout(go);
    };
    go();
  }

  private prepared(w: Wanted, events: readonly TimelineEvent[], data: ChartData): Prepared {
    // An upright ridge is as long as its labels need; whoever shows it scrolls.
    const { width, height } = w.room;
    const frame = w.upright ? { width, height: Math.max(height, uprightLength(events.length)) } : w.room;
    const closeUps = (w.rows && !w.upright) || w.taken ? "none" : "auto";
    return prepare(w.timeline, events, data, frame, { upright: w.upright, closeUps, gather: { seen: w.seen } });
  }

  private deliver(w: Wanted, events: readonly TimelineEvent[], data: ChartData): void {
    this.busy = false;
    const prepared = this.prepared(w, events, data);
    if (w.rows && !w.upright && data.count > 0) {
      const { laid, lanes } = layoutLanes(w.timeline, data, w.room, w.rows);
      this.done(assemble(prepared, laid, w.today, lanes), events);
    } else {
      const { mainData, mainFrame } = prepared;
      const laid = layoutChart(w.timeline, mainData, mainFrame, { upright: w.upright, taken: w.taken });
      this.done(assemble(prepared, laid, w.today), events);
    }
  }

  private send(task: number, w: Wanted, events: readonly TimelineEvent[], data: ChartData): void {
    const prepared = this.prepared(w, events, data);
    const { mainData, mainFrame } = prepared;
    /** Laid out where it is, from now on: slower, but there. */
    const alone = () => {
      this.alone = true;
      this.worker?.terminate();
      this.worker = null;
      if (task === this.task && this.busy) this.deliver(w, events, data);
    };
    try {
      this.worker ??= this.makeWorker();
    } catch {
      alone();
      return;
    }
    this.worker.onerror = alone;
    this.worker.onmessageerror = alone;
    this.worker.onmessage = (m: MessageEvent<{ number: number; answer: LayoutAnswer }>) => {
      // An answer that comes too late is about a chart that is no longer there.
      if (m.data.number !== this.task) return;
      const begun = performance.now();
      this.busy = false;
      this.done(assemble(prepared, laidFrom(m.data.answer, mainData), w.today), prepared.events);
      this.answerTimes.push(performance.now() - begun);
    };
    const options = { upright: w.upright, taken: w.taken };
    this.worker.postMessage({ number: task, task: taskOf(w.timeline, mainData, mainFrame, options) });
  }
}
