import { createHash } from "node:crypto";
import { afterAll, describe, expect, it } from "vitest";
import { submit } from "../classes/submit";
import { db } from "../db/pool";
import { edit, must, school } from "../testing/school";
import { makeTimeline, withTestDatabase } from "../testing/test-database";
import { comment } from "../timelines/comments";
import { join, openInvitation, removeEditor, setRole } from "../timelines/invite";
import { closeAllStreams, openStream } from "./hub";
import { isHere, signedOut } from "./notify";

withTestDatabase("hub");
afterAll(closeAllStreams);

type Message = Record<string, unknown> & { kind: string };

/** The key of a session of that name. */
const keyOf = (name: string) => createHash("sha256").update(name).digest("hex");
async function openAs(account: string, name: string): Promise<string> {
  await db()`
    insert into session (token_hash, account_id, expires_at)
    values (${Buffer.from(keyOf(name), "hex")}, ${account}, now() + interval '1 day') on conflict do nothing`;
  return keyOf(name);
}
const close = (name: string) => db()`delete from session where token_hash = ${Buffer.from(keyOf(name), "hex")}`;

/** One browser's stream: every message, in order. */
async function listen(account: string, session = account) {
  const reader = (await openStream(account, await openAs(account, session)))!.getReader();
  const decoder = new TextDecoder();
  const next = async (): Promise<Message | null> => {
    const { value, done } = await reader.read();
    if (done) return null;
    const text = decoder.decode(value);
    return text.startsWith("data: ") ? (JSON.parse(text.slice(6)) as Message) : next();
  };
  /** All messages up to the first that fits; an ended stream is an error. */
  const until = async (fits: (m: Message) => boolean): Promise<Message[]> => {
    const all: Message[] = [];
    for (;;) {
      const m = await next();
      if (!m) throw new Error(`ended after ${JSON.stringify(all)}`);
      all.push(m);
      if (fits(m)) return all;
    }
  };
  return { next, until, cancel: () => reader.cancel() };
}

/** A stream that hears what happens from now on. */
async function hearing(account: string, session?: string) {
  const stream = await listen(account, session);
  await stream.until((m) => m.kind === "hearing" && m.hearing === true);
  await stream.until((m) => m.kind === "catch_up");
  return stream;
}

const rename = (timeline: string, author: string, value: string) =>
  edit(timeline, author, { kind: "set_timeline", field: "title", value });
const changed = (timeline: string) => (m: Message) => m.kind === "changed" && m.timeline === timeline;

