import { placeInView } from "../axis/look-at";
import type { Chart } from "../frame/chart";
import { HEAD } from "../close-ups/close-ups";
import type { Part } from "../frame/frame";

/** Where an event stands in a drawing: px along its ridge, and where that ridge is across. */
export interface Standing {
  from: number;
  to: number;
  across: number;
  /** The index of its close-up; -1: the chart itself. */
  closeUp: number;
}

export function standing(parts: readonly Part[], id: string): Standing | null {
  for (const part of parts) {
    const { layout, data } = part.laid;
    const i = data.ids.indexOf(id);
    if (i < 0) continue;
    const [a, b] = placeInView(part.laid, part.content.ground, part.content.view, i);
    const [along, across] = layout.upright ? [part.top, part.left] : [part.left, part.top];
    const middle = across + layout.ridgeTop + layout.ridge / 2;
    return { from: a + along, to: b + along, across: middle, closeUp: part.closeUp };
  }
  return null;
}

/** The index on the main ridge of an event, or of what it is part of where that is opened; -1: it is not there. */
export function mainIndex({ data, main }: Chart, id: string | null): number {
  let at = id === null ? -1 : data.ids.indexOf(id);
  if (!main) return at;
  while (at >= 0) {
    const i = main.indexOf(at);
    if (i >= 0) return i;
    at = data.whole[at]!;
  }
  return -1;
}

export function inBox(b: { x: number; y: number; w: number; h: number }, x: number, y: number): boolean {
  return x >= b.x && x <= b.x + b.w && y >= b.y && y <= b.y + b.h;
}

/** The event whose roof lies at a place of the drawing; null: none. */
export function roofUnder(parts: readonly Part[], x: number, y: number): string | null {
  for (const { laid, content, left, top } of [...parts].reverse()) {
    const [along, across] = laid.layout.upright ? [y - top, x - left] : [x - left, y - top];
    const roof = content.roofs.findLast((r) => along >= r.x0 && along <= r.x1 && across >= r.y0 && across <= r.y1);
    if (roof) return laid.data.ids[roof.i]!;
  }
  return null;
}

/** The ridge that a place of the drawing belongs to; null: none, such as a close-up's roof. */
export function partAt(chart: Chart, parts: readonly Part[], x: number, y: number): Part | null {
  const k = chart.closeUps.findIndex((c) => inBox(c, x, y));
  if (k < 0) return y < chart.top ? null : (parts.find((p) => p.closeUp < 0) ?? null);
  return y < chart.closeUps[k]!.y + HEAD ? null : (parts.find((p) => p.closeUp === k) ?? null);
}
