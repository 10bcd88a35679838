import "server-only";
import { nanoid } from "nanoid";
import type { Op } from "@/core/change/change";
import { toBase64 } from "@/core/text/base64";
import { blocksOf, plainTextOf } from "@/core/text/description";
import { rewriteDescription } from "@/core/text/replace-words";
import { descriptionFrom } from "@/core/text/write-description";
import { readWhen } from "@/core/time/read/read-when";
import { whenLabel } from "@/core/time/write-when";
import { rowsOf } from "@/core/timeline/order";
import { mannerOf, readOptionsFor } from "@/core/timeline/read-options";
import { categoriesOf, type Timeline } from "@/core/timeline/timeline";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, Refused, refusal } from "../http/failure";
import { requireRight } from "./access";
import { readTimeline } from "./queries";
import { takeChangeIn } from "./take-change";

/** What somebody says of an event of theirs. `category`: the id of one of the timeline's, or null. */
export interface GivenEvent {
  when: string;
  title: string;
  text: string;
  category: string | null;
}

/** An event somebody has added, as it stands. */
export interface OwnEvent extends GivenEvent {
  id: string;
  /** How its date is understood, as the timeline writes dates. */
  understood: string;
  /** What was typed as its date could not be understood; it is kept as it was typed. */
  misread: boolean;
}

/** What a person has added to a timeline of others and is there still, in its order, and the categories there are. */
export async function ownEventsOf(
  timeline: string,
  account: string,
): Promise<{ events: OwnEvent[]; categories: { id: string; name: string }[] }> {
  return db().begin(async (tx) => {
    await requireRight(tx, timeline, account, "add");
    const { timeline: t } = (await readTimeline(tx, timeline))!;
    const rows = await tx<{ id: string }[]>`
      select id from event where timeline_id = ${timeline} and author_id = ${account} and not deleted`;
    const own = new Set(rows.map((r) => r.id));
    const manner = mannerOf(t);
    return {
      events: rowsOf(t.events).flatMap((e) =>
        own.has(e.id)
          ? [
              {
                id: e.id,
                when: e.when.typed,
                understood: whenLabel(e.when, manner),
                misread: e.when.readAs.kind === "not_understood",
                title: e.title,
                text: plainTextOf(blocksOf(e.description)),
                category: e.category,
              },
            ]
          : [],
      ),
      categories: categoriesOf(t).map((c) => ({ id: c.id, name: c.name })),
    };
  });
}

/** Adds an event to a timeline of others. It counts as their change, and is theirs to alter from then on. */
export async function addOwnEvent(
  timeline: string,
  account: string,
  given: GivenEvent,
): Promise<Failure | { id: string }> {
  const id = nanoid(10);
  return altering(timeline, account, async (tx, t) => {
    await take(tx, timeline, account, stepsFor(t, id, { ...given, title: titleOf(given) }));
    await tx`update event set author_id = ${account} where timeline_id = ${timeline} and id = ${id}`;
    return { id };
  });
}

/** The steps that make an event of what somebody says of it. `more`: further fields. */
export function stepsFor(t: Timeline, id: string, given: GivenEvent, more: { note?: string } = {}): Op[] {
  const typed = given.when.trim();
  const when = typed === "" ? {} : { when: readWhen(typed, readOptionsFor(t)) };
  const fields = { title: given.title, category: categoryIn(t, given.category), ...when, ...more };
  const words = paragraphs(given.text);
  return [
    { kind: "add_event", id, fields },
    ...(words.length > 0
      ? [{ kind: "describe" as const, of: id, update: toBase64(descriptionFrom(words, writer())) }]
      : []),
  ];
}

/** An event in the words of the form that says it; null where there is none. */
export function eventAsSaid(t: Timeline, id: string): GivenEvent | null {
  const e = t.events.get(id);
  if (!e || e.deleted) return null;
  return { when: e.when.typed, title: e.title, text: plainTextOf(blocksOf(e.description)), category: e.category };
}

/** The steps that make an event what is said of it, where that is otherwise than it was said before: the rest is as it stands now. */
export function stepsToAlter(t: Timeline, id: string, was: GivenEvent, given: GivenEvent): Op[] {
  const e = t.events.get(id)!;
  const ops: Op[] = [];
  if (given.title !== was.title) ops.push({ kind: "set_event", id, field: "title", value: given.title });
  if (given.when.trim() !== was.when.trim())
    ops.push({ kind: "set_event", id, field: "when", value: readWhen(given.when.trim(), readOptionsFor(t, id)) });
  const category = categoryIn(t, given.category);
  if (category !== was.category) ops.push({ kind: "set_event", id, field: "category", value: category });
  if (given.text.trim() !== was.text.trim()) {
    const update = rewriteDescription(e.description, descriptionFrom(paragraphs(given.text), writer()));
    if (update) ops.push({ kind: "describe", of: id, update });
  }
  return ops;
}

/** Writes an event of one's own otherwise; what is as it was stays untouched, formatting that others gave its text too. */
export async function alterOwnEvent(
  timeline: string,
  id: string,
  account: string,
  given: GivenEvent,
): Promise<Failure | { id: string }> {
  return altering(timeline, account, async (tx, t) => {
    await requireOwn(tx, timeline, id, account);
    const now = eventAsSaid(t, id)!;
    const ops = stepsToAlter(t, id, now, { ...given, title: titleOf(given) });
    if (ops.length > 0) await take(tx, timeline, account, ops);
    return { id };
  });
}

/** Deletes an event of one's own; it lies in the bin of the timeline. */
export async function deleteOwnEvent(timeline: string, id: string, account: string): Promise<Failure | { id: string }> {
  return altering(timeline, account, async (tx) => {
    await requireOwn(tx, timeline, id, account);
    await take(tx, timeline, account, [{ kind: "delete_event", id }]);
    return { id };
  });
}

async function altering<T>(
  timeline: string,
  account: string,
  alter: (tx: Tx, t: Timeline) => Promise<T>,
): Promise<Failure | T> {
  return db()
    .begin(async (tx) => {
      // The change locks it too: what is read here is what it is made on.
      await tx`select from timeline where id = ${timeline} for update`;
      await requireRight(tx, timeline, account, "add");
      return alter(tx, (await readTimeline(tx, timeline))!.timeline);
    })
    .catch(refusal) as Promise<Failure | T>;
}

const take = (tx: Tx, timeline: string, author: string, ops: Op[]) =>
  takeChangeIn(tx, timeline, { id: nanoid(), author, base: 0, ops }, "add");

async function requireOwn(tx: Tx, timeline: string, id: string, account: string): Promise<void> {
  const [own] = await tx`
    select from event where timeline_id = ${timeline} and id = ${id} and author_id = ${account} and not deleted`;
  if (!own) throw new Refused(fail("not_found"));
}

function titleOf(given: GivenEvent): string {
  const title = given.title.trim();
  if (title === "") throw new Refused(fail("event_untitled"));
  return title;
}

const categoryIn = (t: Timeline, id: string | null) =>
  id !== null && t.categories.get(id)?.deleted === false ? id : null;
const paragraphs = (text: string) =>
  text
    .trim()
    .split(/\n+/)
    .map((p) => p.trim())
    .filter(Boolean);
/** Yjs tells writers apart by a number; each of these writes once. */
const writer = () => Math.floor(Math.random() * 0xffff_ffff);
