import type { StartingPoint } from "@/core/starting-points/starting-points";
import { pointSvg } from "./point-svg";

/** The chart of a starting point. */
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
  return (
    // The SVG comes from our own painter, which escapes every text.
    <div
      className={`[&>svg]:h-auto [&>svg]:w-full ${className ?? ""}`}
      dangerouslySetInnerHTML={{ __html: pointSvg(point, width, height, upright) }}
    />
  );
}
