import type { Language } from "../../language/spoken";
import type { Margin, Margins } from "../when";

export type DateOrder = "dmy" | "mdy" | "ymd";

export interface ReadOptions {
  /** How 03/04/1872 is meant in this timeline; null: not said yet. */
  order?: DateOrder | null;
  /** Months of the seasons; northern unless said. */
  hemisphere?: "north" | "south";
  /** The day that a time alone belongs to, as a day number. */
  day?: number | null;
  /** What "today" is, as a day number; the core has no clock. */
  today?: number | null;
  /** False: a date within a sentence is not looked for, the text must be a date as a whole. */
  sentence?: boolean;
  /** The language in which a date that is moved is written anew; English where none is said. */
  language?: Language;
  margin?: Margin | null;
  /** The timeline's own widths of "about". */
  margins?: Margins;
}
