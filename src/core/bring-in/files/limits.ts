/** So many bytes of a packed file are read, and so many may come out of it. */
export const MOST_PACKED = 10_000_000;
export const MOST_UNPACKED = 200_000_000;
/** So many characters of a text. */
export const MOST_TEXT = 10_000_000;
/** So many cells of a workbook are read, and so many columns and rows of a sheet. */
export const MOST_CELLS = 200_000;
export const MOST_COLUMNS = 200;
export const MOST_SHEET_ROWS = 20_000;
