import { type Field, TABLES, TIMELINE } from "../timeline/fields";
import { MOST_DEEP } from "../timeline/parts";
import { type Op, tableOf } from "./change";

/** The most characters of a date as it is typed. */
const MOST_TYPED = 300;
/** The most characters of texts that are asked for beside the fields themselves. */
export const LIMITS = { title: TIMELINE.title.most!, subject: TIMELINE.subject.most! } as const;

const MB = 1_048_576;

/**
 * How much of everything there may be: the one place for it; what is said of more is in the catalogue of words. The command line draws what
 * it is given, up to 100,000 events.
 */
export const MOST = {
  events: { most: 20_000 },
  drawn: { most: 100_000 },
  tableRows: { most: 20_000 },
  steps: { most: 50_000 },
  deep: { most: MOST_DEEP },
  categories: { most: 200 },
  items: { most: 100 },
  sources: { most: 5_000 },
  description: { most: 100_000 },
  nested: { most: 12 },
  logBytes: { most: 200 * MB },
  timelineFiles: { most: 1_024 * MB },
  personFiles: { most: 3_072 * MB },
  timelines: { most: 2_000 },
} as const satisfies Record<string, { most: number }>;

export type MostOf = keyof typeof MOST;

/** One description update, in base64 characters: a whole page pasted with its formatting stays far below. */
export const MOST_UPDATE = 1_500_000;
/** All of a change, as characters of JSON. */
export const MOST_CHANGE = 24_000_000;
export const MOST_OPS = MOST.steps.most;

/** The first text in the steps that does not fit; null when all do. */
export function tooLong(ops: readonly Op[]): { field: string; length: number; most: number } | null {
  for (const op of ops) {
    if (op.kind === "describe") continue;
    const table: Record<string, Field<unknown>> = TABLES[op.kind === "set_timeline" ? "timeline" : tableOf(op)];
    const pairs = "fields" in op ? Object.entries(op.fields) : "field" in op ? [[op.field, op.value] as const] : [];
    for (const [field, value] of pairs) {
      const most = table[field]?.most;
      if (most !== undefined && typeof value === "string" && value.length > most)
        return { field, length: value.length, most };
      if (value && typeof value === "object" && "typed" in value && value.typed.length > MOST_TYPED)
        return { field: "date", length: value.typed.length, most: MOST_TYPED };
    }
  }
  return null;
}
