import { describe, expect, it } from "vitest";
import { noticesOf } from "../accounts/notices";
import { db } from "../db/pool";
import { must, school } from "../testing/school";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { comment, commentsOf, deleteComment } from "./comments";
import { join, openInvitation } from "./invite";
import { decideSaid, reportSaid, saidReports } from "./said-reports";
import { suggest } from "./suggestions";

withTestDatabase("said_reports");

const WRONG = { reason: "harmful", words: "It is about me." } as const;
async function own() {
  const [nia, obi, wren, keeper] = [
    await makePerson("Nia"),
    await makePerson("Obi"),
    await makePerson("Wren"),
    await makePerson("Keeper"),
  ];
  const timeline = await makeTimeline(nia.id);
  const { token } = must(await openInvitation(timeline, nia.id, false, "commenter"));
  must(await join(token, obi.id));
  await db()`update account set operator = true where id = ${keeper.id}`;
  const say = async (who: string, text: string) =>
    must(await comment(timeline, who, { event: "", words: "", thread: null, text })).id;
  return { nia, obi, wren, keeper, timeline, say };
}

describe("what others said", () => {
  it("is reported with a reason, and waits for whoever keeps the site, as it was said", async () => {
    const s = await own();
    const thing = await s.say(s.obi.id, "You know nothing.");
    const report = (who: string, more: object = {}) =>
      reportSaid(s.timeline, who, { kind: "comment", thing, ...WRONG, ...more });
    expect(await report(s.nia.id, { words: "  " })).toMatchObject({ failed: "report_empty" });
    expect(await report(s.nia.id, { thing: "none" })).toMatchObject({ failed: "not_found" });
    expect(await report(s.obi.id)).toMatchObject({ failed: "own_words" });
    expect(await report(s.wren.id)).toMatchObject({ failed: "not_found" });
    expect(await report(s.nia.id)).toEqual({ to: "site" });
    expect(await report(s.nia.id)).toEqual({ to: "site" });
    const [waits, ...more] = await saidReports();
    expect(more).toEqual([]);
    expect(waits).toMatchObject({
      text: "You know nothing.",
      saidBy: "Obi",
      title: "Crossings",
      ...WRONG,
      there: true,
    });
    // Altered or taken back meanwhile, it stands there as it was.
    must(await deleteComment(s.timeline, thing, s.obi.id));
    expect(await saidReports()).toMatchObject([{ text: "You know nothing.", there: false }]);
    expect(await decideSaid(waits!.id, s.nia.id, true)).toMatchObject({ failed: "operator_only" });
    must(await decideSaid(waits!.id, s.keeper.id, true));
    expect(await saidReports()).toEqual([]);
  });

  it("is taken away, or left, with all that was reported of it", async () => {
    const s = await own();
    const [one, two] = [await s.say(s.nia.id, "One"), await s.say(s.nia.id, "Two")];
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false, "reader"));
    must(await join(token, s.wren.id));
    // Who reads alone sees no comments, and reports none.
    expect(await reportSaid(s.timeline, s.wren.id, { kind: "comment", thing: one, ...WRONG })).toMatchObject({
      failed: "not_found",
    });
    for (const thing of [one, two]) must(await reportSaid(s.timeline, s.obi.id, { kind: "comment", thing, ...WRONG }));
    const [first, second] = await saidReports();
    must(await decideSaid(first!.id, s.keeper.id, true));
    must(await decideSaid(second!.id, s.keeper.id, false));
    const { threads } = await commentsOf(s.timeline, s.nia.id);
    expect(threads.map((t) => t.said[0]!.text)).toEqual(["Two"]);
    expect(await saidReports()).toEqual([]);
    expect(await decideSaid("none", s.keeper.id, true)).toMatchObject({ failed: "not_found" });
  });

  it("may be a suggestion, or what was sent in: that is reported by those who edit", async () => {
    const s = await own();
    must(
      await suggest(s.timeline, s.obi.id, {
        event: "",
        was: { when: "", title: "", text: "", category: "" },
        given: { when: "1783", title: "Nonsense", text: "All of it", category: "" },
        why: "So there",
      } as never),
    );
    const [{ id }] = (await db()`select id from suggestion where timeline_id = ${s.timeline}`) as unknown as [
      { id: string },
    ];
    must(await reportSaid(s.timeline, s.nia.id, { kind: "suggestion", thing: id, ...WRONG }));
    await db()`
      insert into sent_event (id, timeline_id, name, "when", title, text) values ('s1', ${s.timeline}, 'Kit', '1604', 'Rude', '')`;
    expect(await reportSaid(s.timeline, s.obi.id, { kind: "sent", thing: "s1", ...WRONG })).toMatchObject({
      failed: expect.any(String),
    });
    must(await reportSaid(s.timeline, s.nia.id, { kind: "sent", thing: "s1", ...WRONG }));
    const waiting = await saidReports();
    expect(waiting.map((r) => [r.kind, r.text, r.saidBy])).toEqual([
      ["suggestion", expect.stringContaining("Nonsense – All of it – So there"), "Obi"],
      ["sent", "1604 – Rude", "Kit"],
    ]);
    for (const r of waiting) must(await decideSaid(r.id, s.keeper.id, true));
    expect(await db()`select from suggestion where timeline_id = ${s.timeline}`).toHaveLength(0);
    expect(await db()`select from sent_event where timeline_id = ${s.timeline}`).toHaveLength(0);
  });

  it("about work for a class is for its teachers, who take it away", async () => {
    const s = await school();
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false, "commenter"));
    must(await join(token, s.obi.id));
    const said = must(await comment(s.timeline, s.obi.id, { event: "", words: "", thread: null, text: "Copied!" }));
    expect(await reportSaid(s.timeline, s.nia.id, { kind: "comment", thing: said.id, ...WRONG })).toEqual({
      to: "teachers",
    });
    // Said twice, it is told once.
    must(await reportSaid(s.timeline, s.nia.id, { kind: "comment", thing: said.id, ...WRONG }));
    const told = (await noticesOf(s.teacher.id)).filter((n) => n.text.includes("reports what Obi said"));
    expect(told).toHaveLength(1);
    expect(told[0]!.text).toContain("“Copied!”. It hurts or threatens somebody: It is about me.");
    expect(await saidReports()).toEqual([]);
    expect((await commentsOf(s.timeline, s.teacher.id)).moderates).toBe(true);
    expect((await commentsOf(s.timeline, s.obi.id)).moderates).toBe(false);
    must(await deleteComment(s.timeline, said.id, s.teacher.id));
    expect((await commentsOf(s.timeline, s.nia.id)).threads).toEqual([]);
  });
});
