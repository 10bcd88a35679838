import { beforeEach, describe, expect, it } from "vitest";
import type { ConfirmedChange } from "@/core/change/change";
import type { Answer } from "@/ui/ask-server";
import { CatchUp } from "./catch-up";
import type { CaughtUp, Ports } from "./ports";

const turns = () => new Promise<void>((go) => setImmediate(go));
const change = (seq: number): ConfirmedChange => ({ id: `c${seq}`, author: "obi", base: 0, ops: [], seq, at: "" });

/** A server with so many changes, of which an answer holds some; and an editor that takes them. */
let there: number;
let atOnce: number;
let known: number;
let waiting: boolean;
let told: number;
let did: string[];
let fails: (Answer<never> & { ok: false }) | null;
let timers: { ms: number; run: () => void }[];
let onAsk: () => void;
let catching: CatchUp;

beforeEach(() => {
  [there, atOnce, known, waiting, told, fails] = [0, 50, 0, false, 0, null];
  did = [];
  timers = [];
  onAsk = () => {};
  const ports = {
    catchUp: async (after: number): Promise<Answer<CaughtUp>> => {
      did.push(`ask ${after}`);
      onAsk();
      await turns();
      if (fails) return fails;
      const changes = Array.from({ length: Math.min(atOnce, there - after) }, (_, i) => change(after + i + 1));
      return { ok: true, value: { changes, seq: there, editors: [], publication: null, work: null } };
    },
    readWhole: async () => {
      did.push("whole");
      await turns();
      return { ok: true, value: { seq: there, timeline: {} } };
    },
    after: (ms: number, run: () => void) => {
      const timer = { ms, run };
      timers.push(timer);
      return () => {
        timers = timers.filter((t) => t !== timer);
      };
    },
  } as unknown as Ports;
  catching = new CatchUp(ports, {
    known: () => known,
    waiting: () => waiting,
    told: () => told,
    around: () => did.push("around"),
    take: (changes) => {
      known = changes.at(-1)?.seq ?? known;
    },
    takeWhole: (s) => {
      known = s.seq;
    },
    reached: () => did.push("reached"),
    ended: (why) => did.push(why),
  });
});
const asked = () => did.filter((d) => d.startsWith("ask"));
const failing = (failed: string, status: number): typeof fails => ({ ok: false, failed, sentence: failed, status });

describe("catching up", () => {
  it("asks until it has all that there is, and no more", async () => {
    there = 120;
    await catching.ask();
    expect([known, asked()]).toEqual([120, ["ask 0", "ask 50", "ask 100"]]);
    await catching.ask();
    expect(asked()).toHaveLength(4);
  });

  it("asks one request at a time; what is asked for meanwhile is asked once more afterwards", async () => {
    there = 10;
    const first = catching.ask();
    await Promise.all([catching.ask(), catching.ask(), catching.ask()]);
    there = 12;
    await first;
    expect([known, asked()]).toEqual([12, ["ask 0", expect.stringMatching(/^ask 1\d$/)]]);
  });

  it("reads the timeline as it stands where very much is behind, unless something of one's own is on its way", async () => {
    there = 10_000;
    await catching.ask();
    expect([known, did.filter((d) => d === "whole").length, asked().length]).toEqual([10_000, 1, 2]);
    known = 0;
    did = [];
    waiting = true;
    atOnce = 5_000;
    await catching.ask();
    expect([known, did.includes("whole"), asked()]).toEqual([10_000, false, ["ask 0", "ask 5000"]]);
  });

  it("stops asking where an answer brings nothing, though more is said to be there", async () => {
    there = 10;
    atOnce = 0;
    await catching.ask();
    expect([known, asked()]).toEqual([0, ["ask 0"]]);
  });

  it("passes on what is around, but not what was answered before something newer was said", async () => {
    onAsk = () => {
      if (asked().length === 1) told++;
    };
    await catching.ask();
    expect(did).toEqual(["ask 0", "reached", "ask 0", "around", "reached"]);
  });

  it("tries again where nobody answers, ever more seldom, and at once as often as before when somebody did", async () => {
    fails = failing("no_answer", 0);
    await catching.ask();
    const waits: number[] = [];
    for (let i = 0; i < 7; i++) {
      expect(timers).toHaveLength(1);
      const { ms, run } = timers.pop()!;
      waits.push(ms);
      run();
      await turns();
      await turns();
    }
    expect(waits).toEqual([1_000, 2_000, 4_000, 8_000, 16_000, 30_000, 30_000]);
    fails = null;
    there = 3;
    timers.pop()!.run();
    await turns();
    await turns();
    expect([known, timers]).toEqual([3, []]);
    fails = failing("no_answer", 502);
    await catching.ask();
    expect(timers.map((t) => t.ms)).toEqual([1_000]);
  });

  it("ends where the right or the session is over, and asks nobody again", async () => {
    for (const [failed, status, why] of [
      ["not_found", 404, "right_lost"],
      ["sign_in_first", 401, "signed_out"],
    ] as const) {
      did = [];
      fails = failing(failed, status);
      await catching.ask();
      expect([did.at(-1), timers]).toEqual([why, []]);
    }
  });

  it("asks nothing by itself any more once it is stopped, and begins again when it is told to", async () => {
    fails = failing("no_answer", 0);
    await catching.ask();
    catching.stop();
    expect(timers).toEqual([]);
    await catching.ask();
    expect(timers).toEqual([]);
    fails = null;
    there = 2;
    catching.start();
    await turns();
    await turns();
    expect(known).toBe(2);
  });
});
