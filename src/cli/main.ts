/** The fastigo command: the core without a browser, a server or a database. */
import { readFile } from "node:fs/promises";
import { parseArgs } from "node:util";
import type { CloseUpMode } from "@/core/chart/close-ups/close-ups";
import type { DateOrder } from "@/core/time/read/options";
import type { Scale } from "@/core/timeline/fields";
import { convert } from "./convert";
import { dates } from "./dates";
import { layoutOf, readEvents, Refusal } from "./layout";

const DATES = "fastigo dates [--order dmy|mdy|ymd] [--day EDTF] [--today EDTF]";
const LAYOUT =
  "fastigo layout FILE --width W --height H [--from EDTF --to EDTF] [--scale true|even|balanced] [--upright] [--rows] [--close-ups auto|all|none] [--order dmy|mdy|ymd]";
const CONVERT =
  "fastigo convert IN OUT [--width W] [--height H] [--scale true|even|balanced] [--upright] [--rows] [--close-ups auto|all|none] [--order dmy|mdy|ymd]";
const USAGE = `usage: ${DATES}\n       ${LAYOUT}\n       ${CONVERT}`;

/** The fonts of the drawing, for a file that stands alone. */
async function fonts(): Promise<string> {
  const face = async (name: string, family: string) => {
    const path = new URL(`../public/fonts/${name}.woff2`, import.meta.url);
    const data = (await readFile(path)).toString("base64");
    return `@font-face{font-family:"${family}";src:url(data:font/woff2;base64,${data}) format("woff2");font-weight:200 800}`;
  };
  return face("atkinson-hyperlegible-next-latin-wght-normal", "Atkinson Hyperlegible Next Variable");
}

function number(text: string | undefined, name: string, usual: number | null): number {
  if (text === undefined && usual !== null) return usual;
  const n = Number(text);
  if (text === undefined) throw new Refusal(`${name} is missing.`);
  if (!Number.isFinite(n) || n < 100 || n > 100_000)
    throw new Refusal(`${name} ${text} is not a number of pixels from 100 to 100,000.`);
  return n;
}

function oneOf<T extends string>(text: string | undefined, name: string, known: readonly T[]): T | undefined {
  if (text !== undefined && !known.includes(text as T))
    throw new Refusal(`${name} ${text} is not known; ${known.join(", ")} are.`);
  return text as T | undefined;
}

async function drawing(command: string, args: string[]): Promise<void> {
  const string = { type: "string" } as const;
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: {
      width: string,
      height: string,
      from: string,
      to: string,
      scale: string,
      order: string,
      upright: { type: "boolean" },
      rows: { type: "boolean" },
      "close-ups": string,
    },
  });
  const order = oneOf<DateOrder>(values.order, "--order", ["dmy", "mdy", "ymd"]);
  const scale = oneOf<Scale>(values.scale, "--scale", ["true", "even", "balanced"]);
  const closeUps = oneOf<CloseUpMode>(values["close-ups"], "--close-ups", ["auto", "all", "none"]);
  const [file, out, extra] = positionals;
  const usual = command === "convert";
  const options = {
    width: number(values.width, "--width", usual ? 1_600 : null),
    height: number(values.height, "--height", usual ? 900 : null),
    ...(values.from === undefined ? {} : { from: values.from }),
    ...(values.to === undefined ? {} : { to: values.to }),
    ...(scale ? { scale } : {}),
    ...(values.upright ? { upright: true } : {}),
    ...(values.rows ? { rows: true } : {}),
    ...(closeUps ? { closeUps } : {}),
  };
  if (!file || (command === "convert") !== (out !== undefined) || extra !== undefined)
    throw new Refusal(command === "convert" ? "One file to read and one to write are needed." : "One file is needed.");
  if (command === "convert") return convert(file, out!, { ...options, ...(order ? { order } : {}), fonts });
  process.stdout.write(`${JSON.stringify(layoutOf(await readEvents(file, order), options))}\n`);
}

async function main(): Promise<number> {
  const [command, ...args] = process.argv.slice(2);
  if (command === "dates") return dates(args, process.stdin, process.stdout, `usage: ${DATES}`);
  if (command !== "layout" && command !== "convert") {
    process.stderr.write(`${command ? `There is no command "${command}".` : "A command is missing."} ${USAGE}\n`);
    return 2;
  }
  try {
    await drawing(command, args);
    return 0;
  } catch (e) {
    if (!(e instanceof Refusal) && !String((e as { code?: string }).code).startsWith("ERR_PARSE_ARGS")) throw e;
    process.stderr.write(`${(e as Error).message} usage: ${command === "layout" ? LAYOUT : CONVERT}\n`);
    return 2;
  }
}

process.exitCode = await main();
