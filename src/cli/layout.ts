import { readFile } from "node:fs/promises";
import { MOST } from "@/core/change/limits";
import { countedRanks } from "@/core/chart/labels/counts";
import { EMPHASIS, SPAN_KIND } from "@/core/chart/data/chart-data";
import { bobAt } from "@/core/chart/draw/draw-bobs";
import { leader, pictureOf, textOfLabel } from "@/core/chart/draw/draw-labels";
import { overLine, pictureOnRoof, sizeOf, titleText } from "@/core/chart/draw/draw-roofs";
import { type Chart, chartOf } from "@/core/chart/frame/chart";
import type { CloseUpMode } from "@/core/chart/close-ups/close-ups";
import { drawView } from "@/core/chart/draw/draw-chart";
import type { Part } from "@/core/chart/frame/frame";
import { groundOf, type Laid } from "@/core/chart/frame/layout";
import { minus, type Pair, ZERO } from "@/core/chart/axis/pair";
import { ridgeOf } from "@/core/chart/draw/ridge";
import { inFrame, titleBox } from "@/core/chart/frame/shown";
import { usedBox } from "@/core/chart/frame/used";
import { titleSize } from "@/core/chart/style/house-style";
import { instantOf, type View, wholeView } from "@/core/chart/axis/view";
import { type Frozen, timelineFromFrozen } from "@/core/formats/frozen";
import { endingsFor, formatFor } from "@/core/formats/formats";
import { readTable } from "@/core/formats/table";
import type { Instant } from "@/core/time/instant";
import type { DateOrder } from "@/core/time/read/options";
import type { Scale } from "@/core/timeline/fields";
import { LIMIT_SENTENCES } from "@/core/words/limits";

/** What went wrong with a command, in a sentence for whoever gave it. */
export class Refusal extends Error {}

export interface LayoutOptions {
  width: number;
  height: number;
  from?: string;
  to?: string;
  scale?: Scale;
  /** The ridge runs down; what is along it (x0, x1, apex, a tick's x) is then measured down the page, y across it. */
  upright?: boolean;
  /** A row for each category; then nothing is drawn in close-ups. */
  rows?: boolean;
  closeUps?: CloseUpMode;
}

/** Reads a file of events by its ending. */
export async function readEvents(file: string, order?: DateOrder): Promise<Frozen> {
  const format = formatFor(file, "read");
  if (!format) throw new Refusal(`${file}: a file ending in ${endingsFor("read")} is needed.`);
  let text: string;
  try {
    text = await readFile(file, "utf8");
  } catch (e) {
    const code = (e as NodeJS.ErrnoException).code;
    throw new Refusal(`${file} cannot be read: ${code === "ENOENT" ? "there is no such file" : code}.`);
  }
  if (text.trim() === "") return (readTable("") as { frozen: Frozen }).frozen;
  const read = format.read!(text, order ? { order } : {});
  if ("problem" in read) throw new Refusal(`${file}: ${read.problem}`);
  if (read.frozen.events.length > MOST.drawn.most) throw new Refusal(`${file}: ${LIMIT_SENTENCES.drawn}`);
  return read.frozen;
}

const round = (n: number) => Math.round(n * 100) / 100;

/** The geometry of a chart in px, x and y the top left corner of a box; ids are records from 1. */
export function layoutOf(frozen: Frozen, o: LayoutOptions) {
  const timeline = { ...timelineFromFrozen(frozen), ...(o.scale ? { scale: o.scale } : {}) };
  const rows = o.rows && !o.upright ? { folded: new Set<string>() } : undefined;
  const frame = { width: o.width, height: o.height };
  const chart = chartOf(timeline, frame, { upright: o.upright ?? false, rows, closeUps: o.closeUps ?? "auto" });
  const record = new Map(frozen.events.map((e, i) => [e.id, i + 1]));
  const window = windowOf(chart, o);
  const { scene, parts } = drawView(chart, viewFor(chart, window), "at rest", null);
  const found = parts.map((part) => partOf(part, window, record));
  const onMain = found.filter((_, k) => parts[k]!.closeUp < 0);
  const all = <K extends keyof (typeof found)[number]>(k: K) =>
    onMain.flatMap((f) => f[k] as unknown[]) as (typeof found)[number][K];
  const main = parts.find((p) => p.closeUp < 0);
  const { x, y, w, h } = usedBox(chart, parts);
  return {
    width: scene.width,
    height: scene.height,
    labels: all("labels"),
    leaders: all("leaders"),
    moments: all("moments"),
    spans: all("spans"),
    clusters: all("clusters"),
    closeUps: parts.flatMap((part, k) => {
      if (part.closeUp < 0) return [];
      const { whole, x, y, w, h, words } = chart.closeUps[part.closeUp]!;
      const { ids, labels, leaders, moments, spans, clusters } = found[k]!;
      if (ids.length === 0) return [];
      const id = record.get(chart.data.ids[whole]!)!;
      return [{ id, ids, x, y, w, h, labels, leaders, moments, spans, clusters, ticks: ticksOf(part, words) }];
    }),
    used: { x: round(x), y: round(y), w: round(w), h: round(h) },
    ticks: main ? ticksOf({ ...main, laid: chart.laid, top: chart.lanes ? 0 : main.top }, chart.words) : [],
    before: found.reduce((n, f) => n + f.before, 0),
    after: found.reduce((n, f) => n + f.after, 0),
  };
}

