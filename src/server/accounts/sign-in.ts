import "server-only";
import { DETAILS } from "@/core/words/notices";
import { verify } from "@node-rs/argon2";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { hashPassword } from "./password";
import { type Opened, openSession, type User } from "./sessions";
import { takeTry } from "./sign-in-tries";
import { askedToSignOn } from "./signed-on";
import { takeStep } from "./steps";

let noPassword: Promise<string> | null = null;

/**
 * Signs in with e-mail address or sign-in name. Guessing is slowed by account: a try is counted before the password is looked
 * at, so that a thousand at once are no more than one after the other. From a browser that was signed in to this
 * account before (`known`), tries are counted apart: whoever guesses elsewhere does not keep the owner out.
 */
export async function signIn(
  name: string,
  password: string,
  { known = null, browser = "", code }: { known?: string | null; browser?: string; code?: string | undefined } = {},
): Promise<Failure | ({ user: User } & Opened)> {
  const key = name.trim().toLowerCase().slice(0, 254);
  const [row] = await db()<(User & { passwordHash: string })[]>`
    select id, display_name, password_hash from account
    where (lower(email) = ${key} or lower(sign_in_name) = ${key}) and deleted_at is null`;
  const counted = row && known === row.id ? `known ${row.id}` : key;
  const wait = await takeTry(counted);
  if (wait > 0) return fail("slow_down", DETAILS.secondsLeft(wait));
  // The same work whether the account exists or not, so that the time taken does not tell.
  noPassword ??= hashPassword("no such password");
  const right = await verify(row?.passwordHash ?? (await noPassword), password.slice(0, 200)).catch(() => false);
  if (!row || !right) return fail("wrong_password");
  await db()`delete from sign_in_attempt where name = ${counted}`;
  const elsewhere = await askedToSignOn(row.id);
  if (elsewhere) return elsewhere;
  const step = await takeStep(row.id, code);
  if (step) return step;
  return { user: { id: row.id, displayName: row.displayName }, ...(await openSession(db(), row.id, browser)) };
}
