import "server-only";
import { hash } from "@node-rs/argon2";
import { nanoid } from "nanoid";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { openSession, type User } from "./sessions";

/** Argon2id with the parameters RFC 9106 recommends where memory is limited, halved in time for a busy classroom server. */
export const ARGON = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export interface SignUp {
  displayName: string;
  email: string;
  password: string;
}

/** Makes an account and signs it in. */
export async function signUp(input: SignUp): Promise<Failure | { user: User; cookie: string }> {
  const displayName = input.displayName.trim().replace(/\s+/g, " ");
  const email = input.email.trim();
  if (displayName.length < 1 || displayName.length > 60) return fail("display_name_missing");
  if (email.length > 254 || !/^[^\s@]+@[^\s@]+\.[^\s@]+$/.test(email)) return fail("email_malformed");
  if (input.password.length < 8) return fail("password_short");
  if (input.password.length > 200) return fail("password_long");
  const passwordHash = await hash(input.password, ARGON);
  const id = nanoid();
  return db().begin(async (tx) => {
    const made = await tx`
      insert into account (id, display_name, email, password_hash)
      values (${id}, ${displayName}, ${email}, ${passwordHash})
      on conflict do nothing returning id`;
    if (made.length === 0) return fail("email_taken");
    return { user: { id, displayName }, cookie: await openSession(tx, id) };
  });
}