/** The marks of a ridge, x in the middle of each. */
function ticksOf({ laid, content, left, top }: Part, words: Chart["words"]) {
  const { ground: g, view } = content;
  const { row, ends } = ridgeOf(laid, g, view, words);
  const shift = g.upright ? top : left;
  return [
    ...row.ticks
      .filter((t) => t.x >= 0 && t.x <= g.size)
      .map((t) => ({ x: round(t.x + shift), text: t.text, w: round(t.width), major: t.text !== "" })),
    ...ends.map((e) => ({
      x: round((e.from + e.to) / 2 + shift),
      text: e.text,
      w: round(e.to - e.from),
      major: true,
    })),
  ].sort((a, b) => a.x - b.x);
}

/** The geometry of one part of a chart: of its ridge, a row, or a close-up. */
function partOf(part: Part, window: Window, record: ReadonlyMap<string, number>) {
  const { laid, content, left, top } = part;
  const { ground: g, view } = content;
  const { data, layout } = laid;
  const idOf = (i: number) => record.get(data.ids[i]!)!;
  const box = (b: { x: number; y: number; w: number; h: number }) => {
    const { x, y, w, h } = inFrame(layout.upright, b);
    return { x: round(x + left), y: round(y + top), w: round(w), h: round(h) };
  };
  /** What is along the ridge, and what is across it. */
  const [along, across] = g.upright ? [top, left] : [left, top];
  const side = sidesOf(laid, window);
  const inside = (i: number) => side[i] === 0;
  const labels = content.labels.filter((l) => inside(l.i));
  const roofs = content.roofs.filter((r) => inside(r.i));
  /** Where the ridge runs down, a span's title stands in the rows of labels. */
  const inRows = (i: number) => {
    const l = labels.find((x) => x.i === i);
    if (!l) return null;
    const { date, lines } = textOfLabel(laid, i);
    return { ...box(l), cut: [date, ...lines].some((w) => w.endsWith("…")) };
  };
  return {
    ids: laid.data.ids.flatMap((_, i) => (inside(i) ? [idOf(i)] : [])),
    labels: [
      ...labels.map((l) => {
        const t = textOfLabel(laid, l.i);
        const words = [t.date, ...t.lines].filter(Boolean);
        const lines = layout.setting.oneLine ? [words.join(" ")] : words;
        const cut = words.some((w) => w.endsWith("…")) && !data.titles[l.i]!.endsWith("…");
        const p = pictureOf(laid, l, t);
        const picture = p && { x: round(p.x + left), y: round(p.y + top), w: round(p.w), h: round(p.h) };
        const type = titleSize((data.flags[l.i]! & EMPHASIS) !== 0, t.type);
        const of = data.kind[l.i] === SPAN_KIND ? "span" : "moment";
        return { id: idOf(l.i), ...box(l), of, lines, cut, type: round(type), picture };
      }),
      ...roofs.flatMap((r) => {
        if (!r.title) return [];
        const at = box(titleBox(r, r.title));
        const lines = [titleText(data, r, layout.roofs.type)];
        const drawn = pictureOnRoof(r);
        const type = round(sizeOf(data, r.i, layout.roofs.type));
        return [
          { id: idOf(r.i), ...at, of: "span", lines, cut: r.title.cut !== null, type, picture: drawn && box(drawn) },
        ];
      }),
    ],
    leaders: [
      ...labels.map((l) => ({ id: idOf(l.i), points: pairs(leader(laid, l), layout.upright, left, top) })),
      ...roofs.flatMap((r) =>
        r.title?.over ? [{ id: idOf(r.i), points: pairs(overLine(r, r.title.over), layout.upright, left, top) }] : [],
      ),
    ],
    moments: Array.from(layout.byApex, (_, rank) => bobAt(laid, g, view, rank))
      .filter((b) => inside(b.i) && data.kind[b.i] !== SPAN_KIND)
      .map((b) => ({
        id: idOf(b.i),
        x0: round(b.x0 + along),
        x1: round(b.x1 + along),
        apex: round(b.apex + along),
        y: layout.ridgeTop + layout.ridge + across,
      })),
    spans: roofs.map((r) => ({
      id: idOf(r.i),
      x0: round(r.x0 + along),
      x1: round(r.x1 + along),
      y0: round(r.y0 + across),
      y1: round(r.y1 + across),
      title: r.title ? { ...box(titleBox(r, r.title)), cut: r.title.cut !== null } : inRows(r.i),
    })),
    clusters: content.counts.flatMap((c) => {
      const ids = countedRanks(laid, g, view, content.labels, c)
        .map((r) => layout.byApex[r]!)
        .filter(inside)
        .map(idOf);
      return ids.length > 0 ? [{ ids, ...box(c) }] : [];
    }),
    before: side.filter((s) => s < 0).length,
    after: side.filter((s) => s > 0).length,
  };
}

