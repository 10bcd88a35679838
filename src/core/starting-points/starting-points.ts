import { bringIn } from "../bring-in/bring-in";
import { putTogether } from "../bring-in/put-together";
import { apply } from "../change/apply";
import type { Op } from "../change/change";
import { language } from "../language/spoken";
import { emptyTimeline, type Timeline, type TimelineEvent } from "../timeline/timeline";
import { STARTING_POINTS as ENGLISH } from "../words/en/starting-points";
import { STARTING_POINTS } from "../words/starting-points";

export type StartingPoint = (typeof STARTING_POINTS)[number];

export const startingPoint = (id: string): StartingPoint | null => STARTING_POINTS.find((p) => p.id === id) ?? null;

const USES = ["when", "title", "category", "partOf", "description"] as const;
/** By what an event that is an example is known: which starting point, which of its rows, and a stamp of what stood there as it came. */
const EXAMPLE = /^example\/([a-z]+)\/(\d+)(?:\/([0-9a-z]+))?$/;
/** Descriptions of examples are one writer's. */
const WRITER = 1;

/** Tells whether a date and a title are as they came, in whatever language that was (FNV-1a, 32 bits). */
function stampOf(typed: string, title: string): string {
  let hash = 0x811c9dc5;
  for (const c of `${typed}\n${title}`) hash = Math.imul(hash ^ c.codePointAt(0)!, 0x01000193);
  return (hash >>> 0).toString(36);
}

/** The steps that begin a timeline with a starting point: its categories, and its events as examples. */
export function beginWith(point: StartingPoint, newId: () => string): Op[] {
  const { rows } = putTogether(point.rows, false, USES, {});
  const marked = rows.map((r) => ({
    ...r,
    origin: `example/${point.id}/${r.number}/${stampOf(point.rows[r.number - 1]![0], point.rows[r.number - 1]![1])}`,
  }));
  // A day of hours is one from its first time on; read before, a time alone has no day.
  const steps = bringIn(emptyTimeline("new"), marked, { newId, client: WRITER });
  let step = steps.next();
  while (!step.done) step = steps.next();
  if ("tooLong" in step.value) throw new Error(`the starting point ${point.id} does not fit`);
  return step.value.ops;
}

/** A starting point as a timeline, to be looked at: in the language spoken, as what is begun with it is. */
export function pointTimeline(point: StartingPoint): Timeline {
  let made = 0;
  const t = apply(
    emptyTimeline(point.id),
    beginWith(point, () => `n${++made}`),
  ).timeline;
  return { ...t, title: point.title, subject: point.subject, language: language() };
}

/** Events that are examples still as they came: what somebody has written in is theirs. */
export function untouchedExamples(t: Timeline): TimelineEvent[] {
  return [...t.events.values()].filter((e) => {
    const at = e.deleted ? null : EXAMPLE.exec(e.origin);
    if (at?.[3]) return at[3] === stampOf(e.when.typed, e.title);
    // Begun before there were stamps: in English.
    const row = at && ENGLISH.find((p) => p.id === at[1])?.rows[Number(at[2]) - 1];
    return row && row[0] === e.when.typed && row[1] === e.title;
  });
}

/** The steps that take the examples away; those somebody has written in stay, as their own. */
export function withoutExamples(t: Timeline): Op[] {
  const gone = new Set(untouchedExamples(t).map((e) => e.id));
  return [...t.events.values()].flatMap((e): Op[] => {
    if (e.deleted || !EXAMPLE.test(e.origin)) return [];
    return gone.has(e.id)
      ? [{ kind: "delete_event", id: e.id }]
      : [{ kind: "set_event", id: e.id, field: "origin", value: "" }];
  });
}

/** The steps after which they are examples no longer. */
export function keepExamples(t: Timeline): Op[] {
  return [...t.events.values()].flatMap((e): Op[] =>
    !e.deleted && EXAMPLE.test(e.origin) ? [{ kind: "set_event", id: e.id, field: "origin", value: "" }] : [],
  );
}
