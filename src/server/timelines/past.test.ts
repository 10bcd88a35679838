import fc from "fast-check";
import { nanoid } from "nanoid";
import { describe, expect, it } from "vitest";
import { apply } from "@/core/change/apply";
import type { Op } from "@/core/change/change";
import { putBack } from "@/core/history/compare";
import { toBase64 } from "@/core/text/base64";
import { descriptionFrom } from "@/core/text/write-description";
import { readWhen } from "@/core/time/read/read-when";
import { emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import { db } from "../db/pool";
import { edit, must } from "../testing/school";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { changeMarks, KEEP_EVERY, stateAt, withoutPast } from "./past";
import { purgeDeleted } from "./purge";
import { findTimeline } from "./queries";

withTestDatabase("past");

/** Many changes at once, as if they had come one by one: the log and its number alone. */
async function longLog(id: string, author: string, changes: readonly Op[][]): Promise<void> {
  const [row] = await db()<{ seq: number }[]>`select seq from timeline where id = ${id}`;
  const rows = changes.map((ops, i) => ({
    timeline_id: id,
    seq: row!.seq + 1 + i,
    id: nanoid(),
    author_id: author,
    base: 0,
    ops: db().json(ops as never),
    was: db().json(ops.map(() => null) as never),
    digest: Buffer.alloc(1),
  }));
  for (let i = 0; i < rows.length; i += 1_000)
    await db()`insert into change ${db()(rows.slice(i, i + 1_000) as never)}`;
  await db()`update timeline set seq = ${row!.seq + changes.length} where id = ${id}`;
}
const plain = (t: Timeline) => ({
  ...t,
  introduction: toBase64(t.introduction),
  events: [...t.events.values()].map((e) => ({ ...e, description: toBase64(e.description) })),
  categories: [...t.categories.values()],
  items: [...t.items.values()],
});

describe("an earlier state", () => {
  it("is the same by what is kept and by replay, at every number", async () => {
    const nia = await makePerson();
    const id = await makeTimeline(nia.id);
    const events = ["a", "b", "c"];
    const op = fc.oneof(
      fc
        .tuple(fc.constantFrom(...events), fc.string({ maxLength: 6 }))
        .map(([e, title]): Op => ({ kind: "add_event", id: e, fields: { title } })),
      fc
        .tuple(fc.constantFrom(...events), fc.integer({ min: 100, max: 1900 }))
        .map(([e, y]): Op => ({ kind: "set_event", id: e, field: "when", value: readWhen(String(y)) })),
      fc.constantFrom(...events).map((e): Op => ({ kind: "delete_event", id: e })),
      fc.constantFrom(...events).map((e): Op => ({ kind: "restore_event", id: e })),
      fc
        .tuple(fc.constantFrom(...events), fc.string({ maxLength: 6 }), fc.nat(1_000_000))
        .map(([of, text, n]): Op => ({ kind: "describe", of, update: toBase64(descriptionFrom([text], n + 1)) })),
    );
    const changes = fc.sample(fc.array(op, { minLength: 1, maxLength: 2 }), { numRuns: KEEP_EVERY * 2 + 60, seed: 5 });
    await longLog(id, nia.id, changes);
    const log = await db()<
      { seq: number; ops: Op[] }[]
    >`select seq, ops from change where timeline_id = ${id} order by seq`;
    expect(await withoutPast(10)).toEqual([{ id, seq: log.length }]);
    // The last first: on the way states are kept, from which the others are replayed.
    await stateAt(db(), id, log.length);
    const kept = await db()<{ seq: number }[]>`select seq from past_state where timeline_id = ${id} order by seq`;
    expect(kept.map((k) => k.seq)).toEqual([KEEP_EVERY, 2 * KEEP_EVERY]);
    expect(await withoutPast(10)).toEqual([]);
    let t = emptyTimeline(id);
    for (const { seq, ops } of log) {
      t = apply(t, ops).timeline;
      if (seq % 97 === 0 || seq % KEEP_EVERY < 3 || seq === log.length) {
        const found = (await stateAt(db(), id, seq))!;
        expect(found.seq).toBe(seq);
        expect([seq, plain(found.timeline)]).toEqual([seq, plain(t)]);
      }
    }
    expect(await stateAt(db(), id, log.length + 1)).toBeNull();
  });

  it("is kept when the log ends just there, and is not asked for again", async () => {
    const nia = await makePerson();
    const id = await makeTimeline(nia.id);
    const { seq } = (await findTimeline(id))!;
    await longLog(
      id,
      nia.id,
      Array.from({ length: KEEP_EVERY - seq }, (_, i): Op[] => [
        { kind: "set_timeline", field: "subject", value: String(i) },
      ]),
    );
    expect(await withoutPast(10)).toContainEqual({ id, seq: KEEP_EVERY });
    await stateAt(db(), id, KEEP_EVERY);
    expect((await withoutPast(10)).map((t) => t.id)).not.toContain(id);
  });

  it("holds nothing of what has gone for good since", async () => {
    const nia = await makePerson();
    const id = await makeTimeline(nia.id);
    must(
      await edit(
        id,
        nia.id,
        { kind: "add_event", id: "e", fields: { title: "Secret" } },
        { kind: "add_source", id: "s", fields: { kind: "book", title: "Secret book" } },
        { kind: "set_source", id: "s", field: "publisher", value: "Secret press" },
      ),
    );
    await longLog(
      id,
      nia.id,
      Array.from({ length: KEEP_EVERY + 5 }, (_, i): Op[] => [
        { kind: "set_timeline", field: "subject", value: String(i) },
      ]),
    );
    must(await edit(id, nia.id, { kind: "delete_event", id: "e" }, { kind: "delete_source", id: "s" }));
    const early = await stateAt(db(), id, KEEP_EVERY + 2);
    expect(early!.timeline.events.get("e")!.title).toBe("Secret");
    await db().begin((tx) => purgeDeleted(tx, id, new Date(Date.now() + 60_000)));
    expect(await db()`select from past_state where timeline_id = ${id}`).toHaveLength(0);
    const gone = (await stateAt(db(), id, KEEP_EVERY + 2))!.timeline;
    expect(gone.events.get("e")!.title).toBe("");
    expect(gone.sources.get("s")).toMatchObject({ title: "", publisher: "", deleted: false });
    const rows = (await findTimeline(id))!.timeline;
    expect(rows.sources.get("s")).toMatchObject({ title: "", publisher: "", deleted: true });
    const log = await db()<{ ops: Op[] }[]>`select ops from change where timeline_id = ${id}`;
    expect(JSON.stringify(log)).not.toContain("Secret");
  });

  it("everything put back is a change like others: rows, log and editors hold what was", async () => {
    const nia = await makePerson();
    const id = await makeTimeline(nia.id);
    must(
      await edit(
        id,
        nia.id,
        { kind: "add_event", id: "e", fields: { title: "Ferry" } },
        { kind: "describe", of: "e", update: toBase64(descriptionFrom(["A farthing."], 3)) },
      ),
    );
    const { seq } = (await findTimeline(id))!;
    must(await edit(id, nia.id, { kind: "set_event", id: "e", field: "title", value: "Boat" }));
    must(
      await edit(
        id,
        nia.id,
        { kind: "delete_event", id: "e" },
        { kind: "add_event", id: "f", fields: { title: "New" } },
      ),
    );
    const now = (await findTimeline(id))!.timeline;
    const then = (await stateAt(db(), id, seq))!.timeline;
    must(await edit(id, nia.id, ...putBack(now, then, { what: "all" })));
    const after = (await findTimeline(id))!.timeline;
    expect(after.events.get("e")).toMatchObject({ title: "Ferry", deleted: false });
    expect(after.events.get("f")!.deleted).toBe(true);
  });
});

describe("changes in short", () => {
  it("are counted by what they touch, and of one event with its entries", async () => {
    const [nia, obi] = [await makePerson("Nia"), await makePerson("Obi")];
    const id = await makeTimeline(nia.id);
    await db()`insert into editor (timeline_id, account_id, role) values (${id}, ${obi.id}, 'editor')`;
    must(
      await edit(
        id,
        nia.id,
        { kind: "add_event", id: "a", fields: { title: "A" } },
        { kind: "add_event", id: "b", fields: {} },
      ),
    );
    must(await edit(id, obi.id, { kind: "add_item", id: "i", fields: { of: "a", list: "source", text: "Roll" } }));
    must(await edit(id, obi.id, { kind: "set_event", id: "b", field: "title", value: "B" }));
    const all = await changeMarks(id, { before: 99 });
    expect(all.marks.slice(0, 3).map((m) => m.marks)).toEqual([
      [{ kind: "set_event", id: "b", field: "title" }],
      [{ kind: "add_item", id: "i", field: "" }],
      [
        { kind: "add_event", id: "a", field: "" },
        { kind: "add_event", id: "b", field: "" },
      ],
    ]);
    expect(all.names).toMatchObject({ [nia.id]: "Nia", [obi.id]: "Obi" });
    const own = await changeMarks(id, { before: 99, event: "a" });
    expect(own.marks.map((m) => [m.author, m.marks.map((x) => x.id)])).toEqual([
      [obi.id, ["i"]],
      [nia.id, ["a"]],
    ]);
    expect((await changeMarks(id, { before: 99, after: all.marks[0]!.seq - 1 })).marks).toHaveLength(1);
  });
});
