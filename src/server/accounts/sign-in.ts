import "server-only";
import { hash, verify } from "@node-rs/argon2";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { openSession, type User } from "./sessions";
import { ARGON } from "./sign-up";

/** So many wrong passwords are free; then the wait doubles from one second up to a minute. */
const FREE_TRIES = 5;
const LONGEST_WAIT = 60;
let noPassword: Promise<string> | null = null;

/** Signs in with e-mail address or sign-in name. Guessing is slowed by account and never by network address. */
export async function signIn(name: string, password: string): Promise<Failure | { user: User; cookie: string }> {
  const key = name.trim().toLowerCase().slice(0, 254);
  const [attempt] = await db()<{ failures: number; since: number }[]>`
    select failures, extract(epoch from now() - last_at)::float8 as since from sign_in_attempt where name = ${key}`;
  if (attempt) {
    const wait = attempt.failures < FREE_TRIES ? 0 : Math.min(LONGEST_WAIT, 2 ** (attempt.failures - FREE_TRIES));
    const left = Math.ceil(wait - attempt.since);
    if (left > 0) return fail("slow_down", `${left} ${left === 1 ? "second is" : "seconds are"} left.`);
  }
  const [row] = await db()<(User & { passwordHash: string })[]>`
    select id, display_name, password_hash from account
    where lower(email) = ${key} or lower(sign_in_name) = ${key}`;
  // The same work whether the account exists or not, so that the time taken does not tell.
  noPassword ??= hash("no such password", ARGON);
  const right = await verify(row?.passwordHash ?? (await noPassword), password.slice(0, 200)).catch(() => false);
  if (!row || !right) {
    await db()`
      insert into sign_in_attempt (name, failures, last_at) values (${key}, 1, now())
      on conflict (name) do update
      set failures = case when sign_in_attempt.last_at < now() - interval '1 hour' then 1 else sign_in_attempt.failures + 1 end, last_at = now()`;
    return fail("wrong_password");
  }
  await db()`delete from sign_in_attempt where name = ${key}`;
  return { user: { id: row.id, displayName: row.displayName }, cookie: await openSession(db(), row.id) };
}
