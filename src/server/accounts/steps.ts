// Two-step codes: six digits that a device makes of a shared secret and the time (RFC 6238), and spare ones to write down.
import "server-only";
import { DETAILS } from "@/core/words/notices";
import { createHash, randomInt } from "node:crypto";
import { generateSecret, generateURI, verify } from "otplib";
import { db, type Sql } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { provePassword } from "./own-password";
import { takeTry } from "./sign-in-tries";

const PERIOD = 30;
/** A clock may be so far off, s. */
const TOLERANCE = 30;
const SPARES = 8;
const SIGNS = "abcdefghjkmnpqrstuvwxyz23456789";

const hashOf = (code: string) =>
  createHash("sha256")
    .update(code.toLowerCase().replaceAll(/[^a-z0-9]/g, ""))
    .digest();
const newSpare = () =>
  Array.from({ length: 10 }, (_, i) => (i === 5 ? "-" : "") + SIGNS[randomInt(SIGNS.length)]).join("");

/** Whether an account is entered with a code too. */
export async function hasSteps(account: string, sql: Sql = db()): Promise<boolean> {
  const [row] = await sql<{ on: boolean }[]>`select step_secret is not null as on from account where id = ${account}`;
  return row?.on === true;
}

/** The step of time a code belongs to; null where it is no code of this secret now. */
async function stepOf(secret: string, code: string): Promise<number | null> {
  const token = code.replaceAll(/\s/g, "");
  if (!/^\d{6}$/.test(token)) return null;
  const result = await verify({ secret, token, period: PERIOD, epochTolerance: TOLERANCE });
  return result.valid ? Math.floor(Date.now() / 1000 / PERIOD) + result.delta : null;
}

/**
 * Takes the code of somebody who signs in: null when it is right. A code, and each spare one, is good once. Guessing is slowed as
 * with passwords.
 */
export async function takeStep(account: string, code: string | undefined): Promise<Failure | null> {
  const [row] = await db()<
    { secret: string | null }[]
  >`select step_secret as secret from account where id = ${account}`;
  if (!row?.secret) return null;
  if (!code?.trim()) return fail("step_code_needed");
  const counted = `step ${account}`;
  const wait = await takeTry(counted);
  if (wait > 0) return fail("slow_down", DETAILS.secondsLeft(wait));
  const step = await stepOf(row.secret, code);
  const taken =
    step === null
      ? await db()`delete from step_spare where account_id = ${account} and code_hash = ${hashOf(code)} returning 1`
      : await db()`update account set step_last = ${step} where id = ${account} and step_last < ${step} returning 1`;
  if (taken.length === 0) return fail(step === null ? "wrong_step_code" : "step_code_used");
  await db()`delete from sign_in_attempt where name = ${counted}`;
  return null;
}

/** Makes a secret that waits for its first code: as text to type, and as an address for a QR code. */
export async function beginSteps(
  account: string,
  password: string,
): Promise<Failure | { secret: string; address: string }> {
  const wrong = await provePassword(account, password);
  if (wrong) return wrong;
  const secret = generateSecret();
  const [row] = await db()<{ name: string }[]>`
    update account set step_wanted = ${secret} where id = ${account} and step_secret is null
    returning coalesce(email, sign_in_name, display_name) as name`;
  return row ? { secret, address: generateURI({ issuer: "Fastigo", label: row.name, secret }) } : fail("steps_on");
}

/** Turns codes on with the first of them; gives the spare ones, which are shown once. */
export async function confirmSteps(account: string, code: string): Promise<Failure | { spare: string[] }> {
  const wait = await takeTry(`step ${account}`);
  if (wait > 0) return fail("slow_down", DETAILS.secondsLeft(wait));
  const [row] = await db()<
    { wanted: string | null }[]
  >`select step_wanted as wanted from account where id = ${account}`;
  if (!row?.wanted) return fail("steps_not_begun");
  const step = await stepOf(row.wanted, code);
  if (step === null) return fail("wrong_step_code");
  const spare = Array.from({ length: SPARES }, newSpare);
  return db().begin(async (tx) => {
    const on = await tx`
      update account set step_secret = step_wanted, step_wanted = null, step_last = ${step}
      where id = ${account} and step_wanted = ${row.wanted} returning 1`;
    if (on.length === 0) return fail("steps_not_begun");
    await tx`delete from step_spare where account_id = ${account}`;
    for (const s of spare) await tx`insert into step_spare (account_id, code_hash) values (${account}, ${hashOf(s)})`;
    await tx`delete from sign_in_attempt where name = ${`step ${account}`}`;
    return { spare };
  });
}

/** Turns codes off. */
export async function endSteps(account: string, password: string): Promise<Failure | { ended: true }> {
  const wrong = await provePassword(account, password);
  if (wrong) return wrong;
  await db().begin((tx) => forgetSteps(tx, account));
  return { ended: true };
}

/** No code is asked of this account any more: its device is lost, or it goes. */
export async function forgetSteps(sql: Sql, account: string): Promise<void> {
  await sql`delete from step_spare where account_id = ${account}`;
  await sql`update account set step_secret = null, step_wanted = null where id = ${account}`;
}
