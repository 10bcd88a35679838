import { readJson } from "../../formats/read-json";
import type { Found } from "./found";
import { MOST_COLUMNS, MOST_SHEET_ROWS } from "./limits";
import { NotReadable } from "./unpack";
import { WORDS } from "../../words/bring-in";

/**
 * Reads JSON: a timeline as Fastigo writes it (docs/timeline-format.md), or a list of objects, whose names are columns.
 * Throws `NotReadable`.
 */
export function readJsonFile(text: string): Found {
  let value: unknown;
  try {
    value = JSON.parse(text.replace(/^\uFEFF/, ""));
  } catch (e) {
    throw new NotReadable(WORDS.noJson((e as Error).message));
  }
  if (!Array.isArray(value)) {
    const read = readJson(text.replace(/^\uFEFF/, ""));
    if ("problem" in read) throw new NotReadable(read.problem);
    return { kind: "timeline", frozen: read.frozen, notes: [] };
  }
  const objects = value
    .filter((v) => typeof v === "object" && v !== null && !Array.isArray(v))
    .slice(0, MOST_SHEET_ROWS) as Record<string, unknown>[];
  const names = new Set<string>();
  for (const o of objects) for (const k of Object.keys(o)) if (names.size < MOST_COLUMNS) names.add(k);
  if (names.size === 0) throw new NotReadable(WORDS.nothingInIt);
  const columns = [...names];
  return {
    kind: "rows",
    sheets: [{ name: "", cells: [columns, ...objects.map((o) => columns.map((c) => textOf(o[c])))] }],
    notes: value.length > MOST_SHEET_ROWS ? [WORDS.rowsBeyond("", MOST_SHEET_ROWS)] : [],
  };
}

function textOf(value: unknown): string {
  if (value === null || value === undefined) return "";
  if (typeof value === "string") return value;
  if (typeof value === "boolean") return value ? "yes" : "no";
  if (typeof value === "number") return String(value);
  if (Array.isArray(value) && value.every((v) => typeof v !== "object")) return value.join(", ");
  return JSON.stringify(value);
}
