import { assemble, type Chart, type Prepared } from "@/core/chart/frame/chart";
import { type ChartData, chartDataSlowly, shownEvents } from "@/core/chart/data/chart-data";
import { laidFrom, type LayoutAnswer, taskOf } from "@/core/chart/frame/hand-over";
import { layoutLanes } from "@/core/chart/frame/lanes";
import { layoutChart } from "@/core/chart/frame/layout";
import {
  type ChartAnswer,
  type ChartTask,
  chartFrom,
  layOutWhole,
  lightened,
  preparedFor,
} from "@/core/chart/frame/whole-chart";
import type { Instant } from "@/core/time/instant";
import type { TimelineEvent } from "@/core/timeline/timeline";

/** Up to so many events a chart is laid out where it is: an empty one can be tapped as soon as it is there. */
const AT_ONCE = 2;
/** Up to so many events all of a chart is laid out by the worker; of more the main ridge. */
const FEW = 400;
/** Columns of a large chart are filled for so long at a time, ms. */
const SLICE_MS = 8;

/**
 * A worker that has not answered once after so long has not come, ms: where its scripts break off on the way, as while a server is begun
 * anew, some browsers say nothing.
 */
const PATIENCE_MS = 10_000;

export interface Wanted extends ChartTask {
  today: Instant;
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

  private hasAnswered = false;
  private patience: ReturnType<typeof setTimeout> | undefined;
  /** Lays out what was asked for last where it is. */
  private giveUp: (() => void) | null = null;

  stop(): void {
    this.task++;
    clearTimeout(this.patience);
    this.worker?.terminate();
  }

  /** `now`: at once where it is, since what comes next builds on where labels stand (small charts only). */
  run(w: Wanted, now = false): void {
    const task = ++this.task;
    this.busy = true;
    const events = shownEvents(w.timeline, w.hidden);
    if (events.length <= (now ? FEW : AT_ONCE)) {
      this.takeWhole(w, layOutWhole(w));
      return;
    }
    if (events.length <= FEW) {
      this.ask(task, () => ({ chart: lightened(w) }), { w, few: true });
      return;
    }
    const work = chartDataSlowly(w.timeline, events);
    const go = () => {
      if (task !== this.task) return;
      const begun = performance.now();
      for (;;) {
        const step = work.next();
        if (step.done) {
          // Rows are laid out where they are: each is a chart of its own, and small.
          if (w.rows && !w.upright) this.deliver(w, events, step.value);
          else this.askForRidge(task, w, events, step.value);
          return;
        }
        if (performance.now() - begun > SLICE_MS) break;
      }
      setTimeout(go);
    };
    // Not before whatever asks for it is through: there is a frame to be drawn first.
    setTimeout(go);
  }

  /** Of a large chart the worker lays out the main ridge. */
  private askForRidge(task: number, w: Wanted, events: readonly TimelineEvent[], data: ChartData): void {
    const p = preparedFor(w, events, data);
    const options = { upright: w.upright, taken: w.taken };
    const ask = () => ({ task: taskOf(w.timeline, p.mainData, p.mainFrame, options) });
    this.ask(task, ask, { w, few: false, events, data, p });
  }

  private deliver(w: Wanted, events: readonly TimelineEvent[], data: ChartData): void {
    this.busy = false;
    const prepared = preparedFor(w, events, data);
    if (w.rows && !w.upright && data.count > 0) {
      const { laid, lanes } = layoutLanes(w.timeline, data, w.room, w.rows);
      this.done(assemble(prepared, laid, w.today, lanes), events);
    } else {
      const { mainData, mainFrame } = prepared;
      const laid = layoutChart(w.timeline, mainData, mainFrame, { upright: w.upright, taken: w.taken });
      this.done(assemble(prepared, laid, w.today), events);
    }
  }

  private ask(task: number, asked: () => object, about: About): void {
    const { w } = about;
    /** Laid out where it is, from now on: slower, but there. */
    const alone = () => {
      clearTimeout(this.patience);
      this.alone = true;
      this.worker?.terminate();
      this.worker = null;
      if (task !== this.task || !this.busy) return;
      if (!about.few) this.deliver(w, about.events, about.data);
      else this.takeWhole(w, layOutWhole(w));
    };
    if (this.alone) {
      alone();
      return;
    }
    try {
      this.worker ??= this.makeWorker();
    } catch {
      alone();
      return;
    }
    this.worker.onerror = alone;
    this.worker.onmessageerror = alone;
    this.worker.onmessage = (m: MessageEvent<{ number: number; answer: unknown }>) => {
      this.hasAnswered = true;
      clearTimeout(this.patience);
      // An answer that comes too late is about a chart that is no longer there.
      if (m.data.number !== this.task) return;
      const begun = performance.now();
      this.busy = false;
      if (about.few) this.takeWhole(w, m.data.answer as ChartAnswer);
      else {
        const { p } = about;
        this.done(assemble(p, laidFrom(m.data.answer as LayoutAnswer, p.mainData), w.today), p.events);
      }
      this.answerTimes.push(performance.now() - begun);
    };
    this.giveUp = alone;
    if (!this.hasAnswered) this.patience ??= setTimeout(() => this.giveUp?.(), PATIENCE_MS);
    this.worker.postMessage({ number: task, ...asked() });
  }

  private takeWhole(w: Wanted, answer: ChartAnswer): void {
    this.busy = false;
    const { chart, events } = chartFrom(w, answer, w.today);
    this.done(chart, events);
  }
}

/** What an answer is about. */
type About =
  | { w: Wanted; few: true }
  | { w: Wanted; few: false; events: readonly TimelineEvent[]; data: ChartData; p: Prepared };
