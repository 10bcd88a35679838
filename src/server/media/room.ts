import "server-only";
import { db, type Sql } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { MOST } from "@/core/change/limits";
import { PIECE } from "./stores";

export const MOST_PICTURE = 20 * PIECE;

export const MOST_VIDEO = 200 * PIECE;

/** How much room a timeline and a person have for files, bytes. */
function room(): { timeline: number; person: number } {
  const own = (name: string) => (process.env[name] ? Number(process.env[name]) * PIECE : null);
  return {
    timeline: own("TIMELINE_FILES_MB") ?? MOST.timelineFiles.most,
    person: own("PERSON_FILES_MB") ?? MOST.personFiles.most,
  };
}

export interface Left {
  /** Bytes that are left for files, of how many; the smaller of what the timeline and the person have. */
  left: number;
  of: number;
}

/** How much room is left, what is being uploaded counted too. */
export async function roomLeft(
  timeline: string,
  account: string,
  sql: Sql = db(),
): Promise<Left & { of: number; whose: "timeline" | "person" }> {
  const [used] = await sql<{ timeline: string; person: string }[]>`
    select
      (select coalesce(sum(b.size), 0) from media m join media_file f on f.media_id = m.id join blob b on b.hash = f.hash where m.timeline_id = ${timeline})
        + (select coalesce(sum(size), 0) from upload where timeline_id = ${timeline} and media_id is null) as timeline,
      (select coalesce(sum(b.size), 0) from media m join media_file f on f.media_id = m.id join blob b on b.hash = f.hash where m.created_by = ${account})
        + (select coalesce(sum(size), 0) from upload where account_id = ${account} and media_id is null) as person`;
  const has = room();
  const left = { timeline: has.timeline - Number(used!.timeline), person: has.person - Number(used!.person) };
  const whose = left.timeline <= left.person ? "timeline" : "person";
  return { left: Math.max(0, left[whose]), of: has[whose], whose };
}

const megabytes = (bytes: number) => `${Math.floor(bytes / PIECE).toLocaleString("en")} MB`;

/** The sentence for a file that has no room; null when it has. */
export async function noRoom(
  timeline: string,
  account: string,
  size: number,
  sql: Sql = db(),
): Promise<Failure | null> {
  const { left, of, whose } = await roomLeft(timeline, account, sql);
  if (size <= left) return null;
  return fail(
    whose === "timeline" ? "quota_timeline" : "quota_person",
    `This file has ${megabytes(size + PIECE - 1)}; ${megabytes(left)} of ${megabytes(of)} are left. Delete some files, or take a smaller one.`,
  );
}
