import { describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { noticesOf } from "../accounts/notices";
import { must, school } from "../testing/school";
import { edit } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { findRight } from "./access";
import { alterComment, comment, commentsOf, deleteComment, resolveThread } from "./comments";
import { createTimeline } from "./create";
import {
  closeInvitation,
  findInvitation,
  invitationsFor,
  invitePeople,
  join,
  openInvitation,
  peopleOf,
  removeEditor,
  setRole,
  visitedCards,
} from "./invite";

withTestDatabase("together");

/** A timeline of Nia's own, which is no work for a class, with one event. */
async function own() {
  const [nia, obi, wren] = [await makePerson("Nia"), await makePerson("Obi"), await makePerson("Wren")];
  const timeline = must(await createTimeline(nia.id, { title: "Crossings", subject: "" })).id;
  must(await edit(timeline, nia.id, { kind: "add_event", id: "e1", fields: { title: "Rope ferry" } }));
  const emailOf = async (id: string) =>
    (await db()<{ email: string }[]>`select email from account where id = ${id}`)[0]!.email;
  const rightOf = (id: string) => findRight(db(), timeline, id);
  const rolesOf = async () => (await peopleOf(timeline, nia.id)).people.map((p) => `${p.displayName} ${p.role}`);
  return { nia, obi, wren, timeline, emailOf, rightOf, rolesOf };
}
const say = (text: string, more: { event?: string; thread?: string | null; words?: string } = {}) => ({
  event: "",
  words: "",
  thread: null,
  text,
  ...more,
});

describe("links into a timeline", () => {
  it("let in as what they say; none lowers what somebody may do already", async () => {
    const s = await own();
    const links = {} as Record<"reader" | "commenter" | "editor", string>;
    for (const role of ["reader", "commenter", "editor"] as const)
      links[role] = must(await openInvitation(s.timeline, s.nia.id, false, role)).token;
    expect(new Set(Object.values(links)).size).toBe(3);
    for (const [role, right] of [
      ["reader", "read"],
      ["commenter", "comment"],
      ["reader", "comment"],
      ["editor", "edit"],
      ["commenter", "edit"],
    ] as const) {
      must(await join(links[role], s.obi.id));
      expect([role, await s.rightOf(s.obi.id)]).toEqual([role, right]);
    }
    expect(await s.rolesOf()).toEqual(["Nia owner", "Obi editor"]);
    // Asked for again it is the same link; renewed, the old one leads nowhere.
    expect(must(await openInvitation(s.timeline, s.nia.id, false, "reader")).token).toBe(links.reader);
    expect(must(await openInvitation(s.timeline, s.nia.id, true, "reader")).token).not.toBe(links.reader);
    expect(await join(links.reader, s.wren.id)).toMatchObject({ failed: "invitation_ended" });
  });

  it("are good until their end, and until they are closed", async () => {
    const s = await own();
    const hour = new Date(Date.now() + 3_600_000);
    expect(await openInvitation(s.timeline, s.nia.id, false, "reader", new Date(Date.now() - 1_000))).toMatchObject({
      failed: "end_is_past",
    });
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false, "reader", hour));
    expect(await findInvitation(token)).toMatchObject({ by: "Nia", title: "Crossings", role: "reader", over: false });
    await db()`update invitation set ends_at = now() - interval '1 second' where token = ${token}`;
    expect((await findInvitation(token))!.over).toBe(true);
    expect(await join(token, s.obi.id)).toMatchObject({ failed: "invitation_over" });
    expect((await peopleOf(s.timeline, s.nia.id)).invitations).toEqual([]);
    const again = must(await openInvitation(s.timeline, s.nia.id, true, "reader", null)).token;
    expect(await closeInvitation(s.timeline, s.obi.id, again)).toMatchObject({ failed: "owner_only" });
    must(await closeInvitation(s.timeline, s.nia.id, again));
    expect(await join(again, s.obi.id)).toMatchObject({ failed: "invitation_ended" });
  });

  it("are only the owner's to give, and shown to nobody else", async () => {
    const s = await own();
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false));
    must(await join(token, s.obi.id));
    for (const who of [s.obi, s.wren])
      expect(await openInvitation(s.timeline, who.id, false, "reader")).toMatchObject({ failed: "owner_only" });
    expect((await peopleOf(s.timeline, s.obi.id)).invitations).toEqual([]);
    expect(await invitePeople(s.timeline, s.obi.id, { emails: ["a@b.example"] }, "reader")).toMatchObject({
      failed: "owner_only",
    });
  });
});

