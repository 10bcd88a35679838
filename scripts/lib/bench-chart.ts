/** The chart's part of the bench, run in a browser: our frames against a bare painter and a general chart library. */
import * as echarts from "echarts";
import { chartOf } from "@/core/chart/frame/chart";
import { drawView } from "@/core/chart/draw/draw-chart";
import { answerTo, type LayoutAnswer, taskOf } from "@/core/chart/frame/hand-over";
import { chartData, shownEvents } from "@/core/chart/data/chart-data";
import { frameContent } from "@/core/chart/frame/frame";
import { groundOf } from "@/core/chart/frame/layout";
import { rankX } from "@/core/chart/frame/shown";
import { type View, wholeView, zoomed, panned } from "@/core/chart/axis/view";
import { seededTimeline } from "@/core/testing/seeded-timeline";
import { ChartStage } from "@/ui/stage/chart-stage";
import { paintCanvas } from "@/ui/stage/paint-canvas";

const SIZE = { width: 1_280, height: 480 };
const FRAMES = 240;
const timelineOf = (n: number) => seededTimeline(n, 5, "spread", "true", n > 10_000 ? 0.02 : 0.1);
const charts = new Map<number, ReturnType<typeof chartOf>>();
function chart(n: number) {
  let c = charts.get(n);
  if (!c) {
    c = chartOf(timelineOf(n), SIZE);
    charts.set(n, c);
  }
  return c;
}

/** In and out and along, the same for everybody: half an octave every few frames. */
function views(c: ReturnType<typeof chartOf>): View[] {
  const g = groundOf(c.laid.axis, c.laid.layout);
  const list: View[] = [];
  let v = wholeView(g);
  for (let k = 0; k < FRAMES; k++) {
    const t = k / FRAMES;
    v =
      k % 3 === 2
        ? panned(g, v, 12 * Math.sin(k / 9))
        : zoomed(g, v, 640 + 300 * Math.sin(k / 31), t < 0.5 ? 1.06 : 1 / 1.05);
    list.push(v);
  }
  return list;
}

const quantile = (list: number[], q: number) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(q * list.length))]!;

function canvasOf(): HTMLCanvasElement {
  const canvas = document.createElement("canvas");
  canvas.width = SIZE.width;
  canvas.height = SIZE.height;
  document.body.replaceChildren(canvas);
  return canvas;
}

/** Times each frame until its pixels are there: reading one back makes the painter finish. */
function timed(canvas: () => HTMLCanvasElement, frames: (() => void)[]): { p50: number; p95: number } {
  const times: number[] = [];
  for (const [k, f] of frames.entries()) {
    const begun = performance.now();
    f();
    canvas().getContext("2d")!.getImageData(0, 0, 1, 1);
    if (k > 20) times.push(performance.now() - begun);
  }
  return { p50: quantile(times, 0.5), p95: quantile(times, 0.95) };
}

function ours(n: number) {
  const c = chart(n);
  const canvas = canvasOf();
  return timed(
    () => canvas,
    views(c).map((v) => () => {
      const { scene } = drawView(c, v, [], null);
      paintCanvas(canvas, scene, 1, () => null);
    }),
  );
}

/** The least a painter must do: every point in view a triangle, the labels that we show as ground and two lines of words. */
function bare(n: number) {
  const c = chart(n);
  const canvas = canvasOf();
  const ctx = canvas.getContext("2d")!;
  const { layout, data } = c.laid;
  const frames = views(c).map((v) => {
    const content = frameContent(c.laid, v, []);
    return () => {
      ctx.clearRect(0, 0, SIZE.width, SIZE.height);
      const g = content.ground;
      for (let r = 0; r < layout.byApex.length; r++) {
        const x = rankX(c.laid, g, v, r);
        if (x < -5 || x > SIZE.width + 5) continue;
        ctx.fillStyle = data.looks[data.look[layout.byApex[r]!]!]!.colour;
        ctx.beginPath();
        ctx.moveTo(x - 4.5, layout.ridgeTop + 24);
        ctx.lineTo(x + 4.5, layout.ridgeTop + 24);
        ctx.lineTo(x, layout.ridgeTop + 39);
        ctx.fill();
      }
      for (const l of content.labels) {
        ctx.fillStyle = "#fff";
        ctx.fillRect(l.x - 3, l.y - 1, l.w + 6, l.h + 2);
        ctx.fillStyle = "#16323A";
        ctx.font = "700 12.5px sans-serif";
        ctx.fillText(data.dates[l.i]!, l.x, l.y + 13);
        ctx.font = "600 13.5px sans-serif";
        ctx.fillText(data.titles[l.i]!, l.x, l.y + 30);
      }
    };
  });
  return timed(() => canvas, frames);
}

