import { describe, expect, it } from "vitest";
import type { Change } from "@/core/change/change";
import { Keeping } from "./keeping";

const change = (id: string, words: string): Change => ({
  id,
  author: "nia",
  base: 0,
  ops: [{ kind: "set_event", id: "e", field: "title", value: words }],
});
const turn = () => new Promise((resolve) => setTimeout(resolve));

/** A disk that is done with a writing when it is told so, and pages that are held. */
function slowDisk() {
  const disk = new Map<string, Change>();
  const writing: { change: Change; done(): void; failed(): void }[] = [];
  const holding = new Set<object>();
  const retries: (() => void)[] = [];
  const told: boolean[] = [];
  const put = (c: Change) =>
    new Promise<void>((resolve, reject) =>
      writing.push({
        change: c,
        done: () => {
          disk.set(c.id, c);
          resolve();
        },
        failed: () => reject(new DOMException("No room.", "QuotaExceededError")),
      }),
    );
  const keeping = new Keeping(
    "nia/t",
    {
      pending: {
        put,
        rename: (from, to) => put(to).then(() => void disk.delete(from)),
        remove: async (id) => void disk.delete(id),
        refuse: async () => {},
        takeOver: async () => [],
        setAside: async () => [],
        forget: async () => {},
        leave: () => {},
      },
      left: new Map(),
      after: (_, run) => {
        retries.push(run);
        return () => {};
      },
      holdPage: (by, held) => void (held ? holding.add(by) : holding.delete(by)),
    },
    (isKept) => told.push(isKept),
  );
  return { keeping, disk, writing, holding, retries, told };
}

describe("what is put on the device's disk", () => {
  it("is put there together where it was typed while the disk was busy, and the page is held until the last of it is there", async () => {
    const { keeping, disk, writing, holding } = slowDisk();
    for (const words of ["F", "Fe", "Fer", "Ferry"]) keeping.put(change("a", words));
    keeping.put(change("b", "Rope"));
    expect(writing.map((w) => w.change.id)).toEqual(["a", "b"]);
    writing[1]!.done();
    writing[0]!.done();
    await turn();
    expect(writing.map((w) => w.change)).toEqual([change("a", "F"), change("b", "Rope"), change("a", "Ferry")]);
    expect(holding.size).toBe(1);
    writing[2]!.done();
    await turn();
    expect(writing).toHaveLength(3);
    expect([...disk.values()]).toEqual([change("b", "Rope"), change("a", "Ferry")]);
    expect(holding.size).toBe(0);
    // And later again.
    keeping.put(change("a", "Ferryman"));
    expect(writing).toHaveLength(4);
  });

  it("is not put there any more once the server has it", async () => {
    const { keeping, disk, writing, holding } = slowDisk();
    keeping.put(change("a", "F"));
    keeping.put(change("a", "Ferry"));
    await keeping.remove("a");
    expect(holding.size).toBe(0);
    writing[0]!.done();
    await turn();
    expect(writing).toHaveLength(1);
    disk.clear();
    // Under another number it is one.
    keeping.put(change("b", "Rope"));
    const renamed = keeping.rename("b", change("c", "Rope"));
    for (const w of writing.slice(1)) w.done();
    await renamed;
    expect([...disk.keys()]).toEqual(["c"]);
    expect(holding.size).toBe(0);
  });

  it("is tried again as it is by then, where the disk took nothing", async () => {
    const { keeping, disk, writing, retries, told, holding } = slowDisk();
    keeping.put(change("a", "F"));
    writing[0]!.failed();
    await turn();
    expect([told, retries.length, holding.size]).toEqual([[false], 1, 1]);
    keeping.put(change("a", "Ferry"));
    writing[1]!.failed();
    await turn();
    expect(retries).toHaveLength(1);
    retries[0]!();
    writing[2]!.done();
    await turn();
    expect(disk.get("a")).toEqual(change("a", "Ferry"));
    expect([told.at(-1), holding.size]).toEqual([true, 0]);
  });
});
