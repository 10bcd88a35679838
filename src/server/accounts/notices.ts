// What people are to be told: on their first page until they have read it, and once a day by mail, each kind as they want it. Rows are
// written by whoever tells; the database asks what its person has chosen (`choose_notice`).
import "server-only";
import { speakIn } from "@/core/language/spoken";
import { WORDS } from "@/core/words/letters";
import { languagesOf } from "../language/of-account";
import { db, type Sql, type Tx } from "../db/pool";
import { publicUrl } from "../http/origin";
import { keepLetter } from "../mail/outgoing";

/** The kinds that may be switched off; what is about the account itself is always told. */
export const NOTICE_KINDS = ["named", "suggestion", "class", "school"] as const;
export type NoticeKind = (typeof NOTICE_KINDS)[number];

/** A notice is an hour old before it goes by mail: whoever is there reads it first. */
const RESTS_HOURS = 1;
/** Between two letters to one person, hours. */
const BETWEEN_HOURS = 20;
const MOST_IN_LETTER = 30;
const MOST_LETTERS = 500;

export interface Notice {
  id: string;
  text: string;
  at: Date;
}

/** What a person is to be told until they have read it. */
export async function noticesOf(account: string): Promise<Notice[]> {
  return db()<Notice[]>`
    select id::text, text, at from account_notice where account_id = ${account} and here order by at, id`;
}

/** They have been read; what was read goes by no mail. */
export async function dismissNotices(account: string): Promise<void> {
  await db()`delete from account_notice where account_id = ${account} and here`;
}

export type NoticeChoices = Record<NoticeKind, { here: boolean; byMail: boolean }>;

/** How a person wants to be told of each kind. */
export async function noticeChoicesOf(account: string): Promise<NoticeChoices> {
  const rows = await db()<{ kind: NoticeKind; here: boolean; byMail: boolean }[]>`
    select kind, here, by_mail from notice_choice where account_id = ${account}`;
  const of = (kind: NoticeKind) => rows.find((r) => r.kind === kind);
  return Object.fromEntries(
    NOTICE_KINDS.map((kind) => [kind, { here: of(kind)?.here ?? true, byMail: of(kind)?.byMail ?? true }]),
  ) as NoticeChoices;
}

/** Sets how one kind is told from now on. */
export async function chooseNotices(account: string, kind: NoticeKind, here: boolean, byMail: boolean): Promise<void> {
  await db()`
    insert into notice_choice (account_id, kind, here, by_mail) values (${account}, ${kind}, ${here}, ${byMail})
    on conflict (account_id, kind) do update set here = excluded.here, by_mail = excluded.by_mail`;
}

/** Sends a letter to each person who has not read for an hour what they want by mail; gives how many. One a day at most. */
export async function sendDigests(now = new Date()): Promise<number> {
  const before = (hours: number) => new Date(now.getTime() - hours * 3_600_000);
  const due = await db()<{ id: string }[]>`
    select a.id from account a
    where a.deleted_at is null and a.email is not null and a.email_proven_at is not null
      and (a.digest_at is null or a.digest_at < ${before(BETWEEN_HOURS)})
      and exists (select from account_notice n where n.account_id = a.id and n.by_mail and n.at < ${before(RESTS_HOURS)})
    order by a.digest_at nulls first, a.id limit ${MOST_LETTERS}`;
  let sent = 0;
  for (const { id } of due) if (await db().begin((tx) => digest(tx, id, now, before(BETWEEN_HOURS)))) sent += 1;
  return sent;
}

async function digest(tx: Tx, account: string, now: Date, last: Date): Promise<boolean> {
  // Of two processes that look at once, one writes.
  const [own] = await tx<{ email: string; displayName: string }[]>`
    update account set digest_at = ${now}
    where id = ${account} and (digest_at is null or digest_at < ${last}) and email is not null and email_proven_at is not null
    returning email, display_name`;
  if (!own) return false;
  const told = await tx<{ text: string }[]>`
    with told as (
      update account_notice set by_mail = false where account_id = ${account} and by_mail returning id, text, at)
    select text from told order by at, id`;
  // What is shown nowhere else has been told now.
  await tx`delete from account_notice where account_id = ${account} and not here and not by_mail`;
  if (told.length === 0) return false;
  const texts = told.map((t) => t.text);
  const home = publicUrl()?.href ?? null;
  const spoken = (await languagesOf([account], tx)).get(account) ?? "en";
  const letter = speakIn(spoken, () =>
    WORDS.digest(own.displayName, texts.slice(0, MOST_IN_LETTER), texts.length, home),
  );
  await keepLetter(tx, { account, to: own.email, house: "plain", ...letter });
  return true;
}

/** Tells people something, each in their own language; of the kind "account" it is about the account itself. */
export async function tellPeople(
  sql: Sql,
  kind: NoticeKind | "account",
  people: readonly string[],
  say: (account: string) => string,
): Promise<void> {
  if (people.length === 0) return;
  const spoken = await languagesOf(people, sql);
  const texts = people.map((p) => speakIn(spoken.get(p) ?? "en", () => say(p)));
  await sql`
    insert into account_notice (kind, account_id, text)
    select ${kind}, * from unnest(${people as string[]}::text[], ${texts}::text[])`;
}

export async function forgetNotices(sql: Sql, account: string): Promise<void> {
  await sql`delete from account_notice where account_id = ${account}`;
  await sql`delete from notice_choice where account_id = ${account}`;
}
