import type { Frozen } from "../../formats/frozen";
import type { Use } from "../guess-uses";

/** One table of a file. */
export interface Sheet {
  name: string;
  cells: string[][];
  /** What its columns are, where the file itself says so; its first row then holds names. */
  uses?: readonly Use[];
}

export type Encoding = (typeof ENCODINGS)[number];
/** In which letters a file of text may be written; "utf-8" first. */
export const ENCODINGS = [
  "utf-8",
  "utf-16le",
  "utf-16be",
  "windows-1252",
  "iso-8859-2",
  "windows-1250",
  "windows-1251",
  "koi8-r",
  "windows-1253",
  "windows-1254",
  "macintosh",
  "shift_jis",
  "euc-jp",
  "euc-kr",
  "big5",
  "gb18030",
] as const;
/** What stands between the cells of a text. "list": one event a line. */
export const DELIMITERS = [",", ";", "\t", "|", "list"] as const;
export type Delimiter = (typeof DELIMITERS)[number];

/** How a file is to be read, where it leaves that open or somebody knows better. */
export interface ReadFileOptions {
  encoding?: Encoding | undefined;
  delimiter?: Delimiter | undefined;
  /** Repeated events of a calendar are unfolded from a day to a day, as ISO dates. */
  repeats?: { from: string; to: string } | undefined;
  /** Living persons of a family file are brought in too. */
  living?: boolean | undefined;
  /** Today, as a day number: who is taken for living. */
  today?: number | undefined;
}

/** What was found in a file. */
export type Found =
  | {
      kind: "rows";
      sheets: Sheet[];
      /** Of a file of text: in which letters it was read, and what stands between its cells. */
      encoding?: Encoding;
      delimiter?: Delimiter;
      /** Of a calendar with repeated events: the days they were unfolded between. */
      repeats?: { from: string; to: string };
      /** Of a family file: so many living persons were left out, or could be. */
      living?: number;
      /** Where the table is one that Fastigo wrote: the timeline it is, with what was altered in its cells. */
      whole?: Frozen;
      /** What one should know of how it was read. */
      notes: string[];
    }
  | { kind: "timeline"; frozen: Frozen; notes: string[] };
