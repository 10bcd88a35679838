import fc from "fast-check";
import { nanoid } from "nanoid";
import { describe, expect, it } from "vitest";
import { apply } from "@/core/change/apply";
import type { Change, Op } from "@/core/change/change";
import { readWhen } from "@/core/time/read/read-when";
import { toBase64 } from "@/core/text/base64";
import { blocksOf, plainTextOf } from "@/core/text/description";
import { descriptionFrom } from "@/core/text/write-description";
import { emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import { timelineFromFrozen, toFrozen } from "@/core/formats/frozen";
import { wholesOf } from "@/core/timeline/parts";
import { problems } from "@/core/timeline/problems";
import { db } from "../db/pool";
import { isFailure } from "../http/failure";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { readChange } from "./change-schema";
import { join, openInvitation, removeEditor } from "./invite";
import { changesAfter, findTimeline, historyOf } from "./queries";
import { takeChange } from "./take-change";

withTestDatabase("take_change");

const change = (author: string, ops: Op[], base = 0, id = nanoid()): Change => ({ id, author, base, ops });
const add = (id: string, title = ""): Op => ({ kind: "add_event", id, fields: { title } });
const setTitle = (id: string, value: string, onlyIf?: string): Op => ({
  kind: "set_event",
  id,
  field: "title",
  value,
  ...(onlyIf === undefined ? {} : { onlyIf }),
});

async function must(timeline: string, c: Change) {
  const taken = await takeChange(timeline, c);
  if (isFailure(taken)) throw new Error(taken.failed);
  return taken;
}

describe("a change", () => {
  it("gets the next number and everything since its base", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id);
    await must(t, change(nia.id, [add("e1", "Ferry")], 1));
    const taken = await must(t, change(nia.id, [setTitle("e1", "Rope ferry")], 1));
    expect(taken.seq).toBe(3);
    expect(taken.changes.map((c) => c.seq)).toEqual([2, 3]);
    expect((await findTimeline(t))!.timeline.events.get("e1")!.title).toBe("Rope ferry");
  });

  it("sent again gets its first answer and is done once", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id);
    const c = change(nia.id, [add("e1", "Ferry")], 1);
    const first = await must(t, c);
    await must(t, change(nia.id, [setTitle("e1", "Boat")], 2));
    expect((await must(t, c)).seq).toBe(first.seq);
    expect((await findTimeline(t))!.timeline.events.get("e1")!.title).toBe("Boat");
    expect(await changesAfter(db(), t, 0)).toHaveLength(3);
  });

  it("with the same id and other content, or another author, is refused", async () => {
    const [nia, obi] = [await makePerson(), await makePerson("Obi")];
    const t = await makeTimeline(nia.id);
    const invited = await openInvitation(t, nia.id, false);
    if (isFailure(invited)) throw new Error(invited.failed);
    await join(invited.token, obi.id);
    const c = change(nia.id, [add("e1", "Ferry")], 1);
    await must(t, c);
    expect(await takeChange(t, { ...c, ops: [add("e1", "Boat")] })).toMatchObject({ failed: "change_taken" });
    expect(await takeChange(t, { ...c, author: obi.id })).toMatchObject({ failed: "change_taken" });
  });

  it("to somebody else's timeline, and to one whose right was lost, is not found", async () => {
    const [nia, obi] = [await makePerson(), await makePerson("Obi")];
    const t = await makeTimeline(nia.id);
    expect(await takeChange(t, change(obi.id, [add("e1")]))).toMatchObject({ failed: "not_found" });
    const invited = await openInvitation(t, nia.id, false);
    if (isFailure(invited)) throw new Error(invited.failed);
    await join(invited.token, obi.id);
    await must(t, change(obi.id, [add("e1")]));
    await removeEditor(t, nia.id, obi.id);
    expect(await takeChange(t, change(obi.id, [add("e2")]))).toMatchObject({ failed: "not_found" });
  });

  it("logs the value it replaced and leaves out an undo of what someone else changed", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id);
    await must(t, change(nia.id, [add("e1", "Ferry")], 1));
    await must(t, change(nia.id, [setTitle("e1", "Boat")], 2));
    await must(t, change(nia.id, [setTitle("e1", "Ferry", "Raft")], 3));
    expect((await findTimeline(t))!.timeline.events.get("e1")!.title).toBe("Boat");
    const rows = await historyOf(t, 99, 2);
    expect(rows.map((r) => r.was)).toEqual([[{ skipped: "changed_since" }], [{ value: "Ferry" }]]);
  });

  it("that does not fit is refused whole, with a sentence, and changes nothing", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id);
    const long = await takeChange(t, change(nia.id, [add("e1"), setTitle("e1", "x".repeat(1_000_000))], 1));
    expect(long).toMatchObject({
      failed: "text_long",
      detail: expect.stringContaining("1,000,000 characters; 300 fit"),
    });
    expect(
      await takeChange(
        t,
        change(nia.id, [add("e1"), { kind: "describe", of: "e1", update: toBase64(new Uint8Array([9, 9, 9])) }], 1),
      ),
    ).toMatchObject({ failed: "not_an_update" });
    expect((await findTimeline(t))!.seq).toBe(1);
    expect((await findTimeline(t))!.timeline.events.size).toBe(0);
  });

  it("may attach media of its own timeline only", async () => {
    const [nia, obi] = [await makePerson(), await makePerson("Obi")];
    const [t, other] = [await makeTimeline(nia.id), await makeTimeline(obi.id)];
    await db()`insert into media (id, timeline_id, kind, name, created_by) values ('theirs', ${other}, 'picture', 'x', ${obi.id})`;
    const steal: Op = {
      kind: "add_item",
      id: "i1",
      fields: { of: "timeline", list: "media", media: "theirs", kind: "picture" },
    };
    expect(await takeChange(t, change(nia.id, [steal], 1))).toMatchObject({ failed: "no_such_media" });
    // Nor may a file of another timeline, of another kind or none be put in the place of one's own.
    await db()`insert into media (id, timeline_id, kind, name, created_by) values ('own', ${t}, 'picture', 'x', ${nia.id}), ('part', ${t}, 'picture', 'x', ${nia.id}), ('film', ${t}, 'video', 'x', ${nia.id})`;
    const add: Op = { ...steal, fields: { ...steal.fields, media: "own" } };
    expect(await takeChange(t, change(nia.id, [add], 1))).not.toHaveProperty("failed");
    const exchange = (media: string | null) =>
      takeChange(t, change(nia.id, [{ kind: "set_item", id: "i1", field: "media", value: media }], 2));
    for (const media of ["theirs", "film", "nowhere", null])
      expect([media, await exchange(media)]).toMatchObject([media, { failed: "no_such_media" }]);
    expect(await exchange("part")).not.toHaveProperty("failed");
    expect((await findTimeline(t))!.timeline.items.get("i1")!.media).toBe("part");
  });

  it("that makes two events part of each other, from two people at once, leaves the later one unset and marked", async () => {
    const [nia, obi] = [await makePerson(), await makePerson("Obi")];
    const t = await makeTimeline(nia.id);
    const invited = await openInvitation(t, nia.id, false);
    if (isFailure(invited)) throw new Error(invited.failed);
    await join(invited.token, obi.id);
    const { seq } = await must(t, change(nia.id, [add("e1", "Night"), add("e2", "Hour"), add("e3", "Year")], 1));
    const part = (id: string, value: string | null): Op => ({ kind: "set_event", id, field: "partOf", value });
    await must(t, change(nia.id, [part("e2", "e1"), part("e1", "e3")], seq));
    await must(t, change(obi.id, [part("e3", "e2")], seq));
    const { timeline } = (await findTimeline(t))!;
    expect(wholesOf(timeline.events)).toEqual(
      new Map([
        ["e1", "e3"],
        ["e2", "e1"],
      ]),
    );
    expect(problems(timeline)).toContainEqual({ code: "part_of_itself", event: "e3", whole: "e2" });
    expect(timelineFromFrozen(toFrozen(timeline)).events.get("e3")!.partOf).toBeNull();
  });

  it("keeps edits to a deleted event, and gives them back with it", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id);
    await must(t, change(nia.id, [add("e1", "Ferry"), { kind: "delete_event", id: "e1" }], 1));
    await must(t, change(nia.id, [setTitle("e1", "Rope ferry")], 1));
    await must(t, change(nia.id, [{ kind: "restore_event", id: "e1" }], 1));
    expect((await findTimeline(t))!.timeline.events.get("e1")).toMatchObject({ title: "Rope ferry", deleted: false });
  });

  it("is taken once when it comes eight times at once, and each is told the same", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id);
    const one = change(nia.id, [add("e1")], 1);
    const sent: ReturnType<typeof must>[] = [];
    await db().begin(async (tx) => {
      await tx`select from timeline where id = ${t} for update`;
      sent.push(...Array.from({ length: 8 }, () => must(t, one)));
      // All have asked and wait for their turn.
      const waiting = () => db()<{ n: number }[]>`
        select count(*)::int as n from pg_stat_activity where datname = current_database() and wait_event_type = 'Lock'`;
      await expect.poll(async () => (await waiting())[0]!.n, { timeout: 20_000 }).toBe(8);
    });
    const taken = await Promise.all(sent);
    expect(new Set(taken.map((d) => d.seq)).size).toBe(1);
    expect((await changesAfter(db(), t, 0)).filter((c) => c.id === one.id)).toHaveLength(1);
  });

  it("is numbered without gaps when thirty come at once", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id);
    const taken = await Promise.all(Array.from({ length: 30 }, (_, i) => must(t, change(nia.id, [add(`e${i}`)], 1))));
    expect(taken.map((x) => x.seq).sort((a, b) => a - b)).toEqual(Array.from({ length: 30 }, (_, i) => i + 2));
  });
});