describe("what a comment is about", () => {
  it("may be a field of its event; an answer is about what its thread is about, and the whole has no fields", async () => {
    const s = await own();
    const say = (event: string, thread: string | null = null) =>
      comment(s.timeline, s.nia.id, { event, field: "when", words: "", thread, text: "How is that known?" });
    const { id } = must(await say("e1"));
    must(await say("e1", id));
    must(await say(""));
    expect((await commentsOf(s.timeline, s.nia.id)).threads.map((t) => [t.event, t.field, t.said.length])).toEqual([
      ["e1", "when", 2],
      ["", "", 1],
    ]);
  });
});

describe("inviting by letter", () => {
  it("whoever is invited twice is invited to what was said last; the letter is good once", async () => {
    const s = await own();
    const email = await s.emailOf(s.obi.id);
    await db()`update account set email_proven_at = now() where id = ${s.obi.id}`;
    const first = must(await invitePeople(s.timeline, s.nia.id, { emails: [email] }, "reader"));
    const second = must(
      await invitePeople(s.timeline, s.nia.id, { emails: [email.toUpperCase(), "new@x.example"] }, "commenter"),
    );
    expect(second).toMatchObject({ title: "Crossings", by: "Nia" });
    expect(second.invited).toHaveLength(2);
    expect(await invitationsFor(s.obi.id)).toMatchObject([{ by: "Nia", role: "commenter", title: "Crossings" }]);
    expect(await join(first.invited[0]!.token, s.obi.id)).toMatchObject({ failed: "invitation_ended" });
    const [mine] = await invitationsFor(s.obi.id);
    must(await join(mine!.token, s.obi.id));
    expect([await s.rightOf(s.obi.id), await invitationsFor(s.obi.id)]).toEqual(["comment", []]);
    expect(await join(mine!.token, s.wren.id)).toMatchObject({ failed: "invitation_ended" });
    // Who may do as much already is not written to.
    expect(must(await invitePeople(s.timeline, s.nia.id, { emails: [email] }, "reader")).invited).toEqual([]);
    expect((await visitedCards(s.obi.id)).map((v) => [v.title, v.owner, v.role])).toEqual([
      ["Crossings", "Nia", "commenter"],
    ]);
  });

  it("in a class a name is enough; one that nobody or several have is not", async () => {
    const s = await school();
    const mine = must(await createTimeline(s.nia.id, { title: "Mine", subject: "" })).id;
    const by = (name: string) => invitePeople(mine, s.nia.id, { name }, "reader");
    expect(await by("Nobody")).toMatchObject({ failed: "nobody_of_that_name" });
    expect(must(await by(" obi "))).toMatchObject({ invited: [{ email: null }] });
    expect(await invitationsFor(s.obi.id)).toMatchObject([{ title: "Mine", role: "reader" }]);
    const stranger = await makePerson("Stranger");
    expect(await invitePeople(mine, s.nia.id, { name: "Stranger" }, "reader")).toMatchObject({
      failed: "nobody_of_that_name",
    });
    expect(await findRight(db(), mine, stranger.id)).toBeNull();
    await db()`update account set display_name = 'Obi' where id = ${s.wren.id}`;
    expect(await by("Obi")).toMatchObject({ failed: "several_of_that_name" });
  });

  it("work for a class is seen by nobody outside it", async () => {
    const s = await school();
    const stranger = await makePerson("Stranger");
    const [row] = await db()<{ email: string }[]>`select email from account where id = ${stranger.id}`;
    expect(await invitePeople(s.timeline, s.nia.id, { emails: [row!.email] }, "reader")).toMatchObject({
      failed: "not_of_class",
    });
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false, "commenter"));
    expect(await join(token, stranger.id)).toMatchObject({ failed: "not_of_class" });
    must(await join(token, s.obi.id));
    expect(await findRight(db(), s.timeline, s.obi.id)).toBe("comment");
    // Who is of the group edits; less than that is not to be had.
    must(await setRole(s.timeline, s.nia.id, s.obi.id, "editor"));
    expect(await setRole(s.timeline, s.nia.id, s.obi.id, "reader")).toMatchObject({ failed: "group_edits" });
    expect(await findRight(db(), s.timeline, s.obi.id)).toBe("edit");
  });
});

