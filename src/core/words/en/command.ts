const listed = (all: readonly string[]) =>
  all.length < 2 ? (all[0] ?? "") : `${all.slice(0, -1).join(", ")} and ${all.at(-1)}`;
const n = (x: number) => x.toLocaleString("en");

/** What the fastigo command says. */
export const WORDS = {
  neededEnding: (file: string, endings: readonly string[]) =>
    `${file}: a file ending in ${listed(endings).replace(" and ", " or ")} is needed.`,
  cannotBeRead: (file: string, code: string) =>
    `${file} cannot be read: ${code === "ENOENT" ? "there is no such file" : code}.`,
  noEncoding: (encoding: string, known: readonly string[]) =>
    `--encoding ${encoding} is not known; ${listed(known)} are.`,
  noSheet: (file: string, sheet: string, sheets: readonly string[]) =>
    `${file} has no sheet “${sheet}”; it has ${listed(sheets.map((s) => `“${s}”`))}.`,
  firstSheet: (file: string, sheet: string, sheets: readonly string[]) =>
    `${file}: of its sheets ${listed(sheets.map((s) => `“${s}”`))} “${sheet}” was read; name another one with --sheet.`,
  notGuessed: (file: string, columns: readonly string[]) =>
    `${file}: what ${columns.length === 1 ? "the column" : "the columns"} ${listed(columns.map((c) => `“${c.slice(0, 60)}”`))} ${columns.length === 1 ? "is" : "are"} could not be guessed; ${columns.length === 1 ? "it was" : "they were"} added to the descriptions.`,
  orderOpen: (file: string) =>
    `${file}: dates like 03/04/1872 could be two days and were not read; say which number is the day with --order dmy or --order mdy.`,
  rowLeftOut: (file: string, row: number, length: number, most: number) =>
    `${file}: row ${n(row)} was left out: a text of ${n(length)} characters stands where ${n(most)} fit.`,
  missingSource: "It names no source.",
  undated: "It has no date.",
  noMedia: (n: number) =>
    `${n === 1 ? "1 picture, video or sound is" : `${n.toLocaleString("en")} pictures, videos and sounds are`} not in this file, so ${n === 1 ? "it is" : "they are"} left out. A folder made in the editor holds them.`,
  noPaper: (typed: string) =>
    `--paper ${typed} is no paper: write a5, a4, a3, a2, a1, a0, letter, legal, tabloid, or WxH in mm (80 to 5,000 a side), such as 900x300mm.`,
} as const;
