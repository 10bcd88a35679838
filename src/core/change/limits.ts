import { type Field, TABLES, TIMELINE } from "../timeline/fields";
import { MOST_DEEP } from "../timeline/parts";
import { type Op, tableOf } from "./change";

/** The most characters of a date as it is typed. */
const MOST_TYPED = 300;
/** The most characters of texts that are asked for beside the fields themselves. */
export const LIMITS = { title: TIMELINE.title.most!, subject: TIMELINE.subject.most! } as const;

const MB = 1_048_576;
const KEPT = "Nothing of this step was saved; all before it is.";

/**
 * How much of everything there may be, each with the sentence for more: the one place for it. The command line draws what
 * it is given, up to 100,000 events.
 */
export const MOST = {
  events: { most: 20_000, sentence: `A timeline holds 20,000 events. ${KEPT} Begin a second timeline for the rest.` },
  drawn: { most: 100_000, sentence: "100,000 events can be drawn at once; this file has more." },
  tableRows: { most: 20_000, sentence: "A table may have 20,000 rows. Divide it and take it in by parts." },
  steps: { most: 50_000, sentence: `One change holds 50,000 steps. ${KEPT} Make it in several parts.` },
  deep: {
    most: MOST_DEEP,
    sentence: `Events lie within others at most ${MOST_DEEP} deep. ${KEPT} Make it part of something further out.`,
  },
  categories: { most: 200, sentence: `A timeline has at most 200 categories. ${KEPT} Delete one that is not in use.` },
  items: {
    most: 100,
    sentence: `An event has at most 100 pictures and files, 100 sources and 100 links. ${KEPT} Delete one, or make a second event.`,
  },
  description: {
    most: 100_000,
    sentence:
      "A description holds 100,000 characters, nested at most 12 deep. It is still where you typed it: shorten it, or divide it among several events.",
  },
  nested: {
    most: 12,
    sentence:
      "Lists and quotes in a description lie at most 12 deep in each other. It is still where you typed it: take one level out.",
  },
  logBytes: {
    most: 200 * MB,
    sentence:
      "The history of this timeline is full: 200 MB of changes. What was saved before is kept and can be read, published and frozen. Go on in a new timeline.",
  },
  timelineFiles: {
    most: 1_024 * MB,
    sentence: "The files of one timeline may have 1 GB together. Delete some, or take a smaller one.",
  },
  personFiles: {
    most: 3_072 * MB,
    sentence: "The files of one person may have 3 GB together. Delete some, or take a smaller one.",
  },
  timelines: { most: 2_000, sentence: "You have 2,000 timelines, and more do not fit. Delete some you do not need." },
} as const satisfies Record<string, { most: number; sentence: string }>;

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

/** A sentence for a text that does not fit. */
export function tooLongText(p: { field: string; length: number; most: number }): string {
  return `This ${FIELD_WORDS[p.field] ?? p.field} has ${p.length.toLocaleString("en")} characters; ${p.most.toLocaleString("en")} fit. It was not saved and is still in the field: shorten it, or put the rest into the description.`;
}

const FIELD_WORDS: Record<string, string> = {
  shortTitle: "short title",
  text: "text",
  address: "web address",
  name: "name",
};
