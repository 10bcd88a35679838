import "server-only";
import { createHash } from "node:crypto";
import { hash } from "@node-rs/argon2";
import { customAlphabet, nanoid } from "nanoid";
import { openSession, type User } from "../accounts/sessions";
import { ARGON } from "../accounts/sign-up";
import { db, type Sql } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { rightsChanged } from "../live/notify";
import { findClassRole } from "./class";

const digits = customAlphabet("23456789", 3);
const newOneTimeCode = customAlphabet("abcdefghjkmnpqrstuvwxyz23456789", 10);
const hashOf = (code: string) =>
  createHash("sha256")
    .update(code.toLowerCase().replaceAll(/[^a-z0-9]/g, ""))
    .digest();
const HOURS = 24;

async function classWithCode(code: string): Promise<string | null> {
  const plain = code.toUpperCase().replaceAll(/[^A-Z0-9]/g, "");
  const [row] = await db()<{ id: string }[]>`select id from class where upper(join_code) = ${plain}`;
  return row?.id ?? null;
}

/**
 * Joins a class with its code, a display name and a password, without e-mail. Display names may repeat: the sign-in name
 * is made here ("nia-482"), and shown once.
 */
export async function joinNew(input: {
  code: string;
  displayName: string;
  password: string;
}): Promise<Failure | { user: User; signInName: string; class: string; cookie: string }> {
  const displayName = input.displayName.trim().replace(/\s+/g, " ");
  if (displayName.length < 1 || displayName.length > 60) return fail("display_name_missing");
  if (input.password.length < 8) return fail("password_short");
  if (input.password.length > 200) return fail("password_long");
  const klass = await classWithCode(input.code);
  if (!klass) return fail("no_such_code");
  const passwordHash = await hash(input.password, ARGON);
  const stem =
    displayName
      .normalize("NFKD")
      .toLowerCase()
      .replaceAll(/[^a-z0-9]/g, "")
      .slice(0, 20) || "student";
  const id = nanoid();
  return db().begin(async (tx) => {
    for (let attempt = 0; ; attempt++) {
      const signInName = `${stem}-${digits()}${attempt > 5 ? digits() : ""}`;
      const made = await tx`
        insert into account (id, display_name, sign_in_name, password_hash) values (${id}, ${displayName}, ${signInName}, ${passwordHash})
        on conflict do nothing returning id`;
      if (made.length === 0) continue;
      await tx`insert into class_member (class_id, account_id) values (${klass}, ${id})`;
      await tellTeacher(klass, tx);
      return { user: { id, displayName }, signInName, class: klass, cookie: await openSession(tx, id) };
    }
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
  const [row] = await sql<{ teacherId: string }[]>`select teacher_id from class where id = ${klass}`;
  if (row) await rightsChanged(row.teacherId, sql);
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
    where m.class_id = ${klass} and m.account_id = ${student} and c.teacher_id = ${teacher} and a.email is null
    on conflict (account_id) do update set code_hash = excluded.code_hash, expires_at = excluded.expires_at
    returning account_id`;
  return done.length > 0 ? { code } : fail("not_found");
}

/** A new password for a one-time code; every other session of the account ends. */
export async function useOneTimeCode(input: {
  name: string;
  code: string;
  password: string;
}): Promise<Failure | { user: User; cookie: string }> {
  if (input.password.length < 8) return fail("password_short");
  if (input.password.length > 200) return fail("password_long");
  const passwordHash = await hash(input.password, ARGON);
  return db().begin(async (tx): Promise<Failure | { user: User; cookie: string }> => {
    const [row] = await tx<User[]>`
      delete from one_time_code o using account a
      where a.id = o.account_id and lower(a.sign_in_name) = ${input.name.trim().toLowerCase()}
        and o.code_hash = ${hashOf(input.code)} and o.expires_at > now()
      returning a.id, a.display_name`;
    if (!row) return fail("code_over");
    await tx`update account set password_hash = ${passwordHash} where id = ${row.id}`;
    await tx`delete from session where account_id = ${row.id}`;
    return { user: { id: row.id, displayName: row.displayName }, cookie: await openSession(tx, row.id) };
  });
}
