import "server-only";
import { type ClosePassage, closeWording, ownWords, type Worded } from "@/core/check/close-wording";
import { blocksOf } from "@/core/text/description";
import { OWN_TEXTS, type Timeline } from "@/core/timeline/timeline";
import { db } from "../db/pool";
import { type Failure, fail, refusal } from "../http/failure";
import { addJob } from "../jobs/queue";
import { requireRight } from "../timelines/access";
import { findTimeline } from "../timelines/queries";
import type { AssignmentOptions } from "./assignment";

/** A passage of a group's own, with how long it is and where it stands; not whose it is like, nor what. */
export interface OwnPassage {
  event: string;
  passage: string;
  words: number;
}

/** The same for a teacher, with the other side. */
export interface PassageSeen extends OwnPassage {
  kind: "classmate" | "text" | "quote";
  /** Whose work the other side is; "" for a text. */
  otherNames: string;
  otherTitle: string;
  other: string;
}

/** The most of an assignment that is kept, the longest first. */
const MOST_KEPT = 2_000;
const MOST_PASSAGE = 4_000;
/** What is compared with, and is nobody's work: not compared with each other. */
const SAID = "said";

/**
 * Looks for wording that is close, among all works of an assignment, the texts that were given with it and the words they quote. What is
 * marked as a quotation in a text is not the group's own wording. Null: there is no such assignment.
 */
export async function findCloseWording(assignment: string): Promise<number | null> {
  const [a] = await db()<
    { texts: AssignmentOptions["texts"] }[]
  >`select texts from assignment where id = ${assignment}`;
  if (!a) return null;
  const works = await db()<{ timeline: string }[]>`
    select g.timeline_id as timeline from group_work g join timeline t on t.id = g.timeline_id
    where g.assignment_id = ${assignment} and t.deleted_at is null`;
  const texts: Worded[] = a.texts.map((t, i) => ({ id: `text ${i}`, group: SAID, text: t.text }));
  for (const { timeline } of works) {
    const found = await findTimeline(timeline);
    if (found) texts.push(...textsOf(timeline, found.timeline));
  }
  const rows = closeWording(texts).flatMap(rowsOf).slice(0, MOST_KEPT);
  await db().begin(async (tx) => {
    await tx`
      insert into close_wording (assignment_id) values (${assignment})
      on conflict (assignment_id) do update set at = now()`;
    await tx`delete from close_passage where assignment_id = ${assignment}`;
    for (const r of rows) await tx`insert into close_passage ${tx({ assignmentId: assignment, ...r })}`;
  });
  return rows.length;
}

function textsOf(timeline: string, t: Timeline): Worded[] {
  const own = (event: string, description: Uint8Array) => ({
    id: `work ${timeline} ${event}`,
    group: timeline,
    text: ownWords(blocksOf(description)),
  });
  const found: Worded[] = OWN_TEXTS.map((name) => own(name, t[name]));
  for (const e of t.events.values()) if (!e.deleted) found.push(own(e.id, e.description));
  for (const i of t.items.values())
    if (!i.deleted && i.list === "source" && i.quote.trim() !== "")
      found.push({ id: `quote ${i.id}`, group: SAID, text: i.quote });
  return found.filter((x) => x.text.trim() !== "");
}

interface Row {
  timelineId: string;
  eventId: string;
  passage: string;
  words: number;
  kind: PassageSeen["kind"];
  otherTimeline: string | null;
  otherEvent: string;
  other: string;
}

/** A passage is a row for each side that is somebody's work. */
function rowsOf(p: ClosePassage): Row[] {
  const sides = [
    { id: p.a, own: p.inA, other: p.b, otherText: p.inB },
    { id: p.b, own: p.inB, other: p.a, otherText: p.inA },
  ];
  return sides.flatMap((s): Row[] => {
    const [what, timeline, event] = s.id.split(" ") as [string, string, string];
    if (what !== "work") return [];
    const [kind, otherTimeline, otherEvent] = s.other.split(" ") as [string, string, string];
    return [
      {
        timelineId: timeline,
        eventId: event,
        passage: s.own.slice(0, MOST_PASSAGE),
        words: p.words,
        kind: kind === "work" ? "classmate" : kind === "quote" ? "quote" : "text",
        otherTimeline: kind === "work" ? otherTimeline : null,
        otherEvent: kind === "work" ? otherEvent : "",
        other: s.otherText.slice(0, MOST_PASSAGE),
      },
    ];
  });
}

/** What a group sees of its own: its passages and where they stand. `at`: when they were last looked for; null: not yet. */
export async function ownPassages(
  timeline: string,
  by: string,
): Promise<Failure | { at: string | null; waiting: boolean; passages: OwnPassage[] }> {
  return db()
    .begin(async (tx) => {
      await requireRight(tx, timeline, by, "edit");
      const [work] = await tx<{ at: Date | null; waiting: boolean }[]>`
        select w.at, exists (
          select from job j where j.kind = 'close_wording' and j.about = g.assignment_id and j.state in ('waiting', 'running')) as waiting
        from group_work g left join close_wording w on w.assignment_id = g.assignment_id where g.timeline_id = ${timeline}`;
      if (!work) return fail("not_found");
      const passages = await tx<OwnPassage[]>`
        select distinct event_id as event, passage, words from close_passage where timeline_id = ${timeline}
        order by words desc, passage limit 100`;
      return { at: work.at?.toISOString() ?? null, waiting: work.waiting, passages: [...passages] };
    })
    .catch(refusal);
}

/** Has wording looked for anew among the works of the assignment a timeline belongs to. Its editors only. */
export async function lookForWording(timeline: string, by: string): Promise<Failure | { asked: true }> {
  return db()
    .begin(async (tx): Promise<Failure | { asked: true }> => {
      await requireRight(tx, timeline, by, "edit");
      const [work] = await tx<
        { id: string }[]
      >`select assignment_id as id from group_work where timeline_id = ${timeline}`;
      if (!work) return fail("not_found");
      await addJob(tx, "close_wording", work.id, { assignment: work.id });
      return { asked: true };
    })
    .catch(refusal);
}

/** What a teacher sees of a work: both sides of every passage, and whose the other is. */
export async function passagesSeen(timeline: string): Promise<PassageSeen[]> {
  return db()<PassageSeen[]>`
    select p.event_id as event, p.passage, p.words, p.kind, p.other,
      coalesce(e.title, '') as other_title,
      coalesce((select string_agg(a.display_name, ', ' order by a.display_name) from group_work g
        join group_member m on m.group_id = g.id join account a on a.id = m.account_id
        where g.timeline_id = p.other_timeline), '') as other_names
    from close_passage p left join event e on e.timeline_id = p.other_timeline and e.id = p.other_event
    where p.timeline_id = ${timeline} order by p.words desc, p.passage limit 100`;
}
