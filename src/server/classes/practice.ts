import "server-only";
import { nanoid } from "nanoid";
import { timelineFromFrozen } from "@/core/formats/frozen";
import type { Timeline } from "@/core/timeline/timeline";
import { type Card, chooseCards, type Marked, markOrder } from "@/core/practice/order";
import { db, type Sql, type Tx } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { hasRight } from "../timelines/access";
import { findVersion } from "../publishing/versions";
import { findTimeline, titlesOf } from "../timelines/queries";
import { instantOf } from "./assignment";
import { TEACHERS_NAME } from "./class";
import { isOfClass, teachesClass } from "./reach";

/** What a teacher chooses of a timeline for a practice. */
export interface PracticeChoice {
  timeline: string;
  /** At most so many events. */
  count: number;
  /** Events that are part of others too; spans too, by their beginnings. */
  parts: boolean;
  spans: boolean;
  /** Until when, as an assignment's due time; missing: whenever they like. */
  dueAt?: string;
}

/** Fewer cards are no practice. */
const LEAST = 3;
/** A class has so many practices, and somebody's tries of one are counted up to this. */
const MOST = 200;
const MOST_TRIES = 100;

/** How often and how well somebody did a practice. */
export interface PracticeResult {
  account: string;
  name: string;
  tries: number;
  /** The best: cards that stood right, and 0 to 1 by how far each was off. */
  right: number;
  share: number;
  firstAt: Date;
  lastAt: Date;
}

export interface ClassPractice {
  id: string;
  title: string;
  cards: number;
  createdAt: Date;
  /** Null: whenever they like. */
  dueAt: Date | null;
  /** The time zone of the class. */
  zone: string;
  /** Who has not done it, for their teacher. */
  missing: string[];
  /** Of all students for their teacher; of oneself for a student. */
  results: PracticeResult[];
}

/** What a teacher may make a practice of beside their own: what is published to the class, or for everybody. */
async function publishedVersions(
  sql: Sql,
  klass: string,
  timeline: string | null,
): Promise<{ id: string; title: string; version: string }[]> {
  return sql<{ id: string; title: string; version: string }[]>`
    select p.timeline_id as id, p.title, p.version_id as version
    from shown_publication p join timeline t on t.id = p.timeline_id
    where (p.visibility = 'everybody' or (p.visibility in ('class', 'school') and p.class_id = ${klass}))
      and p.open and t.deleted_at is null and (${timeline}::text is null or p.timeline_id = ${timeline})
    order by (p.class_id is not distinct from ${klass}) desc, p.published_at desc limit 100`;
}

/** The timelines a teacher may make a practice of: their own, then what is published. */
export async function practicable(klass: string, teacher: string): Promise<{ id: string; title: string }[]> {
  const own = await titlesOf(teacher);
  const known = new Set(own.map((t) => t.id));
  const others = (await publishedVersions(db(), klass, null)).filter((t) => !known.has(t.id));
  return [...own, ...others.map(({ id, title }) => ({ id, title }))];
}

/**
 * Gives a practice to a class: its cards are taken from the timeline as it is now, or as it is published, and kept here, so that no page
 * holds their dates. The teacher must be able to edit the timeline, or read it published.
 */
export async function givePractice(
  klass: string,
  teacher: string,
  choice: PracticeChoice,
): Promise<Failure | { id: string }> {
  const dueAt = choice.dueAt ? await instantOf(choice.dueAt, klass) : null;
  if (choice.dueAt && !dueAt) return fail("no_such_time");
  return db().begin(async (tx) => {
    if (!(await teachesClass(tx, klass, teacher))) return fail("not_found");
    const timeline = await readFor(tx, klass, teacher, choice.timeline);
    if (!timeline) return fail("not_found");
    const cards = chooseCards(timeline, choice, Math.random);
    if (cards.length < LEAST) return fail("practice_small");
    await tx`select from class where id = ${klass} for update`;
    const [kept] = await tx<{ n: number }[]>`select count(*)::int as n from practice where class_id = ${klass}`;
    if (kept!.n >= MOST) return fail("practices_full");
    const id = nanoid(12);
    await tx`
      insert into practice (id, class_id, timeline_id, title, cards, due_at)
      values (${id}, ${klass}, ${choice.timeline}, ${timeline.title}, ${tx.json(cards as never)}, ${dueAt})`;
    return { id };
  });
}

async function readFor(tx: Tx, klass: string, teacher: string, timeline: string): Promise<Timeline | null> {
  if (await hasRight(tx, timeline, teacher, "edit")) return (await findTimeline(timeline))?.timeline ?? null;
  const [published] = await publishedVersions(tx, klass, timeline);
  const version = published && (await findVersion(published.version));
  return version ? timelineFromFrozen(version.frozen) : null;
}

/** Takes a practice back, with what was made of it. */
export async function takePracticeBack(klass: string, teacher: string, id: string): Promise<Failure | { done: true }> {
  const done = await db()`
    delete from practice p using class c
    where p.id = ${id} and p.class_id = ${klass} and c.id = p.class_id and teaches(c.id, ${teacher}) returning p.id`;
  return done.length > 0 ? { done: true } : fail("not_found");
}

