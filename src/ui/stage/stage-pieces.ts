import { minus } from "@/core/chart/axis/pair";
import type { PictureSize, Target } from "@/core/chart/draw/scene";
import type { View } from "@/core/chart/axis/view";
import { dayFrom } from "@/core/time/calendar";
import type { Instant } from "@/core/time/instant";
import type { PictureOf } from "./paint-canvas";
import { BOARD_SCALE } from "./stage-hooks";

/** The day it is, where this is read. */
export function today(): Instant {
  const now = new Date();
  return { day: dayFrom("gregorian", now.getFullYear(), now.getMonth() + 1, now.getDate()), second: 43_200 };
}

/** A target that a finger on a board meets: 56 px, as large as the drawing is shown. */
export function large(t: Target): Target {
  const least = 56 / BOARD_SCALE;
  const [w, h] = [Math.max(t.w, least), Math.max(t.h, least)];
  return { ...t, x: t.x - (w - t.w) / 2, y: t.y - (h - t.h) / 2, w, h };
}

/** Pictures as they arrive; `arrived` is told of each. */
export function pictureStore(
  urlOf: (item: string, size: PictureSize) => string | null,
  arrived: () => void,
): PictureOf {
  const pictures = new Map<string, HTMLImageElement>();
  const there = (url: string) => {
    const known = pictures.get(url);
    return known?.complete && known.naturalWidth > 0 ? known : null;
  };
  return (item, size) => {
    const url = urlOf(item, size);
    if (!url) return null;
    if (pictures.has(url)) {
      const small = size === "small" ? null : urlOf(item, "small");
      // Until the larger one has come, the smaller one stands for it.
      return there(url) ?? (small ? there(small) : null);
    }
    const image = new Image();
    image.onload = arrived;
    image.src = url;
    pictures.set(url, image);
    return null;
  };
}

const MOVE_MS = 180;

/** From one view to another in a short movement that shows where it went; gives the way to stop it. */
export function glide(from: View, to: View, show: (view: View) => void): () => void {
  const begun = performance.now();
  const [wa, wb] = [1 / from.scale, 1 / to.scale];
  const way = minus(to.u0, from.u0);
  let frame = 0;
  const step = () => {
    const t = Math.min(1, (performance.now() - begun) / MOVE_MS);
    const eased = 1 - (1 - t) ** 3;
    if (t >= 1) {
      show(to);
      return;
    }
    const w = wa * (wb / wa) ** eased;
    const share = Math.abs(wb - wa) > 1e-12 * wa ? (w - wa) / (wb - wa) : eased;
    show({ u0: { hi: from.u0.hi + way * share, lo: from.u0.lo }, scale: 1 / w });
    frame = requestAnimationFrame(step);
  };
  step();
  return () => cancelAnimationFrame(frame);
}
