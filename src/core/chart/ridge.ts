import { textWidth } from "../text/measure";
import { inDays, isDated } from "../time/when";
import { momentLabel, whenLabel, type Manner } from "../time/write-when";
import type { Timeline, TimelineEvent } from "../timeline/timeline";
import { drawnExtent, type Axis } from "./axis";
import { BAND, CAP, INK, PAPER, rectangle, RIDGE, SUN } from "./house-style";
import type { Shape } from "./scene";
import { type makeTicks, TICK_FACE, TICK_SIZE } from "./ticks";

interface EndLabel {
  text: string;
  from: number;
  to: number;
}

/** The first and the last date, always written; as one text when both do not fit. */
export function endLabels(
  timeline: Pick<Timeline, "period" | "dateStyle">,
  axis: Axis,
  events: readonly TimelineEvent[],
  inner: { from: number; to: number },
): EndLabel[] {
  const dated = events.filter((e) => isDated(e.when));
  if (dated.length === 0 || axis.scale === "even")
    return axis.scale === "even" ? evenLabels(timeline.dateStyle, axis, events, inner) : [];
  // A period that was set reaches further than the events where the ridge ends with it.
  const p = timeline.period.readAs;
  const [from, to] = p.kind === "span" ? [p.start, p.end] : p.kind === "moment" ? [p.at, p.at] : [null, null];
  const first =
    from?.from && inDays(from.from) <= axis.from! ? momentLabel(from) : firstDate(dated[0]!, timeline.dateStyle);
  const last = to?.to && inDays(to.to) >= axis.to! ? momentLabel(to) : lastDate(dated, timeline.dateStyle);
  const w1 = textWidth(first, TICK_FACE, TICK_SIZE);
  const w2 = textWidth(last, TICK_FACE, TICK_SIZE);
  const end = inner.from + axis.datedEnd * (inner.to - inner.from);
  if (first === last) return [{ text: first, from: inner.from, to: inner.from + w1 }];
  if (w1 + w2 + 20 > end - inner.from) {
    const text = `${first} – ${last}`;
    return [{ text, from: inner.from, to: inner.from + textWidth(text, TICK_FACE, TICK_SIZE) }];
  }
  return [
    { text: first, from: inner.from, to: inner.from + w1 },
    { text: last, from: end - w2, to: end },
  ];
}

/** On the even scale the ridge carries the events' own dates, as many as fit, first and last before others. */
function evenLabels(
  manner: Manner | null,
  axis: Axis,
  events: readonly TimelineEvent[],
  inner: { from: number; to: number },
): EndLabel[] {
  const made = events
    .filter((e) => isDated(e.when))
    .map((e) => {
      const text = firstDate(e, manner);
      const w = textWidth(text, TICK_FACE, TICK_SIZE);
      const x = inner.from + axis.apexOf(e) * (inner.to - inner.from) - w / 2;
      const from = Math.max(inner.from, Math.min(x, inner.to - w));
      return { text, from, to: from + w };
    });
  const kept: EndLabel[] = [];
  for (const l of [made[0], made.at(-1), ...made.slice(1, -1)])
    if (l && kept.every((k) => l.to + 18 <= k.from || l.from >= k.to + 18)) kept.push(l);
  return kept;
}

function firstDate(e: TimelineEvent, manner: Manner | null): string {
  const r = e.when.readAs;
  const only = r.kind === "span" && r.start ? { ...e.when, readAs: { kind: "moment" as const, at: r.start } } : e.when;
  return whenLabel(only, manner);
}

function lastDate(dated: readonly TimelineEvent[], manner: Manner | null): string {
  let best = "";
  let latest = Number.NEGATIVE_INFINITY;
  for (const e of dated) {
    const r = e.when.readAs;
    if (r.kind === "span" && r.end === null) return "today";
    const m = r.kind === "moment" ? r.at : r.kind === "span" ? (r.end ?? r.start) : null;
    if (!m) continue;
    const day = drawnExtent({ ...m, about: false }, e)[1];
    if (day > latest) {
      latest = day;
      best = whenLabel({ ...e.when, readAs: { kind: "moment", at: m } }, manner);
    }
  }
  return best;
}

export function drawBands(
  shapes: Shape[],
  ticks: readonly { along: number; text: string }[],
  inner: { from: number; to: number },
  height: number,
): void {
  const major = ticks.filter((t) => t.text);
  for (let i = 0; i < major.length; i += 2) {
    const to = major[i + 1]?.along ?? inner.to;
    shapes.push({ kind: "area", points: rectangle(major[i]!.along, 0, to - major[i]!.along, height), fill: BAND });
  }
}

export function drawRidge(
  shapes: Shape[],
  width: number,
  left: number,
  top: number,
  ticks: ReturnType<typeof makeTicks>,
  ends: EndLabel[],
  axis: Axis,
  toPx: (u: number) => number,
): void {
  const mid = top + RIDGE / 2;
  const [a, b] = [left, width - left];
  shapes.push({
    kind: "area",
    points: [a, mid, a + CAP, top, b - CAP, top, b, mid, b - CAP, top + RIDGE, a + CAP, top + RIDGE],
    fill: INK,
  });
  for (const t of ticks) {
    if (t.text)
      shapes.push({
        kind: "text",
        x: t.along,
        y: top + 17,
        text: t.text,
        face: TICK_FACE,
        size: TICK_SIZE,
        fill: PAPER,
        align: "middle",
      });
    shapes.push({ kind: "line", points: [t.along, top, t.along, top + (t.text ? 4 : 3)], stroke: "#7FC4B8", width: 1 });
  }
  for (const e of ends)
    shapes.push({
      kind: "text",
      x: e.from,
      y: top + 17,
      text: e.text,
      face: TICK_FACE,
      size: TICK_SIZE,
      fill: SUN,
      align: "start",
    });
  // Where time changes pace a notch is cut into the foot of the ridge.
  for (const c of axis.changes) {
    const x = toPx(c.at);
    shapes.push({ kind: "area", points: [x - 5, top + RIDGE, x, top + RIDGE - 5, x + 5, top + RIDGE], fill: SUN });
  }
}
