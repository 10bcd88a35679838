import "server-only";
import { createHash, randomBytes } from "node:crypto";
import { db, type Sql } from "../db/pool";
import { publicUrl } from "../http/origin";

export interface User {
  id: string;
  displayName: string;
}

const COOKIE = "fastigo_session";
const DAYS = 60;

const hashOf = (token: string) => createHash("sha256").update(token).digest();

/** Opens a session and gives the cookie that carries it. */
export async function openSession(sql: Sql, accountId: string): Promise<string> {
  const token = randomBytes(32).toString("base64url");
  await sql`
    insert into session (token_hash, account_id, expires_at)
    values (${hashOf(token)}, ${accountId}, now() + ${`${DAYS} days`}::interval)`;
  return cookie(token, DAYS * 86_400);
}

/** Ends the session of a request; gives the cookie that removes it and whose it was. */
export async function closeSession(request: Request): Promise<{ cookie: string; account: string | null }> {
  const token = tokenOf(request.headers.get("cookie"));
  let account: string | null = null;
  if (token) {
    const [row] = await db()<
      { accountId: string }[]
    >`delete from session where token_hash = ${hashOf(token)} returning account_id`;
    account = row?.accountId ?? null;
  }
  return { cookie: cookie("", 0), account };
}

/** Who asks; null when nobody is signed in. */
export async function findUser(request: Request): Promise<User | null> {
  return findUserByCookie(request.headers.get("cookie"));
}

export async function findUserByCookie(header: string | null): Promise<User | null> {
  const token = tokenOf(header);
  if (!token) return null;
  const [row] = await db()<User[]>`
    select a.id, a.display_name
    from session s join account a on a.id = s.account_id
    where s.token_hash = ${hashOf(token)} and s.expires_at > now()`;
  return row ?? null;
}

/** A stable name for a session that tells nothing about its token. */
export function sessionKey(request: Request): string | null {
  const token = tokenOf(request.headers.get("cookie"));
  return token ? hashOf(token).toString("hex") : null;
}

function tokenOf(header: string | null): string | null {
  for (const part of header?.split(";") ?? []) {
    const [name, value] = part.trim().split("=");
    if (name === COOKIE && value && /^[\w-]{43}$/.test(value)) return value;
  }
  return null;
}

function cookie(value: string, seconds: number): string {
  const secure = publicUrl()?.protocol === "https:" ? "; Secure" : "";
  return `${COOKIE}=${value}; Path=/; HttpOnly; SameSite=Lax; Max-Age=${seconds}${secure}`;
}
