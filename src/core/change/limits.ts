import type { Item, TimelineEvent } from "../timeline/timeline";
import type { Op } from "./change";

/** The most characters a field holds. */
export const LIMITS = {
  title: 300,
  shortTitle: 120,
  typed: 300,
  name: 60,
  subject: 120,
  byline: 120,
  text: 2_000,
  credit: 300,
  licence: 120,
  address: 2_000,
} as const;

/** One description update, in base64 characters: a whole page pasted with its formatting stays far below. */
export const MOST_UPDATE = 1_500_000;
export const MOST_OPS = 5_000;

const FIELD_LIMIT: Partial<
  Record<keyof TimelineEvent | keyof Item | "subject" | "byline" | "name", keyof typeof LIMITS>
> = {
  title: "title",
  shortTitle: "shortTitle",
  name: "name",
  subject: "subject",
  byline: "byline",
  text: "text",
  credit: "credit",
  licence: "licence",
  address: "address",
};

/** The first text in the steps that does not fit; null when all do. */
export function tooLong(ops: readonly Op[]): { field: string; length: number; most: number } | null {
  for (const op of ops) {
    const pairs = "fields" in op ? Object.entries(op.fields) : "field" in op ? [[op.field, op.value] as const] : [];
    for (const [field, value] of pairs) {
      const limit = FIELD_LIMIT[field as keyof typeof FIELD_LIMIT];
      if (limit && typeof value === "string" && value.length > LIMITS[limit])
        return { field, length: value.length, most: LIMITS[limit] };
      if (value && typeof value === "object" && "typed" in value && value.typed.length > LIMITS.typed)
        return { field: "date", length: value.typed.length, most: LIMITS.typed };
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
