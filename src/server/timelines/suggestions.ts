import "server-only";
import { WORDS as NOTICES } from "@/core/words/notices";
import { tellPeople } from "../accounts/notices";
import { nanoid } from "nanoid";
import { whenLabel } from "@/core/time/write-when";
import { readWhen } from "@/core/time/read/read-when";
import { mannerOf, readOptionsFor } from "@/core/timeline/read-options";
import { categoriesOf, type Timeline } from "@/core/timeline/timeline";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, Refused, refusal } from "../http/failure";
import { commentsChanged } from "../live/notify";
import { findRight, holds, requireRight } from "./access";
import { eventAsSaid, type GivenEvent, stepsFor, stepsToAlter } from "./own-events";
import { readTimeline } from "./queries";
import { takeChangeIn } from "./take-change";

/** So many may wait at once. */
const MOST_WAITING = 500;

const FIELDS = ["when", "title", "text", "category"] as const;

/** What is suggested of one field; categories by their names. */
export interface Suggested {
  field: (typeof FIELDS)[number];
  was: string;
  given: string;
}

/** A change that waits to be accepted. */
export interface Suggestion {
  id: string;
  /** "" for a new event. */
  event: string;
  by: string;
  mine: boolean;
  why: string;
  at: string;
  /** The title of the event as it stands; of a new one as it is suggested. */
  title: string;
  changes: Suggested[];
  /** The event was deleted since: it can only be refused. */
  gone: boolean;
}

/**
 * What is suggested for a timeline and waits, the oldest first: to those who edit all of it, to others what they have suggested. `event`:
 * how one stands now, to suggest a change of it.
 */
export async function suggestionsOf(
  timeline: string,
  account: string,
  event: string | null,
): Promise<{
  suggestions: Suggestion[];
  current: GivenEvent | null;
  categories: { id: string; name: string }[];
  decides: boolean;
}> {
  return db().begin(async (tx) => {
    const right = await findRight(tx, timeline, account);
    if (!holds(right, "comment")) throw new Refused(fail("not_found"));
    const decides = holds(right, "edit");
    const rows = await tx<
      {
        id: string;
        event: string;
        by: string;
        account: string;
        why: string;
        at: Date;
        was: GivenEvent;
        given: GivenEvent;
      }[]
    >`
      select s.id, s.event_id as event, a.display_name as by, s.account_id as account, s.why, s.at, s.was, s.given
      from suggestion s join account a on a.id = s.account_id
      where s.timeline_id = ${timeline} and (${decides} or s.account_id = ${account}) order by s.at, s.id`;
    // Whoever decides asks often, and mostly nothing waits: then the timeline is not read.
    if (decides && rows.length === 0 && event === null)
      return { suggestions: [], current: null, categories: [], decides };
    const { timeline: t } = (await readTimeline(tx, timeline))!;
    return {
      suggestions: rows.map((r) => {
        const now = r.event === "" ? null : eventAsSaid(t, r.event);
        return {
          id: r.id,
          event: r.event,
          by: r.by,
          mine: r.account === account,
          why: r.why,
          at: r.at.toISOString(),
          title: now?.title || r.given.title || r.was.title,
          changes: changesIn(t, r.was, r.given),
          gone: r.event !== "" && now === null,
        };
      }),
      current: event === null ? null : eventAsSaid(t, event),
      categories: categoriesOf(t).map((c) => ({ id: c.id, name: c.name })),
      decides,
    };
  });
}

function changesIn(t: Timeline, was: GivenEvent, given: GivenEvent): Suggested[] {
  const manner = mannerOf(t);
  const said = (field: Suggested["field"], of: GivenEvent): string => {
    if (field === "category") return t.categories.get(of.category ?? "")?.name ?? "";
    if (field !== "when" || of.when === "") return of[field];
    const when = readWhen(of.when, readOptionsFor(t));
    return when.readAs.kind === "not_understood" ? of.when : whenLabel(when, manner);
  };
  return FIELDS.filter((f) => (was[f] ?? "") !== (given[f] ?? "")).map((field) => ({
    field,
    was: said(field, was),
    given: said(field, given),
  }));
}

