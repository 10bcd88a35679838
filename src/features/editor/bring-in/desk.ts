import type { Answers, Asked } from "@/core/bring-in/asked";
import { askedWorker } from "@/ui/ask-worker";

/** A worker that reads what is brought in. `end` stops whatever it does. */
export interface Desk {
  ask: <K extends keyof Answers>(asked: Extract<Asked, { kind: K }>) => Promise<Answers[K]>;
  end: () => void;
}

export const openDesk = (): Desk =>
  askedWorker<Asked>(new Worker(new URL("../../../workers/bring-in.worker.ts", import.meta.url), { type: "module" }));
