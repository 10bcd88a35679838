import { type ChartData, SPAN_KIND } from "../data/chart-data";
import { BOB, FOOT, FULL, LARGE_ROOFS, RIDGE, STRIP, TITLE_SIZE, UPRIGHT } from "../style/house-style";
import type { Arranged } from "./arrange-roofs";
import { titlesShown } from "./roof-titles";

/** Beyond so many rows roofs get lower, so that the busiest instant can still be seen whole. */
const FULL_ROWS = 12;
const LEAST_ROOF_HEIGHT = 3;
/** ... but as long as they are no lower than that they take up to this share of the frame. */
export const ROOF_SHARE = 0.45;
const UPRIGHT_SHARE = 0.3;
/** What roofs take at most over something that hangs open, px. */
const ROOFS_OVER_OPEN = 100;

export interface RoofMeasures {
  roof: number;
  gap: number;
  top: number;
  /** Of their titles. */
  type: number;
}

/** What larger roofs may take of the frame's height at most: where something hangs below, and where nothing does. */
const LARGE_SHARE = 0.15;
const LARGE_SHARE_ALONE = 0.8;
const LARGE_SHARE_PICTURED = 0.24;
/** Alone, roofs stand apart by up to this share of their height. */
const ALONE_GAP = 0.7;

/** The largest roofs there is room for whose titles are read as well as in the usual ones; null: the usual ones. */
export function largerRoofs(
  height: number,
  data: ChartData,
  usual: Arranged,
  g: { fit: number },
  arrange: (type: number, roof: number) => Arranged,
): { arranged: Arranged; roofs: RoofMeasures } | null {
  const alone = data.kind.every((k) => k === SPAN_KIND);
  const pictured = data.held.pictures === "large" && data.kind.some((k, i) => k === SPAN_KIND && data.pictures[i]);
  const most = height * (alone ? LARGE_SHARE_ALONE : pictured ? LARGE_SHARE_PICTURED : LARGE_SHARE);
  const shown = titlesShown(data, usual.titles, g.fit);
  for (const { roof, gap, type, ...only } of LARGE_ROOFS) {
    if ("pictured" in only && !pictured) continue;
    if (data.held.type !== null && type > data.held.type) continue;
    if (usual.depth * (roof + gap) > most) continue;
    const arranged = arrange(type, roof);
    if (arranged.depth * (roof + gap) > most || titlesShown(data, arranged.titles, g.fit) < shown - 1e-9) continue;
    if (!alone) return { arranged, roofs: { roof, gap, top: FULL.top, type } };
    // Nothing hangs below: they stand apart, in the middle of the frame.
    const apart = Math.floor(Math.min(roof * ALONE_GAP, Math.max(gap, most / arranged.depth - roof)));
    return { arranged, roofs: { roof, gap: apart, top: middleTop(arranged.depth * (roof + apart), height), type } };
  }
  return null;
}

/** From where on roofs so high in all stand in the middle of a frame, with their ridge. */
function middleTop(block: number, height: number): number {
  return Math.max(FULL.top, Math.round((height - block - RIDGE - BOB - FOOT) / 2));
}

/** Roofs below which nothing hangs and over which titles take so much room: as high as there is room, in the middle; null: as usual. */
export function roofsAlone(depth: number, over: number, height: number): RoofMeasures | null {
  for (const { roof, gap } of LARGE_ROOFS) {
    const block = depth * (roof + gap) + over;
    if (block <= height * LARGE_SHARE_ALONE) return { roof, gap, top: middleTop(block, height), type: TITLE_SIZE };
  }
  return null;
}

/** Roofs over something that hangs open that are just high enough for their titles, and how many rows of them there may be. */
export const TITLED_LOW = { roof: 17, gap: 3, top: STRIP.top, type: 12 } as const;
export const TITLED_LOW_ROWS = Math.floor(ROOFS_OVER_OPEN / (TITLED_LOW.roof + TITLED_LOW.gap));

/** Over something that hangs open, where rows are too many for titles. */
export function lowRoofs(depth: number): RoofMeasures {
  const each = ROOFS_OVER_OPEN / Math.max(1, depth);
  const { roof, gap, top } = STRIP;
  const type = TITLE_SIZE;
  if (each >= roof + gap) return { roof: Math.min(14, each - gap), gap, top, type };
  return { roof: Math.max(LEAST_ROOF_HEIGHT, Math.min(roof, each - 1)), gap: 1, top, type };
}

/** How high roofs are in so many rows. */
export function measuresFor(depth: number, strip: boolean, upright: boolean, size: number): RoofMeasures {
  if (strip) return { ...STRIP, type: TITLE_SIZE };
  const full = { ...(upright ? UPRIGHT : FULL), type: TITLE_SIZE };
  const fullRows = upright ? Math.max(2, Math.floor((UPRIGHT_SHARE * size) / (full.roof + full.gap))) : FULL_ROWS;
  if (depth <= fullRows) return full;
  const each = upright
    ? (size * UPRIGHT_SHARE) / depth
    : Math.max(size * ROOF_SHARE, (FULL.roof * FULL_ROWS) / 2) / depth;
  const gap = each >= 12 ? 2 : each >= 5 ? 1 : 0;
  return { roof: Math.max(LEAST_ROOF_HEIGHT, Math.min(FULL.roof, each - gap)), gap, top: FULL.top, type: TITLE_SIZE };
}
