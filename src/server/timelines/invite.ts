import "server-only";
import { nanoid } from "nanoid";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { rightsChanged } from "../live/notify";
import { findRole } from "./access";

/** Gives the link's token, making one when there is none; `renew` makes the old link useless. Owner only. */
export async function openInvitation(
  timeline: string,
  owner: string,
  renew: boolean,
): Promise<Failure | { token: string }> {
  const [row] = await db()<{ joinToken: string }[]>`
    update timeline t set join_token = case when ${renew} or join_token is null then ${nanoid(21)} else join_token end
    where id = ${timeline} and deleted_at is null
      and exists (select from editor e where e.timeline_id = t.id and e.account_id = ${owner} and e.role = 'owner')
    returning join_token`;
  if (!row) return fail("owner_only");
  // A new link is for whoever is given it, whatever was before.
  if (renew) await db()`delete from removed_editor where timeline_id = ${timeline}`;
  return { token: row.joinToken };
}

export async function closeInvitation(timeline: string, owner: string): Promise<Failure | { closed: true }> {
  const done = await db()`
    update timeline t set join_token = null
    where id = ${timeline} and deleted_at is null
      and exists (select from editor e where e.timeline_id = t.id and e.account_id = ${owner} and e.role = 'owner')
    returning id`;
  return done.length > 0 ? { closed: true } : fail("owner_only");
}

/** What an invitation leads to; null when it was closed or renewed. */
export async function findInvitation(token: string): Promise<{ id: string; title: string; owner: string } | null> {
  const [row] = await db()<{ id: string; title: string; owner: string }[]>`
    select t.id, t.title, a.display_name as owner
    from timeline t join editor e on e.timeline_id = t.id and e.role = 'owner' join account a on a.id = e.account_id
    where t.join_token = ${token} and t.deleted_at is null`;
  return row ?? null;
}

/** Makes a person an editor by the link; nothing happens when they are one already. */
export async function join(token: string, account: string): Promise<Failure | { id: string }> {
  const invitation = await findInvitation(token);
  if (!invitation) return fail("invitation_ended");
  if ((await findRole(db(), invitation.id, account)) !== null) return { id: invitation.id };
  const [removed] =
    await db()`select from removed_editor where timeline_id = ${invitation.id} and account_id = ${account}`;
  if (removed) return fail("removed_before");
  // A group's work on an assignment is open to classmates without a group of their own, and to nobody else.
  const [work] = await db()`select from group_work where timeline_id = ${invitation.id}`;
  if (work) {
    const added = await addEditorFromClass(invitation.id, account);
    if (!added) return fail("not_a_classmate");
  } else
    await db()`
      insert into editor (timeline_id, account_id, role) values (${invitation.id}, ${account}, 'editor') on conflict do nothing`;
  await rightsChanged(account);
  return { id: invitation.id };
}

/** Makes somebody an editor of a group's timeline if they are of its class and have not begun the assignment elsewhere. */
export async function addEditorFromClass(timeline: string, account: string): Promise<boolean> {
  return db().begin(async (tx) => {
    const [member] = await tx<{ groupId: string }[]>`
      insert into group_member (assignment_id, account_id, group_id)
      select a.id, m.account_id, g.id
      from group_work g join assignment a on a.id = g.assignment_id join class_member m on m.class_id = a.class_id
      where g.timeline_id = ${timeline} and m.account_id = ${account}
      on conflict do nothing returning group_id`;
    if (!member) return false;
    await tx`
      insert into editor (timeline_id, account_id, role) values (${timeline}, ${account}, 'editor') on conflict do nothing`;
    return true;
  });
}

/** The owner takes the right away, or an editor leaves. The owner stays. */
export async function removeEditor(
  timeline: string,
  by: string,
  account: string,
): Promise<Failure | { removed: true }> {
  const done = await db().begin(async (tx) => {
    const gone = await tx`
      delete from editor e
      where e.timeline_id = ${timeline} and e.account_id = ${account} and e.role = 'editor'
        and (${account} = ${by} or exists (select from editor o where o.timeline_id = e.timeline_id and o.account_id = ${by} and o.role = 'owner'))
      returning account_id`;
    if (gone.length === 0) return false;
    await tx`
      delete from group_member m using group_work g
      where g.id = m.group_id and g.timeline_id = ${timeline} and m.account_id = ${account}`;
    // Who was taken out needs a new link; who left by themselves may come back by the one they have.
    if (account !== by)
      await tx`insert into removed_editor (timeline_id, account_id) values (${timeline}, ${account}) on conflict do nothing`;
    return true;
  });
  if (!done) return fail("not_found");
  await rightsChanged(account);
  return { removed: true };
}
