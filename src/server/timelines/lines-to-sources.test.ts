import { readFileSync } from "node:fs";
import { expect, it } from "vitest";
import { apply } from "@/core/change/apply";
import type { Op } from "@/core/change/change";
import { referenceText, sourceOf } from "@/core/sources/cited";
import { emptyTimeline, itemsOf } from "@/core/timeline/timeline";
import { db } from "../db/pool";
import { edit } from "../testing/school";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { findTimeline } from "./queries";

withTestDatabase("lines_to_sources");

const MIGRATION = readFileSync("db/migrations/0029_lines_to_sources.sql", "utf8");

it("lines of before become sources, one for all events that say the same: nothing is lost, and the log replays to it", async () => {
  const nia = await makePerson("Nia");
  const id = await makeTimeline(nia.id);
  const line = (item: string, of: string, text: string, address = ""): Op => ({
    kind: "add_item",
    id: item,
    fields: { of, list: "source", text, address },
  });
  await edit(
    id,
    nia.id,
    { kind: "add_event", id: "a", fields: { title: "A" } },
    { kind: "add_event", id: "b", fields: { title: "B" } },
    line("i", "a", "Ambrel Post, no. 3914"),
    line("j", "b", "Ambrel Post, no. 3914"),
    line("k", "b", "", "https://archive.example/roll"),
    line("l", "timeline", 'Toll "book" \\ O\'Neil ☃'),
    line("gone", "a", "Deleted"),
    { kind: "delete_item", id: "gone" },
    { kind: "add_item", id: "link", fields: { of: "a", list: "link", text: "A link" } },
  );
  const before = (await findTimeline(id))!;
  const linesOf = (t: typeof before.timeline) =>
    ["timeline", "a", "b"].map((of) => itemsOf(t, of, "source").map((i) => referenceText(t.sources, i)));
  await db().begin((tx) => tx.unsafe(MIGRATION));
  const after = (await findTimeline(id))!;
  expect(linesOf(after.timeline)).toEqual(linesOf(before.timeline));
  expect(linesOf(after.timeline)).toContainEqual(["Ambrel Post, no. 3914", "https://archive.example/roll"]);
  const sourceIds = ["i", "j", "k", "l"].map((i) => after.timeline.items.get(i)!.source);
  expect(sourceIds[0]).toBe(sourceIds[1]);
  expect(new Set(sourceIds).size).toBe(3);
  expect(sourceOf(after.timeline.sources, after.timeline.items.get("k")!)!.address).toBe(
    "https://archive.example/roll",
  );
  expect(after.timeline.items.get("gone")).toMatchObject({ source: null, text: "Deleted", deleted: true });
  expect(after.timeline.items.get("link")).toEqual(before.timeline.items.get("link"));
  expect(after.seq).toBe(before.seq + 1);
  const log = await db()<{ ops: Op[] }[]>`select ops from change where timeline_id = ${id} order by seq`;
  const replayed = log.reduce((t, { ops }) => apply(t, ops).timeline, emptyTimeline(id));
  expect([...replayed.sources.values()].sort((a, b) => (a.id < b.id ? -1 : 1))).toEqual([
    ...after.timeline.sources.values(),
  ]);
  expect([...replayed.items.values()].map((i) => [i.id, i.source, i.text])).toEqual(
    expect.arrayContaining([...after.timeline.items.values()].map((i) => [i.id, i.source, i.text])),
  );
  // Done once, it finds nothing more to do.
  await db().begin((tx) => tx.unsafe(MIGRATION));
  expect((await findTimeline(id))!.seq).toBe(after.seq);
});