/** The same points and labels in a general chart library, everything that could only cost it time turned off. */
function library(n: number) {
  const c = chart(n);
  const { layout, data } = c.laid;
  const box = document.createElement("div");
  box.style.cssText = `width:${SIZE.width}px;height:${SIZE.height}px`;
  document.body.replaceChildren(box);
  const made = echarts.init(box, null, {
    renderer: "canvas",
    devicePixelRatio: 1,
    width: SIZE.width,
    height: SIZE.height,
  });
  const u = (r: number) => layout.hi[r]! + layout.lo[r]!;
  made.setOption({
    animation: false,
    xAxis: { type: "value", min: 0, max: c.laid.axis.length },
    yAxis: { type: "value", min: 0, max: 1, show: false },
    dataZoom: [{ type: "inside", start: 0, end: 100 }],
    series: [
      {
        type: "scatter",
        symbol: "triangle",
        symbolSize: 9,
        progressive: 0,
        animation: false,
        data: Array.from(layout.byApex, (i, r) => ({
          value: [u(r), 0.9 - 0.1 * (r % 8)],
          name: `${data.dates[i]} ${data.titles[i]}`,
        })),
        label: { show: true, formatter: "{b}", position: "right" },
        labelLayout: { hideOverlap: true },
      },
    ],
  });
  const g = groundOf(c.laid.axis, layout);
  const frames = views(c)
    .filter((_, k) => k % 8 === 0 || k < 24)
    .slice(0, 44)
    .map((v) => () => {
      const from = (100 * (v.u0.hi + v.u0.lo)) / g.axis.length;
      const to = from + (100 * (g.size - 2 * g.pad)) / v.scale / g.axis.length;
      made.dispatchAction({ type: "dataZoom", start: from, end: to });
      made.getZr().flush();
    });
  const result = timed(() => box.querySelector("canvas")!, frames);
  made.dispose();
  return result;
}

/** A layout as the worker does it, ms; and how long its answer keeps the page. */
async function layoutTimes(n: number): Promise<{ inWorker: number; withPassing: number; answer: number }> {
  const timeline = timelineOf(n);
  const data = chartData(timeline, shownEvents(timeline));
  const worker = new Worker("/worker.js", { type: "module" });
  const ask = () =>
    new Promise<{ took: number; total: number }>((resolve) => {
      const begun = performance.now();
      worker.onmessage = (m: MessageEvent<{ answer: LayoutAnswer; took: number }>) =>
        resolve({ took: m.data.took, total: performance.now() - begun });
      worker.postMessage({ number: 1, task: taskOf(timeline, data, SIZE) });
    });
  const runs: { took: number; total: number }[] = [];
  for (let k = 0; k < (n > 50_000 ? 4 : 6); k++) runs.push(await ask());
  worker.terminate();
  const answers: number[] = [];
  const box = document.createElement("div");
  box.style.cssText = `width:${SIZE.width}px;height:${SIZE.height}px;position:relative`;
  document.body.replaceChildren(box);
  const stage = new ChartStage(box, hooks, () => new Worker("/worker.js", { type: "module" }));
  stage.show({ timeline, hidden: new Set(), upright: false, rows: null });
  for (let k = 0; k < 400 && stage.answerTimes.length === 0 && n > 400; k++)
    await new Promise((r) => setTimeout(r, 25));
  answers.push(...stage.answerTimes);
  stage.destroy();
  const middle = (list: number[]) => quantile(list, 0.5);
  return {
    inWorker: middle(runs.slice(1).map((r) => r.took)),
    withPassing: middle(runs.slice(1).map((r) => r.total)),
    answer: answers[0] ?? 0,
  };
}

