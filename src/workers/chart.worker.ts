import { answerTo, buffersOf, type LayoutTask } from "@/core/chart/frame/hand-over";
import { type ChartTask, layOutWhole } from "@/core/chart/frame/whole-chart";

/** What is asked of it: a chart of few events, or the main ridge of one of many. */
export type Asked = { number: number } & ({ chart: ChartTask } | { task: LayoutTask });

/** Lays out charts away from the screen: a task in, typed arrays out. */
self.onmessage = (message: MessageEvent<Asked>) => {
  const asked = message.data;
  const answer = "chart" in asked ? layOutWhole(asked.chart) : answerTo(asked.task);
  self.postMessage({ number: asked.number, answer }, { transfer: buffersOf(answer) });
};
