import { readFile as readDisk } from "node:fs/promises";
import { bringIn } from "@/core/bring-in/bring-in";
import { kindOf, READ_ENDINGS } from "@/core/bring-in/files/endings";
import { ENCODINGS, type Encoding } from "@/core/bring-in/files/found";
import { readFile } from "@/core/bring-in/files/read-file";
import { NotReadable } from "@/core/bring-in/files/unpack";
import { lookAtRows } from "@/core/bring-in/look-at-rows";
import { timelineOfFile } from "@/core/bring-in/whole-timeline";
import { apply } from "@/core/change/apply";
import type { DateOrder } from "@/core/time/read/options";
import { dayFromGregorian } from "@/core/time/calendar";
import { emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/command";
import { Refusal } from "./layout";

export interface ReadAnyOptions {
  order?: DateOrder;
  /** The sheet of a workbook, by its name; the first where none is named. */
  sheet?: string;
  /** In which letters a text is written; found out where that is not said. */
  encoding?: string;
}

/** Descriptions of a timeline that no person writes are one writer's. */
const WRITER = 1;

/**
 * Reads any file that can be brought in, as the screen does: columns are found by their names and what stands in them. `warn` is told
 * what was not certain. Throws `Refusal` with a sentence.
 */
export async function readAny(file: string, o: ReadAnyOptions, warn: (sentence: string) => void): Promise<Timeline> {
  if (!kindOf(file)) throw new Refusal(WORDS.neededEnding(file, READ_ENDINGS));
  if (o.encoding && !(ENCODINGS as readonly string[]).includes(o.encoding.toLowerCase()))
    throw new Refusal(WORDS.noEncoding(o.encoding, ENCODINGS));
  let bytes: Uint8Array;
  try {
    bytes = await readDisk(file);
  } catch (e) {
    throw new Refusal(WORDS.cannotBeRead(file, (e as NodeJS.ErrnoException).code ?? ""));
  }
  const dates = o.order ? { order: o.order } : {};
  const now = new Date();
  const today = dayFromGregorian(now.getFullYear(), now.getMonth() + 1, now.getDate());
  const encoding = o.encoding?.toLowerCase() as Encoding | undefined;
  const found = await readFile(file, bytes, { encoding, dates, today }).catch((e: unknown) => {
    if (e instanceof NotReadable) throw new Refusal(`${file}: ${e.message}`);
    throw e;
  });
  for (const note of found.notes) warn(`${file}: ${note}`);
  if (found.kind === "timeline") return timelineOfFile(found.frozen, WRITER);
  if (found.whole && !o.sheet) return timelineOfFile(found.whole, WRITER);
  const sheet = o.sheet === undefined ? found.sheets[0] : found.sheets.find((s) => s.name === o.sheet);
  if (!sheet)
    throw new Refusal(
      WORDS.noSheet(
        file,
        o.sheet!,
        found.sheets.map((s) => s.name),
      ),
    );
  if (found.sheets.length > 1 && o.sheet === undefined)
    warn(
      WORDS.firstSheet(
        file,
        sheet.name,
        found.sheets.map((s) => s.name),
      ),
    );
  const timeline = { ...emptyTimeline("file"), dateOrder: o.order === "ymd" ? null : (o.order ?? null) };
  const looked = lookAtRows(sheet.cells, dates, [], sheet.uses ? { uses: sheet.uses, named: true } : {});
  const columns = looked.uses.map((use, i) => ({ use, name: looked.named ? sheet.cells[0]![i]!.trim() : "" }));
  const unknown = columns.flatMap((c, i) => (c.use === "more" ? [c.name || String(i + 1)] : []));
  if (unknown.length > 0) warn(WORDS.notGuessed(file, unknown));
  if (looked.orderFound === "open" && looked.order === null) warn(WORDS.orderOpen(file));
  for (const r of looked.refused) warn(WORDS.rowLeftOut(file, r.row.number, r.length, r.most));
  let made = 0;
  const steps = bringIn(timeline, looked.table.rows, {
    newId: () => `n${++made}`,
    client: WRITER,
    order: o.order === "ymd" ? null : looked.order,
  });
  let step = steps.next();
  while (!step.done) step = steps.next();
  if ("tooLong" in step.value)
    throw new Refusal(
      WORDS.rowLeftOut(file, step.value.tooLong.row, step.value.tooLong.length, step.value.tooLong.most),
    );
  return apply(timeline, step.value.ops).timeline;
}
