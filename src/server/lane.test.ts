import { describe, expect, it } from "vitest";
import { Lane } from "./lane";

/** A job that ends when it is told to. */
function held<T>(value: T) {
  let finish = () => {};
  let begun = false;
  const job = (signal: AbortSignal) =>
    new Promise<T>((resolve, reject) => {
      begun = true;
      finish = () => resolve(value);
      signal.addEventListener("abort", () => reject(new Error("stopped")));
    });
  return { job, finish: () => finish(), isBegun: () => begun };
}
const settle = () => new Promise<void>((resolve) => setImmediate(resolve));

describe("the queue before the threads", () => {
  it("runs as many at once as there are threads, and one at a time of one person", async () => {
    const lane = new Lane(2, 10);
    const jobs = ["nia", "nia", "obi", "wren"].map((key) => ({ key, ...held(key) }));
    const done = jobs.map((j) => lane.run(j.key, j.key, 1_000, j.job));
    await settle();
    expect(jobs.map((j) => j.isBegun())).toEqual([true, false, true, false]);
    jobs[2]!.finish();
    await settle();
    expect(jobs.map((j) => j.isBegun())).toEqual([true, false, true, true]);
    jobs[0]!.finish();
    await settle();
    expect(jobs[1]!.isBegun()).toBe(true);
    for (const j of jobs) j.finish();
    expect(await Promise.all(done)).toEqual([{ ok: "nia" }, { ok: "nia" }, { ok: "obi" }, { ok: "wren" }]);
  });

  it("refuses at once what comes when too many wait", async () => {
    const lane = new Lane(1, 2);
    const jobs = ["a", "b", "c"].map((key) => held(key));
    const done = jobs.map((j, i) => lane.run(`${i}`, `${i}`, 1_000, j.job));
    expect(await lane.run("d", "d", 1_000, held("d").job)).toMatchObject({ failed: "busy" });
    for (const j of jobs) {
      await settle();
      j.finish();
    }
    expect(await Promise.all(done)).toHaveLength(3);
  });

  it("stops what takes too long, lets it rest, longer each time, and leaves others alone", async () => {
    let now = 0;
    const lane = new Lane(1, 10, () => now);
    const slow = () => lane.run("nia", "slow one", 1, held("x").job);
    const fine = () => lane.run("nia", "another", 1_000, async () => "fine");
    expect(await slow()).toMatchObject({ failed: "too_slow" });
    now = 59_000;
    const untouched = held("x");
    expect(await lane.run("nia", "slow one", 1_000, untouched.job)).toMatchObject({ failed: "too_slow" });
    expect(untouched.isBegun()).toBe(false);
    expect(await fine()).toEqual({ ok: "fine" });
    now = 61_000;
    expect(await slow()).toMatchObject({ failed: "too_slow" });
    now = 61_000 + 119_000;
    expect(await slow()).toMatchObject({ failed: "too_slow" });
    now = 61_000 + 121_000;
    expect(await lane.run("nia", "slow one", 1_000, async () => "well again")).toEqual({ ok: "well again" });
  });

  it("passes on what fails, and goes on", async () => {
    const lane = new Lane(1, 10);
    await expect(lane.run("a", "a", 1_000, () => Promise.reject(new Error("a fault")))).rejects.toThrow("a fault");
    expect(await lane.run("a", "a", 1_000, async () => 1)).toEqual({ ok: 1 });
  });
});
