import "server-only";
import { nanoid } from "nanoid";
import { joinGroup, leaveGroup } from "../classes/reach";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, isFailure, refusal } from "../http/failure";
import { rightsChanged } from "../live/notify";
import { hasRight, requireRight } from "./access";

/** Gives the link's token, making one when there is none; `renew` makes the old link useless. Owner only. */
export async function openInvitation(
  timeline: string,
  owner: string,
  renew: boolean,
): Promise<Failure | { token: string }> {
  return db()
    .begin(async (tx) => {
      await requireRight(tx, timeline, owner, "own");
      const [row] = await tx<{ joinToken: string }[]>`
        update timeline set join_token = case when ${renew} or join_token is null then ${nanoid(21)} else join_token end
        where id = ${timeline} returning join_token`;
      // A new link is for whoever is given it, whatever was before.
      if (renew) await tx`delete from removed_editor where timeline_id = ${timeline}`;
      return { token: row!.joinToken };
    })
    .catch(ownerOnly);
}

export async function closeInvitation(timeline: string, owner: string): Promise<Failure | { closed: true }> {
  return db()
    .begin(async (tx): Promise<{ closed: true }> => {
      await requireRight(tx, timeline, owner, "own");
      await tx`update timeline set join_token = null where id = ${timeline}`;
      return { closed: true };
    })
    .catch(ownerOnly);
}

/** Whoever asks for a link of a timeline is told that it is its owner's to give, and no more. */
function ownerOnly(error: unknown): Failure {
  refusal(error);
  return fail("owner_only");
}

/** What an invitation leads to; null when it was closed or renewed. */
export async function findInvitation(token: string): Promise<{ id: string; title: string; owner: string } | null> {
  const [row] = await db()<{ id: string; title: string; owner: string }[]>`
    select t.id, t.title, a.display_name as owner
    from timeline t join editor e on e.timeline_id = t.id and e.role = 'owner' join account a on a.id = e.account_id
    where t.join_token = ${token} and t.deleted_at is null`;
  return row ?? null;
}

/**
 * Makes a person an editor by the link; nothing happens when they are one already. A group's work on an assignment is open to
 * classmates without a group of their own, and to nobody else.
 */
export async function join(token: string, account: string): Promise<Failure | { id: string }> {
  const invitation = await findInvitation(token);
  if (!invitation) return fail("invitation_ended");
  const { id } = invitation;
  const done = await db().begin(async (tx): Promise<Failure | "new" | "known"> => {
    if (await hasRight(tx, id, account, "edit")) return "known";
    const [removed] = await tx`select from removed_editor where timeline_id = ${id} and account_id = ${account}`;
    if (removed) return fail("removed_before");
    if ((await joinGroup(tx, id, account)) === "not_theirs") return fail("not_a_classmate");
    await makeEditor(tx, id, account);
    return "new";
  });
  if (isFailure(done)) return done;
  if (done === "new") await rightsChanged(account);
  return { id };
}

export async function makeEditor(tx: Tx, timeline: string, account: string): Promise<void> {
  await tx`
    insert into editor (timeline_id, account_id, role) values (${timeline}, ${account}, 'editor') on conflict do nothing`;
}

/** The owner takes the right away, or an editor leaves. The owner stays. */
export async function removeEditor(
  timeline: string,
  by: string,
  account: string,
): Promise<Failure | { removed: true }> {
  const done = await db().begin(async (tx) => {
    // Whose right it is to take, their own or the owner's, is nobody else's business.
    if (account !== by && !(await hasRight(tx, timeline, by, "own"))) return false;
    const gone = await tx`
      delete from editor where timeline_id = ${timeline} and account_id = ${account} and role = 'editor' returning account_id`;
    if (gone.length === 0) return false;
    await leaveGroup(tx, timeline, account);
    // Who was taken out needs a new link; who left by themselves may come back by the one they have.
    if (account !== by)
      await tx`insert into removed_editor (timeline_id, account_id) values (${timeline}, ${account}) on conflict do nothing`;
    return true;
  });
  if (!done) return fail("not_found");
  await rightsChanged(account);
  return { removed: true };
}
