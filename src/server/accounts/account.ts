import "server-only";
import { canonicalJson } from "@/core/text/canonical-json";
import { toFrozen } from "@/core/formats/frozen";
import type { LedgerColumns } from "@/core/ledger/columns";
import { CLOSED } from "../classes/one-time-code";
import { blankName, classesIn, forgetInClasses, handedInBy, leaveAllClasses, taughtAlone } from "../classes/reach";
import { leaveAllSchools } from "../classes/school";
import { forgetResults, resultsOf } from "../classes/practice";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { forgetLooks, looksFor } from "../looks/saved-looks";
import { rightsChanged } from "../live/notify";
import { purgeTimeline } from "../timelines/purge";
import { findTimeline } from "../timelines/queries";
import { provePassword } from "./own-password";
import { hashPassword, passwordProblem } from "./password";
import { WORDS as LETTERS } from "@/core/words/letters";
import { sendLetters } from "../mail/outgoing";
import { forgetNotices } from "./notices";
import { forgetSteps } from "./steps";
import { endAllSessions, type Opened, openSession } from "./sessions";
import { readDisplayName, readEmail } from "./sign-up";

export interface OwnAccount {
  displayName: string;
  email: string | null;
  /** Whether somebody opened a link that was sent there. */
  emailProven: boolean;
  hasPassword: boolean;
  /** Whether a code is asked when they sign in. */
  hasSteps: boolean;
  signInName: string | null;
  createdAt: Date;
}

export async function findAccount(id: string): Promise<OwnAccount | null> {
  const [row] = await db()<OwnAccount[]>`
    select display_name, email, email_proven_at is not null as email_proven, step_secret is not null as has_steps,
      password_hash <> ${CLOSED} as has_password, sign_in_name, created_at
    from account where id = ${id} and deleted_at is null`;
  return row ?? null;
}

/** How a person likes the ledger; null: as usual. */
export async function ledgerColumnsOf(id: string): Promise<LedgerColumns | null> {
  const [row] = await db()<{ ledgerColumns: LedgerColumns | null }[]>`
    select ledger_columns from account where id = ${id}`;
  return row?.ledgerColumns ?? null;
}

export async function setLedgerColumns(id: string, columns: LedgerColumns): Promise<void> {
  await db()`update account set ledger_columns = ${db().json(columns as never)} where id = ${id}`;
}

/**
 * Sets another password; every session of the account ends, and a new one begins for whoever has done it. `fresh`: the session was opened
 * a moment ago, which stands for a password where there is none yet.
 */
export async function changePassword(
  id: string,
  input: { password: string; next: string },
  browser: string,
  fresh = false,
): Promise<Failure | Opened> {
  const own = await findAccount(id);
  if (!own) return fail("not_found");
  const problem = passwordProblem(input.next, [own.displayName, own.email ?? "", own.signInName ?? ""]);
  if (problem) return problem;
  const wrong = await provePassword(id, input.password);
  if (wrong && !(wrong.failed === "no_password_yet" && fresh))
    return wrong.failed === "no_password_yet" ? fail("sign_on_again") : wrong;
  const passwordHash = await hashPassword(input.next);
  return db().begin(async (tx) => {
    await tx`update account set password_hash = ${passwordHash} where id = ${id}`;
    await tx`delete from one_time_code where account_id = ${id}`;
    await tx`delete from mail_key where account_id = ${id}`;
    await endAllSessions(id, tx);
    return openSession(tx, id, browser);
  });
}

/** Sets display name, and e-mail address where the password is given with it. */
export async function changeAccount(
  id: string,
  input: { displayName?: string; email?: string; password?: string },
): Promise<Failure | { changed: true }> {
  if (input.displayName !== undefined) {
    const name = readDisplayName(input.displayName);
    if (!name) return fail("display_name_missing");
    await db()`update account set display_name = ${name} where id = ${id}`;
  }
  if (input.email !== undefined) {
    const email = readEmail(input.email);
    if (!email) return fail("email_malformed");
    const wrong = await provePassword(id, input.password ?? "");
    if (wrong) return wrong;
    const before = await findAccount(id);
    const done = await db()`
      update account set email = ${email},
        email_proven_at = case when lower(email) = lower(${email}) then email_proven_at end
      where id = ${id} and not exists (select from account o where lower(o.email) = lower(${email}) and o.id <> ${id})
      returning id`;
    if (done.length === 0) return fail("email_taken");
    // Whoever holds the old address hears of it: it may not have been them.
    if (before?.email && before.email.toLowerCase() !== email.toLowerCase())
      await sendLetters([
        { account: id, to: before.email, house: "plain", ...LETTERS.addressChanged(before.displayName, email) },
      ]);
  }
  return { changed: true };
}

