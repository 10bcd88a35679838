import { language } from "@/core/language/spoken";
import type { FormatId } from "@/core/formats/formats";
import type { Frozen } from "@/core/formats/frozen";
import type { TakeOutAsked } from "@/workers/take-out.worker";

/** A drawing is as wide as a page of a book that lies open. */
const DRAWING = { width: 1_600, height: 900 };

type Written = { bytes: Uint8Array } | { problem: string };

/** Has a worker write a timeline as a file; a sentence where it has nothing for that form. Rejects where no worker can be had. */
export const writeFile = (frozen: Frozen, format: FormatId): Promise<Written> =>
  ask({ frozen, format, drawing: DRAWING });

/** Has a worker write a table to fill in. */
export const writeTemplate = (template: "xlsx" | "csv", categories: readonly string[]): Promise<Written> =>
  ask({ template, categories });

function ask(asked: TakeOutAsked): Promise<Written> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(new URL("../../workers/take-out.worker.ts", import.meta.url), { type: "module" });
    worker.onmessage = ({ data }: MessageEvent<Written>) => {
      worker.terminate();
      resolve(data);
    };
    worker.onerror = () => {
      worker.terminate();
      reject(new Error("worker"));
    };
    worker.postMessage({ ...asked, language: language() });
  });
}
