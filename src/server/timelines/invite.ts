import "server-only";
import { nanoid } from "nanoid";
import type { InvitedAs } from "@/core/timeline/roles";
import { classmatesCalled, classOf, isOfClass, joinGroup, leaveGroup } from "../classes/reach";
import { db, type Sql, type Tx } from "../db/pool";
import { type Failure, fail, isFailure, Refused, refusal } from "../http/failure";
import { rightsChanged } from "../live/notify";
import { findRight, type GuestRole, hasRight, holds, requireRight } from "./access";

const RIGHT_OF = { reader: "read", commenter: "comment", adder: "add", editor: "edit" } as const;

/** Somebody who may see a timeline, and what they are in it. */
export interface Person {
  id: string;
  displayName: string;
  role: "owner" | InvitedAs;
}

/** An invitation that is open. `to`: an address or a name; null for a link. */
export interface OpenInvitation {
  token: string;
  role: InvitedAs;
  to: string | null;
  endsAt: Date | null;
}

/**
 * Gives the link for a role, making one when there is none; `renew` makes the old link useless. `endsAt`: until when it is good; null:
 * until it is closed. Owner only.
 */
export async function openInvitation(
  timeline: string,
  owner: string,
  renew: boolean,
  role: InvitedAs = "editor",
  endsAt: Date | null = null,
): Promise<Failure | { token: string }> {
  if (endsAt !== null && endsAt <= new Date()) return fail("end_is_past");
  return db()
    .begin(async (tx) => {
      await requireRight(tx, timeline, owner, "own");
      await requireNoGroup(tx, timeline, role);
      // A new link is for whoever is given it, whatever was before.
      if (renew) await tx`delete from removed_editor where timeline_id = ${timeline}`;
      const [row] = await tx<{ token: string }[]>`
        insert into invitation (token, timeline_id, role, invited_by, ends_at)
        values (${nanoid(21)}, ${timeline}, ${role}, ${owner}, ${endsAt})
        on conflict (timeline_id, role) where email is null and account_id is null do update set
          token = case when ${renew} then excluded.token else invitation.token end, ends_at = excluded.ends_at,
          invited_by = excluded.invited_by
        returning token`;
      return { token: row!.token };
    })
    .catch(ownerOnly);
}

/** Closes a link or withdraws an invitation: nobody comes in by it any more. Owner only. */
export async function closeInvitation(
  timeline: string,
  owner: string,
  token: string,
): Promise<Failure | { closed: true }> {
  return db()
    .begin(async (tx): Promise<{ closed: true }> => {
      await requireRight(tx, timeline, owner, "own");
      await tx`delete from invitation where timeline_id = ${timeline} and token = ${token}`;
      return { closed: true };
    })
    .catch(ownerOnly);
}

/** Whoever asks for a link of a timeline is told that it is its owner's to give, and no more; its owner what is wrong. */
function ownerOnly(error: unknown): Failure {
  const f = refusal(error);
  return f.failed === "group_writes" ? f : fail("owner_only");
}

/** Who may see a timeline, the owner first, and to its owner what is open to come in by. */
export async function peopleOf(
  timeline: string,
  account: string,
): Promise<{ people: Person[]; invitations: OpenInvitation[] }> {
  const right = await findRight(db(), timeline, account);
  const people = await db()<Person[]>`
    select a.id, a.display_name, p.role from (
      select account_id, role, joined_at from editor where timeline_id = ${timeline}
      union all select account_id, role, joined_at from guest where timeline_id = ${timeline}) p
    join account a on a.id = p.account_id
    order by p.role = 'owner' desc, p.role = 'editor' desc, p.joined_at, a.id`;
  const invitations = holds(right, "own")
    ? await db()<OpenInvitation[]>`
        select i.token, i.role, coalesce(i.email, a.display_name) as "to", i.ends_at
        from invitation i left join account a on a.id = i.account_id
        where i.timeline_id = ${timeline} and (i.ends_at is null or i.ends_at > now()) order by i.made_at, i.token`
    : [];
  return { people, invitations };
}

/** Somebody who was invited: the link in their letter, and to whom it goes; `email` null: the account is told on its first page. */
export interface Invited {
  token: string;
  email: string | null;
}

/**
 * Invites people by their addresses, or one person by their name in a class both are in. Whoever was invited already is invited anew,
 * to what is said last. Owner only. Gives what letters are to be sent.
 */
