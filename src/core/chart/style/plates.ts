import { textWidth } from "../../text/measure";
import type { ChartStyle } from "../../looks/style";
import type { Shape } from "../draw/scene";
import { rectangle } from "./house-style";

/** What words stand on where something may run behind them: the paper, through which a picture behind the chart hardly shows. */
export function plateOf({ plate }: Pick<ChartStyle, "plate">): { fill: string; opacity?: number } {
  return plate.opacity < 1 ? plate : { fill: plate.fill };
}

/** Words that need a plate only where there is a picture behind the chart. */
export function drawWordsOver(
  shapes: Shape[],
  style: ChartStyle,
  text: Omit<Extract<Shape, { kind: "text" }>, "kind" | "turned" | "added">,
): void {
  if (style.backdrop.picture) {
    const w = textWidth(text.text, text.face, text.size);
    const x = text.align === "start" ? text.x : text.align === "end" ? text.x - w : text.x - w / 2;
    const box = rectangle(x - 3, text.y - text.size * 0.95, w + 6, text.size * 1.25);
    shapes.push({ kind: "area", points: box, ...plateOf(style) });
  }
  shapes.push({ kind: "text", ...text });
}
