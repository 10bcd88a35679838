import { createInterface } from "node:readline";
import type { Readable, Writable } from "node:stream";
import { civilFrom } from "@/core/time/calendar";
import { offeredReadings } from "@/core/time/date-problem";
import { dateProblemText } from "@/core/words/dates";
import { readEdtf } from "@/core/time/read/notation";
import { readWhen } from "@/core/time/read/read-when";
import type { DateOrder, ReadOptions } from "@/core/time/read/options";
import { addSeconds, type Margin, type Moment, usualMargin } from "@/core/time/when";
import type { Instant } from "@/core/time/instant";
import { clock, whenLabel } from "@/core/time/write-when";
import { edtfOf, isExact } from "@/core/time/write-edtf";

/** Reads a text a line and writes one JSON object a line, in order, in bounded memory. Gives the exit status. */
export async function dates(
  args: readonly string[],
  input: Readable,
  output: Writable,
  usage: string,
): Promise<number> {
  const options: ReadOptions = {};
  for (let i = 0; i < args.length; i += 2) {
    const [name, value] = [args[i]!, args[i + 1]];
    const day = value === undefined ? null : dayOf(value);
    if (name === "--order" && (value === "dmy" || value === "mdy" || value === "ymd"))
      options.order = value as DateOrder;
    else if (name === "--day" && day !== null) options.day = day;
    else if (name === "--today" && day !== null) options.today = day;
    else {
      process.stderr.write(
        `${value === undefined ? `${name} has no value.` : `${name} ${value} is not understood.`} ${usage}\n`,
      );
      return 2;
    }
  }
  for await (const line of createInterface({ input, crlfDelay: Number.POSITIVE_INFINITY }))
    if (!output.write(`${JSON.stringify(dateLine(line, options))}\n`))
      await new Promise((resolve) => output.once("drain", resolve));
  return 0;
}

function dayOf(text: string): number | null {
  const r = readEdtf(text);
  return r?.kind === "moment" && r.at.precision === "day" && r.at.from ? r.at.from.day : null;
}

/** What the command prints for one text. */
export function dateLine(input: string, options: ReadOptions): Record<string, unknown> {
  const when = readWhen(input, options);
  const r = when.readAs;
  if (r.kind === "undated") return { input, ok: false, error: "There is no date here: the line is empty." };
  if (r.kind === "not_understood") {
    const readings = offeredReadings(r.problem).flatMap((text) => {
      const reading = readWhen(text, { order: "dmy", ...options });
      return reading.edtf ? [{ edtf: reading.edtf, label: whenLabel(reading) }] : [];
    });
    return { input, ok: false, error: dateProblemText(r.problem), ...(readings.length > 0 ? { readings } : {}) };
  }
  const [first, last] = r.kind === "moment" ? [r.at, r.at] : [r.start, r.end];
  const margin = r.kind === "moment" ? marginOf(r.at) : spanMargin(r.start, r.end);
  return {
    input,
    ok: true,
    kind: r.kind,
    edtf: edtfOf(r),
    exact: isExact(r),
    from: first?.from ? isoTime(first.from) : null,
    to: last?.to ? isoTime(addSeconds(last.to, -1)) : null,
    ...(margin ? { margin } : {}),
    ...(when.calendar === "julian" ? { calendar: "julian" } : {}),
    label: whenLabel(when),
  };
}

function marginOf(m: Moment | null): Margin | null {
  return m?.about ? usualMargin(m) : null;
}

function spanMargin(start: Moment | null, end: Moment | null): object | null {
  const [a, b] = [marginOf(start), marginOf(end)];
  return a || b ? { ...(a ? { start: a } : {}), ...(b ? { end: b } : {}) } : null;
}

/** ISO 8601 local date-time; the year signed where it is below nought or has more than four digits. */
function isoTime(at: Instant): string {
  const { year, month, day } = civilFrom("gregorian", at.day);
  const two = (n: number) => String(n).padStart(2, "0");
  const digits = String(Math.abs(year)).padStart(4, "0");
  return `${year < 0 ? "-" : digits.length > 4 ? "+" : ""}${digits}-${two(month)}-${two(day)}T${clock(at)}:${two(at.second % 60)}`;
}
