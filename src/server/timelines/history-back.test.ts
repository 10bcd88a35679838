import fc from "fast-check";
import { nanoid } from "nanoid";
import { expect, it } from "vitest";
import type { Op } from "@/core/change/change";
import { type ArchivedChange, historyThere } from "@/core/change/history-there";
import { speakIn } from "@/core/language/spoken";
import { knowLanguages } from "@/core/testing/languages";
import { toBase64 } from "@/core/text/base64";
import { descriptionFrom } from "@/core/text/write-description";
import { readWhen } from "@/core/time/read/read-when";
import type { Timeline } from "@/core/timeline/timeline";
import { db } from "../db/pool";
import { isFailure } from "../http/failure";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { purgeTimeline } from "./purge";
import { findTimeline, historyOf } from "./queries";
import { restoreHistory, wholeHistory } from "./restore-history";
import { takeChange } from "./take-change";

withTestDatabase("history_back");
knowLanguages();

const EVENTS = ["a", "b", "c"];
const anEvent = fc.constantFrom(...EVENTS);
const op: fc.Arbitrary<Op> = fc.oneof(
  fc
    .tuple(anEvent, fc.string({ maxLength: 6 }))
    .map(([id, title]): Op => ({ kind: "add_event", id, fields: { title } })),
  fc
    .tuple(anEvent, fc.integer({ min: 100, max: 1900 }))
    .map(([id, y]): Op => ({ kind: "set_event", id, field: "when", value: readWhen(`about ${y}`) })),
  fc.tuple(anEvent, anEvent).map(([id, value]): Op => ({ kind: "set_event", id, field: "partOf", value })),
  anEvent.map((id): Op => ({ kind: "delete_event", id })),
  anEvent.map((id): Op => ({ kind: "restore_event", id })),
  fc
    .tuple(anEvent, fc.string({ maxLength: 6 }), fc.nat(1_000_000))
    .map(([of, text, client]): Op => ({ kind: "describe", of, update: toBase64(descriptionFrom([text], client + 1)) })),
  fc
    .tuple(fc.nat(9), anEvent, fc.string({ maxLength: 6 }))
    .map(([n, of, text]): Op => ({ kind: "add_item", id: `i${n}`, fields: { of, list: "source", text } })),
  fc.nat(9).map((n): Op => ({ kind: "delete_item", id: `i${n}` })),
  fc.string({ maxLength: 6 }).map((value): Op => ({ kind: "set_timeline", field: "byline", value })),
);

const plain = (t: Timeline) => ({
  ...t,
  id: "",
  introduction: toBase64(t.introduction),
  closing: toBase64(t.closing),
  events: [...t.events.values()].map((e) => ({ ...e, description: toBase64(e.description) })),
  categories: [...t.categories.values()],
  items: [...t.items.values()],
  sources: [...t.sources.values()],
});

/** As it lies in a file. */
const historyIn = async (timeline: string) =>
  JSON.parse(JSON.stringify(await wholeHistory(timeline))) as ArchivedChange[];

