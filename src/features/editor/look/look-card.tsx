import { memo, useMemo } from "react";
import { drawThumbnail } from "@/core/chart/draw/draw-thumbnail";
import { toSvg } from "@/core/chart/draw/to-svg";
import { readWhen } from "@/core/time/read/read-when";
import type { LookName } from "@/core/timeline/looks";
import { emptyCategory, emptyEvent, emptyTimeline, type Timeline } from "@/core/timeline/timeline";

/** A made-up timeline that shows what a look is made of. */
const SAMPLE: Timeline = {
  ...emptyTimeline("sample"),
  categories: new Map(
    (
      [
        ["a", "verdigris", "solid"],
        ["b", "copper", "slanted"],
        ["c", "plum", "dots"],
      ] as const
    ).map(([id, colour, pattern], i) => [id, { ...emptyCategory(id), name: id, colour, pattern, place: `a${i}` }]),
  ),
  events: new Map(
    (
      [
        ["1", "1610 - 1702", "Ferry", "a"],
        ["2", "1742 - 1790", "Mill", "b"],
        ["3", "1631", "First toll", "b"],
        ["4", "1766", "Bridge", "c"],
      ] as const
    ).map(([id, when, title, category]) => [id, { ...emptyEvent(id), title, when: readWhen(when), category }]),
  ),
};

/** A look in small: a few made-up events drawn in it. */
export const LookDrawing = memo(function LookDrawing({ look }: { look: LookName }) {
  const svg = useMemo(
    () =>
      toSvg(drawThumbnail({ ...SAMPLE, look }, { width: 118, height: 74 }), {
        pictureUrl: () => null,
        prefix: `look-${look}`,
        label: "",
        ground: true,
      }),
    [look],
  );
  return (
    <span
      aria-hidden="true"
      className="block overflow-hidden rounded [&>svg]:block [&>svg]:h-auto [&>svg]:w-full"
      dangerouslySetInnerHTML={{ __html: svg }}
    />
  );
});
