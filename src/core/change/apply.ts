import { fromBase64 } from "../text/base64";
import { mergeDescriptions } from "../text/description";
import {
  COLLECTION,
  type Collection,
  emptyCategory,
  emptyEvent,
  emptyItem,
  emptySource,
  isOwnText,
  type Timeline,
} from "../timeline/timeline";
import { type Op, type Skipped, tableOf, touchesGiven, type Value } from "./change";
import { partOfFor } from "../timeline/parts";
import { sameValue } from "../text/same-value";

export interface Applied {
  timeline: Timeline;
  skipped: Skipped[];
}

/**
 * The timeline after the steps, in their order; the one given is not altered. A step that cannot have an
 * effect is skipped and reported, never refused: the server merges with the same steps, so all ends are equal.
 */
export function apply(before: Timeline, ops: readonly Op[]): Applied {
  const draft = new Draft(before);
  const skipped: Skipped[] = [];
  for (const op of ops) {
    const result = draft.step(op);
    if (result && "skipped" in result) skipped.push({ op, why: result.skipped });
  }
  return { timeline: draft.timeline, skipped };
}

/** What one step replaced, or why it had no effect; null where it replaced nothing. */
export type Was = { value: unknown } | { skipped: Skipped["why"] } | null;

type AnyRecord = { [C in Collection]: Timeline[C] extends ReadonlyMap<string, infer R> ? R : never }[Collection];
const EMPTY = { category: emptyCategory, item: emptyItem, source: emptySource };

/** A timeline to which steps are applied one after the other: each collection is copied once, however many there are. */
export class Draft {
  /** As it stands after the steps so far; the very object that was given while nothing has changed. */
  timeline: Timeline;
  private readonly own = new Set<Collection>();

  constructor(before: Timeline) {
    this.timeline = before;
  }

  step(op: Op): Was {
    const t = this.timeline;
    switch (op.kind) {
      case "set_timeline": {
        const now = t[op.field];
        if (op.onlyIf !== undefined && !sameValue(now, op.onlyIf)) return { skipped: "changed_since" };
        if (!sameValue(now, op.value)) this.timeline = { ...t, [op.field]: op.value };
        return { value: now };
      }
      case "describe": {
        const state = this.description(op.of);
        if (state === null) return { skipped: "missing" };
        this.describe(op.of, mergeDescriptions(state, fromBase64(op.update)));
        return null;
      }
      case "add_event": {
        if (t.events.has(op.id)) return { skipped: "there_already" };
        const event = { ...emptyEvent(op.id), ...op.fields };
        this.put("events", { ...event, partOf: partOfFor(t.events, op.id, event.partOf) });
        return null;
      }
      case "add_category":
      case "add_item":
      case "add_source": {
        const table = tableOf(op) as keyof typeof EMPTY;
        if (t[COLLECTION[table]].has(op.id)) return { skipped: "there_already" };
        this.put(COLLECTION[table], { ...EMPTY[table](op.id), ...op.fields } as AnyRecord);
        return null;
      }
      default:
        return this.alter(op);
    }
  }

  /** The state of a description; null where there is no such event. */
  description(of: string): Uint8Array | null {
    return isOwnText(of) ? this.timeline[of] : (this.timeline.events.get(of)?.description ?? null);
  }

  /** Puts a state in the place of a description. */
  describe(of: string, state: Uint8Array): void {
    if (isOwnText(of)) this.timeline = { ...this.timeline, [of]: state };
    else this.put("events", { ...this.timeline.events.get(of)!, description: state });
  }

  private alter(op: Exclude<Op, { kind: "set_timeline" | "describe" | `add_${string}` }>): Was {
    const t = this.timeline;
    const collection = COLLECTION[tableOf(op)];
    const record: AnyRecord | undefined = t[collection].get(op.id);
    if (!record) return { skipped: "missing" };
    if (collection === "events" && touchesGiven(op, t.events.get(op.id))) return { skipped: "given" };
    if ("field" in op) {
      const now = record[op.field as keyof AnyRecord] as Value;
      if (op.onlyIf !== undefined && !sameValue(now, op.onlyIf)) return { skipped: "changed_since" };
      const value = op.field === "partOf" ? partOfFor(t.events, op.id, op.value as string | null) : op.value;
      if (!sameValue(now, value)) this.put(collection, { ...record, [op.field]: value });
      return { value: now };
    }
    const deleted = op.kind.startsWith("delete");
    if (record.deleted !== deleted) this.put(collection, { ...record, deleted });
    return { value: record.deleted };
  }

  private put(collection: Collection, record: AnyRecord): void {
    if (!this.own.has(collection)) {
      this.own.add(collection);
      const copy = new Map<string, AnyRecord>(this.timeline[collection] as Map<string, AnyRecord>);
      this.timeline = { ...this.timeline, [collection]: copy };
    }
    (this.timeline[collection] as Map<string, AnyRecord>).set(record.id, record);
  }
}
