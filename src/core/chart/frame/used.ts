import type { Chart } from "./chart";
import type { Part } from "./frame";
import { inFrame, titleBox } from "./shown";
import { BOB, CAP, GABLE } from "../style/house-style";

interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** What of a drawing is drawn on: the smallest box around ridge, roofs, titles, bobs, labels, counts and close-ups, px. */
export function usedBox(chart: Chart, parts: readonly Part[]): Box {
  const boxes: Box[] = chart.closeUps.map(({ x, y, w, h }) => ({ x, y, w, h }));
  for (const { laid, content, left, top } of parts) {
    const { layout } = laid;
    const { size, pad } = content.ground;
    const add = (b: Box) => {
      const at = inFrame(layout.upright, b);
      boxes.push({ ...at, x: at.x + left, y: at.y + top });
    };
    const above = layout.upright ? 0 : GABLE.height;
    add({ x: pad - CAP, y: layout.ridgeTop - above, w: size - 2 * (pad - CAP), h: layout.ridge + above });
    if (layout.byApex.length > 0) add({ x: pad, y: layout.ridgeTop, w: size - 2 * pad, h: layout.ridge + BOB });
    for (const l of content.labels) add(l);
    for (const c of content.counts) add(c);
    for (const r of content.roofs) {
      add({ x: r.x0, y: r.y0, w: r.x1 - r.x0, h: r.y1 - r.y0 });
      if (r.title) add(titleBox(r, r.title));
    }
  }
  const x = Math.min(...boxes.map((b) => b.x));
  const y = Math.min(...boxes.map((b) => b.y));
  return { x, y, w: Math.max(...boxes.map((b) => b.x + b.w)) - x, h: Math.max(...boxes.map((b) => b.y + b.h)) - y };
}
