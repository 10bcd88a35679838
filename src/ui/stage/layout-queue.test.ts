import { describe, expect, it, vi } from "vitest";
import { answerTo } from "@/core/chart/frame/hand-over";
import { layOutWhole } from "@/core/chart/frame/whole-chart";
import { seededTimeline } from "@/core/testing/seeded-timeline";
import type { Asked } from "@/workers/chart.worker";
import { LayoutQueue, type Wanted } from "./layout-queue";

const wanted = (count: number): Wanted => ({
  timeline: seededTimeline(count, 3),
  hidden: new Set(),
  room: { width: 900, height: 400 },
  upright: false,
  rows: null,
  today: { day: 740_000, second: 0 },
  seen: null,
});

/** A worker whose answers are given when the test says so. */
class ByHand {
  onmessage: ((m: { data: unknown }) => void) | null = null;
  onerror: (() => void) | null = null;
  asked: Asked[] = [];
  ended = false;
  postMessage(asked: Asked): void {
    this.asked.push(asked);
  }
  terminate(): void {
    this.ended = true;
  }
  answer(k: number): void {
    const asked = this.asked[k]!;
    const answer = "chart" in asked ? layOutWhole(asked.chart) : answerTo(asked.task);
    this.onmessage!({ data: { number: asked.number, answer } });
  }
}

function queue() {
  const worker = new ByHand();
  const got: number[] = [];
  const q = new LayoutQueue(
    () => worker as unknown as Worker,
    (chart, events) => {
      expect(chart.data.count).toBe(events.length);
      got.push(events.length);
    },
  );
  return { q, worker, got };
}

describe("the queue of layouts", () => {
  it("asks a worker for a small chart, and delivers what it answers", () => {
    const { q, worker, got } = queue();
    q.run(wanted(12));
    expect([got, q.busy]).toEqual([[], true]);
    worker.answer(0);
    expect([got, q.busy]).toEqual([[12], false]);
  });

  it("does not deliver what a newer chart has overtaken", () => {
    const { q, worker, got } = queue();
    q.run(wanted(12));
    q.run(wanted(20));
    worker.answer(0);
    expect(got).toEqual([]);
    worker.answer(1);
    expect(got).toEqual([20]);
  });

  it("of a large chart asks for the main ridge", async () => {
    const { q, worker, got } = queue();
    q.run(wanted(700));
    await expect.poll(() => worker.asked.length).toBe(1);
    expect("task" in worker.asked[0]!).toBe(true);
    worker.answer(0);
    expect(got).toEqual([700]);
  });

  it.each([12, 700])("lays out %i events where it is when its worker fails, from then on", async (count) => {
    const { q, worker, got } = queue();
    q.run(wanted(count));
    await expect.poll(() => worker.asked.length).toBe(1);
    worker.onerror!();
    expect([got, worker.ended]).toEqual([[count], true]);
    q.run(wanted(15));
    expect(got).toEqual([count, 15]);
  });

  it("lays out where it is when its worker never comes, and says nothing; one that has answered is waited for", () => {
    vi.useFakeTimers();
    try {
      const { q, worker, got } = queue();
      q.run(wanted(12));
      vi.advanceTimersByTime(5_000);
      // Another chart is asked for meanwhile: it is not waited for any longer.
      q.run(wanted(14));
      expect(got).toEqual([]);
      vi.advanceTimersByTime(5_000);
      expect([got, worker.ended]).toEqual([[14], true]);
      const other = queue();
      other.q.run(wanted(12));
      other.worker.answer(0);
      other.q.run(wanted(13));
      vi.advanceTimersByTime(60_000);
      expect([other.got, other.worker.ended]).toEqual([[12], false]);
    } finally {
      vi.useRealTimers();
    }
  });

  it.each([0, 2])("lays out %i events at once", (count) => {
    const { q, worker, got } = queue();
    q.run(wanted(count));
    expect([got, q.busy, worker.asked.length]).toEqual([[count], false, 0]);
  });

  it("lays out where it is when no worker can be had", () => {
    const got: number[] = [];
    const none = () => {
      throw new Error("no workers here");
    };
    const q = new LayoutQueue(none, (_, events) => got.push(events.length));
    q.run(wanted(12));
    expect(got).toEqual([12]);
  });
});