describe("the stream of notices", () => {
  it("tells each browser of the timelines its person may edit, and nobody of any other's", async () => {
    const [s, other] = [await school(), await school()];
    const [nia, stranger] = [await hearing(s.nia.id), await hearing(other.nia.id)];
    await rename(s.timeline, s.nia.id, "Bridges");
    await rename(other.timeline, other.nia.id, "Ferries");
    const [first] = await nia.until(changed(s.timeline));
    expect(first).toMatchObject({ kind: "changed", timeline: s.timeline, seq: expect.any(Number) });
    // Notices come in the order they were made: what was not heard before one's own is not heard at all.
    expect(await stranger.until(changed(other.timeline))).toHaveLength(1);
  });

  it("reaches who joins while listening, and tells who is taken out before it falls silent", async () => {
    const s = await school();
    const obi = await hearing(s.obi.id);
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false));
    must(await join(token, s.obi.id));
    await obi.until((m) => m.kind === "catch_up");
    await rename(s.timeline, s.nia.id, "Together");
    await obi.until(changed(s.timeline));
    must(await removeEditor(s.timeline, s.nia.id, s.obi.id));
    const lost = await obi.until((m) => m.kind === "catch_up");
    expect(lost[0]).toEqual({ kind: "right_lost", timeline: s.timeline });
    await rename(s.timeline, s.nia.id, "Alone again");
    await signedOut(keyOf(s.obi.id));
    expect(await obi.until((m) => m.kind === "signed_out")).toHaveLength(1);
  });

  it("tells a guest of changes, comments and who is here, and an editor who becomes a guest that editing is over", async () => {
    const s = await school();
    const { token } = must(await openInvitation(s.timeline, s.nia.id, false, "commenter"));
    must(await join(token, s.obi.id));
    const own = await makeTimeline(s.wren.id);
    const [obi, wren] = [await hearing(s.obi.id), await hearing(s.wren.id)];
    await rename(s.timeline, s.nia.id, "Bridges");
    await obi.until(changed(s.timeline));
    must(await comment(s.timeline, s.nia.id, { event: "", words: "", thread: null, text: "Look" }));
    await obi.until((m) => m.kind === "comments" && m.timeline === s.timeline);
    const where = { at: "chart", event: null, field: "", follows: null } as const;
    await isHere(s.timeline, { tab: "t", n: 0, account: s.nia.id, name: "Nia", where });
    expect((await obi.until((m) => m.kind === "here")).at(-1)).toEqual({
      kind: "here",
      timeline: s.timeline,
      tab: "t",
      n: 0,
      account: s.nia.id,
      name: "Nia",
      where,
    });
    // Somebody without a right hears nothing of all that.
    await rename(own, s.wren.id, "Mine");
    expect(await wren.until(changed(own))).toHaveLength(1);

    const mine = await makeTimeline(s.nia.id);
    const link = must(await openInvitation(mine, s.nia.id, false));
    must(await join(link.token, s.obi.id));
    await obi.until((m) => m.kind === "catch_up");
    must(await setRole(mine, s.nia.id, s.obi.id, "reader"));
    const told = await obi.until((m) => m.kind === "catch_up");
    expect(told).toContainEqual({ kind: "right_lost", timeline: mine });
    // They hear of it still: as a guest.
    await rename(mine, s.nia.id, "Ours");
    await obi.until(changed(mine));
  });

  it("tells the teacher of a class when something is handed in, and a classmate nothing", async () => {
    const s = await school();
    const own = await makeTimeline(s.wren.id);
    const [ward, wren] = [await hearing(s.teacher.id), await hearing(s.wren.id)];
    must(await submit(s.timeline, s.nia.id));
    await ward.until((m) => m.kind === "work" && m.timeline === s.timeline);
    await rename(own, s.wren.id, "Mine");
    expect(await wren.until(changed(own))).toHaveLength(1);
  });

  it("ends with the session it belongs to, and with that one only", async () => {
    const s = await school();
    const [here, there] = [await hearing(s.nia.id, "here"), await hearing(s.nia.id, "there")];
    await signedOut(keyOf("here"));
    expect(await here.next()).toEqual({ kind: "signed_out" });
    expect(await here.next()).toBeNull();
    await rename(s.timeline, s.nia.id, "Still there");
    await there.until(changed(s.timeline));
  });

  it("gives up a browser that does not read, before it fills the memory", async () => {
    const s = await school();
    const [idle, awake] = [await hearing(s.nia.id, "idle"), await hearing(s.nia.id, "awake")];
    const most = 3_000;
    await Promise.all([
      awake.until((m) => m.seq === most),
      db()`select pg_notify('fastigo', json_build_object('kind', 'changed', 'timeline', ${s.timeline}::text, 'seq', n)::text)
        from generate_series(1, ${most}) as n`,
    ]);
    let got = 0;
    while (await idle.next()) got += 1;
    expect(got).toBeGreaterThan(0);
    expect(got).toBeLessThan(most);
  });

  it("ends where its session was closed while nobody heard of it: before it stood, and while the database was away", async () => {
    const s = await school();
    await openAs(s.nia.id, "gone");
    await close("gone");
    const late = (await openStream(s.nia.id, keyOf("gone")))!.getReader();
    const said: string[] = [];
    for (let part = await late.read(); !part.done; part = await late.read())
      said.push(new TextDecoder().decode(part.value));
    expect(said.at(-1)).toContain("signed_out");

    const [closed, stays] = [await hearing(s.nia.id, "closed"), await hearing(s.nia.id, "stays")];
    await close("closed");
    const cut = await db()`
      select pg_terminate_backend(pid, 10000) from pg_stat_activity
      where datname = current_database() and query ilike 'listen %fastigo"%'`;
    expect(cut.length).toBeGreaterThan(0);
    expect((await closed.until((m) => m.kind === "signed_out")).map((m) => m.kind)).toContain("hearing");
    expect(await closed.next()).toBeNull();
    await stays.until((m) => m.kind === "hearing" && m.hearing === true);
    await rename(s.timeline, s.nia.id, "Still heard");
    await stays.until(changed(s.timeline));
  });

  it("is refused while the server stops, and those open end", async () => {
    const s = await school();
    const nia = await hearing(s.nia.id);
    closeAllStreams();
    expect(await nia.next()).toBeNull();
    expect(await openStream(s.nia.id, keyOf("late"))).toBeNull();
  });
});
