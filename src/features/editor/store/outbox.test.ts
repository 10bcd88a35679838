import { describe, expect, it } from "vitest";
import type { Change, ConfirmedChange } from "@/core/change/change";
import type { Answer } from "@/ui/ask-server";
import { Outbox } from "./outbox";

type Sent = Answer<{ seq: number; changes: ConfirmedChange[] }>;
const yes: Sent = { ok: true, value: { seq: 1, changes: [] } };
const no = (failed: string, status: number) => ({ ok: false, failed, sentence: `No: ${failed}.`, status }) as Sent;

/** An outbox with changes of these numbers, answered in that order, then always with yes; and all that it did. */
function outbox(ids: string[], answers: Sent[]) {
  const waiting: Change[] = ids.map((id) => ({ id, author: "nia", base: 0, ops: [] }));
  const told: string[] = [];
  let wait: { ms: number; run: () => void } | null = null;
  let names = 0;
  const box = new Outbox(
    {
      send: async (change) => {
        told.push(`send ${change.id}`);
        return answers.shift() ?? yes;
      },
      after: (ms, run) => {
        const mine = { ms, run };
        wait = mine;
        return () => {
          if (wait === mine) wait = null;
        };
      },
      newId: () => `new${++names}`,
    },
    {
      next: () => waiting[0] ?? null,
      known: () => 7,
      confirmed: async (change) => {
        told.push(`confirmed ${change.id}`);
        waiting.shift();
      },
      renamed: async (change, to) => {
        told.push(`${change.id} is ${to.id}`);
        waiting[0] = to;
      },
      refused: async (change, sentence) => {
        told.push(`refused ${change.id}: ${sentence}`);
        waiting.shift();
      },
      says: (state) => {
        told.push(state);
        if (state === "signed_out" || state === "right_lost") waiting.length = 0;
      },
    },
  );
  const settled = async () => {
    for (let k = 0; k < 200; k++) await Promise.resolve();
  };
  return {
    told,
    box,
    wait: () => wait?.ms ?? null,
    pump: async (now = false) => {
      box.pump(now);
      await settled();
    },
    /** Lets the time until the next try pass; gives how long that was. */
    pass: async () => {
      const { ms, run } = wait!;
      wait = null;
      run();
      await settled();
      return ms;
    },
  };
}

describe("an outbox", () => {
  it("sends one after the other, the next once the last is confirmed, and once only however often it is urged", async () => {
    const o = outbox(["a", "b"], []);
    o.box.pump();
    o.box.pump(true);
    await o.pump();
    expect(o.told).toEqual(["send a", "saving", "confirmed a", "send b", "saving", "confirmed b"]);
    expect(o.wait()).toBeNull();
  });

  it("waits longer from try to try, up to eight seconds, and shortly again once it was answered", async () => {
    const o = outbox(["a", "b"], [...Array.from({ length: 7 }, () => no("no_answer", 0)), yes, no("no_answer", 0)]);
    await o.pump();
    const waits: number[] = [];
    for (let k = 0; k < 7; k++) waits.push(await o.pass());
    expect(waits).toEqual([500, 1_000, 2_000, 4_000, 8_000, 8_000, 8_000]);
    expect(o.told.filter((t) => t.startsWith("confirmed"))).toEqual(["confirmed a"]);
    expect(o.wait()).toBe(500);
  });

  it("is not urged past its wait but by who says now, and stops when it is told to", async () => {
    const o = outbox(["a"], [no("no_answer", 0), no("no_answer", 0)]);
    await o.pump();
    await o.pump();
    expect(o.told).toEqual(["send a", "offline"]);
    await o.pump(true);
    expect(o.told).toEqual(["send a", "offline", "send a", "offline"]);
    o.box.stop();
    expect(o.wait()).toBeNull();
  });

  it.each([
    ["text_long", 400],
    ["too_much", 413],
  ])("gives back what is refused with its sentence (%s), and goes on with the next", async (failed, status) => {
    const o = outbox(["a", "b"], [no(failed, status)]);
    await o.pump();
    expect(o.told).toEqual(["send a", `refused a: No: ${failed}.`, "send b", "saving", "confirmed b"]);
  });

  it.each([
    ["a page of something in between", no("no_answer", 403)],
    ["too many at once", no("too_many", 429)],
    ["a server that is away", no("no_database", 503)],
  ])("takes no refusal from %s: it tries again", async (_, answer) => {
    const o = outbox(["a"], [answer]);
    await o.pump();
    expect(o.told).toEqual(["send a", "offline"]);
    await o.pass();
    expect(o.told.at(-1)).toBe("confirmed a");
  });

  it("gives back what breaks the server five times running, and what does so now and then not", async () => {
    const broken = no("broken", 500);
    const o = outbox(
      ["a"],
      Array.from({ length: 5 }, () => broken),
    );
    await o.pump();
    for (let k = 0; k < 4; k++) await o.pass();
    expect(o.told.at(-1)).toBe("refused a: No: broken.");
    const other = outbox(["a"], [broken, broken, broken, broken, no("no_answer", 0), broken, broken]);
    await other.pump();
    for (let k = 0; k < 7; k++) await other.pass();
    expect(other.told.at(-1)).toBe("confirmed a");
  });

  it("sends under a number of its own what another tab has sent a shorter form of", async () => {
    const o = outbox(["a"], [no("change_taken", 409)]);
    await o.pump();
    expect(o.told).toEqual(["send a", "a is new1", "send new1", "saving", "confirmed new1"]);
  });

  it.each([
    ["sign_in_first", 401, "signed_out"],
    ["not_found", 404, "right_lost"],
  ])("says so and tries no more where it is %s", async (failed, status, says) => {
    const o = outbox(["a", "b"], [no(failed, status)]);
    await o.pump();
    expect(o.told).toEqual(["send a", says]);
    expect(o.wait()).toBeNull();
  });
});
