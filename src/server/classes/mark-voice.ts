import "server-only";
import { db } from "../db/pool";
import { type Failure, fail } from "../http/failure";
import { workChanged } from "../live/notify";
import { kindOf } from "../media/kinds";
import { hasRight } from "../timelines/access";
import { findSubmissionRef, watches } from "./submission-ref";

/** A comment that is spoken: how long, seconds, and its words for those who cannot hear it. */
export interface SpokenComment {
  seconds: number;
  spoken: string;
}

/** A voice of five minutes in the forms browsers record has less, bytes. */
export const MOST_VOICE = 4_000_000;
const LONGEST_S = 600;

/** Keeps a spoken comment on a submission, instead of the one there was. Those who teach or assist in the class. */
export async function keepVoice(
  submission: string,
  by: string,
  bytes: Buffer,
  said: SpokenComment,
): Promise<Failure | { kept: true }> {
  const s = await findSubmissionRef(submission);
  if (!s || !(await watches(s.assignmentId, by))) return fail("not_found");
  const kind = await kindOf(bytes);
  if (bytes.length > MOST_VOICE || !kind || kind === "unread" || kind.kind !== "sound") return fail("voice_unread");
  const seconds = Math.min(LONGEST_S, Math.max(0, said.seconds));
  await db()`
    insert into mark_voice (submission_id, bytes, type, seconds, spoken, by_id)
    values (${submission}, ${bytes}, ${kind.type}, ${seconds}, ${said.spoken.trim().slice(0, 4_000)}, ${by})
    on conflict (submission_id) do update set bytes = excluded.bytes, type = excluded.type, seconds = excluded.seconds,
      spoken = excluded.spoken, by_id = excluded.by_id, at = now()`;
  await workChanged(s.timelineId);
  return { kept: true };
}

/** Takes a spoken comment away. */
export async function dropVoice(submission: string, by: string): Promise<Failure | { gone: true }> {
  const s = await findSubmissionRef(submission);
  if (!s || !(await watches(s.assignmentId, by))) return fail("not_found");
  const done = await db()`delete from mark_voice where submission_id = ${submission} returning submission_id`;
  if (done.length === 0) return fail("not_found");
  await workChanged(s.timelineId);
  return { gone: true };
}

/** What is known of the spoken comment on a submission; null: there is none. */
export async function voiceOf(submission: string): Promise<SpokenComment | null> {
  const [row] = await db()<SpokenComment[]>`select seconds, spoken from mark_voice where submission_id = ${submission}`;
  return row ?? null;
}

/** The sound of it: for those who teach or assist, and for its group once the work came back. */
export async function voiceFile(submission: string, account: string): Promise<{ bytes: Buffer; type: string } | null> {
  const s = await findSubmissionRef(submission);
  if (!s) return null;
  const [row] = await db()<{ bytes: Buffer; type: string; returned: boolean }[]>`
    select v.bytes, v.type, exists (select from mark m where m.submission_id = v.submission_id and m.returned_at is not null) as returned
    from mark_voice v where v.submission_id = ${submission}`;
  if (!row) return null;
  const may =
    (await watches(s.assignmentId, account)) || (row.returned && (await hasRight(db(), s.timelineId, account, "edit")));
  return may ? { bytes: row.bytes, type: row.type } : null;
}
