import { CannotWrite, type Drawing, type FormatId, writeFormat } from "@/core/formats/formats";
import type { Frozen } from "@/core/formats/frozen";
import { speak } from "./speak";
import { templateCsv, templateXlsx } from "@/core/formats/template";

export type TakeOutAsked =
  | { frozen: Frozen; format: FormatId; drawing: Drawing }
  /** A table to fill in, with the categories of the timeline it is for. */
  | { template: "xlsx" | "csv"; categories: readonly string[] };

/** Writes a timeline as a file, or a table to fill in, away from the screen. */
self.onmessage = async ({ data }: MessageEvent<TakeOutAsked & { language: string }>) => {
  try {
    await speak(data.language);
    self.postMessage({ bytes: await bytesOf(data) });
  } catch (error) {
    self.postMessage({ problem: error instanceof CannotWrite ? error.message : "" });
  }
};

async function bytesOf(asked: TakeOutAsked): Promise<Uint8Array> {
  if ("frozen" in asked) return writeFormat(asked.format, asked.frozen, asked.drawing);
  return asked.template === "xlsx" ? templateXlsx(asked.categories) : new TextEncoder().encode(templateCsv());
}
