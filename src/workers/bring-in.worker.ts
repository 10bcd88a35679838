import { type Asked, BringInDesk } from "@/core/bring-in/asked";
import { speak } from "./speak";

/** Reads files that are brought in, away from the screen: a large one takes its time, and is stopped by ending the worker. */
const desk = new BringInDesk();
self.onmessage = async (message: MessageEvent<{ number: number; asked: Asked; language: string }>) => {
  const { number, asked, language } = message.data;
  try {
    await speak(language);
    self.postMessage({ number, answer: await desk.answer(asked) });
  } catch (error) {
    self.postMessage({ number, failed: String(error) });
  }
};
