import "server-only";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";

const MOST_KEPT = 200;

export interface KeptComment {
  id: number;
  text: string;
}

/** The comments a teacher uses again, the most used first. */
export async function keptComments(account: string): Promise<KeptComment[]> {
  return db()<KeptComment[]>`
    select id::int, text from kept_comment where account_id = ${account} order by used desc, lower(text), id`;
}

/** Keeps a comment; one that is kept already was used once more. */
export async function keepComment(account: string, text: string): Promise<Failure | { comments: KeptComment[] }> {
  const words = text.trim();
  if (words.length < 1 || words.length > 1_000) return fail("comment_empty");
  const [many] = await db()<{ n: number; there: boolean }[]>`
    select count(*)::int as n, coalesce(bool_or(text = ${words}), false) as there from kept_comment where account_id = ${account}`;
  if (many!.n >= MOST_KEPT && !many!.there) return fail("comments_full");
  await db()`
    insert into kept_comment (account_id, text) values (${account}, ${words})
    on conflict (account_id, text) do update set used = kept_comment.used + 1`;
  return { comments: await keptComments(account) };
}

export async function forgetComment(account: string, id: number): Promise<Failure | { comments: KeptComment[] }> {
  if (!Number.isSafeInteger(id)) return fail("not_found");
  const gone = await db()`delete from kept_comment where id = ${id} and account_id = ${account} returning id`;
  return gone.length > 0 ? { comments: await keptComments(account) } : fail("not_found");
}
