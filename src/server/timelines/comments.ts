import "server-only";
import { WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import { nanoid } from "nanoid";
import { mentionsIn } from "@/core/text/mentions";
import { watchersSince, worksFor } from "../classes/reach";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, isFailure, Refused, refusal } from "../http/failure";
import { commentsChanged } from "../live/notify";
import { findRight, hasRight, holds, requireRight } from "./access";

/** A comment may have so many letters, and so many stand on one event. */
export const MOST_COMMENT = 4_000;
export const MOST_WORDS = 300;
const MOST_ON_ONE = 500;
/** What of an event a comment may be about. */
export const COMMENT_FIELDS = ["", "when", "title", "category", "place", "description", "media", "source"] as const;
export type CommentField = (typeof COMMENT_FIELDS)[number];

/** One thing that was said. */
export interface Said {
  id: string;
  by: string;
  mine: boolean;
  text: string;
  at: string;
  altered: boolean;
}

/** A comment with its answers. */
export interface Thread {
  id: string;
  /** "" for the whole timeline. */
  event: string;
  /** Of the event; "" for all of it. */
  field: CommentField;
  /** The words it is about, as they were; "": all of it. */
  words: string;
  /** Who said that it is done with; null: it is open. */
  resolvedBy: string | null;
  said: Said[];
}

/** Who may see a timeline and has read all that was said about it. */
export interface Read {
  name: string;
  all: boolean;
}

/** All that was said about a timeline, the oldest first; notes that this person has read it. For those who may comment. */
export async function commentsOf(
  timeline: string,
  account: string,
): Promise<{ threads: Thread[]; people: string[]; read: Read[]; moderates: boolean }> {
  const right = await findRight(db(), timeline, account);
  if (!holds(right, "comment")) throw new Refused(fail("not_found"));
  const { isNew, ...seen } = await db().begin(async (tx) => {
    const [was] = await tx<{ at: Date }[]>`
      select at from comment_seen where timeline_id = ${timeline} and account_id = ${account}`;
    const rows = await tx<
      {
        id: string;
        event: string;
        field: CommentField;
        words: string;
        thread: string | null;
        account: string;
        by: string;
        text: string;
        at: Date;
        alteredAt: Date | null;
        resolvedBy: string | null;
      }[]
    >`
      select c.id, c.event_id as event, c.field, c.words, c.thread, c.account_id as account, a.display_name as by, c.text, c.at, c.altered_at,
        r.display_name as resolved_by
      from comment c join account a on a.id = c.account_id left join account r on r.id = c.resolved_by
      where c.timeline_id = ${timeline} order by c.at, c.id`;
    const threads = new Map<string, Thread>();
    for (const c of rows)
      if (c.thread === null)
        threads.set(c.id, {
          id: c.id,
          event: c.event,
          field: c.field,
          words: c.words,
          resolvedBy: c.resolvedBy,
          said: [],
        });
    for (const c of rows)
      threads.get(c.thread ?? c.id)?.said.push({
        id: c.id,
        by: c.by,
        mine: c.account === account,
        text: c.text,
        at: c.at.toISOString(),
        altered: c.alteredAt !== null,
      });
    await tx`
      insert into comment_seen (timeline_id, account_id, at) values (${timeline}, ${account}, now())
      on conflict (timeline_id, account_id) do update set at = excluded.at`;
    const people = await thoseWhoComment(tx, timeline);
    const last = rows.at(-1)?.at ?? null;
    const read = people
      .filter((p) => p.id !== account)
      .map((p) => ({ name: p.name, all: last !== null && p.seen !== null && p.seen >= last }));
    return {
      threads: [...threads.values()],
      people: people.map((p) => p.name),
      read,
      moderates: holds(right, "own") || (await worksFor(tx, timeline, account)),
      isNew: last !== null && (!was || was.at < last),
    };
  });
  // Who wrote it sees that it was read.
  if (isNew) await commentsChanged(timeline);
  return seen;
}

/** Those who may comment on a timeline, those who teach its class among them, and until when they have read. */
async function thoseWhoComment(tx: Tx, timeline: string): Promise<{ id: string; name: string; seen: Date | null }[]> {
  return tx<{ id: string; name: string; seen: Date | null }[]>`
    select a.id, a.display_name as name, max(s.at) as seen from (
      select account_id, joined_at from editor where timeline_id = ${timeline}
      union all select account_id, joined_at from guest where timeline_id = ${timeline} and role <> 'reader'
      union all ${watchersSince(tx, timeline)}) p
    join account a on a.id = p.account_id
    left join comment_seen s on s.timeline_id = ${timeline} and s.account_id = a.id
    group by a.id order by min(p.joined_at), a.id`;
}

/**
 * Says something about an event, a field or some words of it, or the whole timeline ("" for the event), or answers in a thread. Who is named with
 * "@" and may see it is told; `untold` are names that nobody who may see it has. Whoever took part in a thread is told of an answer.
 */
