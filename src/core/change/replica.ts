import type { Timeline } from "../timeline/timeline";
import { apply } from "./apply";
import type { Change, ConfirmedChange, Op, Skipped, Value } from "./change";
import { sameValue } from "../text/same-value";

/** A timeline as one editor holds it: what the server has confirmed, and their own changes on their way. */
export interface Replica {
  confirmed: Timeline;
  /** The number of the last confirmed change in `confirmed`. */
  seq: number;
  pending: readonly Change[];
  /** `confirmed` with the pending changes on top: what is shown. */
  current: Timeline;
}

/** Two people set the same field without having seen each other's value: the later stands, the earlier is shown. */
export interface Overlap {
  /** "event:id:field", as in `fieldKey`. */
  key: string;
  earlier: Value;
  earlierAuthor: string;
  later: Value;
  laterAuthor: string;
}

export interface Received {
  replica: Replica;
  overlaps: Overlap[];
  /** Steps of the editor's own changes that had no effect, such as an undo of what someone else changed since. */
  skipped: Skipped[];
}

export function startReplica(confirmed: Timeline, seq: number, pending: readonly Change[] = []): Replica {
  return withPending({ confirmed, seq, pending: [], current: confirmed }, pending);
}

function withPending(r: Replica, pending: readonly Change[]): Replica {
  const current = pending.reduce((t, c) => apply(t, c.ops).timeline, r.confirmed);
  return { ...r, pending, current };
}

/** Puts the editor's own change on top; `after`: what is shown with it, where that is known already. */
export function edit(r: Replica, change: Change, after: Timeline = apply(r.current, change.ops).timeline): Replica {
  return { ...r, pending: [...r.pending, change], current: after };
}

/** Replaces the last pending change by one with more steps: keystrokes in one field are one change. */
export function amend(r: Replica, change: Change): Replica {
  return withPending(r, [...r.pending.slice(0, -1), change]);
}

/** Takes a pending change away that the server refused for good. */
export function withdraw(r: Replica, id: string): Replica {
  return withPending(
    r,
    r.pending.filter((c) => c.id !== id),
  );
}

/** Who set a field last, and with which change; kept beside a replica to notice overlaps. */
export type LastSet = Map<string, { seq: number; author: string; value: Value }>;

export function fieldKey(op: Op): string | null {
  if (op.kind === "set_timeline") return `timeline::${op.field}`;
  if (op.kind === "set_event" || op.kind === "set_category" || op.kind === "set_item")
    return `${op.kind.slice(4)}:${op.id}:${op.field}`;
  return null;
}

/**
 * Takes confirmed changes in, in their order. Those known already are passed over, so repeated and late messages do no
 * harm; where one is missing in between it stops, and the rest must be asked for again.
 */
export function receive(r: Replica, changes: readonly ConfirmedChange[], lastSet: LastSet): Received {
  let { confirmed, seq, pending } = r;
  const overlaps: Overlap[] = [];
  const skipped: Skipped[] = [];
  for (const c of [...changes].sort((a, b) => a.seq - b.seq)) {
    if (c.seq <= seq) continue;
    if (c.seq !== seq + 1) break;
    const own = pending.some((p) => p.id === c.id);
    // One's own change, taken as it was sent, on what one had: what is shown is what is confirmed, to the last object, so that
    // nothing is drawn anew for it.
    const asShown = own && pending.length === 1 && confirmed === r.confirmed && sameValue(pending[0]!.ops, c.ops);
    const applied = asShown ? { timeline: r.current, skipped: [] } : apply(confirmed, c.ops);
    confirmed = applied.timeline;
    if (own) skipped.push(...applied.skipped);
    for (const op of c.ops) {
      const key = fieldKey(op);
      if (!key || !("value" in op) || applied.skipped.some((s) => s.op === op)) continue;
      const before = lastSet.get(key);
      if (before && before.author !== c.author && before.seq > c.base && !sameValue(before.value, op.value))
        overlaps.push({
          key,
          earlier: before.value,
          earlierAuthor: before.author,
          later: op.value,
          laterAuthor: c.author,
        });
      lastSet.set(key, { seq: c.seq, author: c.author, value: op.value });
    }
    pending = pending.filter((p) => p.id !== c.id);
    seq = c.seq;
  }
  if (seq === r.seq) return { replica: r, overlaps, skipped };
  return { replica: withPending({ confirmed, seq, pending: [], current: confirmed }, pending), overlaps, skipped };
}
