"use client";

import type { SourcesAnswers, SourcesAsked } from "@/core/sources/asked";
import { type AskedWorker, askedWorker } from "@/ui/ask-worker";

let worker: AskedWorker<SourcesAsked> | null = null;

/** Asks the worker that reads and writes sources; rejects where it cannot be had or fails. */
export async function askSources<K extends keyof SourcesAnswers>(
  asked: Extract<SourcesAsked, Record<K, unknown>>,
): Promise<SourcesAnswers[K]> {
  worker ??= askedWorker(
    new Worker(new URL("../../../workers/sources.worker.ts", import.meta.url), { type: "module" }),
    () => {
      worker = null;
    },
  );
  return worker.ask(asked);
}
