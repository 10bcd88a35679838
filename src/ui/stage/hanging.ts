import { placeInView } from "@/core/chart/axis/look-at";
import type { Part } from "@/core/chart/frame/frame";
import { BOB } from "@/core/chart/style/house-style";
import type { Hung } from "./stage-hooks";

/** The place an opened event hangs from: its moment on the ridge's lower edge, or the middle of its roof, as far as that is seen. */
export function whereItHangs({ laid, content }: Part, hung: Pick<Hung, "id" | "from" | "to">) {
  const { layout, data } = laid;
  const { ground, view } = content;
  const i = data.ids.indexOf(hung.id);
  const roof = content.roofs.find((r) => r.i === i);
  const foot = layout.ridgeTop + layout.ridge;
  // What the filter has taken out hangs all the same, from the middle and in no colour.
  const [from, to] = i < 0 ? [hung.from, hung.to] : placeInView(laid, ground, view, i);
  return {
    x: (Math.max(0, from) + Math.min(ground.size, to)) / 2,
    y: roof ? roof.y1 : foot,
    foot: foot + BOB,
    colour: i < 0 ? data.style.ink : data.looks[data.paint[i]!]!.colour,
  };
}

/** The event whose place on the ridge is nearest to x; null: there is none. */
export function nearestTo({ laid, content }: Part, x: number): string | null {
  let found: string | null = null;
  let least = Number.POSITIVE_INFINITY;
  for (let i = 0; i < laid.data.count; i++) {
    const [from, to] = placeInView(laid, content.ground, content.view, i);
    const far = Math.max(from - x, x - to, 0);
    if (far < least) [found, least] = [laid.data.ids[i]!, far];
  }
  return found;
}
