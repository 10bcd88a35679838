import "server-only";
import { createHash, randomBytes } from "node:crypto";
import { verify } from "@node-rs/argon2";
import { mayTryFrom, succeeded } from "../accounts/tried";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { publicUrl } from "../http/origin";
import type { Published } from "./published";

/** A browser that gave the password of a page need not give it again for so long. */
const DAYS = 30;
/** One page has no more browsers than that at a time; the oldest are asked again. */
const MOST_PASSES = 5_000;
const hashOf = (token: string) => createHash("sha256").update(token).digest();
const cookieName = (published: Published) => `fastigo_pass_${published.address}`;

/** Whether the browser of a request has given the password of a page. */
export async function hasPass(request: Request, published: Published): Promise<boolean> {
  if (published.visibility !== "password") return false;
  const prefix = `${cookieName(published)}=`;
  const token = (request.headers.get("cookie") ?? "")
    .split(/;\s*/)
    .find((c) => c.startsWith(prefix))
    ?.slice(prefix.length);
  if (!token || token.length > 100) return false;
  const [row] = await db()`
    select from page_pass where token_hash = ${hashOf(token)} and timeline_id = ${published.timeline}
      and made_at > now() - ${`${DAYS} days`}::interval`;
  return row !== undefined;
}

/**
 * Lets a browser in that gives the right password; gives the cookie that says so. Tries are counted before the password is looked
 * at, from one address and in all, for each page on its own, and what is right does not count.
 */
export async function letIn(
  request: Request,
  published: Published,
  password: string,
): Promise<Failure | { cookie: string }> {
  const what = published.address;
  if (!(await mayTryFrom("page", request, what))) return fail("page_slow_down");
  const [row] = await db()<{ passwordHash: string | null }[]>`
    select password_hash from publication where timeline_id = ${published.timeline}`;
  const right = row?.passwordHash
    ? await verify(row.passwordHash, password.trim().slice(0, 200)).catch(() => false)
    : false;
  if (!right) return fail("wrong_page_password");
  await succeeded("page", request, what);
  const token = randomBytes(24).toString("base64url");
  await db()`insert into page_pass (token_hash, timeline_id) values (${hashOf(token)}, ${published.timeline})`;
  await db()`
    delete from page_pass where timeline_id = ${published.timeline} and token_hash not in
      (select token_hash from page_pass where timeline_id = ${published.timeline} order by made_at desc limit ${MOST_PASSES})`;
  const secure = publicUrl()?.protocol === "https:" ? "; Secure" : "";
  return {
    cookie: `${cookieName(published)}=${token}; Path=/t/; HttpOnly; SameSite=Lax; Max-Age=${DAYS * 86_400}${secure}`,
  };
}
