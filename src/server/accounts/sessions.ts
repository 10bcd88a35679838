import "server-only";
import { WORDS as COMMON } from "@/core/words/common";
import { createHash, randomBytes } from "node:crypto";
import { LANGUAGE_COOKIE } from "@/core/language/asked-language";
import { type Language, language } from "@/core/language/spoken";
import { db, type Sql } from "../db/pool";
import { publicUrl } from "../http/origin";
import { signedOut } from "../live/notify";

export interface User {
  id: string;
  displayName: string;
}

const COOKIE = "fastigo_session";
const DAYS = 60;
/** Says that a browser was signed in before; gives no right but to try a password. */
const KNOWN_COOKIE = "fastigo_known";
const KNOWN_DAYS = 400;
const MOST_KNOWN = 20;

const hashOf = (token: string) => createHash("sha256").update(token).digest();
const newToken = () => randomBytes(32).toString("base64url");

/** The cookies that carry an open session. */
export interface Opened {
  cookies: string[];
}

/** How a session was opened through a school's own accounts: by whom, as whom, in which session there, and the token that ends it. */
export interface SignedOn {
  provider: string;
  subject: string;
  sid: string;
  idToken: string;
}

/** Opens a session. `browser` is what its person recognises it by in their list; `by`: whoever said who they are. */
export async function openSession(
  sql: Sql,
  accountId: string,
  browser = "",
  by: SignedOn | null = null,
): Promise<Opened> {
  const token = newToken();
  const known = newToken();
  await sql`
    insert into session (token_hash, account_id, expires_at, browser, sign_on)
    values (${hashOf(token)}, ${accountId}, now() + ${`${DAYS} days`}::interval, ${browser.slice(0, 80)}, ${by ? sql.json(by as never) : null})`;
  await sql`insert into known_browser (token_hash, account_id) values (${hashOf(known)}, ${accountId})`;
  await sql`
    delete from known_browser where account_id = ${accountId} and token_hash not in
      (select token_hash from known_browser where account_id = ${accountId} order by at desc limit ${MOST_KNOWN})`;
  const [person] = await sql<{ language: Language }[]>`
    update account set language = coalesce(language, ${language()}) where id = ${accountId} returning language`;
  return {
    cookies: [
      cookie(COOKIE, token, DAYS * 86_400),
      cookie(KNOWN_COOKIE, known, KNOWN_DAYS * 86_400),
      ...(person ? [languageCookie(person.language)] : []),
    ],
  };
}

/** Has a browser be spoken to in a language from now on. */
export const languageCookie = (of: Language): string => cookie(LANGUAGE_COOKIE, of, KNOWN_DAYS * 86_400);

/** The answer to a request that has opened a session. */
export function withCookies(value: object, { cookies }: Opened): Response {
  const response = Response.json(value, { headers: { "Cache-Control": "no-store" } });
  for (const c of cookies) response.headers.append("Set-Cookie", c);
  return response;
}

/** Which sessions, by their keys, are open still. */
export async function openOnes(keys: readonly string[]): Promise<Set<string>> {
  if (keys.length === 0) return new Set();
  const sql = db();
  const rows = await sql<{ key: string }[]>`
    select encode(token_hash, 'hex') as key from session
    where token_hash in ${sql(keys.map((key) => Buffer.from(key, "hex")))} and expires_at > now()`;
  return new Set(rows.map((row) => row.key));
}

/** Ends the session of a request, and its streams; gives the cookie that removes it, and how it was opened. */
export async function closeSession(request: Request): Promise<{ cookie: string; by: SignedOn | null }> {
  const token = tokenOf(request.headers.get("cookie"), COOKIE);
  if (!token) return { cookie: cookie(COOKIE, "", 0), by: null };
  const [row] = await db()<{ by: SignedOn | null }[]>`
    delete from session where token_hash = ${hashOf(token)} returning sign_on as by`;
  await signedOut(hashOf(token).toString("hex"));
  return { cookie: cookie(COOKIE, "", 0), by: row?.by ?? null };
}

/** Ends what a provider says is over: one of its sessions, or with "" all of somebody. */
export async function endSignedOn(provider: string, subject: string, sid: string): Promise<number> {
  if (subject === "" && sid === "") return 0;
  const rows = await db()<{ tokenHash: Uint8Array }[]>`
    delete from session where sign_on ->> 'provider' = ${provider}
      and (${subject} = '' or sign_on ->> 'subject' = ${subject}) and (${sid} = '' or sign_on ->> 'sid' = ${sid})
    returning token_hash`;
  for (const r of rows) await signedOut(Buffer.from(r.tokenHash).toString("hex"));
  return rows.length;
}

