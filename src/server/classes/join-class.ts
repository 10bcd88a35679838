import "server-only";
import { WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import { nanoid } from "nanoid";
import { hashPassword, passwordProblem } from "../accounts/password";
import { endAllSessions, type Opened, openSession, type User } from "../accounts/sessions";
import { askedToSignOn } from "../accounts/signed-on";
import { forgetSteps } from "../accounts/steps";
import { readDisplayName } from "../accounts/sign-up";
import { db, type Sql } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { rightsChanged } from "../live/notify";
import { findClassRole } from "./class";
import { hashOf, newOneTimeCode, newSignInName } from "./one-time-code";

const HOURS = 24;

async function classWithCode(code: string): Promise<string | null> {
  const plain = code.toUpperCase().replaceAll(/[^A-Z0-9]/g, "");
  const [row] = await db()<
    { id: string }[]
  >`select id from class where upper(join_code) = ${plain} and closed_at is null and archived_at is null`;
  return row?.id ?? null;
}

/**
 * Joins a class with its code, a display name and a password, without e-mail. Display names may repeat: the sign-in name
 * is made here ("nia-482"), and shown once.
 */
export async function joinNew(
  input: {
    code: string;
    displayName: string;
    password: string;
  },
  browser = "",
): Promise<Failure | ({ user: User; signInName: string; class: string } & Opened)> {
  const displayName = readDisplayName(input.displayName);
  if (!displayName) return fail("display_name_missing");
  const problem = passwordProblem(input.password, [displayName, input.code]);
  if (problem) return problem;
  const klass = await classWithCode(input.code);
  if (!klass) return fail("no_such_code");
  const passwordHash = await hashPassword(input.password);
  const id = nanoid();
  return db().begin(async (tx) => {
    const signInName = await newSignInName(displayName, async (name) => {
      const made = await tx`
        insert into account (id, display_name, sign_in_name, password_hash, made_in_class)
        values (${id}, ${displayName}, ${name}, ${passwordHash}, ${klass})
        on conflict do nothing returning id`;
      return made.length > 0;
    });
    await tx`insert into class_member (class_id, account_id) values (${klass}, ${id})`;
    await tellTeacher(klass, tx);
    return { user: { id, displayName }, signInName, class: klass, ...(await openSession(tx, id, browser)) };
  });
}

/** Joins a class with the account one is signed in with. */
export async function joinAsMe(account: string, code: string): Promise<Failure | { class: string }> {
  const klass = await classWithCode(code);
  if (!klass) return fail("no_such_code");
  if ((await findClassRole(db(), klass, account)) === null)
    await db()`insert into class_member (class_id, account_id) values (${klass}, ${account}) on conflict do nothing`;
  await tellTeacher(klass, db());
  return { class: klass };
}

async function tellTeacher(klass: string, sql: Sql): Promise<void> {
  for (const t of await sql<{ id: string }[]>`select account_id as id from class_teacher where class_id = ${klass}`)
    await rightsChanged(t.id, sql);
}

/** A code for a student who has lost the password; it works once, for a day. Their teacher only. */
export async function issueOneTimeCode(
  klass: string,
  teacher: string,
  student: string,
): Promise<Failure | { code: string }> {
  const code = newOneTimeCode();
  const done = await db()`
    insert into one_time_code (account_id, code_hash, expires_at)
    select m.account_id, ${hashOf(code)}, now() + ${`${HOURS} hours`}::interval
    from class_member m join class c on c.id = m.class_id join account a on a.id = m.account_id
    where m.class_id = ${klass} and m.account_id = ${student} and teaches(c.id, ${teacher}) and a.email is null
      and a.made_in_class = c.id
    on conflict (account_id) do update set code_hash = excluded.code_hash, expires_at = excluded.expires_at
    returning account_id`;
  if (done.length === 0) return fail("not_found");
  const [t] = await db()<
    { displayName: string; name: string }[]
  >`select a.display_name, c.name from account a, class c where a.id = ${teacher} and c.id = ${klass}`;
  await tellPeople(db(), "account", [student], () => NOTICES.codeMade(t!.displayName, t!.name));
  return { code };
}

/** A new password for a one-time code; every other session of the account ends. */
export async function useOneTimeCode(
  input: {
    name: string;
    code: string;
    password: string;
  },
  browser = "",
): Promise<Failure | ({ user: User } & Opened)> {
  const problem = passwordProblem(input.password, [input.name, input.code]);
  if (problem) return problem;
  const passwordHash = await hashPassword(input.password);
  return db().begin(async (tx): Promise<Failure | ({ user: User } & Opened)> => {
    const [row] = await tx<User[]>`
      delete from one_time_code o using account a
      where a.id = o.account_id and lower(a.sign_in_name) = ${input.name.trim().toLowerCase()}
        and o.code_hash = ${hashOf(input.code)} and o.expires_at > now()
      returning a.id, a.display_name`;
    if (!row) return fail("code_over");
    const elsewhere = await askedToSignOn(row.id);
    if (elsewhere) return elsewhere;
    await tx`update account set password_hash = ${passwordHash} where id = ${row.id}`;
    await endAllSessions(row.id, tx);
    // Whoever lost a password may have lost the device that makes the codes.
    await forgetSteps(tx, row.id);
    await tellPeople(tx, "account", [row.id], () => NOTICES.codeUsed);
    return { user: { id: row.id, displayName: row.displayName }, ...(await openSession(tx, row.id, browser)) };
  });
}
