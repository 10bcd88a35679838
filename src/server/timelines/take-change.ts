import "server-only";
import { createHash } from "node:crypto";
import postgres from "postgres";
import { Draft, type Was } from "@/core/change/apply";
import { type Change, type ConfirmedChange, type Op, type Table, tableOf } from "@/core/change/change";
import { MOST, tooLong } from "@/core/change/limits";
import { LIMIT_SENTENCES, tooLongText } from "@/core/words/limits";
import { tooMuch } from "@/core/change/too-much";
import { fromBase64 } from "@/core/text/base64";
import { takeUpdate } from "@/core/text/description";
import { confirmReading, readOptionsOf } from "@/core/timeline/read-options";
import type { When } from "@/core/time/when";
import { COLLECTION, type Item, OWN_TEXTS, RECORD_TABLES, type Timeline } from "@/core/timeline/timeline";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, Refused, refusal } from "../http/failure";
import { type Right, requireRight } from "./access";
import { changesAfter } from "./queries";
import { readForChange } from "./read-for-change";
import { type Field, holdsFiles, type ItemKind, TABLES } from "@/core/timeline/fields";

/** A description's merged state may have so many bytes. */
const MOST_DESCRIPTION = 2_000_000;
/** Rows are written so many at once. */
const BATCH = 2_000;

export interface Taken {
  seq: number;
  /** What was confirmed after what is known, as much as one answer holds; the change itself may lie beyond it. */
  changes: ConfirmedChange[];
}

/**
 * Takes a change into a timeline: locks it, merges field by field with the core's own steps, logs old and new values and
 * gives the next number, all in one transaction. Never refuses for being behind. The same id again gets its first answer.
 */
export async function takeChange(timeline: string, change: Change, known = change.base): Promise<Failure | Taken> {
  const taken = await db()
    .begin((tx) => takeChangeIn(tx, timeline, change))
    .catch(refusal);
  if ("failed" in taken) return taken;
  return { seq: taken.seq, changes: await changesAfter(db(), timeline, known) };
}

/**
 * The same within a transaction of more than the change; a refusal is thrown, so that all of it is taken back. `right`: what its author
 * needs for it; less than editing where whoever calls has seen to it that it touches nothing of others.
 */
export async function takeChangeIn(
  tx: Tx,
  timeline: string,
  change: Change,
  right: Right = "edit",
): Promise<{ seq: number }> {
  const long = tooLong(change.ops);
  if (long) throw new Refused(fail("text_long", tooLongText(long)));
  if (change.ops.length > MOST.steps.most) throw new Refused(fail("too_much", LIMIT_SENTENCES.steps));
  const digest = createHash("sha256")
    .update(JSON.stringify([change.author, change.base, change.ops]))
    .digest();
  // What does not depend on an answer is asked without waiting for it; each is answered in its turn, under the lock.
  const locking = tx<{ seq: number; logBytes: string }[]>`
    select t.seq, t.log_bytes from timeline t
    where t.id = ${timeline} and t.deleted_at is null for update of t`.execute();
  const [[locked], , [known]] = await Promise.all([
    locking,
    requireRight(tx, timeline, change.author, right),
    tx<{ seq: number; digest: Uint8Array }[]>`
      select seq, digest from change where timeline_id = ${timeline} and id = ${change.id}`,
  ]);
  if (!locked) throw new Refused(fail("not_found"));
  if (known) {
    if (Buffer.compare(known.digest, digest) !== 0) throw new Refused(fail("change_taken"));
    return { seq: known.seq };
  }
  const { timeline: before, unread } = (await readForChange(tx, timeline, change.ops))!;
  const { ops, was, after } = await merge(tx, before, change.ops);
  const over = tooMuch(before, after, ops, unread);
  if (over) throw new Refused(fail("too_much", LIMIT_SENTENCES[over]));
  await write(tx, before, after, ops);

  const seq = locked.seq + 1;
  const log = [JSON.stringify(ops), JSON.stringify(was)] as const;
  const bytes = Number(locked.logBytes) + Buffer.byteLength(log[0]) + Buffer.byteLength(log[1]);
  if (bytes > MOST.logBytes.most) throw new Refused(fail("too_much", LIMIT_SENTENCES.logBytes));
  await Promise.all([
    tx`update timeline set seq = ${seq}, log_bytes = ${bytes}, altered_at = now() where id = ${timeline}`,
    tx`
      insert into change (timeline_id, seq, id, author_id, base, ops, was, digest)
      values (${timeline}, ${seq}, ${change.id}, ${change.author}, ${change.base}, ${tx.json(ops as never)}, ${tx.json(was as never)}, ${digest})`,
    tx`select pg_notify('fastigo', ${JSON.stringify({ kind: "changed", timeline, seq })})`,
  ]);
  return { seq };
}

