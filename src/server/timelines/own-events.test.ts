import { describe, expect, it } from "vitest";
import { blocksOf, plainTextOf } from "@/core/text/description";
import { db } from "../db/pool";
import { edit, must, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { findRight } from "./access";
import { createTimeline } from "./create";
import { invitePeople, join, openInvitation, setRole } from "./invite";
import { addOwnEvent, alterOwnEvent, deleteOwnEvent, ownEventsOf } from "./own-events";
import { findTimeline } from "./queries";
import { takeChange } from "./take-change";

withTestDatabase("own_events");

const given = (title: string, when = "", text = "", category: string | null = null) => ({
  when,
  title,
  text,
  category,
});

async function village() {
  const [nia, obi, wren] = [await makePerson("Nia"), await makePerson("Obi"), await makePerson("Wren")];
  const timeline = must(await createTimeline(nia.id, { title: "Crossings", subject: "" })).id;
  must(
    await edit(
      timeline,
      nia.id,
      { kind: "add_category", id: "c1", fields: { name: "Trade" } },
      { kind: "add_event", id: "e1", fields: { title: "Rope ferry", note: "Ask the mill." } },
    ),
  );
  const { token } = must(await openInvitation(timeline, nia.id, false, "adder"));
  for (const p of [obi, wren]) must(await join(token, p.id));
  const stands = async () => (await findTimeline(timeline))!.timeline;
  return { nia, obi, wren, timeline, stands };
}

describe("events of one's own in a timeline of others", () => {
  it("are added, altered and deleted by whoever added them, and by nobody else who adds", async () => {
    const s = await village();
    expect(await findRight(db(), s.timeline, s.obi.id)).toBe("add");
    const { id } = must(
      await addOwnEvent(
        s.timeline,
        s.obi.id,
        given(" Salt tolls ", "about 1702", "Paid in salt.\n\nBy carters.", "c1"),
      ),
    );
    expect(await ownEventsOf(s.timeline, s.obi.id)).toEqual({
      events: [
        {
          id,
          when: "about 1702",
          understood: "about 1702",
          misread: false,
          title: "Salt tolls",
          text: expect.stringMatching(/^Paid in salt\.\s+By carters\.$/),
          category: "c1",
        },
      ],
      categories: [{ id: "c1", name: "Trade" }],
    });
    for (const who of [s.wren.id, s.nia.id]) {
      expect(await alterOwnEvent(s.timeline, id, who, given("Mine"))).toMatchObject({ failed: "not_found" });
      expect(await deleteOwnEvent(s.timeline, id, who)).toMatchObject({ failed: "not_found" });
    }
    expect(await alterOwnEvent(s.timeline, "e1", s.obi.id, given("Mine"))).toMatchObject({ failed: "not_found" });
    must(await alterOwnEvent(s.timeline, id, s.obi.id, given("Salt tolls end", "1719", "Paid in salt.", "none")));
    const event = (await s.stands()).events.get(id)!;
    expect([event.title, event.when.typed, event.category, plainTextOf(blocksOf(event.description)).trim()]).toEqual([
      "Salt tolls end",
      "1719",
      null,
      "Paid in salt.",
    ]);
    must(await deleteOwnEvent(s.timeline, id, s.obi.id));
    expect((await ownEventsOf(s.timeline, s.obi.id)).events).toEqual([]);
    expect(await alterOwnEvent(s.timeline, id, s.obi.id, given("Again"))).toMatchObject({ failed: "not_found" });
    expect((await s.stands()).events.get(id)!.deleted).toBe(true);
  });

  it("leave what others gave them where nothing is said otherwise, and a date that cannot be read as it was typed", async () => {
    const s = await village();
    const { id } = must(await addOwnEvent(s.timeline, s.obi.id, given("Tolls", "the year of the eel", "Old words.")));
    expect((await ownEventsOf(s.timeline, s.obi.id)).events[0]).toMatchObject({
      misread: true,
      when: "the year of the eel",
    });
    must(await edit(s.timeline, s.nia.id, { kind: "set_event", id, field: "shortTitle", value: "Tolls!" }));
    const [before] = await db()<{ seq: number }[]>`select seq from timeline where id = ${s.timeline}`;
    const [own] = (await ownEventsOf(s.timeline, s.obi.id)).events;
    must(await alterOwnEvent(s.timeline, id, s.obi.id, own!));
    const [after] = await db()<{ seq: number }[]>`select seq from timeline where id = ${s.timeline}`;
    expect(after!.seq).toBe(before!.seq);
    expect((await s.stands()).events.get(id)!.shortTitle).toBe("Tolls!");
    expect(await addOwnEvent(s.timeline, s.obi.id, given("  "))).toMatchObject({ failed: "event_untitled" });
    expect(await addOwnEvent(s.timeline, s.obi.id, given("x".repeat(2_000)))).toMatchObject({ failed: "text_long" });
  });

  it("give no right to change anything else, and end with the right", async () => {
    const s = await village();
    for (const op of [
      { kind: "set_event", id: "e1", field: "title", value: "Mine" },
      { kind: "add_event", id: "e9", fields: { title: "By the editors' way" } },
      { kind: "set_timeline", field: "title", value: "Mine" },
    ] as const)
      expect(await takeChange(s.timeline, { id: `c-${op.kind}`, author: s.obi.id, base: 0, ops: [op] })).toMatchObject({
        failed: "not_found",
      });
    const { id } = must(await addOwnEvent(s.timeline, s.obi.id, given("Tolls")));
    must(await setRole(s.timeline, s.nia.id, s.obi.id, "commenter"));
    expect(await addOwnEvent(s.timeline, s.obi.id, given("More"))).toMatchObject({ failed: "not_found" });
    expect(await deleteOwnEvent(s.timeline, id, s.obi.id)).toMatchObject({ failed: "not_found" });
    // Asked again by the owner, what was theirs is theirs still.
    must(await setRole(s.timeline, s.nia.id, s.obi.id, "adder"));
    must(await deleteOwnEvent(s.timeline, id, s.obi.id));
  });

  it("are for no work of a group: only its members write in it", async () => {
    const s = await school();
    expect(await openInvitation(s.timeline, s.nia.id, false, "adder")).toMatchObject({ failed: "group_writes" });
    expect(await invitePeople(s.timeline, s.nia.id, { name: "Obi" }, "adder")).toMatchObject({
      failed: "group_writes",
    });
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false, "reader"));
    must(await join(token, s.obi.id));
    expect(await setRole(s.timeline, s.nia.id, s.obi.id, "adder")).toMatchObject({ failed: "group_writes" });
  });

  it("of many who add at once all are there, each its author's", async () => {
    const s = await village();
    await Promise.all(
      Array.from({ length: 12 }, (_, i) =>
        addOwnEvent(s.timeline, i % 2 ? s.obi.id : s.wren.id, given(`Event ${i}`, String(1700 + i))),
      ),
    );
    for (const [who, odd] of [
      [s.obi.id, 1],
      [s.wren.id, 0],
    ] as const)
      expect((await ownEventsOf(s.timeline, who)).events.map((e) => e.title)).toEqual(
        [0, 2, 4, 6, 8, 10].map((i) => `Event ${i + odd}`),
      );
  });
});
