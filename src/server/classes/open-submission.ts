import "server-only";
import type { Question, Reply } from "@/core/check/own-work";
import type { Frozen } from "@/core/formats/frozen";
import { WORDS } from "@/core/words/marking";
import { db } from "../db/pool";
import { type PassageSeen, passagesSeen } from "./close-wording";
import { type SpokenComment, voiceOf } from "./mark-voice";
import { earlierMarks } from "./mark-history";
import { type GivenOverride, overridesOf } from "./overrides";
import { reviewsOf } from "./peers";
import { questionsOf } from "./questions";
import { repliesTo } from "./replies";
import { asideOf } from "./set-aside";
import type { SubmissionContent } from "./submit";

export interface OpenSubmission {
  id: string;
  assignmentId: string;
  timelineId: string;
  versionId: string;
  content: SubmissionContent;
  members: string[];
  /** What others of the class said of it, and how far they agree. */
  reviews: Awaited<ReturnType<typeof reviewsOf>>;
  /** The names are not shown to those who mark it. */
  hidden: boolean;
  hash: string;
  submittedAt: Date;
  late: number;
  /** Whether the draft has changed since. */
  editedSince: boolean;
  points: number | null;
  comment: string;
  comments: Record<string, string>;
  /** A comment that is spoken. */
  voice: SpokenComment | null;
  /** For each criterion of the rubric the level that was chosen. */
  levels: (number | null)[];
  /** Grows with each save: who saves says which one they have seen. */
  version: number;
  heldUntil: Date | null;
  earlier: { points: number | null; reason: string; at: string }[];
  replies: Reply[];
  questions: Question[];
  /** Wording that is close to other texts, both sides. */
  close: PassageSeen[];
  /** What the group set aside of the ready check, with its reasons. */
  aside: string[];
  /** What the teacher says of a given date instead of what was worked out, by its number. */
  overrides: Record<number, GivenOverride>;
  returnedAt: Date | null;
  toImprove: boolean;
  frozen: Frozen;
  /** What was handed in the time before; null: this is the first. */
  before: Before | null;
}

/** An earlier submission of the same group, with the mark it came back with. */
export interface Before {
  id: string;
  submittedAt: Date;
  points: number | null;
  comment: string;
  comments: Record<string, string>;
  frozen: Frozen;
}

/** A submission for its marking; null when it is not there or was taken back. */
export async function findSubmission(id: string): Promise<OpenSubmission | null> {
  const [row] = await db()<
    {
      id: string;
      assignmentId: string;
      timelineId: string;
      versionId: string;
      content: string;
      members: string[];
      hash: string;
      submittedAt: Date;
      dueAt: Date;
      seq: number;
      now: number;
      json: string;
      points: string | null;
      comment: string | null;
      returnedAt: Date | null;
      toImprove: boolean | null;
      levels: (number | null)[] | null;
      version: number | null;
      heldUntil: Date | null;
      blind: boolean;
    }[]
  >`
    select s.id, g.assignment_id, g.timeline_id, s.version_id, s.content, s.members, s.hash, s.submitted_at, m.levels, m.version,
      m.hold_until as held_until, a.blind,
      greatest(s.due_at, due_of_group(g.id)) as due_at, v.seq, t.seq as now, v.json, m.points, m.comment, m.returned_at, m.to_improve
    from submission s join group_work g on g.id = s.group_id join version v on v.id = s.version_id join timeline t on t.id = g.timeline_id
    join assignment a on a.id = g.assignment_id left join mark m on m.submission_id = s.id
    where s.id = ${id} and s.taken_back_at is null`;
  if (!row) return null;
  const overrides = await overridesOf(id);
  const hidden = row.blind && !row.returnedAt;
  return {
    id: row.id,
    assignmentId: row.assignmentId,
    timelineId: row.timelineId,
    versionId: row.versionId,
    content: JSON.parse(row.content) as SubmissionContent,
    members: hidden ? [WORDS.blindWork] : row.members,
    reviews: await reviewsOf(id, !hidden),
    hidden,
    levels: row.levels ?? [],
    version: row.version ?? 0,
    heldUntil: row.returnedAt ? null : row.heldUntil,
    earlier: await earlierMarks(id),
    replies: await repliesTo(id),
    // Whoever asked is not named before the rest is.
    questions: (await questionsOf(row.timelineId)).map((q) => (hidden ? { ...q, by: WORDS.blindSomebody } : q)),
    close: (await passagesSeen(row.timelineId)).map((p) =>
      hidden && p.otherNames ? { ...p, otherNames: WORDS.blindWork } : p,
    ),
    aside: Object.values(await asideOf(row.timelineId)),
    hash: row.hash,
    submittedAt: row.submittedAt,
    late: Math.max(0, Math.round((row.submittedAt.getTime() - row.dueAt.getTime()) / 1000)),
    editedSince: row.now > row.seq,
    points: row.points === null ? null : Number(row.points),
    comment: row.comment ?? "",
    comments: await commentsOf(id),
    voice: await voiceOf(id),
    overrides,
    returnedAt: row.returnedAt,
    toImprove: row.toImprove ?? false,
    frozen: JSON.parse(row.json) as Frozen,
    before: await findBefore(id),
  };
}

async function commentsOf(submission: string): Promise<Record<string, string>> {
  const rows = await db()<{ eventId: string; text: string }[]>`
    select event_id, text from event_comment where submission_id = ${submission}`;
  return Object.fromEntries(rows.map((c) => [c.eventId, c.text]));
}

async function findBefore(submission: string): Promise<Before | null> {
  const [row] = await db()<
    {
      id: string;
      submittedAt: Date;
      json: string;
      points: string | null;
      comment: string | null;
    }[]
  >`
    select s.id, s.submitted_at, v.json, m.points, m.comment
    from submission s join version v on v.id = s.version_id left join mark m on m.submission_id = s.id
    where s.replaced_by = ${submission} and s.taken_back_at is null`;
  if (!row) return null;
  return {
    id: row.id,
    submittedAt: row.submittedAt,
    points: row.points === null ? null : Number(row.points),
    comment: row.comment ?? "",
    comments: await commentsOf(row.id),
    frozen: JSON.parse(row.json) as Frozen,
  };
}
