import type { ChartStyle } from "../../looks/style";

/** What words stand on where something may run behind them: the paper, through which a picture behind the chart hardly shows. */
export function plateOf({ plate }: Pick<ChartStyle, "plate">): { fill: string; opacity?: number } {
  return plate.opacity < 1 ? plate : { fill: plate.fill };
}
