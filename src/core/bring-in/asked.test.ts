import { describe, expect, it } from "vitest";
import { readWhen } from "../time/read/read-when";
import { type Answers, BringInDesk, type Source } from "./asked";
import type { KnownEvent } from "./match-rows";

const bytes = (text: string) => new TextEncoder().encode(text);
const csv = (text: string): Source => ({ name: "crossings.csv", bytes: bytes(text) });
const CROSSINGS = "When,Title,Note\n1604,Rope ferry,County roll\nsomeday,The flood,\n1931,Last ferry,\n";

/** What is done on a desk, one after the other, as a worker is asked. */
function desk() {
  const one = new BringInDesk();
  return {
    read: (source: Source) => one.answer({ kind: "read", source, options: {}, dates: {} }) as Promise<Answers["read"]>,
    look: (wish = {}, events: readonly KnownEvent[] | null = [], sheet = 0) =>
      one.answer({ kind: "look", sheet, dates: {}, events, wish }) as Promise<Answers["look"]>,
    rows: (from: number, to: number) => one.answer({ kind: "rows", from, to }) as Promise<Answers["rows"]>,
  };
}

describe("the desk where what is brought in is looked at", () => {
  it("says what a file holds without sending its rows", async () => {
    const { read } = desk();
    const found = await read(csv(CROSSINGS));
    expect(found).toMatchObject({ kind: "rows", sheets: [{ rows: 4 }], encoding: "utf-8", delimiter: "," });
    expect(JSON.stringify(found)).not.toContain("Rope ferry");
  });

  it("shows those first that want mending, with their own cells and names", async () => {
    const { read, look } = desk();
    await read(csv(CROSSINGS));
    const looked = await look();
    expect(looked.names).toEqual(["When", "Title", "Note"]);
    expect(looked.counts).toMatchObject({ events: 3, notUnderstood: 1 });
    expect(looked.shown.map((s) => s.row.cells.title)).toEqual(["The flood", "Rope ferry", "Last ferry"]);
    expect(looked.shown.map((s) => s.cells)).toEqual([
      ["someday", "The flood", ""],
      ["1604", "Rope ferry", "County roll"],
      ["1931", "Last ferry", ""],
    ]);
    expect([looked.more, looked.refused, looked.pictures]).toEqual([0, [], 0]);
  });

  it("says beside each row which event it is, also when it is asked again without them", async () => {
    const { read, look } = desk();
    await read(csv(CROSSINGS));
    const known: KnownEvent = { id: "e1", title: "Rope ferry", when: readWhen("1604"), origin: "", given: null };
    const events = (looked: Answers["look"]) => looked.shown.map((s) => s.event);
    expect(events(await look({}, [known]))).toEqual([null, "e1", null]);
    expect(events(await look({ mended: new Map([[2, "1783"]]) }, null))).toEqual(["e1", null, null]);
    expect((await look({}, [])).matched.absent).toEqual([]);
  });

  it("takes rows without a row of names, and columns as somebody says they are", async () => {
    const { read, look } = desk();
    await read({ text: "1604;Rope ferry\n1931;Last ferry" });
    const looked = await look({ named: false, uses: ["when", "title"] });
    expect([looked.names, looked.counts.events, looked.hasDates]).toEqual([[], 2, true]);
    expect(looked.shown[0]!.cells).toEqual(["1604", "Rope ferry"]);
    expect((await look({ named: false, uses: ["title", "note"] })).hasDates).toBe(false);
  });

  it("shows 150 of many, cuts long cells short for the screen, and gives the rest whole when it is asked for", async () => {
    const { read, look, rows } = desk();
    const long = "x".repeat(240);
    const many = Array.from({ length: 400 }, (_, i) => `${1_000 + i},Crossing ${i} ${long}`);
    await read(csv(`When,Title\n${many.join("\n")}`));
    const looked = await look();
    expect([looked.shown.length, looked.more]).toEqual([150, 250]);
    expect(looked.shown[0]!.cells[1]).toHaveLength(200);
    const got = await rows(390, 500);
    expect(got.map((r) => r.number)).toEqual(Array.from({ length: 10 }, (_, i) => 391 + i));
    expect(got[0]!.cells.title).toBe(`Crossing 390 ${long}`);
  });

  it("keeps out what no place holds, and says so", async () => {
    const { read, look, rows } = desk();
    await read(csv(`When,Title\n1604,Rope ferry\n1931,${"x".repeat(100_000)}`));
    const looked = await look();
    expect(looked.counts.events).toBe(1);
    expect(looked.refused.map((r) => [r.row.number, r.column, r.length])).toEqual([[2, "title", 100_000]]);
    expect((await rows(0, 10)).map((r) => r.number)).toEqual([1]);
  });

  it("says why a file cannot be read, and shows nothing of the one before it", async () => {
    const { read, look, rows } = desk();
    await read(csv(CROSSINGS));
    await look();
    const found = await read({ name: "crossings.xlsx", bytes: bytes("PK no zip at all") });
    expect(found).toHaveProperty("problem");
    expect((found as { problem: string }).problem).toMatch(/\w+.*\.$/);
    expect(await rows(0, 10)).toEqual([]);
    await expect(look()).rejects.toThrow();
  });

  it("has nothing to look at before something is read, nor in a sheet that is not there", async () => {
    const { read, look, rows } = desk();
    expect(await rows(0, 10)).toEqual([]);
    await expect(look()).rejects.toThrow();
    await read(csv(CROSSINGS));
    await expect(look({}, [], 3)).rejects.toThrow();
  });

  it("reads a table of a page that was copied", async () => {
    const { read, look } = desk();
    await read({ html: true, text: "<table><tr><th>When<th>Title<tr><td>1604<td>Rope <b>ferry</b></table>" });
    expect((await look()).shown[0]!.cells).toEqual(["1604", "Rope ferry"]);
  });
});