describe("the shape of a change", () => {
  it.each<[string, unknown, boolean]>([
    ["an ordinary one", { id: "c1", base: 0, ops: [add("e1", "Ferry")] }, true],
    [
      "a date",
      {
        id: "c1",
        base: 0,
        ops: [{ kind: "set_event", id: "e1", field: "when", value: readWhen("about 1840 - 1852") }],
      },
      true,
    ],
    [
      "a date that was not understood",
      { id: "c1", base: 0, ops: [{ kind: "set_event", id: "e1", field: "when", value: readWhen("31 Feb 1900") }] },
      true,
    ],
    [
      "a place by hand",
      { id: "c1", base: 0, ops: [{ kind: "set_event", id: "e1", field: "spot", value: { along: -40, across: 90 } }] },
      true,
    ],
    [
      "a place by hand outside of any drawing",
      { id: "c1", base: 0, ops: [{ kind: "set_event", id: "e1", field: "spot", value: { along: 1e9, across: 0 } }] },
      false,
    ],
    [
      "more done than there is to do",
      { id: "c1", base: 0, ops: [{ kind: "set_event", id: "e1", field: "done", value: 101 }] },
      false,
    ],
    [
      "a whole that was marked as circular, given back by an undo",
      { id: "c1", base: 0, ops: [{ kind: "set_event", id: "e1", field: "partOf", value: "~e2", onlyIf: "e3" }] },
      true,
    ],
    ["an unknown step", { id: "c1", base: 0, ops: [{ kind: "drop_table", id: "e1" }] }, false],
    [
      "an unknown field",
      { id: "c1", base: 0, ops: [{ kind: "set_event", id: "e1", field: "password_hash", value: "x" }] },
      false,
    ],
    [
      "a value of the wrong kind",
      { id: "c1", base: 0, ops: [{ kind: "set_event", id: "e1", field: "title", value: 7 }] },
      false,
    ],
    [
      "a list exchanged behind an item",
      { id: "c1", base: 0, ops: [{ kind: "set_item", id: "i1", field: "list", value: "source" }] },
      false,
    ],
    ["an author of one's choosing", { id: "c1", base: 0, author: "obi", ops: [add("e1")] }, false],
    ["nothing at all", { id: "c1", base: 0, ops: [] }, false],
  ])("%s", (_, body, wanted) => expect(readChange(body)).toBe(wanted));
});