/** Whether the session of a request was opened a moment ago: that stands for a password where there is none. */
export async function isFresh(request: Request): Promise<boolean> {
  const token = tokenOf(request.headers.get("cookie"), COOKIE);
  if (!token) return false;
  const rows = await db()`
    select from session where token_hash = ${hashOf(token)} and created_at > now() - interval '15 minutes'`;
  return rows.length > 0;
}

export interface SessionRow {
  id: string;
  browser: string;
  createdAt: Date;
  seenAt: Date;
  /** Whether it is the one that asks. */
  own: boolean;
}

/** A person's open sessions, the last seen first. */
export async function sessionsOf(account: string, cookieHeader: string | null): Promise<SessionRow[]> {
  const token = tokenOf(cookieHeader, COOKIE);
  return db()<SessionRow[]>`
    select id, browser, created_at, seen_at, token_hash = ${token ? hashOf(token) : Buffer.alloc(0)} as own
    from session where account_id = ${account} and expires_at > now() order by seen_at desc, id`;
}

/** Ends one of a person's sessions, or with null all but that of the request; their streams end with them. */
export async function endSessions(
  account: string,
  id: string | null,
  request: Request,
  sql: Sql = db(),
): Promise<number> {
  const token = tokenOf(request.headers.get("cookie"), COOKIE);
  const rows = await sql<{ tokenHash: Uint8Array }[]>`
    delete from session where account_id = ${account}
      and ${id === null ? sql`token_hash <> ${token ? hashOf(token) : Buffer.alloc(0)}` : sql`id = ${id}`}
    returning token_hash`;
  for (const r of rows) await signedOut(Buffer.from(r.tokenHash).toString("hex"), sql);
  return rows.length;
}

/** Ends all sessions of a person, and forgets the browsers they used. */
export async function endAllSessions(account: string, sql: Sql): Promise<void> {
  const rows = await sql<
    { tokenHash: Uint8Array }[]
  >`delete from session where account_id = ${account} returning token_hash`;
  for (const r of rows) await signedOut(Buffer.from(r.tokenHash).toString("hex"), sql);
  await sql`delete from known_browser where account_id = ${account}`;
}

/** Whose browser a request comes from, as far as it was signed in before; null when it is not known. */
export async function knownAccount(request: Request): Promise<string | null> {
  const token = tokenOf(request.headers.get("cookie"), KNOWN_COOKIE);
  if (!token) return null;
  const [row] = await db()<
    { accountId: string }[]
  >`select account_id from known_browser where token_hash = ${hashOf(token)}`;
  return row?.accountId ?? null;
}

/** Who asks; null when nobody is signed in. */
export async function findUser(request: Request): Promise<User | null> {
  return findUserByCookie(request.headers.get("cookie"));
}

export async function findUserByCookie(header: string | null): Promise<User | null> {
  const token = tokenOf(header, COOKIE);
  if (!token) return null;
  const [row] = await db()<(User & { stale: boolean })[]>`
    select a.id, a.display_name, s.seen_at < now() - interval '1 hour' as stale
    from session s join account a on a.id = s.account_id
    where s.token_hash = ${hashOf(token)} and s.expires_at > now() and a.deleted_at is null`;
  if (row?.stale) await db()`update session set seen_at = now() where token_hash = ${hashOf(token)}`;
  return row ? { id: row.id, displayName: row.displayName } : null;
}

/** A stable name for a session that tells nothing about its token. */
export function sessionKey(request: Request): string | null {
  const token = tokenOf(request.headers.get("cookie"), COOKIE);
  return token ? hashOf(token).toString("hex") : null;
}

/** Browser and system as people name them, from what a browser says of itself. */
export function browserOf(request: Request): string {
  const agent = request.headers.get("user-agent") ?? "";
  const first = (list: [RegExp, string][]) => list.find(([pattern]) => pattern.test(agent))?.[1];
  const browser = first([
    [/Edg\//, "Edge"],
    [/OPR\//, "Opera"],
    [/Firefox\//, "Firefox"],
    [/Chrome\/|Chromium\//, "Chrome/Chromium"],
    [/Safari\//, "Safari"],
  ]);
  const system = first([
    [/iPhone|iPad/, "iPhone/iPad"],
    [/Android/, "Android"],
    [/CrOS/, "ChromeOS"],
    [/Windows/, "Windows"],
    [/Mac OS/, "macOS"],
    [/Linux/, "Linux"],
  ]);
  return browser && system ? COMMON.browserOn(browser, system) : (browser ?? system ?? COMMON.aBrowser);
}

function tokenOf(header: string | null, cookieName: string): string | null {
  for (const part of header?.split(";") ?? []) {
    const [name, value] = part.trim().split("=");
    if (name === cookieName && value && /^[\w-]{43}$/.test(value)) return value;
  }
  return null;
}

function cookie(name: string, value: string, seconds: number): string {
  const secure = publicUrl()?.protocol === "https:" ? "; Secure" : "";
  return `${name}=${value}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${seconds}${secure}`;
}
