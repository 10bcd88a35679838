import { whenLabel } from "../time/write-when";
import { inOrder } from "../timeline/order";
import type { Timeline, TimelineEvent } from "../timeline/timeline";
import { isRoof, makeAxis } from "./axis";
import {
  BOB,
  CAP,
  type DrawOptions,
  FAN,
  FOOT,
  FULL,
  lookOf,
  MARGIN,
  type Measures,
  RIDGE,
  STRIP,
} from "./house-style";
import type { Scene, Shape, Target } from "./scene";
import { makeTicks } from "./ticks";
import { bobWidth, chooseLabels, drawBob, drawLabel, drawLine, drawMore, NO_LABELS } from "./moments";
import { drawBands, drawRidge, endLabels } from "./ridge";
import { drawRoof, placeRoofs } from "./roofs";

export interface Frame {
  width: number;
  height: number;
}

/**
 * The drawing of a timeline in a frame. A function of its arguments alone: the same drawing, to the byte, whatever the
 * order the events are held in. Taller than the frame when the roofs need it.
 */
export function drawChart(timeline: Timeline, frame: Frame, options: DrawOptions = {}): Scene {
  const events = inOrder(timeline.events.values()).filter((e) => !options.hidden?.has(e.category ?? ""));
  const axis = makeAxis(timeline, events);
  const left = Math.min(MARGIN, frame.width / 10);
  const inner = { from: left + CAP + 4, to: frame.width - left - CAP - 4 };
  const toPx = (u: number) => inner.from + u * (inner.to - inner.from);
  const look = lookOf(timeline);

  const roofs = placeRoofs(timeline, events.filter(isRoof), axis, toPx, frame, options);
  const rows = roofs.reduce((n, r) => Math.max(n, r.row + 1), 0);
  const sizes: Measures = options.strip ? STRIP : FULL;
  const ridgeTop = sizes.top + rows * (sizes.roof + sizes.gap) + (rows > 0 ? 4 : 0);
  const moments = events.filter((e) => !isRoof(e));
  const labelsFrom = ridgeTop + RIDGE + BOB + FAN;
  const most = options.strip ? ridgeTop + RIDGE + BOB + 6 : Math.max(frame.height, labelsFrom + 60 + FOOT);

  const shapes: Shape[] = [];
  const targets: Target[] = [];
  const ends = endLabels(timeline, axis, events, inner);
  const ticks = makeTicks(
    axis,
    toPx,
    ends.map((e) => [e.from, e.to]),
    timeline.dateStyle?.era,
  );

  const chosen = options.strip
    ? NO_LABELS
    : chooseLabels(timeline, moments, axis, toPx, frame.width, most - labelsFrom - FOOT);
  const needed = Math.max(labelsFrom, ...chosen.placed.map((p) => labelsFrom + (p.row + 1) * chosen.pitch)) + FOOT;
  const height = options.fit && chosen.placed.length === chosen.labels.length ? Math.min(most, needed) : most;
  if (!options.strip) drawBands(shapes, ticks, inner, height);
  drawRidge(shapes, frame.width, left, ridgeTop, ticks, ends, axis, toPx);
  for (const roof of roofs) drawRoof(shapes, targets, roof, ridgeTop, sizes, look, options);
  const label = new Map(chosen.labels.map((l) => [l.id, l]));
  const placed = new Map(chosen.placed.map((p) => [p.id, p]));
  // Lines first: no label may be struck through by one that is painted later.
  for (const e of moments)
    drawLine(shapes, e, toPx(axis.apexOf(e)), placed.get(e.id), label.get(e.id), chosen.pitch, ridgeTop, look, options);
  for (const e of [...moments].sort((a, b) => bobWidth(b, axis) - bobWidth(a, axis)))
    drawBob(shapes, targets, e, axis, toPx, ridgeTop, look, options, placed.has(e.id));
  for (const p of chosen.placed)
    drawLabel(shapes, targets, label.get(p.id)!, p, chosen.pitch, chosen.setting, labelsFrom, look, options);
  if (!options.strip)
    drawMore(
      shapes,
      targets,
      moments.filter((e) => !placed.has(e.id)),
      axis,
      toPx,
      height,
      inner,
    );
  nameTargets(targets, timeline, events);
  return { width: frame.width, height, shapes, targets, ridgeY: ridgeTop + RIDGE / 2 };
}

function nameTargets(targets: Target[], timeline: Timeline, events: readonly TimelineEvent[]): void {
  const place = new Map(events.map((e, i) => [e.id, i + 1]));
  for (const t of targets) {
    if (t.kind === "more") continue;
    const e = timeline.events.get(t.ids[0]!)!;
    t.name = `${whenLabel(e.when, timeline.dateStyle) || "No date"}, ${e.title.trim() || "Untitled"}, event ${place.get(e.id)} of ${events.length}`;
  }
  targets.sort((a, b) => (place.get(a.ids[0]!) ?? 0) - (place.get(b.ids[0]!) ?? 0));
}
