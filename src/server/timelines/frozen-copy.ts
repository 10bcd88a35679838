import "server-only";
import { customAlphabet } from "nanoid";
import { db } from "../db/pool";
import { type Failure, fail, isFailure, Refused, refusal } from "../http/failure";
import { bylineNames, classOf, isOfClass } from "../classes/reach";
import { isOfSchool } from "../classes/school";
import { findRight, hasRight, requireRight } from "./access";
import { freeze } from "./freeze";
import type { Visibility } from "@/core/timeline/visibility";

const newAddress = customAlphabet("23456789abcdefghjkmnpqrstuvwxyz", 14);

export interface FrozenCopy {
  address: string;
  createdAt: string;
  hash: string;
}

/** Makes a frozen, dated copy with a link of its own, independent of publishing. Any editor. */
export async function makeFrozenCopy(timeline: string, by: string): Promise<Failure | { copy: FrozenCopy }> {
  return db()
    .begin(async (tx): Promise<Failure | { copy: FrozenCopy }> => {
      await requireRight(tx, timeline, by, "edit");
      const version = await freeze(tx, timeline, by, "frozen_copy");
      if (!version) return fail("not_found");
      if (await bylineNames(tx, timeline, version.frozen.byline)) throw new Refused(fail("byline_names"));
      const address = newAddress();
      const [row] = await tx<{ createdAt: Date }[]>`
      insert into frozen_copy (address, timeline_id, version_id, created_by) values (${address}, ${timeline}, ${version.id}, ${by}) returning created_at`;
      return { copy: { address, createdAt: row!.createdAt.toISOString(), hash: version.hash } };
    })
    .catch(refusal);
}

export async function frozenCopiesOf(timeline: string): Promise<FrozenCopy[]> {
  const rows = await db()<{ address: string; createdAt: Date; hash: string }[]>`
    select f.address, f.created_at, v.hash from frozen_copy f join version v on v.id = f.version_id
    where f.timeline_id = ${timeline} and f.closed_at is null order by f.created_at desc`;
  return rows.map((r) => ({ ...r, createdAt: r.createdAt.toISOString() }));
}

/**
 * Closes the link of a frozen copy. A copy outlives the deletion of its timeline until its link is closed or the bin is
 * emptied; what was frozen goes for good with the bin.
 */
export async function closeFrozenCopy(
  timeline: string,
  by: string,
  address: string,
): Promise<Failure | { closed: true }> {
  const done = await db()
    .begin(async (tx) => {
      // Its owner can close the copy of a deleted timeline too: it stands on its own.
      if ((await findRight(tx, timeline, by, { deleted: true })) !== "own")
        await requireRight(tx, timeline, by, "edit");
      return tx`
        update frozen_copy set closed_at = now() where address = ${address} and timeline_id = ${timeline} returning address`;
    })
    .catch(refusal);
  if (isFailure(done)) return done;
  return done.length > 0 ? { closed: true } : fail("not_found");
}

export interface FoundCopy {
  timeline: string;
  version: string;
  closed: boolean;
  at: Date;
  hash: string;
  /** How far its class lets what was made in it go; null for what was made in none. */
  limit: Visibility | null;
  classId: string | null;
  school: string | null;
}

/** Whether a person (null: nobody signed in) may see a copy: whoever has the link, as far as its class lets it go. */
export async function canSeeCopy(copy: FoundCopy, account: string | null): Promise<boolean> {
  if (copy.closed) return false;
  if (copy.limit === null || copy.limit === "link" || copy.limit === "everybody") return true;
  if (account === null) return false;
  if (await hasRight(db(), copy.timeline, account, "edit")) return true;
  if (copy.limit !== "only_me" && copy.classId !== null && (await isOfClass(db(), copy.classId, account))) return true;
  return copy.limit === "school" && copy.school !== null && isOfSchool(db(), copy.school, account);
}

/** The version behind a link; null when there never was one. */
export async function findFrozenCopy(address: string): Promise<FoundCopy | null> {
  const [row] = await db()<Omit<FoundCopy, "limit" | "classId" | "school">[]>`
    select f.timeline_id as timeline, f.version_id as version, f.closed_at is not null as closed, v.created_at as at, v.hash
    from frozen_copy f join version v on v.id = f.version_id where f.address = ${address}`;
  if (!row) return null;
  const made = await classOf(db(), row.timeline);
  return { ...row, limit: made?.limit ?? null, classId: made?.id ?? null, school: made?.school ?? null };
}
