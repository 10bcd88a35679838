import "server-only";
import type { FoundIn } from "@/core/published/found-in";
import { foundIn } from "@/core/published/found-in";
import type { Frozen } from "@/core/formats/frozen";
import { keptIn } from "../classes/reach";
import { db, type Sql, type Tx } from "../db/pool";
import type { ListedTimeline } from "./listed";

export const ORDERS = ["newest", "most_read", "best"] as const;
export type Order = (typeof ORDERS)[number];

export interface Asked {
  words: string;
  subject: string;
  /** Days since 0000-01-01, to before `to`; null: of all times. Infinity: it goes on. */
  period: { from: number; to: number } | null;
  pictures: boolean;
  order: Order;
  /** From 0 on. */
  page: number;
}

export interface FoundTimeline extends ListedTimeline {
  timeline: string;
  subject: string;
  pictures: number;
  opened: number;
}

export const A_PAGE = 20;
/** What is found beyond this is counted no further. */
export const MOST_COUNTED = 1_000;
const KNOWN_MS = 60_000;
/** These are always looked for; others from when the first timeline in them has been published for a minute. */
const USUAL_CONFIGS = ["simple", "english", "german", "spanish", "french"];
const MOST_SUBJECTS = 60;

/** Days from one to before another; Infinity goes on. A range holds one day at least. */
function daysRange(sql: Sql, { from, to }: { from: number; to: number }) {
  const first = Math.floor(from);
  const end = Number.isFinite(to) ? Math.max(Math.ceil(to), first + 1) : null;
  return sql`int8range(${Number.isFinite(from) ? first : null}::bigint, ${end}::bigint)`;
}

/** What a page is found by, the title before the rest. */
export async function setFound(tx: Tx, timeline: string, frozen: Frozen, found: FoundIn): Promise<void> {
  const weighed = (text: string, weight: string) =>
    tx`setweight(to_tsvector(${found.config}::regconfig, ${text}), ${weight}::"char")`;
  const days = found.fromDay === null ? null : daysRange(tx, { from: found.fromDay, to: found.toDay! });
  await tx`
    update publication set subject = ${frozen.subject}, pictures = ${found.pictures}, days = ${days},
      config = ${found.config}::regconfig,
      words = ${weighed(found.title, "A")} || ${weighed(found.about, "B")} || ${weighed(found.events, "C")} || ${weighed(found.texts, "D")}
    where timeline_id = ${timeline}`;
}

/** Makes what is found by of pages that were published before anything was; gives how many. */
export async function findable(most: number): Promise<number> {
  const rows = await db()<{ timelineId: string; json: string }[]>`
    select p.timeline_id, v.json from publication p join version v on v.id = p.version_id where p.words is null limit ${most}`;
  for (const { timelineId, json } of rows) {
    const frozen = JSON.parse(json) as Frozen;
    await db().begin((tx) => setFound(tx, timelineId, frozen, foundIn(frozen)));
  }
  return rows.length;
}

const holder = globalThis as {
  fastigoKnown?: { at: number; configs: string[]; subjects: string[] };
};

/** The dictionaries in use, and the subjects that most timelines have: asked for once a minute. */
async function known(): Promise<{ configs: string[]; subjects: string[] }> {
  const now = Date.now();
  if (holder.fastigoKnown && now - holder.fastigoKnown.at < KNOWN_MS) return holder.fastigoKnown;
  const listed = db()`visibility = 'everybody' and taken_back_at is null`;
  const configs = await db()<{ config: string }[]>`
    select distinct config::text as config from publication where ${listed} and config is not null`;
  const subjects = await db()<{ subject: string }[]>`
    select min(subject) as subject from publication where ${listed} and subject <> ''
    group by lower(subject) order by count(*) desc, 1 limit ${MOST_SUBJECTS}`;
  holder.fastigoKnown = {
    at: now,
    configs: [...new Set([...USUAL_CONFIGS, ...configs.map((c) => c.config)])],
    subjects: subjects.map((s) => s.subject).sort((a, b) => a.localeCompare(b)),
  };
  return holder.fastigoKnown;
}

/** What subjects the published timelines have. */
export async function subjectsInUse(): Promise<string[]> {
  return (await known()).subjects;
}

/** What is published for everybody and fits all that is asked: a page of it, and how much there is, counted to a bound. */
export async function searchPublished(asked: Asked): Promise<{ found: FoundTimeline[]; count: number }> {
  const sql = db();
  // Words are taken apart as each language does; a timeline holds them as its own does.
  const configs = asked.words === "" ? [] : (await known()).configs;
  const query = configs.map((c) => sql`websearch_to_tsquery(${c}::regconfig, ${asked.words})`);
  const either = query.reduce((a, b) => sql`${a} || ${b}`, query.shift() ?? sql`''::tsquery`);
  const { period } = asked;
  const days = period && daysRange(sql, period);
  const fits = sql`
    p.visibility = 'everybody' and p.taken_back_at is null and p.hidden_at is null
    and (p.opens_at is null or p.opens_at <= now()) and (p.closes_at is null or p.closes_at > now())
    ${asked.words === "" ? sql`` : sql`and p.words @@ (${either})`}
    ${asked.subject === "" ? sql`` : sql`and lower(p.subject) = lower(${asked.subject})`}
    ${days ? sql`and p.days && ${days}` : sql``}
    ${asked.pictures ? sql`and p.pictures > 0` : sql``}`;
  const best = asked.order === "best" && asked.words !== "";
  // The best of the thousand newest that fit: a word that stands everywhere is ranked in bounded time.
  const fitting = sql`
    select p.timeline_id, p.published_at, p.opened, p.words from publication p where ${fits}
    order by ${asked.order === "most_read" ? sql`p.opened desc, p.published_at desc` : sql`p.published_at desc`}
    limit ${MOST_COUNTED + 1}`;
  const order = best
    ? sql`ts_rank(f.words, ${either}) desc, f.published_at desc`
    : asked.order === "most_read"
      ? sql`f.opened desc, f.published_at desc`
      : sql`f.published_at desc`;
  const rows = await sql.begin(async (tx) => {
    // A plan for all questions alike would take the way of none of them.
    await tx`set local plan_cache_mode = force_custom_plan`;
    return tx<(FoundTimeline & { count: number; opened: string })[]>`
    with newest as materialized (${fitting}),
      -- Asked only of those that fit all else: joined to all, every timeline there is would be read.
      fitting as materialized (select f.* from newest f
        where (select t.deleted_at from timeline t where t.id = f.timeline_id) is null
          and not ${keptIn(tx, tx`f.timeline_id`)}),
      page as (select f.*, row_number() over (order by ${order}, f.timeline_id) as at from fitting f
        order by at limit ${A_PAGE} offset ${asked.page * A_PAGE})
    select p.timeline_id as timeline, coalesce((select s.word from short_link s where s.timeline_id = p.timeline_id
        order by s.made_at desc limit 1), p.address) as address,
      p.title, p.byline as by, p.events, p.published_at, p.subject, p.pictures, p.opened,
      (select count(*)::int from fitting) as count
    from page join publication p on p.timeline_id = page.timeline_id order by page.at`;
  });
  const count = rows[0]?.count ?? 0;
  return { found: rows.map(({ count: _, ...r }) => ({ ...r, opened: Number(r.opened) })), count };
}
