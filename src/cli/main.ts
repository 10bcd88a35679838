/** The fastigo command: the core without a browser, a server or a database. */
import { learnLanguages } from "@/server/language/speaking";
import { FAMILIES, type Family } from "@/core/text/families";
import { readFile } from "node:fs/promises";
import { parseArgs } from "node:util";
import type { CloseUpMode } from "@/core/chart/close-ups/close-ups";
import type { DateOrder } from "@/core/time/read/options";
import type { Scale } from "@/core/timeline/fields";
import { READ_ENDINGS } from "@/core/bring-in/files/endings";
import { endingsFor } from "@/core/formats/formats";
import { checkLines } from "./check";
import { convert } from "./convert";
import { dates } from "./dates";
import { LOOKS, type LookName } from "@/core/timeline/looks";
import { serve } from "./serve";
import { verify } from "./verify";
import { layoutOf, readEvents, Refusal } from "./layout";
import { readAny } from "./read-any";

const DATES = "fastigo dates [--order dmy|mdy|ymd] [--day EDTF] [--today EDTF]";
const LAYOUT =
  "fastigo layout FILE --width W --height H [--from EDTF --to EDTF] [--scale true|even|balanced] [--upright] [--rows] [--close-ups auto|all|none] [--order dmy|mdy|ymd]";
const CONVERT =
  "fastigo convert IN OUT [--sheet NAME] [--order dmy|mdy|ymd] [--encoding NAME] [--width W] [--height H] [--scale true|even|balanced] [--upright] [--rows] [--close-ups auto|all|none] [--paper NAME|WxHmm] [--whole | --from EDTF --to EDTF] [--look NAME] [--png-scale 1..4]";
const SERVE = "fastigo serve FILE [--port N]";
const VERIFY = "fastigo verify FILE [--fingerprint HEX]";
const CHECK = "fastigo check FILE [--sheet NAME] [--order dmy|mdy|ymd] [--encoding NAME]";
const USAGE = `usage: ${DATES}\n       ${LAYOUT}\n       ${CONVERT}\n       ${CHECK}\n       ${SERVE}\n       ${VERIFY}`;

/** What each command says of itself when it is asked for help. */
const HELP: Readonly<Record<string, string>> = {
  dates: `usage: ${DATES}

Reads dates, one a line, from standard input and writes what each means as a line of JSON.

  --order   which number is the day in 03/04/1872: dmy, mdy or ymd
  --day     the day that times alone belong to
  --today   what "today" and "present" are
`,
  layout: `usage: ${LAYOUT}

Lays the events of a table (CSV) or timeline (JSON) out and writes the geometry of the chart as JSON, in px.

  --width, --height   the frame
  --from, --to        the part of the ridge that is seen, as dates in ISO 8601-2
  --scale             true (by date), even (one step an event) or balanced
  --upright           the ridge runs down
  --rows              a row for each category
  --close-ups         auto, all or none
  --order             which number is the day in 03/04/1872
`,
  convert: `usage: ${CONVERT}

Reads IN and writes OUT; what they are is told by the endings of their names.

  IN    ${READ_ENDINGS.join(" ")}
  OUT   ${endingsFor("write").replace(" or ", ", ").replaceAll(",", "")} .pdf .png .zip (.ged where the events came from a family file)

  --sheet      the sheet of a workbook that is read; the first where none is named
  --order      which number is the day in 03/04/1872: dmy, mdy or ymd
  --encoding   in which letters a text is written; found out where that is not said
  --width, --height, --scale, --upright, --rows, --close-ups   of a drawing (.svg), as for fastigo layout

  --paper      of a PDF: a5 a4 a3 a2 a1 a0 letter legal tabloid, or its size, such as 900x300mm
  --whole, --from, --to   what is seen of a PDF or picture: all, or from one date to another (ISO 8601-2)
  --look       another look than the timeline's own
  --png-scale  pixels of a PNG to each px of the drawing: 1 to 4
  A .zip is a folder that works without any server: unpack it and open index.html.

Columns are found by their names and what stands in them; what could not be guessed is said on standard error.
`,
  serve: `usage: ${SERVE}

Shows one file as a page that cannot be changed, on this machine alone, until it is ended with Ctrl-C. FILE is any that convert reads,
or a folder as a zip.

  --port   where; any free one where none is named
`,
  verify: `usage: ${VERIFY}

Says what is in a frozen copy (its JSON, or the folder as a zip) and its fingerprint, the SHA-256 of its content. Exits 1 where it is
not whole, or another one than was named.

  --fingerprint   what it has to be, or its first 8 digits or more
`,
  check: `usage: ${CHECK}

Reads FILE and writes what is to be said of it, a line of JSON each: dates that are not understood, contradictions (level
"error"), events without a date or a source and pictures without a credit (level "warning"). Exits 1 when there are errors.

  --sheet, --order, --encoding   as for fastigo convert
`,
};
const HELP_ALL = `${USAGE}

  dates     reads dates from standard input
  layout    writes the geometry of a chart
  convert   reads a file and writes another: tables, workbooks, calendars, family files, documents, drawings
  check     says what is wrong or missing in a file
  serve     shows a file as a page
  verify    checks the fingerprint of a frozen copy

fastigo COMMAND --help says more of each. A file that cannot be read is a sentence on standard error and exit 2.
`;

