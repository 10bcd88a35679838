import { writeFile } from "node:fs/promises";
import { endingsFor, formatFor } from "@/core/formats/formats";
import type { DateOrder } from "@/core/time/read/options";
import { type LayoutOptions, readEvents, Refusal } from "./layout";

/** Reads a file of one format and writes one of another. */
export async function convert(
  input: string,
  output: string,
  o: LayoutOptions & { order?: DateOrder; fonts: () => Promise<string> },
): Promise<void> {
  const format = formatFor(output, "write");
  if (!format) throw new Refusal(`${output}: a file ending in ${endingsFor("write")} can be written.`);
  const frozen = await readEvents(input, o.order);
  const text = format.write!(frozen, { ...o, fonts: format.id === "svg" ? await o.fonts() : "" });
  try {
    await writeFile(output, text);
  } catch (e) {
    throw new Refusal(`${output} cannot be written: ${(e as NodeJS.ErrnoException).code}.`);
  }
}
