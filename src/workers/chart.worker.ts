import { answerTo, buffersOf, type LayoutTask } from "@/core/chart/frame/hand-over";

/** Lays out large charts away from the screen: a task in, typed arrays out. */
self.onmessage = (message: MessageEvent<{ number: number; task: LayoutTask }>) => {
  const { number, task } = message.data;
  const answer = answerTo(task);
  self.postMessage({ number, answer }, { transfer: buffersOf(answer) });
};