describe("who is what", () => {
  it("is said by the owner; passed on, there is one owner still", async () => {
    const s = await own();
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false, "reader"));
    must(await join(token, s.obi.id));
    expect(await setRole(s.timeline, s.obi.id, s.nia.id, "reader")).toMatchObject({ failed: "not_found" });
    expect(await setRole(s.timeline, s.nia.id, s.obi.id, "owner")).toMatchObject({ failed: "not_found" });
    expect(await setRole(s.timeline, s.nia.id, s.wren.id, "editor")).toMatchObject({ failed: "not_found" });
    for (const [role, right] of [
      ["editor", "edit"],
      ["commenter", "comment"],
      ["reader", "read"],
      ["editor", "edit"],
    ] as const) {
      must(await setRole(s.timeline, s.nia.id, s.obi.id, role));
      expect([role, await s.rightOf(s.obi.id)]).toEqual([role, right]);
    }
    expect(await setRole(s.timeline, s.nia.id, s.nia.id, "editor")).toMatchObject({ failed: "owner_stays" });
    expect(await removeEditor(s.timeline, s.nia.id, s.nia.id)).toMatchObject({ failed: "owner_stays" });
    must(await setRole(s.timeline, s.nia.id, s.obi.id, "owner"));
    expect(await s.rolesOf()).toEqual(["Obi owner", "Nia editor"]);
    must(await removeEditor(s.timeline, s.nia.id, s.nia.id));
    expect(await s.rightOf(s.nia.id)).toBeNull();
  });

  it("of two who pass it on and take it at once one comes after the other, and there is one owner", async () => {
    for (let round = 0; round < 5; round++) {
      const s = await own();
      const { token } = must(await openInvitation(s.timeline, s.nia.id, false));
      for (const p of [s.obi, s.wren]) must(await join(token, p.id));
      await Promise.all([
        setRole(s.timeline, s.nia.id, s.obi.id, "owner"),
        setRole(s.timeline, s.nia.id, s.wren.id, "owner"),
        removeEditor(s.timeline, s.nia.id, s.obi.id),
      ]);
      const owners = await db()`select from editor where timeline_id = ${s.timeline} and role = 'owner'`;
      expect(owners).toHaveLength(1);
    }
  });

  it("a guest leaves, or is taken out and comes in by no link that was there", async () => {
    const s = await own();
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false, "commenter"));
    for (const p of [s.obi, s.wren]) must(await join(token, p.id));
    expect(await removeEditor(s.timeline, s.obi.id, s.wren.id)).toMatchObject({ failed: "not_found" });
    must(await removeEditor(s.timeline, s.obi.id, s.obi.id));
    must(await removeEditor(s.timeline, s.nia.id, s.wren.id));
    expect([await s.rightOf(s.obi.id), await s.rightOf(s.wren.id)]).toEqual([null, null]);
    must(await join(token, s.obi.id));
    expect(await join(token, s.wren.id)).toMatchObject({ failed: "removed_before" });
    // Invited anew by letter, the owner has thought better of it.
    const again = must(await invitePeople(s.timeline, s.nia.id, { emails: [await s.emailOf(s.wren.id)] }, "reader"))
      .invited[0]!;
    must(await join(again.token, s.wren.id));
    expect(await s.rightOf(s.wren.id)).toBe("read");
  });
});

