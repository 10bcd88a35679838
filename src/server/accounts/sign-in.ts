import "server-only";
import { verify } from "@node-rs/argon2";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { hashPassword } from "./password";
import { type Opened, openSession, type User } from "./sessions";

/** So many wrong passwords are free; then the wait doubles from one second up to a minute. */
const FREE_TRIES = 5;
const LONGEST_WAIT = 60;
let noPassword: Promise<string> | null = null;

/**
 * Signs in with e-mail address or sign-in name. Guessing is slowed by account: a try is counted before the password is looked
 * at, so that a thousand at once are no more than one after the other. From a browser that was signed in to this
 * account before (`known`), tries are counted apart: whoever guesses elsewhere does not keep the owner out.
 */
export async function signIn(
  name: string,
  password: string,
  { known = null, browser = "" }: { known?: string | null; browser?: string } = {},
): Promise<Failure | ({ user: User } & Opened)> {
  const key = name.trim().toLowerCase().slice(0, 254);
  const [row] = await db()<(User & { passwordHash: string })[]>`
    select id, display_name, password_hash from account
    where (lower(email) = ${key} or lower(sign_in_name) = ${key}) and deleted_at is null`;
  const counted = row && known === row.id ? `known ${row.id}` : key;
  const wait = await takeTry(counted);
  if (wait > 0) return fail("slow_down", `${wait} ${wait === 1 ? "second is" : "seconds are"} left.`);
  // The same work whether the account exists or not, so that the time taken does not tell.
  noPassword ??= hashPassword("no such password");
  const right = await verify(row?.passwordHash ?? (await noPassword), password.slice(0, 200)).catch(() => false);
  if (!row || !right) return fail("wrong_password");
  await db()`delete from sign_in_attempt where name = ${counted}`;
  return { user: { id: row.id, displayName: row.displayName }, ...(await openSession(db(), row.id, browser)) };
}

/** Counts a try; gives how many seconds are left before there may be one, 0 when this one may go on. */
export async function takeTry(name: string): Promise<number> {
  const wait = db()`
    case when sign_in_attempt.failures < ${FREE_TRIES} then 0
      else least(${LONGEST_WAIT}, power(2, least(sign_in_attempt.failures - ${FREE_TRIES}, 10))) end`;
  const taken = await db()`
    insert into sign_in_attempt (name, failures, last_at) values (${name}, 1, now())
    on conflict (name) do update
    set failures = case when sign_in_attempt.last_at < now() - interval '1 hour' then 1 else sign_in_attempt.failures + 1 end,
      last_at = now()
    where extract(epoch from now() - sign_in_attempt.last_at) >= ${wait}
    returning name`;
  if (taken.length > 0) return 0;
  const [row] = await db()<{ left: number }[]>`
    select ceil(${wait} - extract(epoch from now() - last_at))::int as left from sign_in_attempt where name = ${name}`;
  return Math.max(1, row?.left ?? 1);
}