export interface OwnFrozenCopy {
  timeline: string;
  address: string;
  title: string;
  createdAt: Date;
  /** Whether the timeline is deleted: the copy stands on its own until it is closed or the bin is emptied. */
  deleted: boolean;
}

/** The frozen copies of the timelines a person owns whose links are open, of deleted timelines too. */
export async function openCopiesOf(account: string): Promise<OwnFrozenCopy[]> {
  return db()<OwnFrozenCopy[]>`
    select f.timeline_id as timeline, f.address, t.title, f.created_at, t.deleted_at is not null as deleted
    from frozen_copy f join timeline t on t.id = f.timeline_id join editor e on e.timeline_id = t.id
    where e.account_id = ${account} and e.role = 'owner' and f.closed_at is null order by f.created_at desc`;
}

/** Everything of a person, as one JSON text: account, classes, timelines in the open format, submissions with their marks. */
export async function exportOf(id: string): Promise<string | null> {
  const head = await accountPart(id);
  if (head === null) return null;
  const timelines: string[] = [];
  for (const { id: timeline, role } of await timelinesIn(id)) {
    const found = await findTimeline(timeline);
    if (found)
      timelines.push(
        `{"id":${JSON.stringify(timeline)},"role":"${role}","timeline":${canonicalJson(toFrozen(found.timeline, true))}}`,
      );
  }
  return `${head.slice(0, -1)},"timelines":[${timelines.join(",")}]}`;
}

/** The timelines a person may edit, in the order they came to them. */
export async function timelinesIn(id: string): Promise<{ id: string; role: string }[]> {
  return db()<{ id: string; role: string }[]>`
    select e.timeline_id as id, e.role from editor e join timeline t on t.id = e.timeline_id
    where e.account_id = ${id} and t.deleted_at is null order by e.joined_at, e.timeline_id`;
}

/** Everything of a person but their timelines, as JSON; null where there is no such account. */
export async function accountPart(id: string): Promise<string | null> {
  const own = await findAccount(id);
  if (!own) return null;
  const classes = await classesIn(db(), id);
  const submissions = await handedInBy(db(), id);
  const files = await db()`
    select m.id, m.timeline_id, m.kind, m.name, m.created_at from media m where m.created_by = ${id} order by m.created_at`;
  return JSON.stringify({
    fastigo: "everything of mine",
    format: 1,
    account: own,
    classes,
    // Right dates of work that was not returned stay with the teacher.
    submissions: submissions.map(({ content, ...s }) => ({
      ...s,
      content: s.returnedAt ? JSON.parse(content) : undefined,
    })),
    files,
    comments: await db()`
      select c.timeline_id as timeline, c.event_id as event, c.field, c.words, c.text, c.at from comment c where c.account_id = ${id} order by c.at`,
    practice: await resultsOf(id),
    looks: (await looksFor(id)).filter((l) => l.mine).map(({ name, look, className }) => ({ name, className, look })),
  });
}

/** So long somebody who wants to leave can change their mind. */
export const LEAVING_DAYS = 7;

/** What goes with an account and what stays, and when; `deleteAt` null: nobody has asked for it. */
export interface Leaving {
  deleteAt: Date | null;
  /** Titles of timelines that nobody else edits: destroyed. */
  goes: string[];
  /** Timelines others edit too, and to whom each passes. */
  passes: { title: string; to: string }[];
  /** What was handed in: stays, without the name, for as long as its class keeps it. */
  submissions: number;
  /** Classes that nobody else teaches: closed. */
  closes: string[];
}

