import "server-only";
import { createHash } from "node:crypto";
import postgres from "postgres";
import {
  type Change,
  type ConfirmedChange,
  type Op,
  type Skipped,
  tableOf,
  touchesGiven,
  type Value,
} from "@/core/change/change";
import { tooLong, tooLongText } from "@/core/change/limits";
import { sameValue } from "@/core/change/same-value";
import { fromBase64 } from "@/core/text/base64";
import { isUpdate, mergeDescriptions } from "@/core/text/description";
import { CIRCULAR } from "@/core/timeline/parts";
import { emptyCategory, emptyEvent, emptyItem } from "@/core/timeline/timeline";
import { db, type Tx } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { changesAfter } from "./queries";

/** A description's merged state may have so many bytes. */
const MOST_DESCRIPTION = 2_000_000;

export interface Taken {
  seq: number;
  /** Everything confirmed after the change's base, the change itself included. */
  changes: ConfirmedChange[];
}

/** What one step replaced, or why it had no effect. */
type Was = { value: unknown } | { skipped: Skipped["why"] } | null;

/**
 * Takes a change into a timeline: locks it, merges field by field, logs old and new values and gives the next
 * number, all in one transaction. Never refuses for being behind. The same id again gets its first answer.
 */
export async function takeChange(timeline: string, change: Change): Promise<Failure | Taken> {
  const long = tooLong(change.ops);
  if (long) return fail("text_long", tooLongText(long));
  for (const op of change.ops)
    if (op.kind === "describe" && !isUpdate(fromBase64(op.update))) return fail("not_an_update");
  const digest = createHash("sha256")
    .update(JSON.stringify([change.author, change.base, change.ops]))
    .digest();

  const taken = await db()
    .begin(async (tx): Promise<Failure | { seq: number; isNew: boolean }> => {
      const [locked] = await tx<{ seq: number }[]>`
      select t.seq from timeline t
      where t.id = ${timeline} and t.deleted_at is null
        and exists (select from editor e where e.timeline_id = t.id and e.account_id = ${change.author})
      for update of t`;
      if (!locked) return fail("not_found");
      const [known] = await tx<{ seq: number; digest: Uint8Array }[]>`
      select seq, digest from change where timeline_id = ${timeline} and id = ${change.id}`;
      if (known)
        return Buffer.compare(known.digest, digest) === 0 ? { seq: known.seq, isNew: false } : fail("change_taken");

      const was: Was[] = [];
      for (const op of change.ops) {
        const result = await takeOp(tx, timeline, op);
        if (isFailureOf(result)) throw new Refused(result);
        was.push(result);
      }
      const seq = locked.seq + 1;
      await tx`update timeline set seq = ${seq}, altered_at = now() where id = ${timeline}`;
      await tx`
      insert into change (timeline_id, seq, id, author_id, base, ops, was, digest)
      values (${timeline}, ${seq}, ${change.id}, ${change.author}, ${change.base}, ${tx.json(change.ops as never)}, ${tx.json(was as never)}, ${digest})`;
      await tx`select pg_notify('fastigo', ${JSON.stringify({ kind: "changed", timeline, seq })})`;
      return { seq, isNew: true };
    })
    .catch((error: unknown) => {
      if (error instanceof Refused) return error.failure;
      throw error;
    });
  if ("failed" in taken) return taken;
  return { seq: taken.seq, changes: await changesAfter(db(), timeline, change.base) };
}

/** Rolls the transaction back with an expected failure. */
class Refused extends Error {
  readonly failure: Failure;
  constructor(failure: Failure) {
    super(failure.failed);
    this.failure = failure;
  }
}

function isFailureOf(value: Was | Failure): value is Failure {
  return value !== null && "failed" in value;
}

