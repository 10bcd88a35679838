import { language } from "@/core/language/spoken";

interface Waiting {
  resolve: (answer: never) => void;
  reject: (error: Error) => void;
}

/** A worker that answers what it is asked (`{ number, asked }` with `{ number, answer }` or `{ number, failed }`). */
export interface AskedWorker<Asked> {
  ask: (asked: Asked) => Promise<never>;
  /** Stops it, whatever it does. */
  end: () => void;
}

/** Gives each question its answer; all that wait are told where the worker breaks, and `onBroken` too. */
export function askedWorker<Asked>(worker: Worker, onBroken: () => void = () => {}): AskedWorker<Asked> {
  let number = 0;
  const waiting = new Map<number, Waiting>();
  worker.onmessage = ({ data }: MessageEvent<{ number: number; answer?: never; failed?: string }>) => {
    const who = waiting.get(data.number);
    waiting.delete(data.number);
    if (data.failed !== undefined) who?.reject(new Error(data.failed));
    else who?.resolve(data.answer as never);
  };
  worker.onerror = () => {
    onBroken();
    for (const who of waiting.values()) who.reject(new Error("worker"));
    waiting.clear();
  };
  return {
    ask: (asked) =>
      new Promise((resolve, reject) => {
        waiting.set(++number, { resolve, reject });
        worker.postMessage({ number, asked, language: language() });
      }),
    end: () => worker.terminate(),
  };
}
