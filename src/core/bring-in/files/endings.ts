/** Kinds of files that can be brought in, by the endings of their names. */
const KINDS = {
  csv: [".csv", ".tsv", ".tab"],
  text: [".txt", ".md", ".markdown"],
  html: [".html", ".htm"],
  xlsx: [".xlsx", ".xlsm"],
  ods: [".ods"],
  ics: [".ics", ".ical"],
  ged: [".ged"],
  json: [".json"],
  /** A folder that works without any server, as it is taken out: its data is read. */
  zip: [".zip"],
} as const;
export type FileKind = keyof typeof KINDS;
export const READ_ENDINGS: readonly string[] = Object.values(KINDS).flat();

/** The kind of a file by its name; null where it is none that can be read. */
export function kindOf(name: string): FileKind | null {
  const lower = name.toLowerCase();
  return (Object.keys(KINDS) as FileKind[]).find((k) => KINDS[k].some((e) => lower.endsWith(e))) ?? null;
}
