import { drawChart } from "@/core/chart/draw-chart";
import { toSvg } from "@/core/chart/to-svg";
import type { Timeline } from "@/core/timeline/timeline";

/** The chart in small, for a card. */
export function ChartThumb({ timeline }: { timeline: Timeline }) {
  const svg = toSvg(drawChart(timeline, { width: 1100, height: 390 }, { closeUps: "none" }), {
    pictureUrl: () => null,
    prefix: timeline.id,
    label: "",
  });
  // The SVG comes from our own painter, which escapes every text.
  return (
    <div
      aria-hidden="true"
      className="h-[104px] overflow-hidden border-b border-line [&>svg]:h-auto [&>svg]:w-full"
      dangerouslySetInnerHTML={{ __html: svg }}
    />
  );
}
