import type { Chart } from "../frame/chart";
import type { ChartData } from "../data/chart-data";
import { HEAD } from "../close-ups/close-ups";
import { drawnIn } from "../../words/chart";
import { countedRanks, firstCounted } from "../labels/counts";
import { shownBobs } from "./draw-bobs";
import { roofTarget } from "./draw-roofs";
import type { Part } from "../frame/frame";
import { BOB, RING } from "../style/house-style";
import type { Target } from "./scene";
import { inFrame, type ShownCount, titleBox } from "../frame/shown";

/** How many real elements may lie over a drawing. */
const MOST_TARGETS = 150;

/**
 * What can be pointed at and read out, in the order of time; a count stands where its first event would. `brief`: of the
 * events a count stands for only the first is named; `countedIds` gives them all.
 */
export function targetsOf(chart: Chart, parts: readonly Part[], brief = false): Target[] {
  const made: { at: number; t: Target }[] = [];
  const counted: { at: number; t: Target }[] = [];
  // What is opened in a close-up can be reached however crowded the chart is.
  for (const part of [...parts].sort((a, b) => Number(a.closeUp < 0) - Number(b.closeUp < 0))) {
    const { laid, content: c, left, top } = part;
    const { data, layout } = laid;
    const boxed = (b: { x: number; y: number; w: number; h: number }) => {
      const box = inFrame(layout.upright, b);
      return { ...box, x: box.x + left, y: box.y + top };
    };
    const event = (i: number, x: number, y: number, w: number, h: number) =>
      made.push({ at: part.of(i), t: { ids: [data.ids[i]!], kind: "event", ...boxed({ x, y, w, h }), name: "" } });
    for (const l of c.labels) event(l.i, l.x - 4, l.y - 2, l.w + 8, l.h + 4);
    const labelled = new Set(c.labels.map((l) => l.i));
    // Where the ridge runs down, spans stand in the rows of labels, or are counted there.
    const isInRows = ({ content, laid: of }: Part, i: number) => {
      if (!of.layout.upright) return false;
      const rank = rankOf(of.layout.byApex, of.data.count)[i]!;
      return labelled.has(i) || content.counts.some((n) => rank >= n.first && rank < n.end);
    };
    // Titled roofs first, where there are too many for all.
    const roofs = c.roofs
      .filter((r) => !isInRows(part, r.i))
      .sort((a, b) => Number(b.title !== null) - Number(a.title !== null));
    for (const r of roofs) {
      const t = roofTarget(r, data.ids[r.i]!);
      made.push({ at: part.of(r.i), t: { ...t, ...boxed(t), ...(t.also ? { also: boxed(t.also) } : {}) } });
    }
    const bare = shownBobs(laid, c.ground, c.view).filter((b) => !labelled.has(b.i));
    if (bare.length + made.length + c.counts.length <= MOST_TARGETS)
      for (const b of bare) event(b.i, b.apex - 8, layout.ridgeTop + layout.ridge, 16, BOB + 4);
    for (const n of c.counts) {
      const first = firstCounted(laid, c.ground, c.view, c.labels, n);
      const ids = brief ? [data.ids[layout.byApex[first]!]!] : countedIds(part, n);
      const name = drawnIn(data.style.language).noRoom(n.count);
      counted.push({ at: part.of(layout.byApex[first]!) + 0.5, t: { ids, kind: "more", ...boxed(n), name } });
    }
  }
  // Counts stand for many: they are never left out.
  made.length = Math.min(made.length, Math.max(0, MOST_TARGETS - counted.length));
  for (const { at, t } of made) t.name = chart.nameOf(at);
  const all = [...made, ...counted, ...closeUpTargets(chart, parts)];
  const events = all.sort((a, b) => a.at - b.at).map((m) => m.t);
  return [...laneTargets(chart), ...events];
}

const knownRanks = new WeakMap<Int32Array, Int32Array>();
/** The rank of each event; -1: it has none. */
function rankOf(byApex: Int32Array, count: number): Int32Array {
  let found = knownRanks.get(byApex);
  if (!found) {
    found = new Int32Array(count).fill(-1);
    for (const [rank, i] of byApex.entries()) found[i] = rank;
    knownRanks.set(byApex, found);
  }
  return found;
}

/** A row's name folds and opens it. */
function laneTargets({ lanes, names }: Chart): Target[] {
  return (lanes ?? []).map((lane): Target => {
    const n = lane.at.length;
    const name = `${names[lane.look]}, ${n} ${n === 1 ? "event" : "events"}, ${lane.folded ? "folded" : "open"}`;
    return { ids: [String(lane.look)], kind: "lane", x: 2, y: lane.top + 1, w: 150, h: 22, name };
  });
}

/** The ids of the events a count stands for. */
export function countedIds({ laid, content: c }: Part, n: ShownCount): string[] {
  return countedRanks(laid, c.ground, c.view, c.labels, n).map((r) => laid.data.ids[laid.layout.byApex[r]!]!);
}

const knownCounts = new WeakMap<Int32Array, Map<number, number>>();
/** How many parts each whole has, by index; counted once for a chart. */
function partCounts({ whole }: ChartData): Map<number, number> {
  let found = knownCounts.get(whole);
  if (!found) {
    found = new Map();
    for (const w of whole) if (w >= 0) found.set(w, (found.get(w) ?? 0) + 1);
    knownCounts.set(whole, found);
  }
  return found;
}

/** The letters: pressing one opens what has parts in a close-up, or closes it. */
function closeUpTargets(chart: Chart, parts: readonly Part[]): { at: number; t: Target }[] {
  const { data, closeUps } = chart;
  const made: { at: number; t: Target }[] = [];
  const opened = new Set(closeUps.map((c) => c.whole));
  const counts = partCounts(data);
  const add = (i: number, x: number, y: number, isOpen: boolean) => {
    const n = counts.get(i)!;
    const name = `Close-up ${data.letters[i]} of ${data.titles[i]}, ${n} ${n === 1 ? "part" : "parts"}, ${isOpen ? "open" : "closed"}`;
    made.push({ at: i + 0.25, t: { ids: [data.ids[i]!], kind: "close-up", x: x - 12, y: y - 12, w: 24, h: 24, name } });
  };
  for (const c of closeUps) add(c.whole, c.x + c.w - 22, c.y + HEAD / 2, true);
  for (const { laid, content, left, top, of } of parts) {
    const { layout } = laid;
    const lettered = (i: number) => laid.data.letters[i] !== "" && !opened.has(of(i));
    const put = (i: number, b: { x: number; y: number; w: number; h: number }) => {
      const box = inFrame(layout.upright, b);
      add(of(i), left + box.x + RING, top + box.y + Math.min(box.h / 2, 9.5), false);
    };
    for (const r of content.roofs) if (r.title && lettered(r.i)) put(r.i, titleBox(r, r.title));
    for (const l of content.labels) if (lettered(l.i)) put(l.i, l);
  }
  return made;
}
