import { answerSources, type SourcesAsked } from "@/core/sources/asked";

/** Writes and reads sources away from the screen: the processor of citations takes its time. */
self.onmessage = async (message: MessageEvent<{ number: number; asked: SourcesAsked }>) => {
  const { number, asked } = message.data;
  try {
    self.postMessage({ number, answer: await answerSources(asked) });
  } catch (error) {
    self.postMessage({ number, failed: String(error) });
  }
};
