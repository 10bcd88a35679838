import { writeFile } from "node:fs/promises";
import { MOST } from "@/core/change/limits";
import { CannotWrite, endingsFor, formatFor } from "@/core/formats/formats";
import { toFrozen } from "@/core/formats/frozen";
import { LOOK_TABLE } from "@/core/looks/looks";
import type { Family } from "@/core/text/families";
import { LIMIT_SENTENCES } from "@/core/words/en/limits";
import { type LayoutOptions, Refusal } from "./layout";
import { readAny, type ReadAnyOptions } from "./read-any";

/** Reads a file of any kind that can be brought in and writes one of any kind that can be taken out. */
export async function convert(
  input: string,
  output: string,
  o: LayoutOptions & ReadAnyOptions & { fonts: (family: Family) => Promise<string>; warn?: (sentence: string) => void },
): Promise<void> {
  const format = formatFor(output, "write");
  if (!format) throw new Refusal(`${output}: a file ending in ${endingsFor("write")} can be written.`);
  const frozen = toFrozen(await readAny(input, o, o.warn ?? (() => {})), true);
  if (frozen.events.length > MOST.drawn.most) throw new Refusal(`${input}: ${LIMIT_SENTENCES.drawn}`);
  let written: string | Uint8Array;
  try {
    written = await format.write(frozen, {
      ...o,
      fonts: format.id === "svg" ? await o.fonts(LOOK_TABLE[frozen.look].family) : "",
    });
  } catch (e) {
    if (e instanceof CannotWrite) throw new Refusal(`${output}: ${e.message}`);
    throw e;
  }
  try {
    await writeFile(output, written);
  } catch (e) {
    throw new Refusal(`${output} cannot be written: ${(e as NodeJS.ErrnoException).code}.`);
  }
}
