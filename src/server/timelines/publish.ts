import "server-only";
import { customAlphabet } from "nanoid";
import type { Frozen } from "@/core/formats/frozen";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { findRole } from "./access";
import { freeze } from "./freeze";

export type Visibility = "only_me" | "class" | "link" | "everybody";
const REACH: Visibility[] = ["only_me", "class", "link", "everybody"];

/** Letters and digits that nobody mixes up when reading them off a board. */
const newAddress = customAlphabet("23456789abcdefghjkmnpqrstuvwxyz", 12);

export interface PublicationState {
  address: string;
  visibility: Visibility;
  takenBack: boolean;
  publishedAt: string;
  /** Changes made since that are not shown yet. */
  laterChanges: number;
}

export async function publicationOf(timeline: string): Promise<PublicationState | null> {
  const [row] = await db()<
    { address: string; visibility: Visibility; takenBackAt: Date | null; createdAt: Date; later: number }[]
  >`
    select p.address, p.visibility, p.taken_back_at, v.created_at,
      (select count(*)::int from change c where c.timeline_id = p.timeline_id and c.seq > v.seq) as later
    from publication p join version v on v.id = p.version_id where p.timeline_id = ${timeline}`;
  if (!row) return null;
  return {
    address: row.address,
    visibility: row.visibility,
    takenBack: row.takenBackAt !== null,
    publishedAt: row.createdAt.toISOString(),
    laterChanges: row.later,
  };
}

/**
 * Publishes what the timeline is now (`fresh`), or alters only who may see what was published before. The address
 * stays the same for good. Owner only.
 */
export async function publish(
  timeline: string,
  by: string,
  visibility: Visibility,
  fresh: boolean,
): Promise<Failure | { publication: PublicationState }> {
  const role = await findRole(db(), timeline, by);
  if (!role) return fail("not_found");
  if (role !== "owner") return fail("owner_only");
  const limit = await publishLimitOf(timeline);
  if (visibility === "class" && !limit) return fail("invalid");
  if (limit && REACH.indexOf(visibility) > REACH.indexOf(limit)) return fail("beyond_class_limit");
  const done = await db().begin(async (tx) => {
    const [known] = await tx`select version_id from publication where timeline_id = ${timeline} for update`;
    if (known && !fresh) {
      await tx`update publication set visibility = ${visibility}, taken_back_at = null where timeline_id = ${timeline}`;
      return true;
    }
    const version = await freeze(tx, timeline, by, "publication");
    if (!version || (version.frozen.title === "" && version.frozen.events.length === 0)) return false;
    await tx`
      insert into publication (timeline_id, address, visibility, version_id)
      values (${timeline}, ${newAddress()}, ${visibility}, ${version.id})
      on conflict (timeline_id) do update set visibility = excluded.visibility, version_id = excluded.version_id, taken_back_at = null`;
    return true;
  });
  if (!done) return fail("nothing_to_publish");
  return { publication: (await publicationOf(timeline))! };
}

/** How far the class lets what is made for it be published; null for a timeline of no class. */
export async function publishLimitOf(timeline: string): Promise<Visibility | null> {
  const [row] = await db()<{ publishLimit: Visibility }[]>`
    select c.publish_limit from group_work g join assignment a on a.id = g.assignment_id join class c on c.id = a.class_id
    where g.timeline_id = ${timeline}`;
  return row?.publishLimit ?? null;
}

/** Takes the page back: its link says so from now on. What was published stays stored. Owner only. */
export async function takeBack(
  timeline: string,
  by: string,
): Promise<Failure | { publication: PublicationState | null }> {
  const role = await findRole(db(), timeline, by);
  if (!role) return fail("not_found");
  if (role !== "owner") return fail("owner_only");
  await db()`update publication set taken_back_at = now() where timeline_id = ${timeline}`;
  return { publication: await publicationOf(timeline) };
}

export interface Published {
  timeline: string;
  version: string;
  visibility: Visibility;
  /** Whether its author has taken it back, or deleted the timeline. */
  gone: boolean;
}

/** What stands at a published address, without looking at who asks; null when nothing ever did. */
export async function findPublished(address: string): Promise<Published | null> {
  const [row] = await db()<Published[]>`
    select p.timeline_id as timeline, p.version_id as version, p.visibility,
      (p.taken_back_at is not null or t.deleted_at is not null) as gone
    from publication p join timeline t on t.id = p.timeline_id where p.address = ${address}`;
  return row ?? null;
}

/** Whether a person (null: nobody signed in) may see a published page. */
export async function canSee(published: Published, account: string | null): Promise<boolean> {
  if (published.gone) return false;
  if (published.visibility === "link" || published.visibility === "everybody") return true;
  if (account === null) return false;
  if ((await findRole(db(), published.timeline, account)) !== null) return true;
  if (published.visibility !== "class") return false;
  const [classmate] = await db()`
    select from group_work g join assignment a on a.id = g.assignment_id join class c on c.id = a.class_id
    where g.timeline_id = ${published.timeline}
      and (c.teacher_id = ${account} or exists (select from class_member m where m.class_id = c.id and m.account_id = ${account}))`;
  return classmate !== undefined;
}

/** The frozen content of a version, for rendering. */
export async function findVersion(
  id: string,
): Promise<{ frozen: Frozen; at: Date; number: number; hash: string; json: string } | null> {
  const [row] = await db()<{ json: string; createdAt: Date; number: number; hash: string }[]>`
    select json, created_at, number, hash from version where id = ${id}`;
  return row
    ? { frozen: JSON.parse(row.json) as Frozen, at: row.createdAt, number: row.number, hash: row.hash, json: row.json }
    : null;
}

export interface StoredPage {
  html: string;
  etag: string;
  policy: string;
}

/** The page of a version for this build; rendered by `render` and stored when it is not there yet. */
export async function storedPage(
  version: string,
  build: string,
  render: () => Promise<StoredPage>,
): Promise<StoredPage> {
  const find = async () =>
    (
      await db()<StoredPage[]>`select html, etag, policy from page where version_id = ${version} and build = ${build}`
    )[0];
  const known = await find();
  if (known) return known;
  const made = await render();
  await db()`
    insert into page (version_id, build, html, etag, policy)
    values (${version}, ${build}, ${made.html}, ${made.etag}, ${made.policy}) on conflict do nothing`;
  return (await find()) ?? made;
}

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
    select p.address, v.json::jsonb ->> 'title' as title, coalesce(v.json::jsonb ->> 'byline', '') as by,
      jsonb_array_length(v.json::jsonb -> 'events') as events, v.created_at as published_at
    from publication p join version v on v.id = p.version_id join timeline t on t.id = p.timeline_id
    where p.visibility = 'everybody' and p.taken_back_at is null and t.deleted_at is null
    order by v.created_at desc limit ${most}`;
}