const hooks = { pictureUrl: () => null, select: () => {}, list: () => {}, seen: () => {}, footInset: 0, add: null };

/** The whole stage on the screen, frame by frame as the browser gives them. */
async function live(n: number): Promise<{ script95: number; slow: number; frame95: number }> {
  const box = document.createElement("div");
  box.style.cssText = `width:${SIZE.width}px;height:${SIZE.height}px;position:relative;overflow:hidden`;
  document.body.replaceChildren(box);
  const stage = new ChartStage(box, hooks, () => new Worker("/worker.js", { type: "module" }));
  stage.show({ timeline: timelineOf(n), hidden: new Set(), upright: false, rows: null });
  const ready = () => box.querySelector("button") !== null;
  for (let k = 0; k < 800 && !ready(); k++) await new Promise((r) => setTimeout(r, 25));
  stage.frameTimes = [];
  const gaps: number[] = [];
  let last = 0;
  await new Promise<void>((resolve) => {
    let k = 0;
    const step = (t: number) => {
      if (last > 0) gaps.push(t - last);
      last = t;
      if (k++ > 300) return resolve();
      if (k % 3 === 2) stage.pan(10 * Math.sin(k / 9));
      else stage.zoomAt(640 + 300 * Math.sin(k / 31), k < 150 ? 1.05 : 1 / 1.045);
      requestAnimationFrame(step);
    };
    requestAnimationFrame(step);
  });
  const script = stage.frameTimes.slice(20);
  stage.destroy();
  return {
    script95: quantile(script, 0.95),
    slow: gaps.slice(20).filter((g) => g > 20).length / Math.max(1, gaps.length - 20),
    frame95: quantile(gaps.slice(20), 0.95),
  };
}

/**
 * A label dropped by hand until the chart has settled on the screen, ms: the median of several, each elsewhere. And what a
 * layout of everything takes where it is, for comparison.
 */
async function dropped(n: number): Promise<{ drop: number; whole: number }> {
  const box = document.createElement("div");
  box.style.cssText = `width:${SIZE.width}px;height:${SIZE.height}px;position:relative;overflow:hidden`;
  document.body.replaceChildren(box);
  const moves = { spot: () => {}, when: () => {}, place: () => {}, lane: () => {}, say: () => {} };
  const stage = new ChartStage(box, { ...hooks, moves }, () => new Worker("/worker.js", { type: "module" }));
  let timeline = timelineOf(n);
  const subject = { hidden: new Set<string>(), upright: false, rows: null };
  stage.show({ ...subject, timeline });
  for (let k = 0; k < 800 && box.querySelector("button") === null; k++) await new Promise((r) => setTimeout(r, 25));
  const ids = [...box.querySelectorAll<HTMLElement>("[data-target^=event]")].map((b) => b.dataset.target!.slice(6));
  const canvas = box.querySelector("canvas")!;
  const times: number[] = [];
  for (let k = 0; k < 12; k++) {
    const id = ids[(k * 7) % ids.length]!;
    const spot = { along: -60 + 10 * k, across: 80 + 17 * k };
    const events = new Map(timeline.events).set(id, { ...timeline.events.get(id)!, spot });
    timeline = { ...timeline, events };
    await new Promise((r) => requestAnimationFrame(r));
    const begun = performance.now();
    stage.show({ ...subject, timeline });
    stage.paintAtOnce();
    canvas.getContext("2d")!.getImageData(0, 0, 1, 1);
    times.push(performance.now() - begun);
  }
  stage.destroy();
  const data = chartData(timeline, shownEvents(timeline));
  const begun = performance.now();
  answerTo(taskOf(timeline, data, SIZE));
  return { drop: quantile(times.slice(2), 0.5), whole: performance.now() - begun };
}

Object.assign(window, { bench: { dropped, ours, bare, library, layoutTimes, live, answerTo } });