it("a history is taken away and brought back: the same timeline, the same steps at the same times, names marked", async () => {
  const [nia, obi, zoe] = [await makePerson("Nia"), await makePerson("Obi"), await makePerson("Zoe")];
  await fc.assert(
    fc.asyncProperty(
      fc.array(fc.tuple(fc.boolean(), fc.array(op, { minLength: 1, maxLength: 4 })), { minLength: 1, maxLength: 25 }),
      async (changes) => {
        const id = await makeTimeline(nia.id);
        await db()`insert into editor (timeline_id, account_id, role) values (${id}, ${obi.id}, 'editor')`;
        for (const [his, ops] of changes) {
          const sent = { id: nanoid(), author: his ? obi.id : nia.id, base: 0, ops };
          expect(isFailure(await takeChange(id, sent))).toBe(false);
        }
        // As if some of it had been written on other days.
        await db()`update change set at = at - seq * interval '1 day' where timeline_id = ${id}`;
        // Whoever brings it back is spoken to in German; the timeline stays in its own language.
        const there = await speakIn("de", () => makeTimeline(zoe.id, ""));
        const history = historyThere(await historyIn(id), () => null);
        expect(await restoreHistory(there, zoe.id, history)).toEqual({ seq: history.length });
        const [was, is] = [await findTimeline(id), await findTimeline(there)];
        expect(plain(is!.timeline)).toEqual(plain(was!.timeline));
        const marked = (await historyIn(there)).map((c) => ({
          ...c,
          author: c.author.replace(" (from an archive)", ""),
        }));
        const steps = (list: ArchivedChange[]) => historyThere(list, () => null);
        expect(steps(marked)).toEqual(steps(await historyIn(id)));
        expect((await historyOf(there, 1_000, 1, {})).at(0)).toBeDefined();
      },
    ),
    { numRuns: 12, seed: 7 },
  );
});

it("comes into nothing but an empty timeline of one's own, and its names go with that", async () => {
  const [nia, obi] = [await makePerson("Nia"), await makePerson("Obi")];
  const step = (id: string): ArchivedChange => ({
    at: "2999-01-01T00:00:00Z",
    author: "Rafe",
    ops: [{ kind: "add_event", id, fields: { title: "Ferry" } }],
  });
  const id = await makeTimeline(nia.id, "");
  expect(await restoreHistory(id, obi.id, [step("a")])).toHaveProperty("failed");
  // One step that cannot be, and nothing of it is done.
  const wrong: ArchivedChange = {
    ...step("b"),
    ops: [{ kind: "add_item", id: "i", fields: { of: "a", list: "media", media: "m" } }],
  };
  expect(await restoreHistory(id, nia.id, [step("a"), wrong])).toMatchObject({ failed: "no_such_media" });
  expect((await findTimeline(id))!.timeline.events.size).toBe(0);
  expect(await restoreHistory(id, nia.id, [step("a")])).toEqual({ seq: 1 });
  expect(await restoreHistory(id, nia.id, [step("b")])).toMatchObject({ failed: "not_empty" });
  const [change] = await db()<{ name: string; late: boolean }[]>`
    select a.display_name as name, c.at > now() as late from change c join account a on a.id = c.author_id
    where c.timeline_id = ${id}`;
  // Nothing was written tomorrow.
  expect(change).toEqual({ name: "Rafe (from an archive)", late: false });
  await db().begin((tx) => purgeTimeline(tx, id));
  expect(await db()`select from account where display_name like 'Rafe%'`).toHaveLength(0);
});

it("files that are gone, and what was done with them, are left out; what a server sets is not taken from elsewhere", () => {
  const ops = (list: Op[]): ArchivedChange => ({ at: "", author: "Nia", ops: list });
  const there = historyThere(
    [
      ops([{ kind: "add_event", id: "e", fields: { title: "Flood", given: "g", locked: true } as never }]),
      ops([{ kind: "add_item", id: "kept", fields: { of: "e", list: "media", media: "m1", kind: "picture" } }]),
      ops([{ kind: "add_item", id: "gone", fields: { of: "e", list: "media", media: "m2", kind: "picture" } }]),
      ops([
        { kind: "set_item", id: "gone", field: "caption", value: "x" },
        { kind: "set_item", id: "kept", field: "caption", value: "y" },
        { kind: "set_item", id: "kept", field: "media", value: "m2" },
        { kind: "set_timeline", field: "basedOn", value: null },
      ]),
    ],
    (m) => (m === "m1" ? "new" : null),
  );
  expect(there.map((c) => c.ops)).toEqual([
    [{ kind: "add_event", id: "e", fields: { title: "Flood" } }],
    [{ kind: "add_item", id: "kept", fields: { of: "e", list: "media", media: "new", kind: "picture" } }],
    [{ kind: "set_item", id: "kept", field: "caption", value: "y" }],
  ]);
});
