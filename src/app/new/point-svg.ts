import { drawChart } from "@/core/chart/draw/draw-chart";
import { toSvg } from "@/core/chart/draw/to-svg";
import { language } from "@/core/language/spoken";
import { pointTimeline, type StartingPoint } from "@/core/starting-points/starting-points";
import { WORDS } from "@/core/words/starting-points";

let drawnOn = "";
const drawn = new Map<string, string>();

/** The chart of a starting point as SVG, drawn as every chart is: once a day in each language and size, for it is the same for all. */
export function pointSvg(point: StartingPoint, width: number, height: number, upright: boolean): string {
  const today = new Date().toISOString().slice(0, 10);
  if (today !== drawnOn) drawn.clear();
  drawnOn = today;
  const key = [language(), point.id, width, height, upright].join();
  let svg = drawn.get(key);
  if (svg === undefined) {
    const scene = drawChart(pointTimeline(point), { width, height }, { upright, closeUps: "none" });
    svg = toSvg(scene, {
      pictureUrl: () => null,
      prefix: `${point.id}${width}`,
      label: WORDS.chartOf(point.title),
    });
    drawn.set(key, svg);
  }
  return svg;
}