describe("comments", () => {
  it("are said by those who may, answered, done with and opened again", async () => {
    const s = await own();
    const link = must(await openInvitation(s.timeline, s.nia.id, false, "commenter")).token;
    const reads = must(await openInvitation(s.timeline, s.nia.id, false, "reader")).token;
    must(await join(link, s.obi.id));
    must(await join(reads, s.wren.id));
    const { id } = must(await comment(s.timeline, s.obi.id, say(" When? ", { event: "e1", words: "rope" })));
    for (const who of [s.wren.id, (await makePerson("Stranger")).id]) {
      expect(await comment(s.timeline, who, say("x"))).toMatchObject({ failed: "not_found" });
      await expect(commentsOf(s.timeline, who)).rejects.toMatchObject({ failure: { failed: "not_found" } });
    }
    must(await comment(s.timeline, s.nia.id, say("In 1604.", { thread: id })));
    const seen = await commentsOf(s.timeline, s.obi.id);
    expect(seen).toMatchObject({
      moderates: false,
      people: ["Nia", "Obi"],
      threads: [
        {
          event: "e1",
          words: "rope",
          resolvedBy: null,
          said: [
            { by: "Obi", mine: true, text: "When?" },
            { by: "Nia", mine: false, text: "In 1604." },
          ],
        },
      ],
    });
    expect((await noticesOf(s.obi.id)).map((n) => n.text)).toEqual([
      "Nia has answered a comment of yours on “Crossings”.",
    ]);
    must(await resolveThread(s.timeline, id, s.nia.id, true));
    expect((await commentsOf(s.timeline, s.obi.id)).threads[0]!.resolvedBy).toBe("Nia");
    // An answer opens it again.
    must(await comment(s.timeline, s.obi.id, say("Sure?", { thread: id })));
    expect((await commentsOf(s.timeline, s.nia.id)).threads[0]!.resolvedBy).toBeNull();
  });

  it("are altered by who said them, and deleted by them and the owner; with one that begins a thread its answers go", async () => {
    const s = await own();
    const link = must(await openInvitation(s.timeline, s.nia.id, false, "commenter")).token;
    for (const p of [s.obi, s.wren]) must(await join(link, p.id));
    const { id } = must(await comment(s.timeline, s.obi.id, say("When?")));
    must(await comment(s.timeline, s.wren.id, say("1604?", { thread: id })));
    expect(await alterComment(s.timeline, id, s.wren.id, "Where?")).toMatchObject({ failed: "not_found" });
    expect(await alterComment(s.timeline, id, s.nia.id, "Where?")).toMatchObject({ failed: "not_found" });
    expect(await alterComment(s.timeline, id, s.obi.id, "  ")).toMatchObject({ failed: "remark_empty" });
    must(await alterComment(s.timeline, id, s.obi.id, "Where?"));
    expect((await commentsOf(s.timeline, s.nia.id)).threads[0]!.said[0]).toMatchObject({
      text: "Where?",
      altered: true,
    });
    expect(await deleteComment(s.timeline, id, s.wren.id)).toMatchObject({ failed: "not_found" });
    must(await deleteComment(s.timeline, id, s.nia.id));
    expect((await commentsOf(s.timeline, s.nia.id)).threads).toEqual([]);
    expect(await comment(s.timeline, s.wren.id, say("Again", { thread: id }))).toMatchObject({
      failed: "remark_gone",
    });
  });

  it("tell whoever is named and may see it, and say whom nobody could be told", async () => {
    const s = await own();
    const link = must(await openInvitation(s.timeline, s.nia.id, false, "commenter")).token;
    must(await join(link, s.obi.id));
    const done = must(await comment(s.timeline, s.nia.id, say("@Obi and @Wren, look")));
    expect(done.untold).toEqual(["Wren"]);
    expect((await noticesOf(s.obi.id)).map((n) => n.text)).toEqual(["Nia has named you in a comment on “Crossings”."]);
    expect(await noticesOf(s.wren.id)).toEqual([]);
    // Named in an answer to one's own comment, one is told once.
    const { id } = must(await comment(s.timeline, s.obi.id, say("Who?")));
    must(await comment(s.timeline, s.nia.id, say("@Obi: you", { thread: id })));
    expect(await noticesOf(s.obi.id)).toHaveLength(2);
  });

  it("say who has read them, count what is new for a guest, and stop at 500 on one event", async () => {
    const s = await own();
    const link = must(await openInvitation(s.timeline, s.nia.id, false, "commenter")).token;
    must(await join(link, s.obi.id));
    must(await comment(s.timeline, s.nia.id, say("Look")));
    const read = async () => (await commentsOf(s.timeline, s.nia.id)).read;
    expect([await read(), (await visitedCards(s.obi.id))[0]!.unread]).toEqual([[{ name: "Obi", all: false }], 1]);
    await commentsOf(s.timeline, s.obi.id);
    expect([await read(), (await visitedCards(s.obi.id))[0]!.unread]).toEqual([[{ name: "Obi", all: true }], 0]);
    await db()`
      insert into comment (id, timeline_id, event_id, account_id, text)
      select 'x' || n, ${s.timeline}, 'e1', ${s.nia.id}, 'x' from generate_series(1, 499) n`;
    must(await comment(s.timeline, s.obi.id, say("The last", { event: "e1" })));
    expect(await comment(s.timeline, s.obi.id, say("One more", { event: "e1" }))).toMatchObject({
      failed: "remarks_full",
    });
    must(await comment(s.timeline, s.obi.id, say("On the whole")));
    expect(await comment(s.timeline, s.obi.id, say("x", { event: "none" }))).toMatchObject({ failed: "not_found" });
  });

  it("are open to those who teach the class, who are told when they are named", async () => {
    const s = await school();
    must(await comment(s.timeline, s.teacher.id, say("Where from?")));
    const seen = await commentsOf(s.timeline, s.nia.id);
    expect(seen.threads[0]!.said[0]!.text).toBe("Where from?");
    const [me] = await db()<{ name: string }[]>`select display_name as name from account where id = ${s.teacher.id}`;
    expect(must(await comment(s.timeline, s.nia.id, say(`@${me!.name}, here`))).untold).toEqual([]);
    expect((await noticesOf(s.teacher.id)).some((n) => n.text.includes("named you"))).toBe(true);
    await expect(commentsOf(s.timeline, s.obi.id)).rejects.toMatchObject({ failure: { failed: "not_found" } });
  });
});
