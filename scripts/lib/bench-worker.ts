import { answerTo, buffersOf, type LayoutTask } from "@/core/chart/frame/hand-over";

/** The chart's worker, which also says how long the layout took. */
self.onmessage = (message: MessageEvent<{ number: number; task: LayoutTask }>) => {
  const begun = performance.now();
  const answer = answerTo(message.data.task);
  const took = performance.now() - begun;
  self.postMessage({ number: message.data.number, answer, took }, { transfer: buffersOf(answer) });
};
