import { languageLike } from "../language/asked-language";
import { drawnIn } from "../words/chart";
import { drawChart } from "../chart/draw/draw-chart";
import { toSvg } from "../chart/draw/to-svg";
import type { CloseUpMode } from "../chart/close-ups/close-ups";
import type { ReadOptions } from "../time/read/options";
import type { Scale } from "../timeline/fields";
import { canonicalJson } from "../text/canonical-json";
import { type Frozen, timelineFromFrozen } from "./frozen";
import { readJson } from "./read-json";
import { readTable } from "./table";

/** How a drawing is written: its frame, px, how its ridge runs, and the fonts it carries, as CSS. */
export interface Drawing {
  width: number;
  height: number;
  scale?: Scale;
  upright?: boolean;
  rows?: boolean;
  closeUps?: CloseUpMode;
  fonts?: string;
}

export type FormatId = "xlsx" | "ods" | "csv" | "ics" | "md" | "html" | "txt" | "json" | "svg" | "ged";

/** A form in which a timeline goes out as a file, and in which the command that draws reads it. */
export interface Format {
  id: FormatId;
  /** Endings of file names, in lower case. */
  endings: readonly string[];
  mediaType: string;
  /** Gives the timeline, or a sentence why not. */
  read?: (text: string, options: ReadOptions) => { frozen: Frozen } | { problem: string };
  /** Gives the file; throws `CannotWrite` with a sentence where the timeline has nothing for it. */
  write: (timeline: Frozen, drawing: Drawing) => string | Uint8Array | Promise<Uint8Array | string>;
}

/** Why a timeline cannot be written in a form, in a sentence. */
export class CannotWrite extends Error {}

/** Every format, in one table: what the command, routes and screens offer follows from it. */
export const FORMATS: readonly Format[] = [
  {
    id: "xlsx",
    endings: [".xlsx"],
    mediaType: "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet",
    write: async (timeline) => (await import("./write-xlsx")).writeXlsx(timeline),
  },
  {
    id: "ods",
    endings: [".ods"],
    mediaType: "application/vnd.oasis.opendocument.spreadsheet",
    write: async (timeline) => (await import("./write-ods")).writeOds(timeline),
  },
  {
    id: "csv",
    endings: [".csv"],
    mediaType: "text/csv; charset=utf-8",
    read: (text, options) => readTable(text, options, "drawn"),
    write: async (timeline) => (await import("./write-csv")).writeCsv(timeline),
  },
  {
    id: "ics",
    endings: [".ics"],
    mediaType: "text/calendar; charset=utf-8",
    write: async (t) => (await import("./write-icalendar")).writeICalendar(t),
  },
  {
    id: "md",
    endings: [".md"],
    mediaType: "text/markdown; charset=utf-8",
    write: async (t) => (await import("./write-text")).writeMarkdown(t),
  },
  {
    id: "html",
    endings: [".html"],
    mediaType: "text/html; charset=utf-8",
    write: async (t) => (await import("./write-text")).writeHtml(t),
  },
  {
    id: "txt",
    endings: [".txt"],
    mediaType: "text/plain; charset=utf-8",
    write: async (t) => (await import("./write-text")).writeText(t),
  },
  {
    id: "json",
    endings: [".json"],
    mediaType: "application/json; charset=utf-8",
    read: readJson,
    write: (timeline) => `${canonicalJson(timeline)}\n`,
  },
  {
    id: "svg",
    endings: [".svg"],
    mediaType: "image/svg+xml",
    write: drawn,
  },
  {
    id: "ged",
    endings: [".ged"],
    mediaType: "text/vnd.familysearch.gedcom; charset=utf-8",
    write: async (timeline) => {
      const written = (await import("./write-gedcom")).writeGedcom(timeline);
      if ("problem" in written) throw new CannotWrite(written.problem);
      return written.text;
    },
  },
];

/** A timeline as a file of some format, in bytes; throws `CannotWrite`. */
export async function writeFormat(id: FormatId, timeline: Frozen, drawing: Drawing): Promise<Uint8Array> {
  const written = await FORMATS.find((f) => f.id === id)!.write(timeline, drawing);
  return typeof written === "string" ? new TextEncoder().encode(written) : written;
}

/** The format of a file by its name's ending; null where none has it, or it cannot do what is asked. */
export function formatFor(name: string, does: "read" | "write"): Format | null {
  const lower = name.toLowerCase();
  return FORMATS.find((f) => f[does] && f.endings.some((e) => lower.endsWith(e))) ?? null;
}

/** The endings of all formats that can be read or written, in words: ".csv or .json". */
export function endingsFor(does: "read" | "write"): string {
  const all = FORMATS.filter((f) => f[does]).flatMap((f) => f.endings);
  return all.length < 2 ? (all[0] ?? "") : `${all.slice(0, -1).join(", ")} or ${all.at(-1)}`;
}

function drawn(frozen: Frozen, o: Drawing): string {
  const timeline = { ...timelineFromFrozen(frozen), ...(o.scale ? { scale: o.scale } : {}) };
  const scene = drawChart(
    timeline,
    { width: o.width, height: o.height },
    {
      upright: o.upright ?? false,
      rows: o.rows && !o.upright ? { folded: new Set<string>() } : undefined,
      closeUps: o.closeUps ?? "auto",
    },
  );
  return toSvg(scene, {
    pictureUrl: () => null,
    label: frozen.title || drawnIn(languageLike(frozen.language)).timeline,
    ...(o.fonts ? { style: o.fonts } : {}),
    ground: true,
  });
}