/**
 * The steps as they are done and logged: dates as the reader of dates reads what was typed, and without updates of
 * descriptions that say nothing new.
 */
async function merge(
  tx: Tx,
  before: Timeline,
  asked: readonly Op[],
): Promise<{ ops: Op[]; was: Was[]; after: Timeline }> {
  const draft = new Draft(before);
  const ops: Op[] = [];
  const was: Was[] = [];
  for (const sent of asked) {
    if (sent.kind === "describe") {
      const changed = takeWords(draft, sent);
      if (changed === false) continue;
      ops.push(sent);
      was.push(changed === null ? { skipped: "missing" } : null);
      continue;
    }
    const op = withOwnReading(sent, draft.timeline);
    if (op.kind === "add_item") await requireMedia(tx, before.id, op);
    if (op.kind === "restore_item") requireThere(draft.timeline.items.get(op.id));
    if (op.kind === "set_item" && op.field === "media") await requireSameKind(tx, draft.timeline, op);
    ops.push(op);
    was.push(draft.step(op));
  }
  return { ops, was, after: draft.timeline };
}

/** A step with every date in it read again from what was typed. */
function withOwnReading(op: Op, t: Timeline): Op {
  const own = (value: unknown) => (value ? confirmReading(value as When, readOptionsOf(t)) : value);
  if (op.kind === "describe") return op;
  const table: Record<string, Field<unknown>> = TABLES[op.kind === "set_timeline" ? "timeline" : tableOf(op)];
  if ("field" in op) return table[op.field]?.isWhen ? ({ ...op, value: own(op.value) } as Op) : op;
  if (!("fields" in op)) return op;
  const dates = Object.entries(op.fields).filter(([f, value]) => value && table[f]?.isWhen);
  if (dates.length === 0) return op;
  return { ...op, fields: { ...op.fields, ...Object.fromEntries(dates.map(([f, value]) => [f, own(value)])) } } as Op;
}

/** True when the description has changed, false when the update says nothing new, null when there is no such event. */
function takeWords(draft: Draft, op: Extract<Op, { kind: "describe" }>): boolean | null {
  const state = draft.description(op.of);
  if (state === null) return null;
  const taken = takeUpdate(state, bytesOf(op.update));
  if (!taken?.plainLinks) throw new Refused(fail("not_an_update"));
  if (!taken.changed) return false;
  if (!taken.clean) throw new Refused(fail("bad_characters"));
  if (taken.characters > MOST.description.most) throw new Refused(fail("too_much", LIMIT_SENTENCES.description));
  if (taken.depth > MOST.nested.most) throw new Refused(fail("too_much", LIMIT_SENTENCES.nested));
  if (taken.state.length > MOST_DESCRIPTION) throw new Refused(fail("description_large"));
  draft.describe(op.of, taken.state);
  return true;
}

function bytesOf(base64: string): Uint8Array {
  try {
    return fromBase64(base64);
  } catch {
    throw new Refused(fail("not_an_update"));
  }
}

