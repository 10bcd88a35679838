import "server-only";
import { hash } from "@node-rs/argon2";
import { dictionary } from "@zxcvbn-ts/language-common";
import { type Failure, fail } from "../http/failure";

/** Argon2id with the parameters RFC 9106 recommends where memory is limited, halved in time for a busy classroom server. */
export const ARGON = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

const SHORTEST = 8;
const LONGEST = 200;
/** The most common first. */
const COMMON = new Set((dictionary["passwords-common"] as string[]).slice(0, 10_000));

/** Why a password cannot be taken; null when it can. `own` are texts that must not be the password: name, address, code. */
export function passwordProblem(password: string, own: readonly string[]): Failure | null {
  if (password.length < SHORTEST) return fail("password_short");
  if (password.length > LONGEST) return fail("password_long");
  const plain = password.trim().toLowerCase();
  if (plain.length < SHORTEST) return fail("password_short");
  // A common one with a number or a mark behind it is tried just as soon.
  if (COMMON.has(plain) || COMMON.has(plain.replace(/[\d!?.*#$-]{1,4}$/, ""))) return fail("password_common");
  if (new Set(plain).size < 4) return fail("password_common");
  const mine = own
    .flatMap((text) => [text.toLowerCase(), text.toLowerCase().split("@")[0]!])
    .filter((t) => t.length > 2);
  return mine.some((t) => plain === t || plain === `${t}${t}` || plain.replace(/\d{1,4}$/, "") === t)
    ? fail("password_same")
    : null;
}

export function hashPassword(password: string): Promise<string> {
  return hash(password, ARGON);
}
