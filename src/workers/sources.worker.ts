import { answerSources, type SourcesAsked } from "@/core/sources/asked";
import { speak } from "./speak";

/** Writes and reads sources away from the screen: the processor of citations takes its time. */
self.onmessage = async (message: MessageEvent<{ number: number; asked: SourcesAsked; language: string }>) => {
  const { number, asked, language } = message.data;
  try {
    await speak(language);
    self.postMessage({ number, answer: await answerSources(asked) });
  } catch (error) {
    self.postMessage({ number, failed: String(error) });
  }
};
