import { type AxisSettings, makeAxis } from "../axis/axis";
import { pickPositions, positions } from "../axis/positions";
import { type ChartData, pickData } from "../data/chart-data";
import { FOOT } from "../style/house-style";
import { type Frame, type Laid, layOut } from "./layout";

/** A row of its own for the events of one category. */
export interface Lane {
  /** Index into `looks`; 0: events without a category. */
  look: number;
  laid: Laid;
  /** For each of its events the index among all. */
  at: Int32Array;
  /** Px from the top of the drawing. */
  top: number;
  height: number;
  folded: boolean;
}

export interface Lanes {
  /** All events, with the ridge over the rows. */
  laid: Laid;
  lanes: Lane[];
}

/** The least height of a row that is not folded, px. */
const LEAST = 132;

/**
 * A chart in rows, one for each category that has events, in the order of the key, what has none last: each with roofs and
 * plumb lines of its own under one ridge. As high as it needs.
 */
export function layoutLanes(settings: AxisSettings, data: ChartData, frame: Frame, folded: ReadonlySet<number>): Lanes {
  const axis = makeAxis(settings, data);
  const p = positions(data, axis);
  const laid: Laid = { data, axis, p, layout: layOut(data, axis, p, frame, { bare: true }) };
  const byLook = new Map<number, number[]>();
  for (let i = 0; i < data.count; i++) {
    const own = data.look[i]!;
    // The look of a span of its own is no category.
    const look = own < data.lanes ? own : 0;
    const list = byLook.get(look);
    if (list) list.push(i);
    else byLook.set(look, [i]);
  }
  const looks = [...byLook.keys()].sort((a, b) => (a === 0 ? 1 : b === 0 ? -1 : a - b));
  const open = looks.filter((l) => !folded.has(l)).length;
  const head = laid.layout.across;
  const share = Math.max(LEAST, Math.floor((frame.height - head - (looks.length - open) * 54) / Math.max(1, open)));
  let top = head;
  const lanes = looks.map((look): Lane => {
    const index = byLook.get(look)!;
    const own = pickData(data, index);
    const isFolded = folded.has(look);
    const at = pickPositions(p, index);
    const layout = layOut(own, axis, at, { width: frame.width, height: share }, { lane: true, strip: isFolded });
    const lane: Lane = {
      look,
      laid: { data: own, axis, p: at, layout },
      at: Int32Array.from(index),
      top,
      height: isFolded ? layout.across : usedHeight(layout),
      folded: isFolded,
    };
    top += lane.height;
    return lane;
  });
  laid.layout.across = Math.max(frame.height, top);
  return { laid, lanes };
}

export function usedHeight(layout: Laid["layout"]): number {
  if (layout.counted) return layout.across;
  let lowest = layout.labelsTop;
  for (let r = 0; r < layout.row.length; r++)
    if (layout.row[r]! >= 0) lowest = Math.max(lowest, layout.labelsTop + layout.row[r]! * layout.pitch + layout.h[r]!);
  return Math.min(layout.across, Math.ceil(lowest) + FOOT);
}