/** The practices of a class, the newest first, with results: of everybody for its teachers, else of whoever asks. */
export async function practicesOf(klass: string, account: string, isTeacher: boolean): Promise<ClassPractice[]> {
  const rows = await db()<Omit<ClassPractice, "results" | "missing">[]>`
    select r.id, r.title, jsonb_array_length(r.cards) as cards, r.created_at, r.due_at, c.zone
    from practice r join class c on c.id = r.class_id where r.class_id = ${klass} order by r.created_at desc, r.id`;
  const missing = isTeacher ? await notDone(db(), [klass]) : [];
  const results = await db()<(PracticeResult & { practice: string })[]>`
    select r.practice_id as practice, r.account_id as account, ${db().unsafe(TEACHERS_NAME.replaceAll("klass", "c.class_id"))} as name,
      count(*)::int as tries, max(r.right_count) as right, max(r.share) as share, min(r.at) as first_at, max(r.at) as last_at
    from practice_result r join practice c on c.id = r.practice_id join account p on p.id = r.account_id
    where c.class_id = ${klass} and (${isTeacher} or r.account_id = ${account})
    group by r.practice_id, r.account_id, p.id, p.display_name, p.sign_in_name, c.class_id
    order by lower(p.display_name), p.id`;
  return rows.map((p) => ({
    ...p,
    missing: missing.filter((m) => m.practice === p.id).map((m) => m.name),
    results: results.filter((r) => r.practice === p.id),
  }));
}

/** Who of some classes has not done a practice that is due some time, by the names their teachers read; the one due first comes first. */
export async function notDone(
  sql: Sql,
  classes: readonly string[],
): Promise<{ practice: string; title: string; klass: string; dueAt: Date; name: string }[]> {
  return sql<{ practice: string; title: string; klass: string; dueAt: Date; name: string }[]>`
    select c.id as practice, c.title, c.class_id as klass, c.due_at, ${sql.unsafe(TEACHERS_NAME.replaceAll("klass", "c.class_id"))} as name
    from practice c join class_member m on m.class_id = c.class_id join account p on p.id = m.account_id
    where c.class_id = any(${[...classes]}) and c.due_at is not null
      and not exists (select from practice_result r where r.practice_id = c.id and r.account_id = p.id)
    order by c.due_at, c.id, lower(p.display_name), p.id`;
}

/** The practices that are due some time and which a student has not done, the next first. */
export async function duePractices(
  account: string,
): Promise<{ id: string; title: string; className: string; dueAt: Date; zone: string }[]> {
  return db()<{ id: string; title: string; className: string; dueAt: Date; zone: string }[]>`
    select p.id, p.title, c.name as class_name, p.due_at, c.zone
    from class_member m join class c on c.id = m.class_id join practice p on p.class_id = c.id
    where m.account_id = ${account} and c.archived_at is null and p.due_at is not null
      and not exists (select from practice_result r where r.practice_id = p.id and r.account_id = ${account})
    order by p.due_at, p.id`;
}

/** What somebody of the class may know of a practice before it is checked: no dates. */
export async function openPractice(
  id: string,
  account: string,
): Promise<{ title: string; klass: string; cards: { id: string; title: string }[] } | null> {
  const found = await findPractice(db(), id, account);
  return (
    found && { title: found.title, klass: found.klass, cards: found.cards.map((c) => ({ id: c.id, title: c.title })) }
  );
}

async function findPractice(
  sql: Sql,
  id: string,
  account: string,
): Promise<{ klass: string; title: string; cards: Card[] } | null> {
  const [row] = await sql<{ klass: string; title: string; cards: Card[] }[]>`
    select class_id as klass, title, cards from practice where id = ${id}`;
  return row && (await isOfClass(sql, row.klass, account)) ? row : null;
}

/**
 * Checks an order and tells the dates. A student's is kept for their teacher; whoever teaches the class only tries it. `placed`: the ids of
 * all cards, in the order they were put in.
 */
export async function checkPractice(
  id: string,
  account: string,
  placed: readonly string[],
): Promise<Failure | { marked: Marked; cards: Card[]; kept: boolean }> {
  return db().begin(async (tx) => {
    const found = await findPractice(tx, id, account);
    if (!found) return fail("not_found");
    const byId = new Map(found.cards.map((c) => [c.id, c]));
    const order = [...new Set(placed)].flatMap((c) => byId.get(c) ?? []);
    if (order.length !== found.cards.length || placed.length !== order.length) return fail("practice_incomplete");
    const marked = markOrder(order);
    const isTeacher = await teachesClass(tx, found.klass, account);
    const kept = !isTeacher && (await keep(tx, id, account, placed, marked));
    return { marked, cards: order, kept };
  });
}

async function keep(tx: Tx, id: string, account: string, placed: readonly string[], m: Marked): Promise<boolean> {
  await tx`select from account where id = ${account} for update`;
  const [tries] = await tx<{ n: number }[]>`
    select count(*)::int as n from practice_result where practice_id = ${id} and account_id = ${account}`;
  if (tries!.n >= MOST_TRIES) return false;
  await tx`
    insert into practice_result (practice_id, account_id, placed, right_count, share)
    values (${id}, ${account}, ${tx.json([...placed])}, ${m.right}, ${m.share})`;
  return true;
}

/** What somebody made of practices goes with their account. */
export async function forgetResults(tx: Tx, account: string): Promise<void> {
  await tx`delete from practice_result where account_id = ${account}`;
}

/** What somebody made of practices, for their export. */
export async function resultsOf(account: string): Promise<{ title: string; at: Date; right: number; share: number }[]> {
  return db()`
    select p.title, r.at, r.right_count as right, r.share from practice_result r join practice p on p.id = r.practice_id
    where r.account_id = ${account} order by r.at`;
}

/** Practices made of a timeline that is destroyed go with it. */
export async function forgetPracticesOf(tx: Tx, timeline: string): Promise<void> {
  await tx`delete from practice where timeline_id = ${timeline}`;
}

/** Results beyond what their class keeps of its students. */
export async function overdueResults(sql: Sql, now: Date): Promise<number> {
  const gone = await sql`
    delete from practice_result r using practice p, class c
    where p.id = r.practice_id and c.id = p.class_id
      and r.at < ${now}::timestamptz - make_interval(months => c.retention_months) returning r.id`;
  return gone.length;
}