describe("histories of several editors", () => {
  const EVENTS = ["e1", "e2", "e3"];
  const id = fc.constantFrom(...EVENTS);
  const text = fc.string({ maxLength: 6 }).map((s) => s.replaceAll("\u0000", ""));
  const op = fc.oneof(
    fc.tuple(id, text).map(([e, title]): Op => add(e, title)),
    fc.tuple(id, text).map(([e, v]): Op => setTitle(e, v)),
    fc.tuple(id, text, text).map(([e, v, was]): Op => setTitle(e, v, was)),
    fc
      .tuple(id, fc.integer({ min: 100, max: 1900 }))
      .map(([e, y]): Op => ({ kind: "set_event", id: e, field: "when", value: readWhen(`about ${y}`) })),
    fc
      .tuple(id, fc.constantFrom(null, ...EVENTS))
      .map(([e, value]): Op => ({ kind: "set_event", id: e, field: "partOf", value })),
    fc
      .tuple(id, fc.integer({ min: -300, max: 300 }))
      .map(([e, along]): Op => ({ kind: "set_event", id: e, field: "spot", value: { along, across: 60 } })),
    id.map((e): Op => ({ kind: "delete_event", id: e })),
    id.map((e): Op => ({ kind: "restore_event", id: e })),
    fc
      .tuple(id, fc.integer({ min: 1, max: 1e6 }))
      .map(([e, n]): Op => ({ kind: "describe", of: e, update: toBase64(descriptionFrom([`word${n}`], n)) })),
    fc.constantFrom("c1", "c2").map((c): Op => ({ kind: "add_category", id: c, fields: { name: c, colour: "river" } })),
    fc.constantFrom("c1", "c2").map((c): Op => ({ kind: "delete_category", id: c })),
    text.map((v): Op => ({ kind: "set_timeline", field: "subject", value: v })),
  );

  const plain = (t: Timeline) => ({
    ...t,
    introduction: blocksOf(t.introduction),
    events: [...t.events.values()]
      .map((e) => ({ ...e, description: plainTextOf(blocksOf(e.description)) }))
      .sort((a, b) => (a.id < b.id ? -1 : 1)),
    categories: [...t.categories.values()].sort((a, b) => (a.id < b.id ? -1 : 1)),
    items: [...t.items.values()],
  });

  it("leave the rows as the core says they must be, from the log alone", async () => {
    const nia = await makePerson();
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.array(op, { minLength: 1, maxLength: 4 }), { minLength: 1, maxLength: 12 }),
        async (history) => {
          const t = await makeTimeline(nia.id, "");
          for (const ops of history) {
            const c = change(nia.id, ops);
            await must(t, c);
            if (ops.length % 2 === 0) await must(t, c); // a repeated message
          }
          const log = await changesAfter(db(), t, 0);
          const replayed = log.reduce((state, c) => apply(state, c.ops).timeline, emptyTimeline(t));
          expect(plain((await findTimeline(t))!.timeline)).toEqual(plain(replayed));
        },
      ),
      { seed: 12, numRuns: 60 },
    );
  });
});
