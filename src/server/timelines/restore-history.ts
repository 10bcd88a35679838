import "server-only";
import { nanoid } from "nanoid";
import type { ArchivedChange } from "@/core/change/history-there";
import type { Op } from "@/core/change/change";
import { emptyTimeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-history";
import { CLOSED } from "../classes/one-time-code";
import { isGroupWork } from "../classes/reach";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, Refused, refusal } from "../http/failure";
import { requireRight } from "./access";
import { takeChangeIn } from "./take-change";

/** Every change that was ever made to a timeline, as an archive holds it: when, by whom, the steps, and what was there before. */
export async function wholeHistory(
  timeline: string,
): Promise<{ seq: number; at: Date; author: string; ops: unknown; was: unknown }[]> {
  return db()<{ seq: number; at: Date; author: string; ops: unknown; was: unknown }[]>`
    select c.seq, c.at, a.display_name as author, c.ops, c.was from change c join account a on a.id = c.author_id
    where c.timeline_id = ${timeline} order by c.seq`;
}

/** So long is the name of an account. */
const LONGEST_NAME = 60;
/** How those are called who stand for people of an archive: they go with their timeline. */
const standIn = (timeline: string, n: number | "") => `archive-${timeline}-${n}`;

/**
 * Makes the changes of an archive once more in a timeline of somebody's own in which nothing was written yet, with the times they were
 * made at, all in one transaction. Who is said to have made them is named with "from an archive" behind it, whoever it is: an archive
 * can be written by anybody, and proves nothing of anyone. Refused for work of an assignment, whose history its teacher relies on.
 */
export async function restoreHistory(
  timeline: string,
  by: string,
  changes: readonly ArchivedChange[],
): Promise<Failure | { seq: number }> {
  return db()
    .begin(async (tx): Promise<Failure | { seq: number }> => {
      await requireRight(tx, timeline, by, "own");
      if (!(await emptied(tx, timeline)) || (await isGroupWork(tx, timeline))) throw new Refused(fail("not_empty"));
      const authors = new Map<string, string>();
      const now = Date.now();
      let last = 0;
      for (const { at, author, ops } of changes) {
        const { seq } = await takeChangeIn(tx, timeline, { id: nanoid(), author: by, base: last, ops: [...ops] });
        last = seq;
        const when = Math.min(now, Date.parse(at) || now);
        const who = authors.get(author) ?? (await makeStandIn(tx, timeline, authors, author));
        await tx`
          update change set at = ${new Date(when)}, author_id = ${who} where timeline_id = ${timeline} and seq = ${seq}`;
      }
      return { seq: last };
    })
    .catch(refusal);
}

/** Takes back what a timeline begins with (its title, subject and language), if nothing else was ever done in it; else false. */
async function emptied(tx: Tx, timeline: string): Promise<boolean> {
  const [row] = await tx<{ seq: number }[]>`select seq from timeline where id = ${timeline} for update`;
  const log = await tx<{ ops: Op[] }[]>`select ops from change where timeline_id = ${timeline}`;
  const isBeginning = (op: Op) => op.kind === "set_timeline" && ["title", "subject", "language"].includes(op.field);
  if (!row || row.seq !== log.length || !log.every((c) => c.ops.every(isBeginning))) return false;
  await tx`delete from change where timeline_id = ${timeline}`;
  await tx`
    update timeline set seq = 0, log_bytes = 0, title = '', subject = '', language = ${emptyTimeline("").language}
    where id = ${timeline}`;
  return true;
}

async function makeStandIn(tx: Tx, timeline: string, authors: Map<string, string>, author: string): Promise<string> {
  const id = await standInFor(tx, timeline, authors.size, author);
  authors.set(author, id);
  return id;
}

/** An account that stands for the nth person of an archive in a timeline, whatever name is given; nobody can come in by it. */
export async function standInFor(tx: Tx, timeline: string, n: number, called: string): Promise<string> {
  const id = standIn(timeline, n);
  const name = WORDS.fromArchive(called).slice(0, LONGEST_NAME);
  await tx`
    insert into account (id, display_name, password_hash, deleted_at) values (${id}, ${name}, ${CLOSED}, now())
    on conflict (id) do update set display_name = excluded.display_name`;
  return id;
}

/** Removes those who stand for people of an archive in the history of a timeline, once that is gone. */
export async function forgetStandIns(tx: Tx, timeline: string): Promise<void> {
  await tx`delete from account where starts_with(id, ${standIn(timeline, "")})`;
}