/** Suggests what an event be, or a new one. `was`: how it was seen; what is as it was is not suggested. */
export async function suggest(
  timeline: string,
  account: string,
  said: { event: string; was: GivenEvent; given: GivenEvent; why: string },
): Promise<Failure | { id: string }> {
  if (said.given.title.trim() === "") return fail("event_untitled");
  const trimmed = (g: GivenEvent) => ({ ...g, when: g.when.trim(), title: g.title.trim(), text: g.text.trim() });
  const [was, given] = [trimmed(said.was), trimmed(said.given)];
  if (FIELDS.every((f) => was[f] === given[f])) return fail("nothing_suggested");
  return altering(timeline, account, "comment", async (tx) => {
    if (said.event !== "") {
      const [there] = await tx`
        select from event where timeline_id = ${timeline} and id = ${said.event} and not deleted`;
      if (!there) throw new Refused(fail("event_gone"));
    }
    const [n] = await tx<{ n: number }[]>`
      select count(*)::int as n from suggestion where timeline_id = ${timeline}`;
    if (n!.n >= MOST_WAITING) throw new Refused(fail("remarks_full"));
    const id = nanoid(12);
    await tx`
      insert into suggestion (id, timeline_id, event_id, account_id, was, given, why)
      values (${id}, ${timeline}, ${said.event}, ${account}, ${tx.json(was as never)}, ${tx.json(given as never)}, ${said.why.trim()})`;
    return { id };
  });
}

/** Takes back what one has suggested. */
export async function takeBackSuggestion(
  timeline: string,
  id: string,
  account: string,
): Promise<Failure | { done: true }> {
  return altering(timeline, account, "comment", async (tx) => {
    const gone = await tx`
      delete from suggestion where id = ${id} and timeline_id = ${timeline} and account_id = ${account} returning id`;
    if (gone.length === 0) throw new Refused(fail("not_found"));
    return { done: true };
  });
}

/**
 * Accepts suggestions, each as a change of whoever accepts it: field by field, so that what others changed since and is not suggested
 * stays; or refuses them. Who suggested it is told. One to an event that was deleted is refused only. Gives how many were accepted.
 */
export async function decideSuggestions(
  timeline: string,
  ids: readonly string[],
  account: string,
  accept: boolean,
): Promise<Failure | { accepted: number; refused: number }> {
  return altering(timeline, account, "edit", async (tx) => {
    const rows = await tx<{ id: string; event: string; account: string; was: GivenEvent; given: GivenEvent }[]>`
      delete from suggestion where timeline_id = ${timeline} and id = any(${[...ids]})
      returning id, event_id as event, account_id as account, was, given`;
    if (rows.length === 0) throw new Refused(fail("not_found"));
    const [about] = await tx<{ by: string; title: string }[]>`
      select a.display_name as by, t.title from account a, timeline t where a.id = ${account} and t.id = ${timeline}`;
    const order = new Map(ids.map((id, i) => [id, i]));
    let accepted = 0;
    for (const r of [...rows].sort((a, b) => order.get(a.id)! - order.get(b.id)!)) {
      if (accept) {
        const { timeline: t } = (await readTimeline(tx, timeline))!;
        if (r.event !== "" && !eventAsSaid(t, r.event)) throw new Refused(fail("event_gone"));
        const ops = r.event === "" ? stepsFor(t, nanoid(10), r.given) : stepsToAlter(t, r.event, r.was, r.given);
        if (ops.length > 0) await takeChangeIn(tx, timeline, { id: nanoid(), author: account, base: 0, ops });
        accepted += 1;
      }
      if (r.account !== account)
        await tellPeople(tx, "suggestion", [r.account], () =>
          (accept ? NOTICES.tookIn : NOTICES.leftOut)(about!.by, r.given.title, about!.title),
        );
    }
    return { accepted, refused: rows.length - accepted };
  });
}

async function altering<T extends object>(
  timeline: string,
  account: string,
  right: "comment" | "edit",
  alter: (tx: Tx) => Promise<T>,
): Promise<Failure | T> {
  const done = (await db()
    .begin(async (tx) => {
      await tx`select from timeline where id = ${timeline} for update`;
      await requireRight(tx, timeline, account, right);
      return alter(tx);
    })
    .catch(refusal)) as Failure | T;
  if (!("failed" in done)) await commentsChanged(timeline);
  return done;
}