export async function comment(
  timeline: string,
  account: string,
  said: { event: string; field?: CommentField; words: string; thread: string | null; text: string },
): Promise<Failure | { id: string; untold: string[] }> {
  const text = said.text.trim();
  if (text === "") return fail("remark_empty");
  const done = await db()
    .begin(async (tx): Promise<{ id: string; untold: string[] }> => {
      // One after another, so that no two pass the limit together.
      await tx`select from timeline where id = ${timeline} for update`;
      await requireRight(tx, timeline, account, "comment");
      let { event, words, field = "" } = said;
      if (said.thread !== null) {
        const [begun] = await tx<{ eventId: string }[]>`
          update comment set resolved_at = null, resolved_by = null
          where id = ${said.thread} and timeline_id = ${timeline} and thread is null returning event_id`;
        if (!begun) throw new Refused(fail("remark_gone"));
        event = begun.eventId;
        words = "";
        field = "";
      } else if (event === "") field = "";
      else {
        const [there] = await tx`select from event where timeline_id = ${timeline} and id = ${event}`;
        if (!there) throw new Refused(fail("not_found"));
      }
      const [count] = await tx<{ n: number }[]>`
        select count(*)::int as n from comment where timeline_id = ${timeline} and event_id = ${event}`;
      if (count!.n >= MOST_ON_ONE) throw new Refused(fail("remarks_full"));
      const id = nanoid(12);
      await tx`
        insert into comment (id, timeline_id, event_id, field, words, thread, account_id, text)
        values (${id}, ${timeline}, ${event}, ${field}, ${words}, ${said.thread}, ${account}, ${text})`;
      return { id, untold: await tell(tx, timeline, account, said.thread, text) };
    })
    .catch(refusal);
  if (!isFailure(done)) await commentsChanged(timeline);
  return done;
}

/** Tells those who are named, and those who took part in the thread; gives the names nobody who may see it has. */
async function tell(tx: Tx, timeline: string, account: string, thread: string | null, text: string): Promise<string[]> {
  const people = await thoseWhoComment(tx, timeline);
  const { named, unknown } = mentionsIn(
    text,
    people.map((p) => p.name),
  );
  const [about] = await tx<{ title: string; by: string }[]>`
    select t.title, a.display_name as by from timeline t, account a where t.id = ${timeline} and a.id = ${account}`;
  const mentioned = people.filter((p) => named.includes(p.name) && p.id !== account).map((p) => p.id);
  const took =
    thread === null
      ? []
      : (
          await tx<{ id: string }[]>`
            select distinct account_id as id from comment where (id = ${thread} or thread = ${thread}) and account_id <> ${account}`
        )
          .map((r) => r.id)
          .filter((id) => !mentioned.includes(id) && people.some((p) => p.id === id));
  await tellPeople(tx, "named", mentioned, () => NOTICES.named(about!.by, about!.title));
  await tellPeople(tx, "named", took, () => NOTICES.answeredComment(about!.by, about!.title));
  return unknown;
}

/** Writes one's own comment otherwise. */
export async function alterComment(
  timeline: string,
  id: string,
  account: string,
  text: string,
): Promise<Failure | { done: true }> {
  const words = text.trim();
  if (words === "") return fail("remark_empty");
  return altering(timeline, account, async (tx) => {
    const done = await tx`
      update comment set text = ${words}, altered_at = now()
      where id = ${id} and timeline_id = ${timeline} and account_id = ${account} returning id`;
    return done.length > 0;
  });
}

/** Says that a thread is done with, or open again. */
export async function resolveThread(
  timeline: string,
  id: string,
  account: string,
  resolved: boolean,
): Promise<Failure | { done: true }> {
  return altering(timeline, account, async (tx) => {
    const done = await tx`
      update comment set resolved_at = case when ${resolved} then now() end, resolved_by = case when ${resolved} then ${account} end
      where id = ${id} and timeline_id = ${timeline} and thread is null returning id`;
    return done.length > 0;
  });
}

/**
 * Deletes one's own comment, or as the owner of the timeline, or who teaches or assists in the class it is made for, anybody's; with one that
 * begins a thread its answers go.
 */
export async function deleteComment(timeline: string, id: string, account: string): Promise<Failure | { done: true }> {
  return altering(timeline, account, async (tx) => {
    const owns = (await hasRight(tx, timeline, account, "own")) || (await worksFor(tx, timeline, account));
    const done = await tx`
      delete from comment where id = ${id} and timeline_id = ${timeline} and (account_id = ${account} or ${owns}) returning id`;
    return done.length > 0;
  });
}

async function altering(
  timeline: string,
  account: string,
  alter: (tx: Tx) => Promise<boolean>,
): Promise<Failure | { done: true }> {
  const done = await db()
    .begin(async (tx): Promise<{ done: true }> => {
      await requireRight(tx, timeline, account, "comment");
      if (!(await alter(tx))) throw new Refused(fail("not_found"));
      return { done: true };
    })
    .catch(refusal);
  if (!isFailure(done)) await commentsChanged(timeline);
  return done;
}
