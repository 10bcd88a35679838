import "server-only";
import type { PageState } from "@/core/published/publication";
import type { Visibility } from "@/core/timeline/visibility";
import { isOfClass } from "../classes/reach";
import { isOfSchool } from "../classes/school";
import { db, type Sql } from "../db/pool";
import { hasRight } from "../timelines/access";

export interface Published {
  timeline: string;
  /** The address that stays; it may have been asked for by a word. */
  address: string;
  version: string;
  visibility: Visibility;
  classId: string | null;
  organisationId: string | null;
  /** When the version that stands there was made. */
  at: Date;
  /** The time zone of its author. */
  zone: string;
  state: PageState;
  opensAt: Date | null;
  closesAt: Date | null;
  /** Whether others may begin a timeline of their own with it. */
  copies: boolean;
  /** The origins in whose pages it may stand in a frame; "*" for all. */
  embedSites: string[];
}

/** The state of a row of `shown_publication`, as `p`. */
export const stateOf = (sql: Sql) => sql`
  case when p.taken_back_at is not null then 'taken_back' when p.hidden_at is not null then 'hidden'
    when p.opens_at > now() then 'not_yet' when p.closes_at <= now() then 'over' else 'open' end`;

/** What stands at a published address or under a word, without looking at who asks; null when nothing ever did. */
export async function findPublished(address: string): Promise<Published | null> {
  const [row] = await db()<Published[]>`
    select p.timeline_id as timeline, p.address, p.version_id as version, p.visibility, p.class_id, p.organisation_id, p.published_at as at, p.zone,
      case when t.deleted_at is not null then 'taken_back' else ${stateOf(db())} end as state,
      p.opens_at, p.closes_at, p.copies, p.embed_sites
    from shown_publication p join timeline t on t.id = p.timeline_id
    where p.address = ${address}
      or p.timeline_id = (select s.timeline_id from short_link s where s.word = ${address.toLowerCase()})`;
  return row ?? null;
}

/**
 * Whether a person (null: nobody signed in) may see a published page. `passed`: the password was given in this browser. Its editors see it
 * before it opens, and after it was over or hidden, so that they know what it is about.
 */
export async function canSee(published: Published, account: string | null, passed = false): Promise<boolean> {
  if (published.state === "taken_back") return false;
  const { visibility } = published;
  if (published.state === "open") {
    if (visibility === "link" || visibility === "everybody" || (visibility === "password" && passed)) return true;
  }
  if (account === null) return false;
  if (await hasRight(db(), published.timeline, account, "edit")) return true;
  if (published.state !== "open" || (visibility !== "class" && visibility !== "school")) return false;
  if (published.classId !== null && (await isOfClass(db(), published.classId, account))) return true;
  return (
    visibility === "school" && published.organisationId !== null && isOfSchool(db(), published.organisationId, account)
  );
}

/** Whether anybody at all who has the address sees a page. */
export function isOpenToAll(published: Published): boolean {
  return published.state === "open" && (published.visibility === "link" || published.visibility === "everybody");
}
