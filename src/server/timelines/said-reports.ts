// What others said and somebody reports: comments, suggestions, and what was sent in.
import "server-only";
import { tellPeople } from "../accounts/notices";
import { nanoid } from "nanoid";
import { WORDS } from "@/core/words/reports";
import { watchersOf } from "../classes/reach";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, isFailure, refusal } from "../http/failure";
import { commentsChanged } from "../live/notify";
import { isOperator, type Reason } from "../publishing/reports";
import { requireRight } from "./access";

export const SAID_KINDS = ["comment", "suggestion", "sent"] as const;
export type SaidKind = (typeof SAID_KINDS)[number];
/** More of one timeline say nothing new. */
const MOST_WAITING = 50;
const MOST_WORDS = 2_000;
const IN_NOTICE = 200;

interface Quoted {
  text: string;
  by: string;
  account: string | null;
}

/** What was said, as it stands; null when it is not there. */
async function quote(tx: Tx, timeline: string, kind: SaidKind, thing: string): Promise<Quoted | null> {
  const [row] =
    kind === "comment"
      ? await tx<Quoted[]>`
          select c.text, a.display_name as by, a.id as account from comment c join account a on a.id = c.account_id
          where c.id = ${thing} and c.timeline_id = ${timeline}`
      : kind === "suggestion"
        ? await tx<Quoted[]>`
            select concat_ws(' – ', s.given ->> 'when', s.given ->> 'title', nullif(s.given ->> 'text', ''), nullif(s.why, '')) as text,
              a.display_name as by, a.id as account from suggestion s join account a on a.id = s.account_id
            where s.id = ${thing} and s.timeline_id = ${timeline}`
        : await tx<Quoted[]>`
            select concat_ws(' – ', nullif("when", ''), title, nullif(text, '')) as text, name as by, null as account
            from sent_event where id = ${thing} and timeline_id = ${timeline}`;
  return row ?? null;
}

/** Reports what somebody else said, with a reason. Of work for a class its teachers are told; else it waits for whoever keeps the site. */
export async function reportSaid(
  timeline: string,
  account: string,
  what: { kind: SaidKind; thing: string; reason: Reason; words: string },
): Promise<Failure | { to: "teachers" | "site" }> {
  const words = what.words.trim().slice(0, MOST_WORDS);
  if (words === "") return fail("report_empty");
  return db()
    .begin(async (tx): Promise<Failure | { to: "teachers" | "site" }> => {
      // What is sent in is seen by those who edit alone.
      await requireRight(tx, timeline, account, what.kind === "sent" ? "edit" : "comment");
      const said = await quote(tx, timeline, what.kind, what.thing);
      if (!said) return fail("not_found");
      if (said.account === account) return fail("own_words");
      const teachers = (await watchersOf(tx, timeline)).filter((t) => t !== account && t !== said.account);
      const to = teachers.length > 0 ? "teachers" : "site";
      const kept = await tx`
        insert into said_report (id, timeline_id, kind, thing, text, said_by, reason, words, account_id, decided_at)
        select ${nanoid(12)}, ${timeline}, ${what.kind}, ${what.thing}, ${said.text}, ${said.by}, ${what.reason}, ${words}, ${account},
          ${to === "teachers" ? new Date() : null}
        where (select count(*) from said_report r where r.timeline_id = ${timeline} and r.decided_at is null) < ${MOST_WAITING}
        on conflict (kind, thing, account_id) do nothing returning id`;
      // Who says it twice has said it.
      if (kept.length === 0 || to === "site") return { to };
      const [about] = await tx<{ by: string; title: string }[]>`
        select a.display_name as by, t.title from account a, timeline t where a.id = ${account} and t.id = ${timeline}`;
      await tellPeople(tx, "class", teachers, () =>
        WORDS.toTeacher(
          about!.by,
          said.by,
          about!.title,
          said.text.slice(0, IN_NOTICE),
          WORDS.reasons[what.reason],
          words.slice(0, IN_NOTICE),
        ),
      );
      return { to };
    })
    .catch(refusal);
}

export interface SaidReport {
  id: string;
  title: string;
  kind: SaidKind;
  text: string;
  saidBy: string;
  reason: Reason;
  words: string;
  at: Date;
  /** Whether it stands there still. */
  there: boolean;
}

/** What waits for those who keep the site, the longest waiting first. */
export async function saidReports(): Promise<SaidReport[]> {
  return db()<SaidReport[]>`
    select r.id, t.title, r.kind, r.text, r.said_by, r.reason, r.words, r.at,
      case r.kind when 'comment' then exists (select from comment c where c.id = r.thing)
        when 'suggestion' then exists (select from suggestion s where s.id = r.thing)
        else exists (select from sent_event e where e.id = r.thing) end as there
    from said_report r join timeline t on t.id = r.timeline_id
    where r.decided_at is null order by r.at, r.id limit 200`;
}

/** Takes away what was reported, or leaves it, by somebody who keeps the site; all that was reported of it is done with. */
export async function decideSaid(id: string, by: string, remove: boolean): Promise<Failure | { removed: boolean }> {
  if (!(await isOperator(by))) return fail("operator_only");
  const done = await db().begin(async (tx): Promise<Failure | { removed: boolean; timeline: string }> => {
    const [row] = await tx<{ timelineId: string; kind: SaidKind; thing: string }[]>`
      select timeline_id, kind, thing from said_report where id = ${id} for update`;
    if (!row) return fail("not_found");
    const table = { comment: "comment", suggestion: "suggestion", sent: "sent_event" }[row.kind];
    if (remove) await tx`delete from ${tx(table)} where id = ${row.thing} and timeline_id = ${row.timelineId}`;
    await tx`
      update said_report set decided_at = now() where kind = ${row.kind} and thing = ${row.thing} and decided_at is null`;
    return { removed: remove, timeline: row.timelineId };
  });
  if (isFailure(done)) return done;
  if (remove) await commentsChanged(done.timeline);
  return { removed: remove };
}
