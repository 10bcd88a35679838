import "server-only";
import { language } from "@/core/language/spoken";
import { nanoid } from "nanoid";
import { UNDATED } from "@/core/time/when";
import type { Op } from "@/core/change/change";
import { LIMITS, MOST } from "@/core/change/limits";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, refusal } from "../http/failure";
import { rightsChanged } from "../live/notify";
import { groupDeleted } from "../classes/reach";
import { requireRight } from "./access";
import { takeChangeIn } from "./take-change";
import { LIMIT_SENTENCES } from "@/core/words/limits";

/** Makes a timeline with nothing in it but its title and subject, which are its first change. */
export async function createTimeline(
  owner: string,
  input: { title: string; subject: string },
): Promise<Failure | { id: string }> {
  const title = input.title.trim();
  const subject = input.subject.trim();
  if (title.length > LIMITS.title || subject.length > LIMITS.subject) return fail("title_long");
  return db()
    .begin((tx) => createTimelineIn(tx, owner, { title, subject }, []))
    .catch(refusal);
}

/** The same within a transaction of more; `ops` follow title and subject in its first change. */
export async function createTimelineIn(
  tx: Tx,
  owner: string,
  { title, subject }: { title: string; subject: string },
  more: readonly Op[],
): Promise<Failure | { id: string }> {
  const [have] = await tx<{ n: number }[]>`
    select count(*)::int as n from editor where account_id = ${owner} and role = 'owner'`;
  if (have!.n >= MOST.timelines.most) return fail("too_much", LIMIT_SENTENCES.timelines);
  const id = nanoid(16);
  await tx`insert into timeline (id, period) values (${id}, ${tx.json(UNDATED as never)})`;
  await tx`insert into editor (timeline_id, account_id, role) values (${id}, ${owner}, 'owner')`;
  await rightsChanged(owner, tx);
  const ops: Op[] = [
    ...(title ? [{ kind: "set_timeline" as const, field: "title" as const, value: title }] : []),
    ...(subject ? [{ kind: "set_timeline" as const, field: "subject" as const, value: subject }] : []),
    // It is written in the language its owner is spoken to, until they say otherwise.
    ...(language() === "en" ? [] : [{ kind: "set_timeline" as const, field: "language" as const, value: language() }]),
    ...more,
  ];
  if (ops.length > 0) await takeChangeIn(tx, id, { id: nanoid(), author: owner, base: 0, ops });
  return { id };
}

/** Marks a timeline deleted, or takes the mark away; its owner only. Its published page goes and comes with it. */
export async function setDeleted(
  timeline: string,
  owner: string,
  deleted: boolean,
): Promise<Failure | { deleted: boolean }> {
  const done = await db()
    .begin(async (tx): Promise<Failure | null> => {
      await requireRight(tx, timeline, owner, "own", { deleted: true });
      await tx`update timeline set deleted_at = ${deleted ? tx`now()` : null} where id = ${timeline}`;
      await groupDeleted(tx, timeline, deleted);
      return null;
    })
    .catch(refusal);
  // Whether there is such a timeline is nobody's business but its people's.
  if (done) return fail("not_found");
  const editors = await db()<{ accountId: string }[]>`select account_id from editor where timeline_id = ${timeline}`;
  for (const e of editors) await rightsChanged(e.accountId);
  return { deleted };
}
