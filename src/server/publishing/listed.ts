import "server-only";
import { db } from "../db/pool";

export interface ListedTimeline {
  address: string;
  title: string;
  by: string;
  events: number;
  publishedAt: Date;
}

/** What was published for everybody, the newest first. */
export async function listedTimelines(most: number): Promise<ListedTimeline[]> {
  return db()<ListedTimeline[]>`
    select coalesce(p.word, p.address) as address, p.title, p.byline as by, p.events, p.published_at
    from shown_publication p join timeline t on t.id = p.timeline_id
    where p.visibility = 'everybody' and p.open and t.deleted_at is null
    order by p.published_at desc limit ${most}`;
}

/** What was published to a school, or in its classes for everybody, the newest first. For those who are of it. */
export async function publishedToSchool(school: string): Promise<ListedTimeline[]> {
  return db()<ListedTimeline[]>`
    select coalesce(p.word, p.address) as address, p.title, p.byline as by, p.events, p.published_at
    from shown_publication p join timeline t on t.id = p.timeline_id
    where p.organisation_id = ${school} and p.visibility in ('school', 'everybody') and p.open and t.deleted_at is null
    order by p.published_at desc limit 200`;
}

/** What was published to a class, or by it for everybody, the newest first. For those who are of it. */
export async function publishedTo(klass: string): Promise<ListedTimeline[]> {
  return db()<ListedTimeline[]>`
    select coalesce(p.word, p.address) as address, p.title, p.byline as by, p.events, p.published_at
    from shown_publication p join timeline t on t.id = p.timeline_id
    where p.class_id = ${klass} and p.visibility in ('class', 'school', 'everybody') and p.open and t.deleted_at is null
    order by p.published_at desc limit 200`;
}