/** Which events lie before (-1), in (0) and after (1) a window: moments by their apex, spans by any part of them. */
function sidesOf({ data, axis, p }: Laid, window: Window): Int8Array {
  const from = window.from && axis.from ? axis.at(window.from) : null;
  const to = window.to && axis.from ? axis.at(window.to) : null;
  const side = new Int8Array(data.count);
  for (let i = 0; i < data.count; i++) {
    const u = (k: number): Pair => ({ hi: p.hi[i * 4 + k]!, lo: p.lo[i * 4 + k]! });
    const [first, last] = data.kind[i] === SPAN_KIND ? [u(0), u(3)] : [u(1), u(1)];
    if (from && minus(last, from) < 0) side[i] = -1;
    else if (to && minus(first, to) > 0) side[i] = 1;
  }
  return side;
}

function pairs(points: readonly number[], upright: boolean, left: number, top: number): [number, number][] {
  const list: [number, number][] = [];
  for (let k = 0; k < points.length; k += 2) {
    const [x, y] = [points[k]!, points[k + 1]!];
    list.push(upright ? [round(y + left), round(x + top)] : [round(x + left), round(y + top)]);
  }
  return list;
}

/** A window on a chart: from when to when; null where it is open. */
interface Window {
  from: Instant | null;
  to: Instant | null;
}

function windowOf({ laid: { axis } }: Chart, o: LayoutOptions): Window {
  const read = (text: string | undefined, which: "start" | "end", name: string) => {
    if (text === undefined) return null;
    const at = instantOf(text, which);
    if (!at) throw new Refusal(`${name} ${text} is no date in ISO 8601-2 (EDTF), such as 1872-11-14 or -0309.`);
    return at;
  };
  const from = read(o.from, "start", "--from");
  const to = read(o.to, "end", "--to");
  if (from && to && (from.day - to.day || from.second - to.second) >= 0)
    throw new Refusal(`--from ${o.from} is not before --to ${o.to}.`);
  if (!axis.from) return { from: null, to: null };
  return { from, to };
}

/** The view of a window, as far as it is on the ridge; the whole where it is not at all. */
function viewFor({ laid }: Chart, w: Window): View {
  const g = groundOf(laid.axis, laid.layout);
  const end = { hi: laid.axis.length, lo: 0 };
  const [first, last] = [w.from && laid.axis.at(w.from), w.to && laid.axis.at(w.to)];
  const from = first && minus(first, ZERO) > 0 ? first : ZERO;
  const to = last && minus(last, end) < 0 ? last : end;
  const length = minus(to, from);
  const scale = (g.size - 2 * g.pad) / length;
  return length > 0 && Number.isFinite(scale) ? { u0: from, scale } : wholeView(g);
}
