import type { CloseUpMode } from "../chart/close-ups/close-ups";
import { drawChart } from "../chart/draw/draw-chart";
import type { Scene } from "../chart/draw/scene";
import type { Timeline } from "../timeline/timeline";
import type { PAPERS, PaperName } from "./sheets";

/** A chart fitted into an area: the drawing, how many pt one of its px is, and how many events found no room for a label of their own. */
export interface Fitted {
  scene: Scene;
  ptPerPx: number;
  gathered: number;
}

/** The smallest type of a chart is 12 px: on paper nothing is smaller than 5.5 pt. */
const LEAST_PT_PER_PX = 5.5 / 12;
/** A drawing is no narrower or lower than that, px: below it labels get in each other's way however large they are. */
const LEAST_WIDTH = 820;
const LEAST_HEIGHT = 420;
/** How finely sizes are tried. */
const STEPS = 9;
/** Of so few events every size is tried; of more it is closed in on. */
const MOST_TRIED = 150;

/**
 * Draws a chart as large as it can be in an area (pt): in the largest type that leaves no event without a label and no title cut short;
 * where even the smallest leaves some, in the one that leaves the fewest, with counts for what has no room, as on a screen.
 */
export function fitChart(
  timeline: Timeline,
  area: { w: number; h: number },
  options: { closeUps?: CloseUpMode; view?: string } = {},
): Fitted {
  const most = Math.max(LEAST_PT_PER_PX, Math.min(area.w / LEAST_WIDTH, area.h / LEAST_HEIGHT));
  const at = (step: number) => most * (LEAST_PT_PER_PX / most) ** (step / STEPS);
  const draw = (step: number): Fitted & { cut: number } => {
    const ptPerPx = at(step);
    const frame = { width: Math.round(area.w / ptPerPx), height: Math.round(area.h / ptPerPx) };
    const scene = drawChart(timeline, frame, { ...options, fit: true });
    // Roofs may need more height than there is.
    const over = scene.height > frame.height * 1.002;
    return {
      scene,
      ptPerPx: over ? ptPerPx * (frame.height / scene.height) : ptPerPx,
      gathered: gatheredIn(scene),
      cut: cutIn(scene),
    };
  };
  const better = (a: Fitted & { cut: number }, b: Fitted & { cut: number }) =>
    a.gathered - b.gathered || a.cut - b.cut || b.ptPerPx - a.ptPerPx;
  if (timeline.events.size <= MOST_TRIED)
    return Array.from({ length: STEPS + 1 }, (_, step) => draw(step)).sort(better)[0]!;
  const smallest = draw(STEPS);
  if (smallest.gathered > 0) return smallest;
  let best = smallest;
  let [low, high] = [-1, STEPS];
  while (high - low > 1) {
    const middle = Math.floor((low + high) / 2);
    const tried = draw(middle);
    if (tried.gathered === 0) {
      best = tried;
      high = middle;
    } else low = middle;
  }
  return best;
}

/** How many titles are cut short. */
function cutIn(scene: Scene): number {
  return scene.shapes.reduce((n, s) => n + (s.kind === "text" && s.text.endsWith("…") ? 1 : 0), 0);
}

/** How many events stand in counts, without a label of their own. */
export function gatheredIn(scene: Scene): number {
  return scene.targets.reduce((n, t) => n + (t.kind === "more" ? t.ids.length : 0), 0);
}

/** The smallest sheet of the usual ones, across, larger than an area of so many pt, on which every label is shown; null: none. */
export function sheetThatFits(
  timeline: Timeline,
  area: { w: number; h: number },
  innerOf: (name: PaperName) => { w: number; h: number },
  options: { closeUps?: CloseUpMode; view?: string } = {},
): PaperName | null {
  for (const name of ["a4", "a3", "a2", "a1", "a0"] as const satisfies readonly (keyof typeof PAPERS)[]) {
    const inner = innerOf(name);
    if (inner.w * inner.h <= area.w * area.h * 1.01) continue;
    const frame = {
      width: Math.round(inner.w / LEAST_PT_PER_PX),
      height: Math.round(inner.h / LEAST_PT_PER_PX),
    };
    if (gatheredIn(drawChart(timeline, frame, { ...options, fit: true })) === 0) return name;
  }
  return null;
}
