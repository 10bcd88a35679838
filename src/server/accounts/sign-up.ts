import "server-only";
import { nanoid } from "nanoid";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { hashPassword, passwordProblem } from "./password";
import { type Opened, openSession, type User } from "./sessions";

export interface SignUp {
  displayName: string;
  email: string;
  password: string;
}

/** A display name with single spaces; null when it is none. */
export function readDisplayName(text: string): string | null {
  const name = text.trim().replace(/\s+/g, " ");
  return name.length < 1 || name.length > 60 ? null : name;
}

/** An e-mail address; null when it is none. */
export function readEmail(text: string): string | null {
  const email = text.trim();
  return email.length > 254 || !/^[^\s@]+@[^\s@]+\.[^\s@]+$/.test(email) ? null : email;
}

/** Makes an account and signs it in. */
export async function signUp(input: SignUp, browser = ""): Promise<Failure | ({ user: User } & Opened)> {
  const displayName = readDisplayName(input.displayName);
  const email = readEmail(input.email);
  if (!displayName) return fail("display_name_missing");
  if (!email) return fail("email_malformed");
  const problem = passwordProblem(input.password, [displayName, email]);
  if (problem) return problem;
  const passwordHash = await hashPassword(input.password);
  const id = nanoid();
  return db().begin(async (tx) => {
    const made = await tx`
      insert into account (id, display_name, email, password_hash)
      values (${id}, ${displayName}, ${email}, ${passwordHash})
      on conflict do nothing returning id`;
    if (made.length === 0) return fail("email_taken");
    return { user: { id, displayName }, ...(await openSession(tx, id, browser)) };
  });
}
