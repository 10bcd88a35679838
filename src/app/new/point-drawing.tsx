import { drawChart } from "@/core/chart/draw/draw-chart";
import { toSvg } from "@/core/chart/draw/to-svg";
import { pointTimeline, type StartingPoint } from "@/core/starting-points/starting-points";
import { WORDS } from "@/core/words/starting-points";

/** The chart of a starting point, drawn as every chart is. */
export function PointDrawing({
  point,
  width,
  height,
  upright = false,
  className,
}: {
  point: StartingPoint;
  width: number;
  height: number;
  upright?: boolean;
  className?: string;
}) {
  const scene = drawChart(pointTimeline(point), { width, height }, { upright, closeUps: "none" });
  const svg = toSvg(scene, {
    pictureUrl: () => null,
    prefix: `${point.id}${width}`,
    label: WORDS.chartOf(point.title),
  });
  // The SVG comes from our own painter, which escapes every text.
  return (
    <div className={`[&>svg]:h-auto [&>svg]:w-full ${className ?? ""}`} dangerouslySetInnerHTML={{ __html: svg }} />
  );
}
