import { wholeView } from "@/core/chart/axis/view";
import { drawChart, drawView } from "@/core/chart/draw/draw-chart";
import { chartFrom, layOutWhole, lightened } from "@/core/chart/frame/whole-chart";
import { chartOf } from "@/core/chart/frame/chart";
import { groundOf } from "@/core/chart/frame/layout";
import { usedBox } from "@/core/chart/frame/used";
import { studentTimeline } from "@/core/testing/seeded-timeline";
import { readWhen } from "@/core/time/read/read-when";
import { emptyEvent, emptyTimeline, type TimelineEvent } from "@/core/timeline/timeline";

/** Numbers that look like chance and are the same every time, 0 to 1. */
function chance(seed: number): () => number {
  let s = seed;
  return () => {
    s = (s * 16_807) % 2_147_483_647;
    return s / 2_147_483_647;
  };
}

/** Events between 1600 and 1931, a third of them spans. */
export function seededEvents(count: number, seed: number): TimelineEvent[] {
  const r = chance(seed);
  return Array.from({ length: count }, (_, i) => {
    const year = Math.round(1600 + 331 * r());
    const typed = r() < 0.3 ? `${year} - ${year + Math.round(r() * 60)}` : String(year);
    return { ...emptyEvent(`e${i}`), title: `Event number ${i} of the river`, when: readWhen(typed) };
  });
}

/** The middle time to draw a chart of so many events, ms. */
export function timeDrawing(count: number): number {
  const events = seededEvents(count, 7);
  const timeline = { ...emptyTimeline("t"), events: new Map(events.map((e) => [e.id, e])) };
  const times: number[] = [];
  for (let i = 0; i < 9; i++) {
    const begun = performance.now();
    drawChart(timeline, { width: 1280, height: 480 });
    times.push(performance.now() - begun);
  }
  return times.sort((a, b) => a - b)[4]!;
}

/** Of what students hand in, in a laptop's frame: the share of the height that is used, the mean height of pictures, px, and ms. */
export function roomUsed(): { used: number; picture: number; ms: number } {
  const [width, height] = [1_280, 800];
  let [used, pictures, sum] = [0, 0, 0];
  const times: number[] = [];
  const count = 40;
  for (let seed = 1; seed <= count; seed++) {
    const timeline = studentTimeline(6 + ((seed * 7) % 15), seed);
    // As in a worker that has laid out something before.
    chartOf(timeline, { width, height });
    const begun = performance.now();
    const chart = chartOf(timeline, { width, height });
    times.push(performance.now() - begun);
    const { scene, parts } = drawView(chart, wholeView(groundOf(chart.laid.axis, chart.laid.layout)), "at rest", null);
    used += usedBox(chart, parts).h / height / count;
    for (const s of scene.shapes) {
      if (s.kind !== "picture") continue;
      pictures++;
      sum += s.h;
    }
  }
  return { used, picture: sum / pictures, ms: times.sort((a, b) => a - b)[Math.floor(count * 0.9)]! };
}

/** What a chart of 60 events keeps the page for while a worker lays it out: handing it over, and taking it back; the slowest tenth, ms. */
export function pageKept(): number {
  const times: number[] = [];
  for (let seed = 1; seed <= 40; seed++) {
    const timeline = studentTimeline(60, seed);
    const room = { width: 1_280, height: 800 };
    const task = { timeline, hidden: new Set<string>(), room, upright: false, rows: null, seen: null };
    const answer = layOutWhole(task);
    const begun = performance.now();
    lightened(task);
    chartFrom(task, answer, { day: 740_000, second: 0 });
    times.push(performance.now() - begun);
  }
  return times.sort((a, b) => a - b)[Math.floor(times.length * 0.9)]!;
}

const TEXTS = [
  "1846",
  "14 Nov 1872",
  "Nov 14, 1872",
  "about 1702",
  "310 BC",
  "1840s",
  "1631 to about 1702",
  "2-5 Feb 1900",
  "14 Nov 1872 22:10",
  "spring 1783",
];

/** How many of the texts that all three can read a second goes through each: ours, ISO 8601-2's reader, a date library. */
export async function datesAgainstOthers(): Promise<{ own: number; edtf: number; library: number }> {
  const { default: edtf } = await import("edtf");
  const chrono = await import("chrono-node");
  const rate = (texts: string[], read: (t: string) => unknown) => {
    for (let i = 0; i < 200; i++) for (const t of texts) read(t);
    let n = 0;
    const begun = performance.now();
    while (performance.now() - begun < 700) for (const t of texts) if (read(t)) n++;
    return n / ((performance.now() - begun) / 1_000);
  };
  const notation = ["1846", "1872-11-14", "1872-11", "184X", "1702~", "1604?", "1631/1702", "2004-06/2006-08"];
  const words = ["14 Nov 1872", "Nov 14, 1872", "14 November 1872 22:10", "Thursday 14 Nov 1872"];
  const ratio = rate(notation, (t) => readWhen(t)) / rate(notation, (t) => edtf(t));
  const own = rate(words, (t) => readWhen(t));
  return { own, edtf: ratio, library: own / rate(words, (t) => chrono.parse(t)[0]) };
}

export function datesPerSecond(): number {
  let n = 0;
  const begun = performance.now();
  while (performance.now() - begun < 1_000) for (const t of TEXTS) if (readWhen(t).edtf) n++;
  return n / ((performance.now() - begun) / 1_000);
}
