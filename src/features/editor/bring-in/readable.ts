/** Files that can be read, by the endings of their names. */
export const READABLE = /\.(csv|tsv|tab|txt|md|markdown|html?)$/i;

/** Rows that were found, and where. */
export interface Given {
  name: string;
  cells: string[][];
  note: string | null;
}
