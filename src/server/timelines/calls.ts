import "server-only";
import { nanoid } from "nanoid";
import { readWhen } from "@/core/time/read/read-when";
import { whenLabel } from "@/core/time/write-when";
import { mannerOf, readOptionsOf } from "@/core/timeline/read-options";
import { WORDS } from "@/core/words/calls";
import { classOf } from "../classes/reach";
import { db } from "../db/pool";
import { type Failure, fail, Refused, refusal } from "../http/failure";
import { commentsChanged } from "../live/notify";
import { requireRight } from "./access";
import { stepsFor } from "./own-events";
import { readFields, readTimeline } from "./queries";
import { takeChangeIn } from "./take-change";

/** So many may wait at once: whoever looks at them is one person. */
const MOST_WAITING = 300;

/** A call that is open, or was until its end. */
export interface Call {
  token: string;
  words: string;
  closesAt: Date | null;
}

/** The call of a timeline, and how many events wait; null where there is none. For those who edit it. */
export async function callOf(timeline: string, account: string): Promise<{ call: Call | null; waiting: number }> {
  await requireRight(db(), timeline, account, "edit");
  const [call] = await db()<
    Call[]
  >`select token, words, closes_at from call_for_events where timeline_id = ${timeline}`;
  const [n] = await db()<{ waiting: number }[]>`
    select count(*)::int as waiting from sent_event where timeline_id = ${timeline}`;
  return { call: call ? { ...call } : null, waiting: n!.waiting };
}

/** Opens the call, or says otherwise what is asked for and until when; `renew` makes the old link useless. Owner only. */
export async function openCall(
  timeline: string,
  owner: string,
  asked: { words: string; closesAt: Date | null; renew: boolean },
): Promise<Failure | { token: string }> {
  if (asked.closesAt !== null && asked.closesAt <= new Date()) return fail("end_is_past");
  return db()
    .begin(async (tx) => {
      await requireRight(tx, timeline, owner, "own");
      if (await classOf(tx, timeline)) throw new Refused(fail("group_writes"));
      const [row] = await tx<{ token: string }[]>`
        insert into call_for_events (timeline_id, token, words, closes_at)
        values (${timeline}, ${nanoid(16)}, ${asked.words.trim()}, ${asked.closesAt})
        on conflict (timeline_id) do update set words = excluded.words, closes_at = excluded.closes_at,
          token = case when ${asked.renew} then excluded.token else call_for_events.token end
        returning token`;
      return { token: row!.token };
    })
    .catch(refusal);
}

/** Closes the call; what waits stays to be looked at. Owner only. */
export async function closeCall(timeline: string, owner: string): Promise<Failure | { closed: true }> {
  return db()
    .begin(async (tx): Promise<{ closed: true }> => {
      await requireRight(tx, timeline, owner, "own");
      await tx`delete from call_for_events where timeline_id = ${timeline}`;
      return { closed: true };
    })
    .catch(refusal);
}

/** What a link asks for; null where it was closed or renewed, or its end is over. */
export async function findCall(
  token: string,
): Promise<{ timeline: string; title: string; by: string; words: string } | null> {
  const [row] = await db()<{ timeline: string; title: string; by: string; words: string }[]>`
    select t.id as timeline, t.title, a.display_name as by, c.words from call_for_events c
    join timeline t on t.id = c.timeline_id and t.deleted_at is null
    join editor e on e.timeline_id = t.id and e.role = 'owner' join account a on a.id = e.account_id
    where c.token = ${token} and (c.closes_at is null or c.closes_at > now())`;
  return row ?? null;
}

/** What whoever has the link sends. */
export interface SentIn {
  name: string;
  when: string;
  title: string;
  text: string;
}

/** Takes in what somebody has sent, to wait. */
export async function sendIn(token: string, sent: SentIn): Promise<Failure | { sent: true }> {
  const call = await findCall(token);
  if (!call) return fail("call_over");
  const [name, title] = [sent.name.trim(), sent.title.trim()];
  if (name === "") return fail("sender_missing");
  if (title === "") return fail("event_untitled");
  const [row] = await db()`
    insert into sent_event (id, timeline_id, name, "when", title, text)
    select ${nanoid(12)}, ${call.timeline}, ${name}, ${sent.when.trim()}, ${title}, ${sent.text.trim()}
    where (select count(*) from sent_event where timeline_id = ${call.timeline}) < ${MOST_WAITING} returning id`;
  if (!row) return fail("call_full");
  await commentsChanged(call.timeline);
  return { sent: true };
}

/** Something that waits, and how its date is understood. */
export interface Waiting extends SentIn {
  id: string;
  at: Date;
  understood: string;
  misread: boolean;
}

/** What waits to be looked at, the oldest first. For those who edit. */
export async function waitingIn(timeline: string, account: string): Promise<Waiting[]> {
  await requireRight(db(), timeline, account, "edit");
  const read = await readFields(db(), timeline);
  if (!read) throw new Refused(fail("not_found"));
  const rows = await db()<(SentIn & { id: string; at: Date })[]>`
    select id, name, "when", title, text, at from sent_event where timeline_id = ${timeline} order by at, id`;
  const [options, manner] = [readOptionsOf(read.fields), mannerOf(read.fields)];
  return rows.map((r) => {
    const when = readWhen(r.when, options);
    const misread = when.readAs.kind === "not_understood";
    return { ...r, understood: misread || r.when === "" ? "" : whenLabel(when, manner), misread };
  });
}

/**
 * Takes something that was sent in into the timeline, as a change of whoever accepts it, with the sender's name in the private note; or
 * leaves it out. Once: of two who decide at the same time the second is told that it is gone.
 */
export async function decideSent(
  timeline: string,
  id: string,
  account: string,
  accept: boolean,
): Promise<Failure | { event: string | null }> {
  const done = await db()
    .begin(async (tx): Promise<{ event: string | null }> => {
      await tx`select from timeline where id = ${timeline} for update`;
      await requireRight(tx, timeline, account, "edit");
      const [sent] = await tx<SentIn[]>`
        delete from sent_event where id = ${id} and timeline_id = ${timeline} returning name, "when", title, text`;
      if (!sent) throw new Refused(fail("not_found"));
      if (!accept) return { event: null };
      const event = nanoid(10);
      const { timeline: t } = (await readTimeline(tx, timeline))!;
      const ops = stepsFor(t, event, { ...sent, category: null }, { note: WORDS.sentBy(sent.name) });
      await takeChangeIn(tx, timeline, { id: nanoid(), author: account, base: 0, ops });
      return { event };
    })
    .catch(refusal);
  if (!("failed" in done)) await commentsChanged(timeline);
  return done;
}