async function requireMedia(tx: Tx, timeline: string, op: Extract<Op, { kind: "add_item" }>): Promise<void> {
  const { list = "source", media = null, kind = null, player = "", address = "" } = op.fields;
  // What stays at another site has no file of its own: a web page, and a video or sound with the address of its player.
  const outside = list === "media" && address !== "" && (kind === "page" || (player !== "" && kind !== "picture"));
  if (media === null && outside) return;
  if (list !== "media" && holdsFiles(list) && (kind !== "picture" || player !== ""))
    throw new Refused(fail("no_such_media"));
  if (holdsFiles(list) !== (media !== null) || kind === "page") throw new Refused(fail("no_such_media"));
  if (media === null) return;
  const [own] = await tx`
    select from media where id = ${media} and timeline_id = ${timeline} and kind = ${fileKind({ kind, player })}`;
  if (!own) throw new Refused(fail("no_such_media"));
}

/** An entry whose file was deleted for good does not come back. */
function requireThere(item: Item | undefined): void {
  if (item && holdsFiles(item.list) && item.media === null && item.player === "" && item.kind !== "page")
    throw new Refused(fail("no_such_media"));
}

/** The kind of an entry's file: of what is played at another site it is a still. */
const fileKind = (i: { kind: ItemKind | null; player: string }) => (i.player === "" ? (i.kind ?? "") : "picture");

/** Another file of an entry is one of the same timeline and kind. */
async function requireSameKind(tx: Tx, t: Timeline, op: Extract<Op, { kind: "set_item" }>): Promise<void> {
  const item = t.items.get(op.id);
  if (!item) return;
  const [own] = await tx`
    select from media where id = ${String(op.value)} and timeline_id = ${t.id} and kind = ${fileKind(item)}`;
  if (!own) throw new Refused(fail("no_such_media"));
}

/** Writes what the steps have changed, whole records at a time. */
async function write(tx: Tx, before: Timeline, after: Timeline, ops: readonly Op[]): Promise<void> {
  if (after === before) return;
  const fields = new Set<string>(ops.flatMap((op) => (op.kind === "set_timeline" ? [op.field] : [])));
  for (const text of OWN_TEXTS) if (after[text] !== before[text]) fields.add(text);
  if (fields.size > 0) {
    const row = Object.fromEntries(
      [...fields].map((f) => [postgres.fromCamel(f), columnValue(tx, after[f as keyof Timeline])]),
    );
    await tx`update timeline set ${tx(row as never)} where id = ${after.id}`;
  }
  const touched = Object.fromEntries(RECORD_TABLES.map((t) => [t, new Set<string>()])) as Record<Table, Set<string>>;
  for (const op of ops) {
    if (op.kind === "describe") touched.event.add(op.of);
    else if (op.kind !== "set_timeline") touched[tableOf(op)].add(op.id);
  }
  for (const table of RECORD_TABLES) {
    const [now, then] = [after[COLLECTION[table]], before[COLLECTION[table]]];
    const rows = [...touched[table]].flatMap((id) => {
      const record = now.get(id);
      if (!record || record === then.get(id)) return [];
      const columns: [string, unknown][] = [
        ["timelineId", after.id],
        ...Object.entries(record),
        ["deletedAt", record.deleted ? new Date() : null],
      ];
      return [Object.fromEntries(columns.map(([f, v]) => [postgres.fromCamel(f), columnValue(tx, v)]))];
    });
    for (let i = 0; i < rows.length; i += BATCH) {
      const names = Object.keys(rows[0]!);
      await tx`
        insert into ${tx(table)} ${tx(rows.slice(i, i + BATCH) as never, names as never)}
        on conflict (timeline_id, id) do update set ${tx.unsafe(
          names
            .filter((n) => n !== "timeline_id" && n !== "id")
            .map((n) => `"${n}" = ${n === "deleted_at" ? deletedAt(table) : `excluded."${n}"`}`)
            .join(", "),
        )}`;
    }
  }
}

/** When it was deleted first, for as long as it is. */
const deletedAt = (table: string) =>
  `case when excluded.deleted then coalesce("${table}".deleted_at, excluded.deleted_at) end`;

/** A field's value as its column takes it: bytes, JSON, or as it is. */
export function columnValue(tx: Tx, value: unknown): unknown {
  if (value instanceof Uint8Array) return Buffer.from(value);
  return value !== null && typeof value === "object" && !(value instanceof Date) ? tx.json(value as never) : value;
}
