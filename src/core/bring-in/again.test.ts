import { describe, expect, it } from "vitest";
import { apply } from "../change/apply";
import { invert } from "../change/invert";
import { toFrozen } from "../formats/frozen";
import { wordsOf } from "../formats/full-table";
import { inOrder } from "../timeline/order";
import { readWhen } from "../time/read/read-when";
import { emptyEvent, emptyTimeline, itemsOf, type Timeline } from "../timeline/timeline";
import { bringIn, type BringInWish, type BroughtIn } from "./bring-in";
import { lookAtRows } from "./look-at-rows";
import { readRows } from "./read-rows";

let made = 0;
/** A table as it is brought into a timeline, with what becomes of it. */
function brought(t: Timeline, text: string, more: Partial<BringInWish> = {}): { after: Timeline; plan: BroughtIn } {
  const looked = lookAtRows(readRows(text).cells, {}, inOrder(t.events.values()));
  const steps = bringIn(t, looked.table.rows, {
    newId: () => `n${String(++made).padStart(4, "0")}`,
    client: 7,
    again: { events: looked.matched.events, uses: new Set(looked.uses) },
    ...more,
  });
  let step = steps.next();
  while (!step.done) step = steps.next();
  if ("tooLong" in step.value) throw new Error("too long");
  return { after: apply(t, step.value.ops).timeline, plan: step.value };
}
const titles = (t: Timeline) => inOrder(t.events.values()).map((e) => `${e.when.typed}: ${e.title}`);
const textsOf = (t: Timeline) => toFrozen(t, true).events.map((e) => wordsOf(e.description));

const FIRST =
  "Id,When,Title,Category,Description,Source\n1,1846,Bell,Town,Loud.,Book\n2,1872,Flood,Water,Long.,\n3,1889,Viaduct,Town,,\n";

describe("a table that is brought in again", () => {
  const { after: t } = brought(emptyTimeline("t"), FIRST);

  it("as it was alters nothing", () => {
    const { plan } = brought(t, FIRST);
    expect(plan.ops).toEqual([]);
    expect([plan.added, plan.changed]).toEqual([0, 0]);
  });

  it("knows its rows by their numbers, whatever they are called now; what is emptied in it is empty", () => {
    const { after, plan } = brought(
      t,
      "Id,When,Title,Category,Description,Source\n1,1847,Great bell,Town,,Book\n2,14 Nov 1872,Flood,,Long.,\n4,1900,Fair,,,\n",
    );
    expect(titles(after)).toEqual(["1847: Great bell", "14 Nov 1872: Flood", "1889: Viaduct", "1900: Fair"]);
    expect([plan.added, plan.changed]).toEqual([1, 2]);
    expect(textsOf(after)).toEqual(["", "Long.", "", ""]);
    expect(inOrder(after.events.values())[1]!.category).toBeNull();
    const undone = apply(after, invert(t, plan.ops)).timeline;
    expect(titles(undone)).toEqual(titles(t));
    expect(textsOf(undone)).toEqual(textsOf(t));
  });

  it("without numbers is known by title and date; what it says nothing of, or nothing in, stays as it is", () => {
    const { after: plain } = brought(emptyTimeline("t"), FIRST.replaceAll(/^[^,\n]*,/gm, ""));
    const { after, plan } = brought(
      plain,
      "Date,Title,Category,Description,Height\n1872-01-01 to 1872-12-31,Other,,,\n1846,bell,,,\n1872,Flood,Weather,,4 m\n",
    );
    expect(plan.added).toBe(1);
    const events = inOrder(after.events.values());
    expect(events.map((e) => [e.title, after.categories.get(e.category ?? "")?.name])).toEqual([
      ["bell", "Town"],
      ["Flood", "Weather"],
      ["Other", undefined],
      ["Viaduct", "Town"],
    ]);
    expect(textsOf(after)).toEqual(["Loud.", "Long.\n\nHeight: 4 m", "", ""]);
    expect(itemsOf(after, events[0]!.id, "source").map((i) => i.text)).toEqual(["Book"]);
  });

  it("with a column we have no place for puts its words behind the text, once", () => {
    const table = "Date,Title,Height\n1872,Flood,4 m\n";
    const { after } = brought(t, table);
    expect(textsOf(after)).toEqual(["Loud.", "Long.\n\nHeight: 4 m", ""]);
    expect(brought(after, table).plan.ops).toEqual([]);
  });

  it("brings a row in anew whose event somebody has deleted meanwhile", () => {
    const looked = lookAtRows(readRows(FIRST).cells, {}, inOrder(t.events.values()));
    const gone = inOrder(t.events.values())[1]!.id;
    const now = apply(t, [{ kind: "delete_event", id: gone }]).timeline;
    const { after, plan } = brought(now, FIRST, {
      again: { events: looked.matched.events, uses: new Set(looked.uses) },
    });
    expect([plan.added, plan.changed]).toEqual([1, 0]);
    expect(titles(after)).toEqual(["1846: Bell", "1872: Flood", "1889: Viaduct"]);
  });

  it("finds each of very many rows that are alike, the first the first", () => {
    const events = Array.from({ length: 19_000 }, (_, i) => ({
      ...emptyEvent(`e${i}`),
      title: "Market",
      when: readWhen("1846"),
    }));
    const looked = lookAtRows(readRows(`When,Title\n${"1846,Market\n".repeat(19_000)}`).cells, {}, events);
    expect(looked.matched.events.get(1)).toBe("e0");
    expect(looked.matched.events.get(19_000)).toBe("e18999");
    expect(looked.matched.absent).toEqual([]);
  });

  it("takes away what is not in it only where that is said", () => {
    const looked = lookAtRows(readRows("Id,When,Title\n1,1846,Bell\n").cells, {}, inOrder(t.events.values()));
    expect(looked.matched.absent.map((id) => t.events.get(id)!.title)).toEqual(["Flood", "Viaduct"]);
    const { after } = brought(t, "Id,When,Title\n1,1846,Bell\n", { remove: looked.matched.absent });
    expect(titles(after)).toEqual(["1846: Bell"]);
  });
});

describe("what a row may be besides an event", () => {
  it("part of another row by its number, without circles, and the opening page", () => {
    const text =
      "No\tWhen\tTitle\tPart of\n10\t1872\tNight\t\n11\t1872\tHour\t10\n12\t1873\tOne\t13\n13\t1873\tTwo\t12\n14\t\tHow it was crossed\t\n";
    const { after } = brought(emptyTimeline("t"), text, { opening: 5 });
    const by = new Map(inOrder(after.events.values()).map((e) => [e.title, e]));
    expect(by.get("Hour")!.partOf).toBe(by.get("Night")!.id);
    expect([by.get("One")!.partOf, by.get("Two")!.partOf]).toEqual([null, null]);
    expect(after.title).toBe("How it was crossed");
    expect(by.size).toBe(4);
  });
});
