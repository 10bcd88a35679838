import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { anyUnsaved, MarkSaver, type MarkValues, saveAll, saverOf } from "./mark-saver";

interface Sent {
  points: number | null;
  comment: string;
}
type Reply = "ok" | "gone" | "later" | "no";

/** A server that answers as it is told, in the order it is asked, and keeps what it took. */
function world() {
  const sent: Sent[] = [];
  const stored: Sent[] = [];
  const replies: Reply[] = [];
  const held: (() => void)[] = [];
  let holding = false;
  vi.stubGlobal("fetch", async (_: string, init: { body: string }) => {
    const body = JSON.parse(init.body) as Sent;
    sent.push(body);
    if (holding) await new Promise<void>((resolve) => held.push(resolve));
    const reply = replies.shift() ?? "ok";
    if (reply === "gone") throw new TypeError("no network");
    if (reply === "later") return new Response("<h1>Bad gateway</h1>", { status: 502 });
    if (reply === "no")
      return Response.json({ failed: "not_found", sentence: "There is nothing here." }, { status: 404 });
    stored.push(body);
    return Response.json({ saved: true, version: stored.length });
  });
  return {
    sent,
    stored,
    replies,
    hold: () => (holding = true),
    letGo: () => {
      holding = false;
      for (const go of held.splice(0)) go();
    },
  };
}
const values = (points: string, comment = ""): MarkValues => ({ points, comment, comments: {}, levels: [] });

beforeEach(() => vi.useFakeTimers());
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe("marks that are typed", () => {
  it("say which save they were made from, and each answer is the next one", async () => {
    const w = world();
    const saver = new MarkSaver("s", 20);
    saver.base = 0;
    saver.set(values("1"));
    await vi.advanceTimersByTimeAsync(600);
    saver.set(values("2"));
    await vi.advanceTimersByTimeAsync(600);
    expect(w.sent.map((s) => (s as { base?: number }).base)).toEqual([0, 1]);
    saver.forget();
    expect([saver.typed, saver.base, saver.getState()]).toEqual([null, null, { kind: "nothing" }]);
  });

  it("are saved once, when typing rests, with a comma read as a point", async () => {
    const w = world();
    const saver = new MarkSaver("s", 20);
    for (const typed of ["1", "12", "12,5"]) saver.set(values(typed, "Good"));
    expect(saver.getState()).toEqual({ kind: "saving" });
    await vi.advanceTimersByTimeAsync(600);
    expect(w.sent).toMatchObject([{ points: 12.5, comment: "Good" }]);
    expect([saver.getState(), saver.unsaved]).toEqual([{ kind: "saved" }, null]);
  });

  it("while another is on its way, go after it: what was typed last is stored last", async () => {
    const w = world();
    const saver = new MarkSaver("s", 20);
    w.hold();
    saver.set(values("1"));
    await vi.advanceTimersByTimeAsync(600);
    saver.set(values("2"));
    await vi.advanceTimersByTimeAsync(600);
    expect(w.sent).toHaveLength(1);
    w.letGo();
    await vi.advanceTimersByTimeAsync(2_000);
    expect(w.stored.map((s) => s.points)).toEqual([1, 2]);
    expect(saver.unsaved).toBeNull();
  });

  it("are tried again, ever more slowly, while nobody answers, and say so", async () => {
    const w = world();
    w.replies.push("gone", "later", "gone");
    const saver = new MarkSaver("s", 20);
    saver.set(values("7"));
    await vi.advanceTimersByTimeAsync(600);
    expect(saver.getState()).toMatchObject({ kind: "waiting" });
    expect(saver.unsaved).toEqual(values("7"));
    await vi.advanceTimersByTimeAsync(1_000);
    expect(w.sent).toHaveLength(2);
    await vi.advanceTimersByTimeAsync(1_000);
    expect(w.sent).toHaveLength(2);
    await vi.advanceTimersByTimeAsync(10_000);
    expect(w.stored.map((s) => s.points)).toEqual([7]);
    expect(saver.getState()).toEqual({ kind: "saved" });
  });

  it.each(["21", "-1", "ten"])("beyond what there is, as %s, are not sent, and are kept", async (points) => {
    const w = world();
    const saver = new MarkSaver("s", 20);
    saver.set(values(points));
    expect(await saver.flush()).toBe(false);
    expect(w.sent).toHaveLength(0);
    expect(saver.getState()).toMatchObject({ kind: "refused" });
    expect(saver.typed).toEqual(values(points));
  });

  it("that are refused are not tried again, and say why", async () => {
    const w = world();
    w.replies.push("no");
    const saver = new MarkSaver("s", 20);
    saver.set(values("3"));
    await vi.advanceTimersByTimeAsync(60_000);
    expect(w.sent).toHaveLength(1);
    expect(saver.getState()).toEqual({ kind: "refused", sentence: "There is nothing here." });
  });

  it("are saved at once when one goes on, and tell every part of the desk", async () => {
    const w = world();
    const saver = saverOf("one", 20);
    expect(saverOf("one", 20)).toBe(saver);
    let told = 0;
    const forget = saver.subscribe(() => (told += 1));
    saver.set(values("", "Say more"));
    expect(anyUnsaved()).toBe(true);
    expect(await saver.flush()).toBe(true);
    expect(w.stored).toMatchObject([{ points: null, comment: "Say more" }]);
    expect([anyUnsaved(), told]).toEqual([false, 2]);
    forget();
    saver.set(values("4"));
    expect(told).toBe(2);
  });

  it("are all saved before all is given back: of several works, what was typed while another was sent too; or it is said", async () => {
    const w = world();
    // What others left.
    await saveAll();
    w.stored.length = 0;
    const [first, second] = [saverOf("first", 20), saverOf("second", 20)];
    first.set(values("3"));
    second.set(values("4"));
    w.hold();
    const all = saveAll();
    await vi.advanceTimersByTimeAsync(1);
    first.set(values("5"));
    w.letGo();
    expect(await all).toBe(true);
    expect(w.stored.map((s) => s.points).sort()).toEqual([3, 4, 5]);
    expect(anyUnsaved()).toBe(false);
    second.set(values("99"));
    expect(await saveAll()).toBe(false);
    w.replies.push("gone");
    second.set(values("9"));
    expect(await saveAll()).toBe(false);
    expect(await saveAll()).toBe(true);
  });
});
