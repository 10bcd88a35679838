import "server-only";
import { createHash } from "node:crypto";
import { nanoid } from "nanoid";
import { canonicalJson } from "@/core/text/canonical-json";
import { FROZEN_FORMAT, type Frozen, mediaIn, toFrozen } from "@/core/formats/frozen";
import type { Tx } from "../db/pool";
import { readTimeline } from "./queries";

export interface Version {
  id: string;
  number: number;
  hash: string;
  seq: number;
  frozen: Frozen;
}

/**
 * Makes an immutable version of a timeline as it stands: canonical JSON, its SHA-256, the media it shows and the
 * format's number. The one way for publishing, frozen copies and submissions. Null when the timeline is gone.
 */
export async function freeze(
  tx: Tx,
  timeline: string,
  by: string,
  purpose: "publication" | "frozen_copy" | "submission",
): Promise<Version | null> {
  // The lock keeps changes out between reading and numbering.
  await tx`select from timeline where id = ${timeline} for update`;
  const read = await readTimeline(tx, timeline);
  if (!read) return null;
  const frozen = toFrozen(read.timeline);
  const json = canonicalJson(frozen);
  const hash = createHash("sha256").update(json).digest("hex");
  const id = nanoid(16);
  const [row] = await tx<{ number: number }[]>`
    insert into version (id, timeline_id, number, seq, purpose, format, json, hash, created_by)
    values (${id}, ${timeline}, (select coalesce(max(number), 0) + 1 from version where timeline_id = ${timeline}),
      ${read.seq}, ${purpose}, ${FROZEN_FORMAT}, ${json}, ${hash}, ${by})
    returning number`;
  for (const media of mediaIn(frozen))
    await tx`insert into version_media (version_id, media_id, called) values (${id}, ${media}, ${media})`;
  return { id, number: row!.number, hash, seq: read.seq, frozen };
}