export async function invitePeople(
  timeline: string,
  owner: string,
  to: { emails: readonly string[] } | { name: string },
  role: InvitedAs,
): Promise<Failure | { invited: Invited[]; title: string; by: string }> {
  return db()
    .begin(async (tx) => {
      await requireRight(tx, timeline, owner, "own");
      await requireNoGroup(tx, timeline, role);
      const [about] = await tx<{ title: string; by: string }[]>`
        select t.title, a.display_name as by from timeline t, account a where t.id = ${timeline} and a.id = ${owner}`;
      const found =
        "name" in to
          ? [{ id: await classmateOf(tx, owner, to.name), email: null }]
          : await tx<{ id: string | null; email: string }[]>`
              select a.id, w.email from unnest(${[...to.emails]}::text[]) as w (email)
              left join account a on lower(a.email) = lower(w.email) and a.deleted_at is null`;
      const invited: Invited[] = [];
      for (const { id, email } of found) {
        if (id !== null && (await hasRight(tx, timeline, id, RIGHT_OF[role]))) continue;
        if (id !== null) await requireOfClass(tx, timeline, id);
        const token = nanoid(21);
        await tx`
          delete from invitation where timeline_id = ${timeline} and (account_id = ${id} or lower(email) = lower(${email}::text))`;
        await tx`
          insert into invitation (token, timeline_id, role, email, account_id, invited_by)
          values (${token}, ${timeline}, ${role}, ${email}, ${id}, ${owner})`;
        if (id !== null) await tx`delete from removed_editor where timeline_id = ${timeline} and account_id = ${id}`;
        invited.push({ token, email });
      }
      return { invited, ...about! };
    })
    .catch(refusal);
}

/** The one person of that name in the classes somebody is in; refuses where there is none, or more than one. */
async function classmateOf(tx: Tx, account: string, name: string): Promise<string> {
  const found = await classmatesCalled(tx, account, name);
  if (found.length !== 1) throw new Refused(fail(found.length === 0 ? "nobody_of_that_name" : "several_of_that_name"));
  return found[0]!;
}

/** Refuses to let anybody write in the work of a group who is not of it. */
async function requireNoGroup(sql: Sql, timeline: string, role: Person["role"]): Promise<void> {
  if (role === "adder" && (await classOf(sql, timeline))) throw new Refused(fail("group_writes"));
}

/** Refuses who is not of the class a timeline is made for: before it is published nobody else sees it. */
async function requireOfClass(sql: Sql, timeline: string, account: string): Promise<void> {
  const klass = await classOf(sql, timeline);
  if (klass && !(await isOfClass(sql, klass.id, account))) throw new Refused(fail("not_of_class"));
}

/** What an invitation leads to; null when it was closed, renewed or taken up. */
export async function findInvitation(
  token: string,
): Promise<{ id: string; title: string; by: string; role: InvitedAs; over: boolean } | null> {
  const [row] = await db()<{ id: string; title: string; by: string; role: InvitedAs; over: boolean }[]>`
    select t.id, t.title, a.display_name as by, i.role, coalesce(i.ends_at <= now(), false) as over
    from invitation i join timeline t on t.id = i.timeline_id join account a on a.id = i.invited_by
    where i.token = ${token} and t.deleted_at is null`;
  return row ?? null;
}

/** To what a person is invited and has not come yet. */
export async function invitationsFor(
  account: string,
): Promise<{ token: string; title: string; by: string; role: InvitedAs }[]> {
  return db()<{ token: string; title: string; by: string; role: InvitedAs }[]>`
    select i.token, t.title, a.display_name as by, i.role from invitation i
    join timeline t on t.id = i.timeline_id join account a on a.id = i.invited_by join account o on o.id = i.account_id
    where i.account_id = ${account} and t.deleted_at is null
      -- What goes to an address is for whoever has it, not for whoever typed it.
      and (i.email is null or o.email_proven_at is not null) order by i.made_at desc, i.token`;
}

/**
 * Lets a person in by a link; nothing is lowered where they may do as much already. A letter's link is good once. A group's work on an
 * assignment is edited by classmates without a group of their own, read by those of the class, and open to nobody else.
 */
export async function join(token: string, account: string): Promise<Failure | { id: string }> {
  const invitation = await findInvitation(token);
  if (!invitation) return fail("invitation_ended");
  if (invitation.over) return fail("invitation_over");
  const { id, role } = invitation;
  const done = await db()
    .begin(async (tx): Promise<Failure | "new" | "known"> => {
      const [there] = await tx<{ isLetter: boolean }[]>`
        select email is not null or account_id is not null as is_letter from invitation where token = ${token} for update`;
      if (!there) return fail("invitation_ended");
      if (there.isLetter) await tx`delete from invitation where token = ${token}`;
      if (await hasRight(tx, id, account, RIGHT_OF[role])) return "known";
      const [removed] = await tx`select from removed_editor where timeline_id = ${id} and account_id = ${account}`;
      if (removed) return fail("removed_before");
      if (role === "editor") {
        if ((await joinGroup(tx, id, account)) === "not_theirs") return fail("not_a_classmate");
        await makeEditor(tx, id, account);
      } else {
        await requireOfClass(tx, id, account);
        await makeGuest(tx, id, account, role);
      }
      return "new";
    })
    .catch(refusal);
  if (isFailure(done)) return done;
  if (done === "new") await rightsChanged(account);
  return { id };
}

export async function makeEditor(tx: Tx, timeline: string, account: string): Promise<void> {
  await tx`delete from guest where timeline_id = ${timeline} and account_id = ${account}`;
  await tx`
    insert into editor (timeline_id, account_id, role) values (${timeline}, ${account}, 'editor') on conflict do nothing`;
}

