import "server-only";
import { nanoid } from "nanoid";
import type { LookFile } from "@/core/looks/look-file";
import { classNameOf, isOfClass, opensTo, teachesClass } from "../classes/reach";
import { db, type Tx } from "../db/pool";
import { type Failure, fail } from "../http/failure";

/** A look that is kept for other timelines. */
export interface SavedLook {
  id: string;
  name: string;
  look: LookFile;
  /** The class it is kept for; null: for whoever saved it alone. */
  className: string | null;
  /** Whether whoever asks has saved it, and may delete it. */
  mine: boolean;
}

/** Somebody keeps so many. */
const MOST = 100;

/** Those somebody has saved, and those of the classes they are in or teach; by name. */
export async function looksFor(account: string): Promise<SavedLook[]> {
  const sql = db();
  const klass = sql`s.class_id`;
  return sql<SavedLook[]>`
    select s.id, s.name, s.look, ${classNameOf(sql, klass)} as class_name, s.account_id = ${account} as mine
    from saved_look s where s.account_id = ${account} or ${opensTo(sql, klass, account)}
    order by lower(s.name), s.id`;
}

/** Keeps a look; for a class only its teachers do. */
export async function saveLook(
  account: string,
  { name, look, klass }: { name: string; look: LookFile; klass: string | null },
): Promise<Failure | { id: string }> {
  return db().begin(async (tx) => {
    if (klass !== null && !(await teachesClass(tx, klass, account)))
      return fail((await isOfClass(tx, klass, account)) ? "teacher_only" : "not_found");
    // One after the other, so that nobody passes the limit by asking twice at once.
    await tx`select from account where id = ${account} for update`;
    const [kept] = await tx<{ n: number }[]>`select count(*)::int as n from saved_look where account_id = ${account}`;
    if (kept!.n >= MOST) return fail("looks_full");
    const id = nanoid(16);
    await tx`
      insert into saved_look (id, account_id, class_id, name, look)
      values (${id}, ${account}, ${klass}, ${name.trim()}, ${tx.json(look as never)})`;
    return { id };
  });
}

/** Whoever saved a look deletes it; what wears it stays as it is. */
export async function deleteLook(account: string, id: string): Promise<Failure | { deleted: true }> {
  const done = await db()`delete from saved_look where id = ${id} and account_id = ${account} returning id`;
  return done.length > 0 ? { deleted: true } : fail("not_found");
}

/** The looks of an account that is deleted go with it. */
export async function forgetLooks(tx: Tx, account: string): Promise<void> {
  await tx`delete from saved_look where account_id = ${account}`;
}
