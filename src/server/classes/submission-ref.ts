import "server-only";
import { db } from "../db/pool";
import { WORDS } from "@/core/words/marking";
import { hasRight } from "../timelines/access";
import { findClassRole } from "./class";

/** Whether a person sees what is done in the class an assignment belongs to: its teachers and its assistants. */
export async function watches(assignment: string, account: string): Promise<boolean> {
  const [row] = await db()`select from assignment where id = ${assignment} and watches(class_id, ${account})`;
  return row !== undefined;
}

/** Whether a person teaches the class an assignment belongs to. */
export async function teaches(assignment: string, account: string): Promise<boolean> {
  const [row] = await db()<{ classId: string }[]>`select class_id from assignment where id = ${assignment}`;
  return row !== undefined && (await findClassRole(db(), row.classId, account)) === "teacher";
}

export interface SubmissionRef {
  id: string;
  assignmentId: string;
  timelineId: string;
  versionId: string;
  members: string[];
  submittedAt: Date;
  /** The time zone of its class. */
  zone: string;
  /** Its names are not shown to those who mark it. */
  hidden: boolean;
}

/** Which submission it is, without what was handed in; null when it is not there or was taken back. */
export async function findSubmissionRef(id: string): Promise<SubmissionRef | null> {
  const [row] = await db()<SubmissionRef[]>`
    select s.id, g.assignment_id, g.timeline_id, s.version_id, s.members, s.submitted_at, c.zone,
      a.blind and m.returned_at is null as hidden
    from submission s join group_work g on g.id = s.group_id join assignment a on a.id = g.assignment_id
    join class c on c.id = a.class_id left join mark m on m.submission_id = s.id where s.id = ${id} and s.taken_back_at is null`;
  return row ?? null;
}

/** The names of a submission as somebody may read them: hidden from those who mark it without them. */
export async function namesFor(s: SubmissionRef, account: string): Promise<string> {
  const marks = s.hidden && (await watches(s.assignmentId, account));
  const named =
    (await hasRight(db(), s.timelineId, account, "edit")) || (!marks && !(await readsIt(s.id, account))?.blind);
  return named ? s.members.join(", ") : WORDS.blindWork;
}

/**
 * Whether a person may see what was handed in: its group, those who teach or assist in the
 * class, those who were given it to read, and the class where it is shown to it.
 */
export async function maySeeSubmission(s: SubmissionRef, account: string): Promise<boolean> {
  return (
    (await watches(s.assignmentId, account)) ||
    (await hasRight(db(), s.timelineId, account, "edit")) ||
    (await isShownTo(s.id, account)) ||
    (await readsIt(s.id, account)) !== null
  );
}

/** How a person was given this work to read; null: they were not. */
async function readsIt(submission: string, account: string): Promise<{ blind: boolean } | null> {
  const [row] = await db()<{ blind: boolean }[]>`
    select p.blind from peer_review p join assignment a on a.id = p.assignment_id
    join class_member m on m.class_id = a.class_id and m.account_id = p.account_id
    where p.submission_id = ${submission} and p.account_id = ${account}`;
  return row ?? null;
}

/** Whether a work is shown to a person as a student: in the gallery of the class, or with all that was handed in. */
async function isShownTo(submission: string, account: string): Promise<boolean> {
  const [row] = await db()`
    select from gallery g join assignment a on a.id = g.assignment_id
    join class_member m on m.class_id = a.class_id and m.account_id = ${account}
    join submission s on s.id = g.submission_id and s.taken_back_at is null where g.submission_id = ${submission}
    union all
    select from current_submission s join group_work w on w.id = s.group_id
    where s.id = ${submission} and sees_works(w.assignment_id, ${account})`;
  return row !== undefined;
}
