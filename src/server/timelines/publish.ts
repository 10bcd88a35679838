import "server-only";
import { REACH, type Visibility } from "@/core/timeline/visibility";
import { customAlphabet } from "nanoid";
import type { Frozen } from "@/core/formats/frozen";
import { db } from "../db/pool";
import { classOf, isOfClass, teachesClass } from "../classes/reach";
import { type Failure, fail, isFailure, Refused, refusal } from "../http/failure";
import { hasRight, requireRight } from "./access";
import { freeze } from "./freeze";

/** Letters and digits that nobody mixes up when reading them off a board. */
const newAddress = customAlphabet("23456789abcdefghjkmnpqrstuvwxyz", 12);

export interface PublicationState {
  address: string;
  /** Who may see it as it is, which may be fewer than was chosen: its class lets it go only so far. */
  visibility: Visibility;
  /** The class it is given to, or was made in. */
  classId: string | null;
  takenBack: boolean;
  publishedAt: string;
  /** The time zone of its author when it was published. */
  zone: string;
  /** Changes made since that are not shown yet. */
  laterChanges: number;
}

export async function publicationOf(timeline: string): Promise<PublicationState | null> {
  const [row] = await db()<
    {
      address: string;
      visibility: Visibility;
      classId: string | null;
      takenBackAt: Date | null;
      createdAt: Date;
      zone: string;
      later: number;
    }[]
  >`
    select p.address, p.visibility, p.class_id, p.taken_back_at, v.created_at, p.zone,
      (select count(*)::int from change c where c.timeline_id = p.timeline_id and c.seq > v.seq) as later
    from shown_publication p join version v on v.id = p.version_id where p.timeline_id = ${timeline}`;
  if (!row) return null;
  return {
    address: row.address,
    visibility: row.visibility,
    classId: row.classId,
    takenBack: row.takenBackAt !== null,
    publishedAt: row.createdAt.toISOString(),
    zone: row.zone,
    laterChanges: row.later,
  };
}

/**
 * Publishes what the timeline is now (`fresh`), or alters only who may see what was published before. The address
 * stays the same for good. Owner only. To a class goes what was made for it, and what its teacher gives it (`klass`).
 */
export async function publish(
  timeline: string,
  by: string,
  visibility: Visibility,
  fresh: boolean,
  klass: string | null = null,
  zone = "UTC",
): Promise<Failure | { publication: PublicationState }> {
  const done = await db()
    .begin(async (tx) => {
      await requireRight(tx, timeline, by, "own");
      const limit = (await classOf(tx, timeline))?.limit ?? null;
      const given = visibility === "class" && !limit ? klass : null;
      if (visibility === "class" && !limit && !(given && (await teachesClass(tx, given, by))))
        throw new Refused(fail("not_your_class"));
      if (limit && REACH.indexOf(visibility) > REACH.indexOf(limit)) throw new Refused(fail("beyond_class_limit"));
      const [known] = await tx`select version_id from publication where timeline_id = ${timeline} for update`;
      if (known && !fresh) {
        await tx`
        update publication set visibility = ${visibility}, class_id = ${given}, taken_back_at = null
        where timeline_id = ${timeline}`;
        return true;
      }
      const version = await freeze(tx, timeline, by, "publication");
      // Thrown, so that no empty version stays.
      if (!version || (version.frozen.title === "" && version.frozen.events.length === 0))
        throw new Refused(fail("nothing_to_publish"));
      await tx`
      insert into publication (timeline_id, address, visibility, class_id, version_id, title, byline, events, zone)
      values (${timeline}, ${newAddress()}, ${visibility}, ${given}, ${version.id},
        ${version.frozen.title}, ${version.frozen.byline}, ${version.frozen.events.length}, ${zone})
      on conflict (timeline_id) do update set visibility = excluded.visibility, class_id = excluded.class_id, version_id = excluded.version_id,
        title = excluded.title, byline = excluded.byline, events = excluded.events, zone = excluded.zone, published_at = now(), taken_back_at = null`;
      return true;
    })
    .catch(refusal);
  if (isFailure(done)) return done;
  return { publication: (await publicationOf(timeline))! };
}

/** Takes the page back: its link says so from now on. What was published stays stored. Owner only. */
export async function takeBack(
  timeline: string,
  by: string,
): Promise<Failure | { publication: PublicationState | null }> {
  const done = await db()
    .begin(async (tx) => {
      await requireRight(tx, timeline, by, "own");
      await tx`update publication set taken_back_at = now() where timeline_id = ${timeline}`;
      return null;
    })
    .catch(refusal);
  if (done) return done;
  return { publication: await publicationOf(timeline) };
}

export interface Published {
  timeline: string;
  version: string;
  visibility: Visibility;
  classId: string | null;
  /** When the version that stands there was made. */
  at: Date;
  /** The time zone of its author. */
  zone: string;
  /** Whether its author has taken it back, or deleted the timeline. */
  gone: boolean;
}

/** What stands at a published address, without looking at who asks; null when nothing ever did. */
export async function findPublished(address: string): Promise<Published | null> {
  const [row] = await db()<Published[]>`
    select p.timeline_id as timeline, p.version_id as version, p.visibility, p.class_id, p.published_at as at, p.zone,
      (p.taken_back_at is not null or t.deleted_at is not null) as gone
    from shown_publication p join timeline t on t.id = p.timeline_id where p.address = ${address}`;
  return row ?? null;
}

/** Whether a person (null: nobody signed in) may see a published page. */
export async function canSee(published: Published, account: string | null): Promise<boolean> {
  if (published.gone) return false;
  if (published.visibility === "link" || published.visibility === "everybody") return true;
  if (account === null) return false;
  if (await hasRight(db(), published.timeline, account, "edit")) return true;
  return published.visibility === "class" && published.classId !== null && isOfClass(db(), published.classId, account);
}

/** What was published to a class, or by it for everybody, the newest first. For those who are of it. */
export async function publishedTo(klass: string): Promise<ListedTimeline[]> {
  return db()<ListedTimeline[]>`
    select p.address, p.title, p.byline as by, p.events, p.published_at
    from shown_publication p join timeline t on t.id = p.timeline_id
    where p.class_id = ${klass} and p.visibility in ('class', 'everybody') and p.taken_back_at is null and t.deleted_at is null
    order by p.published_at desc limit 200`;
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

/** A version as it was frozen, byte for byte. */
export async function findVersionText(id: string): Promise<{ json: string; hash: string } | null> {
  const [row] = await db()<{ json: string; hash: string }[]>`select json, hash from version where id = ${id}`;
  return row ?? null;
}

export interface StoredPage {
  html: string;
  etag: string;
  policy: string;
}

/** A page that was stored under a name; null when there is none. */
export async function findPage(version: string, name: string): Promise<StoredPage | null> {
  const [row] = await db()<
    StoredPage[]
  >`select html, etag, policy from page where version_id = ${version} and build = ${name}`;
  return row ?? null;
}

/** Stores a page, and gives the one that is stored: of two made at once, the first. */
export async function storePage(version: string, name: string, page: StoredPage): Promise<StoredPage> {
  await db()`
    insert into page (version_id, build, html, etag, policy)
    values (${version}, ${name}, ${page.html}, ${page.etag}, ${page.policy}) on conflict do nothing`;
  return (await findPage(version, name)) ?? page;
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
    select p.address, p.title, p.byline as by, p.events, p.published_at
    from shown_publication p join timeline t on t.id = p.timeline_id
    where p.visibility = 'everybody' and p.taken_back_at is null and t.deleted_at is null
    order by p.published_at desc limit ${most}`;
}
