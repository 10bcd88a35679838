import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { fetchAll } from "./late";

let place: EventTarget;
beforeEach(() => {
  vi.useFakeTimers();
  place = new EventTarget();
  vi.stubGlobal("window", place);
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe("what is opened later", () => {
  it("is not fetched while somebody writes, then one part after the other, also past one that cannot be had", async () => {
    const got: string[] = [];
    const part = (name: string, there = true) => ({
      fetch: async () => {
        got.push(name);
        if (!there) throw new Error("no network");
      },
    });
    let all = false;
    void fetchAll([part("sheet"), part("share", false), part("map")]).then(() => {
      all = true;
    });
    for (let k = 0; k < 5; k++) {
      await vi.advanceTimersByTimeAsync(1_900);
      place.dispatchEvent(new Event("keydown"));
    }
    expect(got).toEqual([]);
    await vi.advanceTimersByTimeAsync(2_300);
    expect(got).toEqual(["sheet"]);
    // Whoever begins again has the device for that: what was about to come does, the next waits.
    place.dispatchEvent(new Event("pointerdown"));
    await vi.advanceTimersByTimeAsync(1_900);
    expect(got).toEqual(["sheet", "share"]);
    await vi.advanceTimersByTimeAsync(5_000);
    expect(got).toEqual(["sheet", "share", "map"]);
    expect(all).toBe(true);
  });
});
