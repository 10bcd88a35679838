import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { type FormatId, writeFormat } from "../formats/formats";
import { type Frozen, toFrozen } from "../formats/frozen";
import { asWritten, neverFormula } from "../formats/full-table";
import { writeCsv } from "../formats/write-csv";
import { type Language, speakIn } from "../language/spoken";
import { anyTimeline } from "../testing/any-timeline";
import { knowLanguages } from "../testing/languages";
import { readFile } from "./files/read-file";
import { timelineOfFile } from "./whole-timeline";

/** As the other person has it: taken out as a file, brought in, and looked at again. */
async function outAndIn(id: FormatId, f: Frozen, writer: Language = "en", reader: Language = "en"): Promise<Frozen> {
  const file = await speakIn(writer, () => writeFormat(id, f, { width: 800, height: 400 }));
  const found = await speakIn(reader, () => readFile(`x.${id}`, file));
  const whole = found.kind === "timeline" ? found.frozen : found.whole;
  if (!whole) throw new Error("no timeline in it");
  return toFrozen(timelineOfFile(whole, 1), true);
}

describe("any timeline, taken out and brought in again, is the same", () => {
  it.each<[FormatId, number]>([
    ["json", 300],
    ["csv", 300],
    ["ods", 100],
    ["xlsx", 25],
  ])("as %s", { timeout: 120_000 }, async (id, numRuns) => {
    await fc.assert(
      fc.asyncProperty(anyTimeline, async (t) => {
        const frozen = toFrozen(t, true);
        expect(await outAndIn(id, frozen)).toEqual(frozen);
      }),
      { numRuns, seed: 7 },
    );
  });
});

describe.each(["de", "es"] as const)("any timeline, taken out by somebody who is spoken to in %s", (language) => {
  it.each<[FormatId, number]>([
    ["json", 40],
    ["csv", 100],
    ["ods", 30],
    ["xlsx", 10],
  ])("as %s, is the same to whoever brings it in, also in English", { timeout: 120_000 }, async (id, numRuns) => {
    knowLanguages();
    await fc.assert(
      fc.asyncProperty(anyTimeline, fc.constantFrom("en", language), async (t, reader) => {
        const frozen = toFrozen(t, true);
        expect(await outAndIn(id, frozen, language, reader)).toEqual(frozen);
      }),
      { numRuns, seed: 8 },
    );
  });
});

it("a text that could be a formula is one to no spreadsheet, and comes back as it was", () => {
  fc.assert(
    fc.property(
      fc.oneof(fc.string(), fc.constantFrom("=1", "'=1", "''+1+1", "-310", "+4", "@x", "\t=1", "-2+3")),
      (text) => {
        const cell = neverFormula(text);
        expect(asWritten(cell)).toBe(text);
        expect(/^[=+\-@\t\r]/.test(cell) && !/^[+-]?\d+([.,]\d+)?$/.test(cell)).toBe(false);
      },
    ),
    { numRuns: 2_000 },
  );
});

describe("a table that was altered in a spreadsheet", () => {
  it("has what its cells say now, what the rest says, new rows, and not those that are gone", async () => {
    const found = await readFile(
      "x.csv",
      new TextEncoder().encode(
        "When,Title,Category,Description,Source\n1846,Bell,Town,Loud,Book\n1872,Flood,Water,,\n1889,Viaduct,Town,,\n",
      ),
    );
    if (found.kind !== "rows") throw new Error("no rows");
    const { lookAtRows } = await import("./look-at-rows");
    const { bringIn } = await import("./bring-in");
    const { apply } = await import("../change/apply");
    const { emptyTimeline } = await import("../timeline/timeline");
    let made = 0;
    const steps = bringIn(emptyTimeline("t"), lookAtRows(found.sheets[0]!.cells, {}, []).table.rows, {
      newId: () => `n${++made}`,
      client: 1,
    });
    let step = steps.next();
    while (!step.done) step = steps.next();
    if ("tooLong" in step.value) throw new Error("too long");
    const text = writeCsv(toFrozen(apply(emptyTimeline("t"), step.value.ops).timeline, true));
    const rows = text.split("\r\n");
    const altered = [
      rows[0],
      rows[1]!.replace("1846,Bell,", "1847,Bells,").replace("Loud", "Very loud"),
      rows[2]!.replace(",Water,", ",Weather,"),
      `1900,Ferry,,,Town,${",".repeat(rows[0]!.split(",").length - 6)}`,
      rows[4],
    ].join("\r\n");
    const again = await readFile("x.csv", new TextEncoder().encode(altered));
    if (again.kind !== "rows" || !again.whole) throw new Error("no timeline");
    const t = toFrozen(timelineOfFile(again.whole, 1), true);
    expect(t.events.map((e) => [e.when.typed, e.title, t.categories.find((c) => c.id === e.category)?.name])).toEqual([
      ["1847", "Bells", "Town"],
      ["1872", "Flood", "Weather"],
      ["1900", "Ferry", undefined],
    ]);
    expect(t.events[0]!.description).toEqual([
      { kind: "paragraph", content: [{ kind: "text", text: "Very loud", marks: [] }] },
    ]);
    expect(t.items.map((i) => i.text)).toEqual(["Book"]);
    // On the screen the same is rows that are known by their ids.
    expect(again.sheets[0]!.cells[0]).not.toContain("Fields");
    expect(again.sheets[0]!.cells).toHaveLength(4);
  });
});
