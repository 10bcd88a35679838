import "server-only";
import { REACH, type Visibility } from "@/core/timeline/visibility";
import { customAlphabet } from "nanoid";
import { hashPassword, passwordProblem } from "../accounts/password";
import { bylineNames, classOf, teachesClass } from "../classes/reach";
import { teachesAt } from "../classes/school";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, isFailure, Refused, refusal } from "../http/failure";
import { requireRight } from "../timelines/access";
import { stateOf } from "./published";
import { freeze } from "../timelines/freeze";
import type { Publication } from "@/core/published/publication";
import { foundIn } from "@/core/published/found-in";
import { setFound } from "./search";

/** Letters and digits that nobody mixes up when reading them off a board. */
const newAddress = customAlphabet("23456789abcdefghjkmnpqrstuvwxyz", 12);

export async function publicationOf(timeline: string): Promise<Publication | null> {
  const [row] = await db()<
    (Omit<Publication, "takenBack" | "publishedAt" | "laterChanges" | "opensAt" | "closesAt" | "opened"> & {
      takenBackAt: Date | null;
      createdAt: Date;
      later: number;
      opensAt: Date | null;
      closesAt: Date | null;
      opened: string;
    })[]
  >`
    select p.address, p.word, p.visibility, p.class_id, p.organisation_id, p.taken_back_at, v.created_at, v.seq, p.zone, p.opens_at, p.closes_at, p.copies,
      p.embed_sites, p.opened, o.password_hash is not null as has_password,
      ${stateOf(db())} as state,
      (select count(*)::int from change c where c.timeline_id = p.timeline_id and c.seq > v.seq) as later
    from shown_publication p join version v on v.id = p.version_id join publication o on o.timeline_id = p.timeline_id
    where p.timeline_id = ${timeline}`;
  if (!row) return null;
  const { takenBackAt, createdAt, later, ...rest } = row;
  return {
    ...rest,
    takenBack: takenBackAt !== null,
    publishedAt: createdAt.toISOString(),
    laterChanges: later,
    opensAt: row.opensAt?.toISOString() ?? null,
    closesAt: row.closesAt?.toISOString() ?? null,
    opened: Number(row.opened),
  };
}

/** What an author says about who sees a page. What is missing stays as it is. */
export interface Wishes {
  visibility: Visibility;
  /** The class it is given to by its teacher. */
  klass?: string | null;
  /** The school it is given to by one of its teachers. */
  school?: string | null;
  /** Where a password is asked for: the one that is set now. */
  password?: string;
  /** ISO 8601; null takes it away. */
  opensAt?: string | null;
  closesAt?: string | null;
  copies?: boolean;
  embedSites?: readonly string[];
  /** The time zone of whoever publishes. */
  zone?: string;
}

/**
 * Publishes what the timeline is now (`fresh`), or alters only who may see what was published before, and how. The address
 * stays the same for good. Owner only. To a class goes what was made for it, and what its teacher gives it (`klass`); to a school what
 * was made in its classes, and what its teachers give it (`school`).
 */
export async function publish(
  timeline: string,
  by: string,
  wishes: Wishes,
  fresh: boolean,
): Promise<Failure | { publication: Publication }> {
  const { visibility, klass = null, school = null } = wishes;
  // Worked out before the transaction: it takes its time on purpose.
  const password = wishes.password?.trim();
  const problem = password === undefined ? null : passwordProblem(password, []);
  if (problem) return problem;
  const hash = password === undefined ? null : await hashPassword(password);
  const done = await db()
    .begin(async (tx) => {
      await requireRight(tx, timeline, by, "own");
      const made = await classOf(tx, timeline);
      const limit = made?.limit ?? null;
      const given = visibility === "class" && !limit ? klass : null;
      if (visibility === "class" && !limit && !(given && (await teachesClass(tx, given, by))))
        throw new Refused(fail("not_your_class"));
      const givenSchool = visibility === "school" && !made ? school : null;
      if (visibility === "school" && !(made ? made.school : givenSchool && (await teachesAt(tx, givenSchool, by))))
        throw new Refused(fail("not_your_school"));
      if (limit && REACH.indexOf(visibility) > REACH.indexOf(limit)) throw new Refused(fail("beyond_class_limit"));
      const [known] = await tx<{ passwordHash: string | null }[]>`
        select password_hash from publication where timeline_id = ${timeline} for update`;
      // What its class lets it go only so far stays chosen further, for when the class lets it.
      const [shown] = await tx<{ visibility: Visibility }[]>`
        select visibility from shown_publication where timeline_id = ${timeline}`;
      const asShown = !fresh && shown?.visibility === visibility;
      if (visibility === "password" && !hash && !known?.passwordHash) throw new Refused(fail("page_password_missing"));
      if (!known || fresh) await publishVersion(tx, timeline, by, visibility, hash, wishes.zone ?? "UTC");
      const sites = wishes.embedSites ? [...wishes.embedSites] : null;
      await tx`
        update publication set visibility = ${asShown ? tx`visibility` : visibility}, class_id = ${given}, organisation_id = ${givenSchool}, taken_back_at = null,
          password_hash = coalesce(${hash}, password_hash),
          opens_at = ${wishes.opensAt === undefined ? tx`opens_at` : wishes.opensAt},
          closes_at = ${wishes.closesAt === undefined ? tx`closes_at` : wishes.closesAt},
          copies = coalesce(${wishes.copies ?? null}, copies), embed_sites = coalesce(${sites}, embed_sites)
        where timeline_id = ${timeline}`.catch((error: unknown) => {
        if ((error as { constraint_name?: string }).constraint_name === "publication_closes_after_it_opens")
          throw new Refused(fail("closes_before_it_opens"));
        throw error;
      });
      // Whoever knew the old password is asked for the new one.
      if (hash) await tx`delete from page_pass where timeline_id = ${timeline}`;
      return true;
    })
    .catch(refusal);
  if (isFailure(done)) return done;
  return { publication: (await publicationOf(timeline))! };
}

async function publishVersion(
  tx: Tx,
  timeline: string,
  by: string,
  visibility: Visibility,
  hash: string | null,
  zone: string,
): Promise<void> {
  const version = await freeze(tx, timeline, by, "publication");
  // Thrown, so that no empty version stays.
  if (!version || (version.frozen.title === "" && version.frozen.events.length === 0))
    throw new Refused(fail("nothing_to_publish"));
  const { frozen } = version;
  if (await bylineNames(tx, timeline, frozen.byline)) throw new Refused(fail("byline_names"));
  const found = foundIn(frozen);
  await tx`
    insert into publication (timeline_id, address, visibility, version_id, title, byline, events, zone, password_hash)
    values (${timeline}, ${newAddress()}, ${visibility}, ${version.id}, ${frozen.title}, ${frozen.byline},
      ${frozen.events.length}, ${zone}, ${hash})
    on conflict (timeline_id) do update set version_id = excluded.version_id, title = excluded.title, byline = excluded.byline,
      events = excluded.events, zone = excluded.zone, published_at = now()`;
  await setFound(tx, timeline, frozen, found);
}

/** Takes the page back: its link says so from now on. What was published stays stored. Owner only. */
export async function takeBack(timeline: string, by: string): Promise<Failure | { publication: Publication | null }> {
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
