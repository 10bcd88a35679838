import { languageLike } from "@/core/language/asked-language";
import { speakIn } from "@/core/language/spoken";
import { writeFile } from "node:fs/promises";
import { folderEntries } from "@/threads/make-folder";
import { USUAL_WISHES, readPaper } from "@/core/paper/sheets";
import { makePdf } from "@/paper/make-pdf";
import { drawPicture } from "@/paper/picture";
import { zipStream } from "@/core/formats/zip-stream";
import type { Frozen } from "@/core/formats/frozen";
import { dayText } from "@/core/time/zoned";
import type { LookName } from "@/core/timeline/looks";
import { WORDS as CLI_WORDS } from "@/core/words/command";
import { MOST } from "@/core/change/limits";
import { CannotWrite, endingsFor, formatFor } from "@/core/formats/formats";
import { toFrozen } from "@/core/formats/frozen";
import { LOOK_TABLE } from "@/core/looks/looks";
import type { Family } from "@/core/text/families";
import { LIMIT_SENTENCES } from "@/core/words/limits";
import { type LayoutOptions, Refusal } from "./layout";
import { readAny, type ReadAnyOptions } from "./read-any";

/** What is made of drawings and pages rather than written from fields. */
const MADE = [".pdf", ".png", ".zip"] as const;

export interface MadeOptions {
  /** Paper of a PDF: a name, or WxH in mm. */
  paper?: string | undefined;
  upright?: boolean;
  /** The part of a drawing that is seen, as dates in ISO 8601-2. */
  from?: string;
  to?: string;
  pngScale?: number;
  look?: LookName | undefined;
}

async function writeMade(
  ending: (typeof MADE)[number],
  output: string,
  frozen: Frozen,
  o: MadeOptions & { width: number; height: number; warn?: (sentence: string) => void },
): Promise<void> {
  const view = o.from || o.to ? `${o.from ?? ""}..${o.to ?? ""}` : "";
  // What is made of a timeline speaks the language it is written in.
  const inItsLanguage = <T>(make: () => T): T => speakIn(languageLike(frozen.language), make);
  const day = inItsLanguage(() => dayText(new Date(), "UTC"));
  // Files of media are not at hand here: they come with a folder that a server makes.
  const alone: Frozen = { ...frozen, items: frozen.items.filter((i) => !i.media || i.player !== "") };
  if (alone.items.length < frozen.items.length) o.warn?.(CLI_WORDS.noMedia(frozen.items.length - alone.items.length));
  let bytes: Uint8Array;
  if (ending === ".pdf") {
    const paper = readPaper(o.paper ?? "a4");
    if (!paper) throw new Refusal(CLI_WORDS.noPaper(o.paper ?? ""));
    const wishes = { ...USUAL_WISHES, paper, across: !o.upright, view };
    const made = await inItsLanguage(() => makePdf(alone, wishes, { day, picture: async () => null }));
    for (const n of made.notices) o.warn?.(n);
    bytes = made.bytes;
  } else if (ending === ".png")
    bytes = await drawPicture(
      alone,
      { width: o.width, height: o.height, scale: o.pngScale ?? 2, transparent: false, view },
      async () => null,
    );
  else {
    const parts: Uint8Array[] = [];
    const around = { root: process.env.FASTIGO_ROOT ?? process.cwd(), day, scorm: false, endings: {} };
    const entries = await inItsLanguage(() => folderEntries(alone, around));
    for await (const chunk of zipStream(entries)) parts.push(chunk);
    bytes = Buffer.concat(parts);
  }
  try {
    await writeFile(output, bytes);
  } catch (e) {
    throw new Refusal(`${output} cannot be written: ${(e as NodeJS.ErrnoException).code}.`);
  }
}

/** Reads a file of any kind that can be brought in and writes one of any kind that can be taken out. */
export async function convert(
  input: string,
  output: string,
  o: LayoutOptions &
    ReadAnyOptions &
    MadeOptions & { fonts: (family: Family) => Promise<string>; warn?: (sentence: string) => void },
): Promise<void> {
  const made = MADE.find((ending) => output.toLowerCase().endsWith(ending));
  const format = made ? null : formatFor(output, "write");
  if (!made && !format)
    throw new Refusal(`${output}: a file ending in ${MADE.join(", ")}, ${endingsFor("write")} can be written.`);
  const frozen = toFrozen(await readAny(input, o, o.warn ?? (() => {})), true);
  if (frozen.events.length > MOST.drawn.most) throw new Refusal(`${input}: ${LIMIT_SENTENCES.drawn}`);
  let written: string | Uint8Array;
  if (made) return writeMade(made, output, o.look ? { ...frozen, look: o.look } : frozen, o);
  try {
    written = await format!.write(frozen, {
      ...o,
      fonts: format!.id === "svg" ? await o.fonts(LOOK_TABLE[frozen.look].family) : "",
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
