// Links sent by mail: they sign somebody in without a password, and prove that an address is theirs.
import "server-only";
import { createHash, randomBytes } from "node:crypto";
import { WORDS } from "@/core/words/letters";
import { db, type Sql } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { readAddresses, sendLetters } from "../mail/outgoing";
import { type Opened, openSession, type User } from "./sessions";
import { askedToSignOn } from "./signed-on";
import { takeStep } from "./steps";

const MINUTES = { sign_in: 15, address: 3 * 24 * 60 } as const;
/** So many links of an account are good at once; older ones end. */
const MOST_KEYS = 5;

type Purpose = keyof typeof MINUTES;
/** Where a link leads; the key is its last part. */
type AddressOf = (key: string) => string;

const hashOf = (key: string) => createHash("sha256").update(key).digest();

async function makeKey(sql: Sql, account: string, purpose: Purpose, email: string): Promise<string> {
  const key = randomBytes(24).toString("base64url");
  await sql`
    insert into mail_key (token_hash, account_id, purpose, email, expires_at)
    values (${hashOf(key)}, ${account}, ${purpose}, ${email}, now() + ${`${MINUTES[purpose]} minutes`}::interval)`;
  await sql`
    delete from mail_key where account_id = ${account} and purpose = ${purpose} and token_hash not in (
      select token_hash from mail_key where account_id = ${account} and purpose = ${purpose} order by expires_at desc limit ${MOST_KEYS})`;
  return key;
}

/** Sends a link that signs in to the one address typed, where an account has it; the answer does not tell whether one has. */
export async function sendSignInLink(typed: string, addressOf: AddressOf): Promise<Failure | { sent: true }> {
  const [email, ...more] = readAddresses(typed) ?? [];
  if (!email) return fail("email_malformed");
  if (more.length > 0) return fail("one_address");
  const [own] = await db()<{ id: string; email: string; displayName: string }[]>`
    select id, email, display_name from account where lower(email) = ${email.toLowerCase()} and deleted_at is null`;
  if (!own || (await askedToSignOn(own.id))) return { sent: true };
  const link = addressOf(await makeKey(db(), own.id, "sign_in", own.email));
  await sendLetters([{ account: own.id, to: own.email, house: "key", ...WORDS.signInLink(own.displayName, link) }]);
  return { sent: true };
}

interface KeyRow {
  id: string;
  displayName: string;
  hasSteps: boolean;
}

/** A key that is good still: of which account, while that has the address it was sent to. */
async function findKey(key: string, purpose: Purpose, sql: Sql = db()): Promise<KeyRow | null> {
  const [row] = await sql<KeyRow[]>`
    select a.id, a.display_name, a.step_secret is not null as has_steps from mail_key k join account a on a.id = k.account_id
    where k.token_hash = ${hashOf(key)} and k.purpose = ${purpose} and k.expires_at > now() and a.deleted_at is null
      and lower(a.email) = lower(k.email)`;
  return row ?? null;
}

/** Whom a link signs in, and whether a code is asked too; null when it is not good any more. */
export async function signInLinkOf(key: string): Promise<{ displayName: string; hasSteps: boolean } | null> {
  const found = await findKey(key, "sign_in");
  return found && { displayName: found.displayName, hasSteps: found.hasSteps };
}

/** Signs in by a link, once; the address is proven by it. */
export async function signInByLink(
  key: string,
  code: string | undefined,
  browser: string,
): Promise<Failure | ({ user: User } & Opened)> {
  const found = await findKey(key, "sign_in");
  if (!found) return fail("link_over");
  const elsewhere = await askedToSignOn(found.id);
  if (elsewhere) return elsewhere;
  const step = await takeStep(found.id, code);
  if (step) return step;
  return db().begin(async (tx): Promise<Failure | ({ user: User } & Opened)> => {
    if (!(await spendKey(tx, key))) return fail("link_over");
    return { user: { id: found.id, displayName: found.displayName }, ...(await openSession(tx, found.id, browser)) };
  });
}

async function spendKey(tx: Sql, key: string): Promise<boolean> {
  const used = await tx`
    with used as (delete from mail_key where token_hash = ${hashOf(key)} returning account_id, email)
    update account a set email_proven_at = coalesce(a.email_proven_at, now()) from used
    where a.id = used.account_id and lower(a.email) = lower(used.email) returning a.id`;
  return used.length > 0;
}

/** Sends a letter to one's own address that asks whether it is right. */
export async function sendAddressLetter(account: string, addressOf: AddressOf): Promise<Failure | { sent: true }> {
  const [own] = await db()<{ email: string | null; displayName: string; proven: boolean }[]>`
    select email, display_name, email_proven_at is not null as proven from account where id = ${account}`;
  if (!own?.email) return fail("no_own_address");
  if (own.proven) return fail("address_proven");
  const link = addressOf(await makeKey(db(), account, "address", own.email));
  await sendLetters([{ account, to: own.email, house: "key", ...WORDS.addressLink(own.displayName, link) }]);
  return { sent: true };
}

/** Proves one's own address by the link in that letter. */
export async function proveAddress(account: string, key: string): Promise<Failure | { proven: true }> {
  const found = await findKey(key, "address");
  if (!found || found.id !== account) return fail("link_over");
  return (await spendKey(db(), key)) ? { proven: true } : fail("link_over");
}
