"use client";

import type { SourcesAnswers, SourcesAsked } from "@/core/sources/asked";

interface Waiting {
  resolve: (answer: never) => void;
  reject: (error: Error) => void;
}

let worker: Worker | null = null;
let number = 0;
const waiting = new Map<number, Waiting>();

/** Asks the worker that reads and writes sources; rejects where it cannot be had or fails. */
export function askSources<K extends keyof SourcesAnswers>(
  asked: Extract<SourcesAsked, Record<K, unknown>>,
): Promise<SourcesAnswers[K]> {
  return new Promise((resolve, reject) => {
    try {
      worker ??= begin();
    } catch (error) {
      reject(error as Error);
      return;
    }
    waiting.set(++number, { resolve, reject });
    worker.postMessage({ number, asked });
  });
}

function begin(): Worker {
  const made = new Worker(new URL("../../../workers/sources.worker.ts", import.meta.url), { type: "module" });
  made.onmessage = ({ data }: MessageEvent<{ number: number; answer?: never; failed?: string }>) => {
    const who = waiting.get(data.number);
    waiting.delete(data.number);
    if (data.failed !== undefined) who?.reject(new Error(data.failed));
    else who?.resolve(data.answer as never);
  };
  made.onerror = () => {
    worker = null;
    for (const who of waiting.values()) who.reject(new Error("worker"));
    waiting.clear();
  };
  return made;
}
