import "server-only";
import { DETAILS } from "@/core/words/notices";
import { verify } from "@node-rs/argon2";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { CLOSED } from "../classes/one-time-code";
import { takeTry } from "./sign-in-tries";

/** Whether this is a person's own password; guessing by somebody at an open browser is slowed as at the door. */
export async function provePassword(id: string, password: string): Promise<Failure | null> {
  const counted = `own ${id}`;
  const wait = await takeTry(counted);
  if (wait > 0) return fail("slow_down", DETAILS.secondsLeft(wait));
  const [row] = await db()<{ passwordHash: string }[]>`select password_hash from account where id = ${id}`;
  if (row?.passwordHash === CLOSED) return fail("no_password_yet");
  if (!row || !(await verify(row.passwordHash, password.slice(0, 200)).catch(() => false)))
    return fail("wrong_own_password");
  await db()`delete from sign_in_attempt where name = ${counted}`;
  return null;
}
