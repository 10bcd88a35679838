import type { Op } from "../change/change";

/** What one step did, and to what, in short: enough to count by. */
export interface StepMark {
  kind: Op["kind"];
  /** The record's id; of a description what it is of; "" for the timeline. */
  id: string;
  /** The field that was set; "" where none was. */
  field: string;
}

/** One change, as sittings are made from. */
export interface ChangeMark {
  seq: number;
  /** Milliseconds since 1970. */
  at: number;
  author: string;
  /** Its steps, the first of them where there are very many. */
  marks: readonly StepMark[];
  /** How many steps there are in all. */
  steps: number;
}

/** What was done in a sitting, each thing counted once however often it was touched. */
export const DEEDS = [
  "eventsAdded",
  "eventsDeleted",
  "eventsPutBack",
  "titlesWritten",
  "datesSet",
  "descriptionsWritten",
  "introductionWritten",
  "categorised",
  "arranged",
  "noted",
  "mediaAltered",
  "sourcesAltered",
  "categoriesAltered",
  "settingsAltered",
] as const;
export type Deed = (typeof DEEDS)[number];

/** A stretch of work of one person without a longer break. */
export interface Sitting {
  author: string;
  from: number;
  to: number;
  /** The numbers of its first and last change; others' may lie between. */
  first: number;
  last: number;
  changes: number;
  deeds: Partial<Record<Deed, number>>;
}

/** A break of so long ends a sitting, ms. */
export const BREAK_MS = 30 * 60_000;

const OF_FIELD: Record<string, Deed> = {
  title: "titlesWritten",
  shortTitle: "titlesWritten",
  when: "datesSet",
  byHand: "arranged",
  category: "categorised",
  tags: "categorised",
  place: "noted",
  note: "noted",
};

/** What a step counts as. `listOf`: of an entry's id its list. */
function deedOf({ kind, id, field }: StepMark, listOf: (item: string) => string | undefined): Deed {
  switch (kind) {
    case "add_event":
      return "eventsAdded";
    case "delete_event":
      return "eventsDeleted";
    case "restore_event":
      return "eventsPutBack";
    case "describe":
      return id === "introduction" || id === "closing" ? "introductionWritten" : "descriptionsWritten";
    case "set_event":
      return OF_FIELD[field] ?? "arranged";
    case "set_timeline":
      return "settingsAltered";
    case "add_category":
    case "set_category":
    case "delete_category":
    case "restore_category":
      return "categoriesAltered";
    case "add_source":
    case "set_source":
    case "delete_source":
    case "restore_source":
      return "sourcesAltered";
    default:
      return listOf(id) === "media" ? "mediaAltered" : "sourcesAltered";
  }
}

/**
 * The sittings in some changes, the latest first: for each person, changes with no break of `BREAK_MS` or more between them. What
 * was written in an event that was added in the same sitting goes with its adding.
 */
export function sittingsOf(
  changes: readonly ChangeMark[],
  listOf: (item: string) => string | undefined = () => undefined,
): Sitting[] {
  const open = new Map<string, { sitting: Sitting; touched: Map<Deed, Set<string>>; more: number }>();
  const done: Sitting[] = [];
  const close = (author: string) => {
    const last = open.get(author);
    if (!last) return;
    open.delete(author);
    const added = last.touched.get("eventsAdded");
    for (const [deed, ids] of last.touched) {
      const goesWith = added && (deed === "titlesWritten" || deed === "datesSet" || deed === "categorised");
      const n = goesWith ? [...ids].filter((id) => !added.has(id)).length : ids.size;
      if (n > 0) last.sitting.deeds[deed] = n + (deed === "eventsAdded" ? last.more : 0);
    }
    done.push(last.sitting);
  };
  for (const c of [...changes].sort((a, b) => a.seq - b.seq)) {
    const now = open.get(c.author);
    if (now && c.at - now.sitting.to >= BREAK_MS) close(c.author);
    let at = open.get(c.author);
    if (!at) {
      at = {
        sitting: { author: c.author, from: c.at, to: c.at, first: c.seq, last: c.seq, changes: 0, deeds: {} },
        touched: new Map(),
        more: 0,
      };
      open.set(c.author, at);
    }
    at.sitting.to = Math.max(at.sitting.to, c.at);
    at.sitting.last = c.seq;
    at.sitting.changes++;
    // Of very many steps the first say what the others are.
    if (c.steps > c.marks.length && c.marks.some((m) => m.kind === "add_event")) at.more += c.steps - c.marks.length;
    for (const m of c.marks) {
      const deed = deedOf(m, listOf);
      const known = at.touched.get(deed);
      const what = m.id || m.field;
      if (known) known.add(what);
      else at.touched.set(deed, new Set([what]));
    }
  }
  for (const author of [...open.keys()]) close(author);
  return done.sort((a, b) => b.last - a.last);
}
