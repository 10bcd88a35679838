import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { restOf } from "./rest";

beforeEach(() => vi.useFakeTimers());
afterEach(() => vi.useRealTimers());

/** When a promise was kept, ms from now. */
function kept(promise: Promise<void>): { at: number | null } {
  const from = performance.now();
  const seen: { at: number | null } = { at: null };
  void promise.then(() => {
    seen.at = Math.round(performance.now() - from);
  });
  return seen;
}

describe("somebody rests", () => {
  it("two seconds after the page is there, and again at once while nothing is done", async () => {
    const resting = restOf(new EventTarget());
    const first = kept(resting());
    await vi.advanceTimersByTimeAsync(1_990);
    expect(first.at).toBeNull();
    await vi.advanceTimersByTimeAsync(20);
    expect(first.at).toBe(2_000);
    const second = kept(resting());
    await vi.advanceTimersByTimeAsync(0);
    expect(second.at).toBe(0);
  });

  it.each(["keydown", "pointerdown", "wheel"])("two seconds after the last %s", async (name) => {
    const place = new EventTarget();
    const resting = restOf(place);
    const seen = kept(resting());
    for (let k = 0; k < 3; k++) {
      await vi.advanceTimersByTimeAsync(1_500);
      place.dispatchEvent(new Event(name));
    }
    expect(seen.at).toBeNull();
    await vi.advanceTimersByTimeAsync(2_000);
    expect(seen.at).toBe(6_500);
  });

  it("is not waited for longer than twenty seconds, nor listened to afterwards", async () => {
    const place = new EventTarget();
    const away = vi.spyOn(place, "removeEventListener");
    const resting = restOf(place);
    const seen = kept(resting());
    for (let k = 0; k < 30; k++) {
      await vi.advanceTimersByTimeAsync(1_000);
      place.dispatchEvent(new Event("keydown"));
    }
    expect(seen.at).toBe(20_000);
    expect(away).toHaveBeenCalledTimes(3);
    const late = kept(resting());
    await vi.advanceTimersByTimeAsync(0);
    expect(late.at).toBe(0);
  });
});
