import { nanoid } from "nanoid";
import { beforeAll, describe, expect, it } from "vitest";
import { apply } from "@/core/change/apply";
import type { Change, Op } from "@/core/change/change";
import { seeded, shuffled } from "@/core/classes/random";
import { canonicalJson } from "@/core/text/canonical-json";
import { toFrozen } from "@/core/formats/frozen";
import { INVITED_AS } from "@/core/timeline/roles";
import { emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import { db } from "../db/pool";
import { must } from "../testing/school";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { findRight, RIGHTS, type Right } from "./access";
import { openCall, sendIn, decideSent, waitingIn } from "./calls";
import { comment } from "./comments";
import { join, openInvitation, removeEditor, setRole } from "./invite";
import { addOwnEvent, alterOwnEvent, deleteOwnEvent } from "./own-events";
import { changesAfter, findTimeline } from "./queries";
import { decideSuggestions, suggest } from "./suggestions";
import { takeChange } from "./take-change";

withTestDatabase("roles_by_lot");

const PEOPLE = 6;
const DEEDS = 36;
type Role = "owner" | (typeof INVITED_AS)[number];
const RIGHT: Record<Role, Right> = { owner: "own", editor: "edit", adder: "add", commenter: "comment", reader: "read" };

let people: string[] = [];
beforeAll(async () => {
  people = [];
  for (let i = 0; i < PEOPLE; i++) people.push((await makePerson(`P${i}`)).id);
});

/** A browser of somebody: what it has, up to which number; it may be cut off for a while. */
interface Copy {
  seq: number;
  timeline: Timeline;
  cutOff: boolean;
  /** Sent, and to be sent again: its answer may have been lost. */
  unsure: { change: Change; seq: number }[];
}

/** One history by lot, and what is known of it beside what the server says. */
async function history(seed: number): Promise<void> {
  const random = seeded(seed);
  const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const timeline = await makeTimeline(people[0]!, `Crossings ${seed}`);
  const roles = new Map<string, Role>([[people[0]!, "owner"]]);
  const owner = () => [...roles].find(([, r]) => r === "owner")![0];
  const may = (who: string, right: Right) => {
    const role = roles.get(who);
    return role !== undefined && RIGHTS.indexOf(RIGHT[role]) >= RIGHTS.indexOf(right);
  };
  /** Who added which event as their own; all that there are, deleted ones too. */
  const authors = new Map<string, string>();
  const events: string[] = [];
  /** Acknowledged: the change's number by its id, or null for those the server named itself. */
  const taken = new Map<string, { seq: number; author: string }>();
  let bySelf = 0;
  const begun = (await findTimeline(timeline))!;
  const first = begun.seq;
  const copies = new Map<string, Copy>(
    people.map((p) => [p, { seq: begun.seq, timeline: begun.timeline, cutOff: false, unsure: [] }]),
  );
  const says = (done: object, expected: boolean, what: string) => {
    const failed = "failed" in done ? String(done.failed) : null;
    if ((failed === null) !== expected) throw new Error(`seed ${seed}: ${what} was ${failed ?? "done"}`);
    return failed === null;
  };
  const catchUp = async (who: string) => {
    const copy = copies.get(who)!;
    for (;;) {
      const news = await changesAfter(db(), timeline, copy.seq);
      if (news.length === 0) return;
      for (const c of news) {
        copy.timeline = apply(copy.timeline, c.ops).timeline;
        copy.seq = c.seq;
      }
    }
  };
  const given = () => ({
    when: one(["1604", "spring 1783", "never", ""]),
    title: one(["Ferry", "Flood", "Toll"]),
    text: "",
    category: null,
  });

  const write = async (who: string) => {
    const copy = copies.get(who)!;
    if (!copy.cutOff) await catchUp(who);
    const id = nanoid();
    const ops: Op[] =
      events.length === 0 || random() < 0.4
        ? [{ kind: "add_event", id: id.slice(0, 10), fields: { title: one(["Bridge", "Mill", "Weir"]) } }]
        : random() < 0.2
          ? [{ kind: "delete_event", id: one(events) }]
          : [{ kind: "set_event", id: one(events), field: "title", value: `${one(["Old", "New"])} ${seed}` }];
    const change = { id, author: who, base: copy.seq, ops };
    const done = await takeChange(timeline, change);
    if (!says(done, may(who, "edit"), `a change by ${roles.get(who) ?? "nobody"}`)) return;
    const { seq } = must(done);
    taken.set(id, { seq, author: who });
    if (ops[0]!.kind === "add_event") events.push(ops[0]!.id);
    copy.unsure.push({ change, seq });
  };

  const deeds: Record<string, () => Promise<void>> = {
    async write() {
      await write(one(people));
    },
    async writeMore() {
      for (const who of people) if (may(who, "edit")) await write(who);
    },
    async sendAgain() {
      const who = one(people);
      const sent = copies.get(who)!.unsure;
      if (sent.length === 0) return;
      const { change, seq } = one(sent);
      const done = await takeChange(timeline, change);
      if (says(done, may(who, "edit"), "a change that is sent again")) expect(must(done).seq).toBe(seq);
      // Its number with other content is nobody's.
      const other = { ...change, ops: [{ kind: "add_event" as const, id: nanoid(10), fields: {} }] };
      says(await takeChange(timeline, other), false, "another change with a number that is taken");
    },
    async cutOff() {
      const copy = copies.get(one(people))!;
      copy.cutOff = !copy.cutOff;
    },
    async letIn() {
      const who = one(people);
      if (roles.has(who)) return;
      const role = one(INVITED_AS);
      const { token } = must(await openInvitation(timeline, owner(), true, role));
      must(await join(token, who));
      roles.set(who, role);
    },
    async setRole() {
      const [by, who, role] = [random() < 0.7 ? owner() : one(people), one(people), one(INVITED_AS)];
      const done = await setRole(timeline, by, who, role);
      if (says(done, may(by, "own") && who !== by && roles.has(who), "setting a role")) roles.set(who, role);
    },
    async passOn() {
      const [by, who] = [random() < 0.7 ? owner() : one(people), one(people)];
      const done = await setRole(timeline, by, who, "owner");
      if (!says(done, may(by, "own") && who !== by && roles.get(who) === "editor", "passing it on")) return;
      roles.set(by, "editor");
      roles.set(who, "owner");
    },
    async takeOut() {
      const [by, who] = [random() < 0.6 ? owner() : one(people), one(people)];
      const done = await removeEditor(timeline, by, who);
      const fine = roles.has(who) && roles.get(who) !== "owner" && (by === who || may(by, "own"));
      if (says(done, fine, "taking somebody out")) roles.delete(who);
    },
    async addOwn() {
      const who = one(people);
      const done = await addOwnEvent(timeline, who, given());
      if (!says(done, may(who, "add"), `an event of ${roles.get(who) ?? "nobody"}'s own`)) return;
      const { id } = must(done);
      authors.set(id, who);
      events.push(id);
      bySelf += 1;
    },
    async alterOwn() {
      if (authors.size === 0) return;
      const [who, id] = [one(people), one([...authors.keys()])];
      const now = (await findTimeline(timeline))!.timeline.events.get(id);
      const fine = may(who, "add") && authors.get(id) === who && now !== undefined && !now.deleted;
      const title = `Mine ${random()}`;
      const done =
        random() < 0.7
          ? await alterOwnEvent(timeline, id, who, { ...given(), title })
          : await deleteOwnEvent(timeline, id, who);
      if (says(done, fine, "altering an event that was added")) bySelf += 1;
    },
    async suggest() {
      const who = one(people);
      const done = await suggest(timeline, who, {
        event: "",
        was: { when: "", title: "", text: "", category: null },
        given: { ...given(), title: `Suggested ${random()}` },
        why: "",
      });
      says(done, may(who, "comment"), "a suggestion");
    },
    async decideSuggestion() {
      const [row] = await db()<{ id: string }[]>`select id from suggestion where timeline_id = ${timeline} limit 1`;
      if (!row) return;
      const [who, accept] = [one(people), random() < 0.6];
      const done = await decideSuggestions(timeline, [row.id], who, accept);
      if (says(done, may(who, "edit"), "deciding about a suggestion") && accept) bySelf += 1;
    },
    async call() {
      const by = random() < 0.7 ? owner() : one(people);
      const done = await openCall(timeline, by, { words: "Ferries?", closesAt: null, renew: false });
      if (!says(done, may(by, "own"), "a call for events")) return;
      must(await sendIn(must(done).token, { name: "Kit", when: "1604", title: "Sent in", text: "" }));
    },
    async decideSent() {
      const [row] = await waitingIn(timeline, owner());
      if (!row) return;
      const [who, accept] = [one(people), random() < 0.6];
      const done = await decideSent(timeline, row.id, who, accept);
      if (says(done, may(who, "edit"), "deciding about what was sent in") && accept) bySelf += 1;
    },
    async comment() {
      const who = one(people);
      const said = { event: "", words: "", thread: null, text: "Where from?" };
      says(await comment(timeline, who, said), may(who, "comment"), "a comment");
    },
    // A right ends while its holder writes: it was written before or not at all, and everything is as the server has said.
    async race() {
      const [who] = shuffled(
        [...roles.keys()].filter((p) => roles.get(p) === "editor"),
        random,
      );
      if (!who) return;
      const changes = [1, 2, 3].map(() => ({
        id: nanoid(),
        author: who,
        base: 0,
        ops: [{ kind: "add_event" as const, id: nanoid(10), fields: { title: "At the last moment" } }],
      }));
      const [gone, ...done] = await Promise.all([
        removeEditor(timeline, owner(), who),
        ...changes.map((c) => takeChange(timeline, c)),
      ]);
      must(gone);
      roles.delete(who);
      for (const [i, d] of done.entries()) {
        if ("failed" in d) continue;
        taken.set(changes[i]!.id, { seq: d.seq, author: who });
        events.push(changes[i]!.ops[0]!.id);
      }
    },
  };

  for (let i = 0; i < DEEDS; i++) {
    await deeds[one(Object.keys(deeds))]!();
    if (i % 9 === 0) {
      const [n] = await db()<{ owners: number }[]>`
        select count(*)::int as owners from editor where timeline_id = ${timeline} and role = 'owner'`;
      expect([seed, n!.owners]).toEqual([seed, 1]);
    }
  }

  // Nobody has more than they were given, or less.
  for (const p of people)
    expect([seed, p, await findRight(db(), timeline, p)]).toEqual([
      seed,
      p,
      roles.has(p) ? RIGHT[roles.get(p)!] : null,
    ]);
  // All that was acknowledged is there, once, as whose it was; nothing else is.
  const log: { id: string; seq: number; author: string }[] = [];
  for (let seq = first; ; ) {
    const more = await changesAfter(db(), timeline, seq);
    if (more.length === 0) break;
    log.push(...more);
    seq = more.at(-1)!.seq;
  }
  for (const [id, t] of taken)
    expect(log.filter((c) => c.id === id).map((c) => [c.seq, c.author])).toEqual([[t.seq, t.author]]);
  expect([seed, log.length]).toEqual([seed, taken.size + bySelf]);
  expect(log.map((c) => c.seq)).toEqual(log.map((_, i) => first + 1 + i));
  // Everybody's copy, however long it was cut off, is what the server has.
  const there = canonicalJson(toFrozen((await findTimeline(timeline))!.timeline, true));
  for (const p of people) {
    await catchUp(p);
    expect(canonicalJson(toFrozen(copies.get(p)!.timeline, true)) === there).toBe(true);
  }
  const replayed = (await changesAfter(db(), timeline, 0)).length === 0 ? null : await replay(timeline);
  if (replayed) expect(canonicalJson(toFrozen(replayed, true))).toBe(there);
}

async function replay(timeline: string): Promise<Timeline> {
  let t = emptyTimeline(timeline);
  for (let seq = 0; ; ) {
    const more = await changesAfter(db(), timeline, seq);
    if (more.length === 0) return t;
    for (const c of more) t = apply(t, c.ops).timeline;
    seq = more.at(-1)!.seq;
  }
}

describe("300 histories by lot, with roles that change in between", () => {
  const BLOCK = 30;
  it.each(Array.from({ length: 10 }, (_, i) => i))(
    "nobody's right is exceeded, nothing acknowledged is lost, all are equal (%i)",
    { timeout: 240_000 },
    async (block) => {
      for (let i = 0; i < BLOCK; i++) await history(block * BLOCK + i + 1);
    },
  );
});