async function takeOp(tx: Tx, timeline: string, op: Op): Promise<Was | Failure> {
  switch (op.kind) {
    case "set_timeline": {
      const column = tx(postgres.fromCamel(op.field));
      const [row] = await tx<{ value: Value }[]>`select ${column} as value from timeline where id = ${timeline}`;
      return setColumn(
        op,
        row!.value,
        (value) => tx`update timeline set ${column} = ${value} where id = ${timeline}`,
        tx,
      );
    }
    case "describe":
      return mergeIntoDescription(tx, timeline, op);
    case "add_event":
      return add(tx, timeline, "event", { ...emptyEvent(op.id), ...op.fields });
    case "add_category":
      return add(tx, timeline, "category", { ...emptyCategory(op.id), ...op.fields });
    case "add_item": {
      const item = { ...emptyItem(op.id), ...op.fields };
      if ((item.list === "media") !== (item.media !== null)) return fail("no_such_media");
      if (item.media !== null) {
        const [own] =
          await tx`select from media where id = ${item.media} and timeline_id = ${timeline} and kind = ${item.kind}`;
        if (!own) return fail("no_such_media");
      }
      return add(tx, timeline, "item", item);
    }
    case "set_event":
    case "set_category":
    case "set_item": {
      const table = tx(tableOf(op));
      const column = tx(postgres.fromCamel(op.field));
      const [row] = await tx<
        { value: Value }[]
      >`select ${column} as value from ${table} where timeline_id = ${timeline} and id = ${op.id}`;
      if (!row) return { skipped: "missing" };
      if (op.kind === "set_event" && touchesGiven(op, await givenOf(tx, timeline, op.id))) return { skipped: "given" };
      const partOf = op.kind === "set_event" && op.field === "partOf" ? (op.value as string | null) : null;
      const circular =
        partOf !== null && !partOf.startsWith(CIRCULAR) && (await wouldLoop(tx, timeline, op.id, partOf));
      return setColumn(
        circular ? { ...op, value: CIRCULAR + partOf } : op,
        row.value,
        (value) => tx`update ${table} set ${column} = ${value} where timeline_id = ${timeline} and id = ${op.id}`,
        tx,
      );
    }
    default: {
      const deleted = op.kind.startsWith("delete");
      if (op.kind === "delete_event" && touchesGiven(op, await givenOf(tx, timeline, op.id)))
        return { skipped: "given" };
      const [row] = await tx<{ deleted: boolean }[]>`
        update ${tx(tableOf(op))} as new set deleted = ${deleted}
        from ${tx(tableOf(op))} as old
        where new.timeline_id = ${timeline} and new.id = ${op.id} and old.timeline_id = new.timeline_id and old.id = new.id
        returning old.deleted`;
      return row ? { value: row.deleted } : { skipped: "missing" };
    }
  }
}

async function setColumn(
  op: Extract<Op, { kind: "set_timeline" | "set_event" | "set_category" | "set_item" }>,
  now: Value,
  write: (value: never) => PromiseLike<unknown>,
  tx: Tx,
): Promise<Was> {
  if (op.onlyIf !== undefined && !sameValue(now, op.onlyIf)) return { skipped: "changed_since" };
  await write(columnValue(tx, op.value) as never);
  return { value: now };
}

/** Whether an event that became part of another would be part of itself; as the core's function of this name. */
async function wouldLoop(tx: Tx, timeline: string, event: string, whole: string): Promise<boolean> {
  const [row] = await tx<{ loops: boolean }[]>`
    with recursive up(id) as (
      select ${whole}::text
      union
      select e.part_of from event e join up on e.id = up.id
      where e.timeline_id = ${timeline} and e.part_of is not null and e.part_of not like ${`${CIRCULAR}%`}
    )
    select exists (select from up where id = ${event}) as loops`;
  return row!.loops;
}

async function givenOf(
  tx: Tx,
  timeline: string,
  event: string,
): Promise<{ given: string | null; locked: boolean } | undefined> {
  const [row] = await tx<
    { given: string | null; locked: boolean }[]
  >`select given, locked from event where timeline_id = ${timeline} and id = ${event}`;
  return row;
}

function columnValue(tx: Tx, value: unknown): unknown {
  if (value instanceof Uint8Array) return Buffer.from(value);
  return value !== null && typeof value === "object" ? tx.json(value as never) : value;
}

async function add(tx: Tx, timeline: string, table: "event" | "category" | "item", record: object): Promise<Was> {
  const fields: [string, unknown][] = Object.entries({ timelineId: timeline, ...record });
  const row = Object.fromEntries(fields.map(([field, value]) => [postgres.fromCamel(field), columnValue(tx, value)]));
  const made = await tx`insert into ${tx(table)} ${tx(row as never)} on conflict do nothing returning id`;
  return made.length > 0 ? null : { skipped: "there_already" };
}

async function mergeIntoDescription(
  tx: Tx,
  timeline: string,
  op: Extract<Op, { kind: "describe" }>,
): Promise<Was | Failure> {
  const update = fromBase64(op.update);
  const [row] =
    op.of === "introduction"
      ? await tx<{ state: Uint8Array }[]>`select introduction as state from timeline where id = ${timeline}`
      : await tx<
          { state: Uint8Array }[]
        >`select description as state from event where timeline_id = ${timeline} and id = ${op.of}`;
  if (!row) return { skipped: "missing" };
  const merged = Buffer.from(mergeDescriptions(new Uint8Array(row.state), update));
  if (merged.length > MOST_DESCRIPTION) return fail("description_large");
  if (op.of === "introduction") await tx`update timeline set introduction = ${merged} where id = ${timeline}`;
  else await tx`update event set description = ${merged} where timeline_id = ${timeline} and id = ${op.of}`;
  return null;
}
