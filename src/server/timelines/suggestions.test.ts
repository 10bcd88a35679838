import { describe, expect, it } from "vitest";
import { noticesOf } from "../accounts/notices";
import { blocksOf, plainTextOf } from "@/core/text/description";
import { edit, must, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { createTimeline } from "./create";
import { join, openInvitation, removeEditor } from "./invite";
import { addOwnEvent, type GivenEvent } from "./own-events";
import { findTimeline } from "./queries";
import { decideSuggestions, suggest, suggestionsOf, takeBackSuggestion } from "./suggestions";

withTestDatabase("suggestions");

const NONE: GivenEvent = { when: "", title: "", text: "", category: null };

async function looked() {
  const [nia, obi, wren] = [await makePerson("Nia"), await makePerson("Obi"), await makePerson("Wren")];
  const timeline = must(await createTimeline(nia.id, { title: "Crossings", subject: "" })).id;
  const { id: event } = must(
    await addOwnEvent(timeline, nia.id, { when: "1604", title: "Rope ferry", text: "By rope.", category: null }),
  );
  const { token } = must(await openInvitation(timeline, nia.id, false, "commenter"));
  for (const p of [obi, wren]) must(await join(token, p.id));
  const stands = async (id = event) => (await findTimeline(timeline))!.timeline.events.get(id)!;
  const seen = async (who: string) => suggestionsOf(timeline, who, event);
  return { nia, obi, wren, timeline, event, stands, seen };
}

describe("suggestions", () => {
  it("say what is otherwise, are seen by those who decide and whoever made them, and alter nothing by themselves", async () => {
    const s = await looked();
    const was = (await s.seen(s.obi.id)).current!;
    expect(was).toEqual({
      when: "1604",
      title: "Rope ferry",
      text: expect.stringContaining("By rope."),
      category: null,
    });
    const given = { ...was, when: "about 1604", text: "By a rope of hemp." };
    expect(await suggest(s.timeline, s.obi.id, { event: s.event, was, given: was, why: "" })).toMatchObject({
      failed: "nothing_suggested",
    });
    must(await suggest(s.timeline, s.obi.id, { event: s.event, was, given, why: "So says the roll." }));
    expect((await s.seen(s.nia.id)).suggestions).toMatchObject([
      {
        by: "Obi",
        mine: false,
        why: "So says the roll.",
        title: "Rope ferry",
        gone: false,
        changes: [
          { field: "when", was: "1604", given: "about 1604" },
          { field: "text", given: "By a rope of hemp." },
        ],
      },
    ]);
    expect((await s.seen(s.wren.id)).suggestions).toEqual([]);
    expect((await s.seen(s.obi.id)).suggestions[0]!.mine).toBe(true);
    expect((await s.stands()).when.typed).toBe("1604");
    const stranger = await makePerson("Stranger");
    expect(await suggest(s.timeline, stranger.id, { event: s.event, was, given, why: "" })).toMatchObject({
      failed: "not_found",
    });
    expect(await decideSuggestions(s.timeline, ["x"], s.obi.id, true)).toMatchObject({ failed: "not_found" });
  });

  it("accepted alter the fields that are suggested; what others altered since stays; whoever made them is told", async () => {
    const s = await looked();
    const was = (await s.seen(s.obi.id)).current!;
    const { id } = must(
      await suggest(s.timeline, s.obi.id, { event: s.event, was, given: { ...was, text: "By hemp." }, why: "" }),
    );
    must(
      await edit(s.timeline, s.nia.id, {
        kind: "set_event",
        id: s.event,
        field: "title",
        value: "Rope ferry, licensed",
      }),
    );
    expect(must(await decideSuggestions(s.timeline, [id], s.nia.id, true))).toEqual({ accepted: 1, refused: 0 });
    const now = await s.stands();
    expect([now.title, plainTextOf(blocksOf(now.description)).trim()]).toEqual(["Rope ferry, licensed", "By hemp."]);
    expect((await noticesOf(s.obi.id)).map((n) => n.text)).toEqual([
      "Nia has taken in what you suggested for “Rope ferry” in “Crossings”.",
    ]);
    expect(await decideSuggestions(s.timeline, [id], s.nia.id, true)).toMatchObject({ failed: "not_found" });
  });

  it("are accepted all at once in their order, or refused, and a new event is one", async () => {
    const s = await looked();
    const was = (await s.seen(s.obi.id)).current!;
    const ids = [
      must(await suggest(s.timeline, s.obi.id, { event: s.event, was, given: { ...was, title: "First" }, why: "" })).id,
      must(await suggest(s.timeline, s.wren.id, { event: s.event, was, given: { ...was, title: "Second" }, why: "" }))
        .id,
      must(
        await suggest(s.timeline, s.wren.id, {
          event: "",
          was: NONE,
          given: { ...NONE, title: "Viaduct", when: "1889" },
          why: "",
        }),
      ).id,
    ];
    expect(must(await decideSuggestions(s.timeline, ids, s.nia.id, true))).toEqual({ accepted: 3, refused: 0 });
    expect((await s.stands()).title).toBe("Second");
    const all = [...(await findTimeline(s.timeline))!.timeline.events.values()];
    expect(all.map((e) => e.title).sort()).toEqual(["Second", "Viaduct"]);
    const { id } = must(
      await suggest(s.timeline, s.obi.id, { event: s.event, was, given: { ...was, title: "Third" }, why: "" }),
    );
    expect(must(await decideSuggestions(s.timeline, [id], s.nia.id, false))).toEqual({ accepted: 0, refused: 1 });
    expect((await s.stands()).title).toBe("Second");
    expect((await noticesOf(s.obi.id)).at(-1)!.text).toContain("Nia has left out what you suggested");
  });

  it("for an event that was deleted can only be left out; nothing of a decision is done by halves", async () => {
    const s = await looked();
    const was = (await s.seen(s.obi.id)).current!;
    const make = async (title: string, event = s.event) =>
      must(
        await suggest(s.timeline, s.obi.id, {
          event,
          was: event ? was : NONE,
          given: { ...(event ? was : NONE), title },
          why: "",
        }),
      ).id;
    const [first, second] = [await make("New", ""), await make("Other")];
    must(await edit(s.timeline, s.nia.id, { kind: "delete_event", id: s.event }));
    expect((await s.seen(s.nia.id)).suggestions.map((x) => x.gone)).toEqual([false, true]);
    expect(await decideSuggestions(s.timeline, [first, second], s.nia.id, true)).toMatchObject({
      failed: "event_gone",
    });
    expect((await s.seen(s.nia.id)).suggestions).toHaveLength(2);
    expect(
      await suggest(s.timeline, s.obi.id, { event: s.event, was, given: { ...was, title: "x" }, why: "" }),
    ).toMatchObject({
      failed: "event_gone",
    });
    must(await decideSuggestions(s.timeline, [second], s.nia.id, false));
    must(await decideSuggestions(s.timeline, [first], s.nia.id, true));
  });

  it("are taken back by whoever made them, and wait on when their right has ended", async () => {
    const s = await looked();
    const was = (await s.seen(s.obi.id)).current!;
    const make = (title: string) =>
      suggest(s.timeline, s.obi.id, { event: s.event, was, given: { ...was, title }, why: "" });
    const [first, second] = [must(await make("A")).id, must(await make("B")).id];
    expect(await takeBackSuggestion(s.timeline, first, s.wren.id)).toMatchObject({ failed: "not_found" });
    must(await takeBackSuggestion(s.timeline, first, s.obi.id));
    must(await removeEditor(s.timeline, s.nia.id, s.obi.id));
    expect(await takeBackSuggestion(s.timeline, second, s.obi.id)).toMatchObject({ failed: "not_found" });
    must(await decideSuggestions(s.timeline, [second], s.nia.id, true));
    expect((await s.stands()).title).toBe("B");
  });

  it("are made by teachers of the class for its drafts", async () => {
    const s = await school();
    must(
      await suggest(s.timeline, s.teacher.id, {
        event: "",
        was: NONE,
        given: { ...NONE, title: "Rope ferry" },
        why: "Begin there.",
      }),
    );
    expect((await suggestionsOf(s.timeline, s.nia.id, null)).suggestions).toMatchObject([{ why: "Begin there." }]);
    await expect(suggestionsOf(s.timeline, s.obi.id, null)).rejects.toMatchObject({ failure: { failed: "not_found" } });
  });
});
