import { describe, expect, it } from "vitest";
import { blocksOf, plainTextOf } from "@/core/text/description";
import { db } from "../db/pool";
import { must, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { callOf, closeCall, decideSent, findCall, openCall, sendIn, waitingIn } from "./calls";
import { comment } from "./comments";
import { createTimeline, setDeleted } from "./create";
import { join, openInvitation } from "./invite";
import { purgeTimeline } from "./purge";
import { findTimeline, timelinesOf } from "./queries";

withTestDatabase("calls");

const ASKED = { words: "What do you know of the ferry?", closesAt: null, renew: false };
const sent = (title: string, when = "1604", text = "") => ({ name: "Wren of the mill", when, title, text });

async function exhibition() {
  const [nia, obi] = [await makePerson("Nia"), await makePerson("Obi")];
  const timeline = must(await createTimeline(nia.id, { title: "Our village", subject: "" })).id;
  const { token } = must(await openCall(timeline, nia.id, ASKED));
  return { nia, obi, timeline, token };
}

describe("a call for events", () => {
  it("is opened by the owner, asks in their words, and ends when it is closed, renewed or over", async () => {
    const s = await exhibition();
    expect(await findCall(s.token)).toEqual({
      timeline: s.timeline,
      title: "Our village",
      by: "Nia",
      words: ASKED.words,
    });
    expect(await openCall(s.timeline, s.obi.id, ASKED)).toMatchObject({ failed: "not_found" });
    expect(await openCall(s.timeline, s.nia.id, { ...ASKED, closesAt: new Date(0) })).toMatchObject({
      failed: "end_is_past",
    });
    expect(must(await openCall(s.timeline, s.nia.id, { ...ASKED, words: "More" })).token).toBe(s.token);
    const renewed = must(await openCall(s.timeline, s.nia.id, { ...ASKED, renew: true })).token;
    expect([await findCall(s.token), (await findCall(renewed))!.words]).toEqual([null, ASKED.words]);
    await db()`update call_for_events set closes_at = now() - interval '1 minute' where timeline_id = ${s.timeline}`;
    expect([await findCall(renewed), await sendIn(renewed, sent("Late"))]).toMatchObject([
      null,
      { failed: "call_over" },
    ]);
    must(await closeCall(s.timeline, s.nia.id));
    expect((await callOf(s.timeline, s.nia.id)).call).toBeNull();
  });

  it("takes what is sent to wait, shows it to those who edit alone, and counts it on their first page", async () => {
    const s = await exhibition();
    expect(await sendIn(s.token, { ...sent("x"), name: " " })).toMatchObject({ failed: "sender_missing" });
    expect(await sendIn(s.token, sent(" "))).toMatchObject({ failed: "event_untitled" });
    must(await sendIn(s.token, sent("Ferry", "03/04/1872")));
    must(await sendIn(s.token, sent("Mill", "about 1840", "My grandfather said so.")));
    must(await sendIn(s.token, sent("Eels", "the year of the eel")));
    await expect(waitingIn(s.timeline, s.obi.id)).rejects.toMatchObject({ failure: { failed: "not_found" } });
    const waiting = await waitingIn(s.timeline, s.nia.id);
    expect(waiting.map((w) => [w.title, w.name, w.understood, w.misread])).toEqual([
      ["Ferry", "Wren of the mill", "", true],
      ["Mill", "Wren of the mill", "about 1840", false],
      ["Eels", "Wren of the mill", "", true],
    ]);
    expect((await timelinesOf(s.nia.id, "b"))[0]!.sentIn).toBe(3);
    expect((await findTimeline(s.timeline))!.timeline.events.size).toBe(0);
  });

  it("has each taken in as a change of whoever accepts it, with the sender's name in the note, or left out; once", async () => {
    const s = await exhibition();
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false));
    must(await join(token, s.obi.id));
    for (const t of ["Ferry", "Mill"]) must(await sendIn(s.token, sent(t, "1604", "In the roll.\nLeaf 7.")));
    const [ferry, mill] = await waitingIn(s.timeline, s.obi.id);
    const { event } = must(await decideSent(s.timeline, ferry!.id, s.obi.id, true));
    const made = (await findTimeline(s.timeline))!.timeline.events.get(event!)!;
    expect([made.title, made.when.typed, made.note, plainTextOf(blocksOf(made.description)).split(/\n+/)]).toEqual([
      "Ferry",
      "1604",
      "Sent in by Wren of the mill.",
      ["In the roll.", "Leaf 7."],
    ]);
    const [log] = await db()<{ authorId: string }[]>`
      select author_id from change where timeline_id = ${s.timeline} order by seq desc limit 1`;
    expect(log!.authorId).toBe(s.obi.id);
    expect(await decideSent(s.timeline, ferry!.id, s.nia.id, true)).toMatchObject({ failed: "not_found" });
    const stranger = await makePerson("Stranger");
    expect(await decideSent(s.timeline, mill!.id, stranger.id, true)).toMatchObject({ failed: "not_found" });
    const both = await Promise.all([s.nia, s.obi].map((p) => decideSent(s.timeline, mill!.id, p.id, true)));
    expect(both.filter((d) => "failed" in d)).toHaveLength(1);
    expect((await findTimeline(s.timeline))!.timeline.events.size).toBe(2);
    expect(await waitingIn(s.timeline, s.nia.id)).toEqual([]);
  });

  it("stops at 300 that wait, and takes nothing for a timeline that was deleted", async () => {
    const s = await exhibition();
    await db()`
      insert into sent_event (id, timeline_id, name, title)
      select 'x' || n, ${s.timeline}, 'W', 'Event' from generate_series(1, 300) n`;
    expect(await sendIn(s.token, sent("One more"))).toMatchObject({ failed: "call_full" });
    must(await setDeleted(s.timeline, s.nia.id, true));
    expect(await sendIn(s.token, sent("One more"))).toMatchObject({ failed: "call_over" });
  });

  it("is opened for no work of a group", async () => {
    const s = await school();
    expect(await openCall(s.timeline, s.nia.id, ASKED)).toMatchObject({ failed: "group_writes" });
  });

  it("goes with the timeline, as guests, links and comments do", async () => {
    const s = await exhibition();
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false, "commenter"));
    must(await join(token, s.obi.id));
    must(await comment(s.timeline, s.obi.id, { event: "", words: "", thread: null, text: "Look" }));
    must(await sendIn(s.token, sent("Ferry")));
    await db().begin((tx) => purgeTimeline(tx, s.timeline));
    for (const table of [
      "guest",
      "invitation",
      "comment",
      "comment_seen",
      "call_for_events",
      "sent_event",
      "suggestion",
    ])
      expect([table, await db()`select from ${db()(table)} where timeline_id = ${s.timeline}`]).toEqual([table, []]);
  });
});