export async function leavingOf(id: string): Promise<Leaving> {
  const [own] = await db()<{ deleteAt: Date | null }[]>`select delete_at from account where id = ${id}`;
  const mine = await db()<{ title: string; heir: string | null }[]>`
    select t.title, (select a.display_name from editor o join account a on a.id = o.account_id
        where o.timeline_id = e.timeline_id and o.account_id <> ${id} order by o.joined_at, o.account_id limit 1) as heir
    from editor e join timeline t on t.id = e.timeline_id where e.account_id = ${id} and e.role = 'owner' order by t.altered_at desc`;
  return {
    deleteAt: own?.deleteAt ?? null,
    goes: mine.flatMap((t) => (t.heir ? [] : [t.title])),
    passes: mine.flatMap((t) => (t.heir ? [{ title: t.title, to: t.heir }] : [])),
    submissions: (await handedInBy(db(), id)).length,
    closes: await taughtAlone(db(), id),
  };
}

/** Has an account deleted in a week, by its password. */
export async function askToLeave(id: string, password: string): Promise<Failure | { deleteAt: string }> {
  const wrong = await provePassword(id, password);
  if (wrong) return wrong;
  const [row] = await db()<{ deleteAt: Date }[]>`
    update account set delete_at = coalesce(delete_at, now() + ${`${LEAVING_DAYS} days`}::interval) where id = ${id} returning delete_at`;
  return row ? { deleteAt: row.deleteAt.toISOString() } : fail("not_found");
}

/** Changes one's mind: the account stays as it is. */
export async function stay(id: string): Promise<void> {
  await db()`update account set delete_at = null where id = ${id}`;
}

/** Accounts whose week is over. */
export async function leaversDue(now: Date, most: number): Promise<string[]> {
  const rows = await db()<{ id: string }[]>`
    select id from account where delete_at <= ${now} and deleted_at is null order by delete_at limit ${most}`;
  return rows.map((r) => r.id);
}

/**
 * Deletes an account for good. Timelines that nobody else edits are destroyed; others pass to whoever has edited with them the
 * longest. What was handed in stays for as long as its class keeps it, without the name. Classes they teach are closed.
 */
export async function deleteAccount(id: string): Promise<void> {
  await db().begin(async (tx) => {
    const [own] = await tx<{ displayName: string }[]>`select display_name from account where id = ${id} for update`;
    const mine = await tx<{ id: string; heir: string | null }[]>`
      select e.timeline_id as id,
        (select o.account_id from editor o where o.timeline_id = e.timeline_id and o.account_id <> ${id} order by o.joined_at, o.account_id limit 1) as heir
      from editor e where e.account_id = ${id} and e.role = 'owner'`;
    await blankName(tx, id, own!.displayName);
    for (const t of mine) {
      if (t.heir) {
        await tx`update editor set role = 'owner' where timeline_id = ${t.id} and account_id = ${t.heir}`;
        await rightsChanged(t.heir, tx);
      } else await purgeTimeline(tx, t.id);
    }
    await tx`delete from editor where account_id = ${id}`;
    await leaveAllClasses(tx, id);
    await leaveAllSchools(tx, id);
    await tx`delete from removed_editor where account_id = ${id}`;
    await tx`update event set author_id = null where author_id = ${id}`;
    await tx`delete from suggestion where account_id = ${id}`;
    await tx`update said_report set account_id = null where account_id = ${id}`;
    await tx`delete from guest where account_id = ${id}`;
    await tx`delete from invitation where account_id = ${id} or invited_by = ${id}`;
    await tx`delete from comment_seen where account_id = ${id}`;
    await forgetNotices(tx, id);
    await forgetLooks(tx, id);
    await forgetResults(tx, id);
    await forgetInClasses(tx, id);
    await tx`delete from one_time_code where account_id = ${id}`;
    await tx`delete from mail_key where account_id = ${id}`;
    await tx`delete from sign_on_account where account_id = ${id}`;
    await tx`delete from sign_on_claim where account_id = ${id}`;
    await forgetSteps(tx, id);
    await tx`delete from mail where account_id = ${id}`;
    await tx`delete from made_file where account_id = ${id}`;
    await tx`update job set asked_by = null where asked_by = ${id}`;
    await endAllSessions(id, tx);
    // The row stays without a name: what others keep refers to it.
    await tx`
      update account set display_name = 'Deleted account', email = null, sign_in_name = null, password_hash = '',
        made_in_class = null, operator = false, delete_at = null, ledger_columns = null, deleted_at = now() where id = ${id}`;
  });
}