async function makeGuest(tx: Tx, timeline: string, account: string, role: GuestRole): Promise<void> {
  await tx`
    insert into guest (timeline_id, account_id, role) values (${timeline}, ${account}, ${role})
    on conflict (timeline_id, account_id) do update set role = excluded.role`;
}

/**
 * Makes somebody who may see a timeline something else in it; "owner" passes it on to one of its editors, whose editor the owner is from
 * then on. Owner only. Whoever belongs to a group edits its work.
 */
export async function setRole(
  timeline: string,
  owner: string,
  account: string,
  role: Person["role"],
): Promise<Failure | { done: true }> {
  const done = await db()
    .begin(async (tx): Promise<{ done: true }> => {
      await tx`select from timeline where id = ${timeline} for update`;
      await requireRight(tx, timeline, owner, "own");
      if (account === owner) throw new Refused(fail("owner_stays"));
      await requireNoGroup(tx, timeline, role);
      const [editor] = await tx`select from editor where timeline_id = ${timeline} and account_id = ${account}`;
      const [guest] = await tx`select from guest where timeline_id = ${timeline} and account_id = ${account}`;
      if (!editor && !(guest && role !== "owner")) throw new Refused(fail("not_found"));
      if (role === "owner") {
        await tx`update editor set role = 'editor' where timeline_id = ${timeline} and account_id = ${owner}`;
        const heir = await tx`
          update editor set role = 'owner' where timeline_id = ${timeline} and account_id = ${account} returning account_id`;
        // Gone at this very moment: the owner stays.
        if (heir.length === 0) throw new Refused(fail("not_found"));
        await tx`update invitation set invited_by = ${account} where timeline_id = ${timeline}`;
      } else if (role === "editor") {
        if (!editor && (await joinGroup(tx, timeline, account)) === "not_theirs")
          throw new Refused(fail("not_a_classmate"));
        await makeEditor(tx, timeline, account);
      } else {
        if (editor && (await classOf(tx, timeline))) throw new Refused(fail("group_edits"));
        await tx`delete from editor where timeline_id = ${timeline} and account_id = ${account}`;
        await makeGuest(tx, timeline, account, role);
      }
      return { done: true };
    })
    .catch(refusal);
  if (isFailure(done)) return done;
  await rightsChanged(account);
  if (role === "owner") await rightsChanged(owner);
  return done;
}

/** The owner takes a right away, or somebody leaves. The owner stays until they have passed it on. */
export async function removeEditor(
  timeline: string,
  by: string,
  account: string,
): Promise<Failure | { removed: true }> {
  const done = await db().begin(async (tx): Promise<Failure | { removed: true }> => {
    // One after another with whoever passes it on or is passed it, so that it is never nobody's.
    await tx`select from timeline where id = ${timeline} for update`;
    // Whose right it is to take, their own or the owner's, is nobody else's business.
    const owns = await hasRight(tx, timeline, by, "own");
    if (account !== by && !owns) return fail("not_found");
    if (account === by && owns) return fail("owner_stays");
    const gone = await tx`
      with e as (
        delete from editor where timeline_id = ${timeline} and account_id = ${account} and role = 'editor' returning account_id),
      g as (delete from guest where timeline_id = ${timeline} and account_id = ${account} returning account_id)
      select from e union all select from g`;
    if (gone.length === 0) return fail("not_found");
    await leaveGroup(tx, timeline, account);
    // Who was taken out needs a new link; who left by themselves may come back by the one they have.
    if (account !== by)
      await tx`insert into removed_editor (timeline_id, account_id) values (${timeline}, ${account}) on conflict do nothing`;
    return { removed: true };
  });
  if (isFailure(done)) return done;
  await rightsChanged(account);
  return done;
}

/** A timeline somebody sees as a guest. */
export interface Visited {
  id: string;
  title: string;
  role: GuestRole;
  owner: string;
  alteredAt: Date;
  /** Comments of others they have not read. */
  unread: number;
}

/** What a person sees as a guest, the last altered first. */
export async function visitedCards(account: string): Promise<Visited[]> {
  return db()<Visited[]>`
    select t.id, t.title, g.role, a.display_name as owner, t.altered_at,
      case when g.role = 'reader' then 0 else (
        select count(*)::int from comment c where c.timeline_id = t.id and c.account_id <> ${account}
          and c.at > coalesce((select s.at from comment_seen s where s.timeline_id = t.id and s.account_id = ${account}), g.joined_at)) end as unread
    from guest g join timeline t on t.id = g.timeline_id
    join editor e on e.timeline_id = t.id and e.role = 'owner' join account a on a.id = e.account_id
    where g.account_id = ${account} and t.deleted_at is null order by t.altered_at desc, t.id`;
}

/** What somebody is in a timeline as a guest; null: they are none. */
export async function guestRoleOf(timeline: string, account: string): Promise<GuestRole | null> {
  const [row] = await db()<{ role: GuestRole }[]>`
    select g.role from guest g join timeline t on t.id = g.timeline_id
    where g.timeline_id = ${timeline} and g.account_id = ${account} and t.deleted_at is null`;
  return row?.role ?? null;
}