/** The type of a drawing, for a file that stands alone. */
async function fonts(family: Family): Promise<string> {
  const { css, file, weights } = FAMILIES[family];
  const path = new URL(`../public/fonts/${file}-latin-wght-normal.woff2`, import.meta.url);
  const data = (await readFile(path)).toString("base64");
  return `@font-face{font-family:"${css}";src:url(data:font/woff2;base64,${data}) format("woff2");font-weight:${weights}}`;
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

const MAKING = {
  paper: { type: "string" },
  look: { type: "string" },
  "png-scale": { type: "string" },
  whole: { type: "boolean" },
} as const;
const READING = { sheet: { type: "string" }, encoding: { type: "string" } } as const;
const warn = (sentence: string) => process.stderr.write(`${sentence}\n`);

async function check(args: string[]): Promise<number> {
  const { values, positionals } = parseArgs({
    args,
    allowPositionals: true,
    options: { ...READING, order: { type: "string" } },
  });
  const order = oneOf<DateOrder>(values.order, "--order", ["dmy", "mdy", "ymd"]);
  const [file, extra] = positionals;
  if (!file || extra !== undefined) throw new Refusal("One file is needed.");
  const { sheet, encoding } = values;
  const wish = { ...(order ? { order } : {}), ...(sheet ? { sheet } : {}), ...(encoding ? { encoding } : {}) };
  const lines = checkLines(await readAny(file, wish, warn));
  for (const line of lines) process.stdout.write(`${JSON.stringify(line)}\n`);
  return lines.some((l) => l.level === "error") ? 1 : 0;
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
      ...(command === "convert" ? MAKING : {}),
      ...(command === "convert" ? READING : {}),
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
  const { sheet, encoding } = values as { sheet?: string; encoding?: string };
  const making = values as { paper?: string; look?: string; "png-scale"?: string };
  const look = oneOf<LookName>(making.look, "--look", LOOKS);
  const pngScale = oneOf(making["png-scale"], "--png-scale", ["1", "2", "3", "4"]);
  if (!file || (command === "convert") !== (out !== undefined) || extra !== undefined)
    throw new Refusal(command === "convert" ? "One file to read and one to write are needed." : "One file is needed.");
  if (command === "convert")
    return convert(file, out!, {
      ...options,
      ...(order ? { order } : {}),
      ...(sheet ? { sheet } : {}),
      ...(encoding ? { encoding } : {}),
      ...(making.paper ? { paper: making.paper } : {}),
      ...(look ? { look } : {}),
      ...(pngScale ? { pngScale: Number(pngScale) } : {}),
      fonts,
      warn,
    });
  process.stdout.write(`${JSON.stringify(layoutOf(await readEvents(file, order), options))}\n`);
}

async function main(): Promise<number> {
  learnLanguages();
  const [command, ...args] = process.argv.slice(2);
  if (command === "--help" || command === "-h" || command === "help") {
    process.stdout.write(HELP[args[0] ?? ""] ?? HELP_ALL);
    return 0;
  }
  const help = Object.hasOwn(HELP, command ?? "") ? HELP[command!] : undefined;
  if (help && (args.includes("--help") || args.includes("-h"))) {
    process.stdout.write(help);
    return 0;
  }
  if (command === "dates") return dates(args, process.stdin, process.stdout, `usage: ${DATES}`);
  if (!help) {
    process.stderr.write(`${command ? `There is no command "${command}".` : "A command is missing."} ${USAGE}\n`);
    return 2;
  }
  try {
    if (command === "check") return await check(args);
    if (command === "serve" || command === "verify") return await (command === "serve" ? serve : verify)(args);
    await drawing(command!, args);
    return 0;
  } catch (e) {
    if (!(e instanceof Refusal) && !String((e as { code?: string }).code).startsWith("ERR_PARSE_ARGS")) throw e;
    const usage = { layout: LAYOUT, check: CHECK, serve: SERVE, verify: VERIFY }[command!] ?? CONVERT;
    process.stderr.write(`${(e as Error).message} usage: ${usage}\n`);
    return 2;
  }
}

process.exitCode = await main();
