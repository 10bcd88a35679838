import "server-only";
import { nanoid } from "nanoid";
import { UNDATED } from "@/core/time/when";
import { LIMITS } from "@/core/change/limits";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { rightsChanged } from "../live/notify";
import { takeChange } from "./take-change";

/** Makes a timeline with nothing in it but its title and subject, which are its first change. */
export async function createTimeline(
  owner: string,
  input: { title: string; subject: string },
): Promise<Failure | { id: string }> {
  const title = input.title.trim();
  const subject = input.subject.trim();
  if (title.length > LIMITS.title || subject.length > LIMITS.subject) return fail("title_long");
  const id = nanoid(16);
  await db().begin(async (tx) => {
    await tx`insert into timeline (id, period) values (${id}, ${tx.json(UNDATED as never)})`;
    await tx`insert into editor (timeline_id, account_id, role) values (${id}, ${owner}, 'owner')`;
    await rightsChanged(owner, tx);
  });
  const ops = [
    ...(title ? [{ kind: "set_timeline" as const, field: "title" as const, value: title }] : []),
    ...(subject ? [{ kind: "set_timeline" as const, field: "subject" as const, value: subject }] : []),
  ];
  if (ops.length > 0) await takeChange(id, { id: nanoid(), author: owner, base: 0, ops });
  return { id };
}

/** Marks a timeline deleted, or takes the mark away; its owner only. Its published page goes and comes with it. */
export async function setDeleted(
  timeline: string,
  owner: string,
  deleted: boolean,
): Promise<Failure | { deleted: boolean }> {
  const done = await db()`
    update timeline t set deleted_at = ${deleted ? db()`now()` : null}
    where id = ${timeline} and exists (select from editor e where e.timeline_id = t.id and e.account_id = ${owner} and e.role = 'owner')
    returning id`;
  if (done.length === 0) return fail("not_found");
  const editors = await db()<{ accountId: string }[]>`select account_id from editor where timeline_id = ${timeline}`;
  for (const e of editors) await rightsChanged(e.accountId);
  return { deleted };
}
