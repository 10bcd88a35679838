import { describe, expect, it } from "vitest";
import type { Op } from "@/core/change/change";
import { UndoHistory } from "./undo-history";

const title = (id: string, value = id): Op => ({ kind: "set_event", id, field: "title", value });
const words = (of: string, update: string): Op => ({ kind: "describe", of, update });
const ops = (h: UndoHistory, way: "undo" | "redo" = "undo") => {
  const last = h.last(way);
  return last?.kind === "ops" ? last.ops : last;
};
/** The updates that take the steps of a description back, the latest first, as its document would tell them. */
const steps = (list: Record<string, string[]>) => (of: string, way: string) => list[`${of} ${way}`] ?? [];

describe("what can be taken back", () => {
  it("is the latest first; a new step ends what could be done again", () => {
    const h = new UndoHistory();
    expect([h.can("undo"), h.can("redo"), h.last("undo")]).toEqual([false, false, undefined]);
    h.did([title("a")]);
    h.did([title("b")]);
    expect(ops(h)).toEqual([title("b")]);
    h.drop("undo");
    h.crossed("undo", [title("b", "again")]);
    expect([ops(h), ops(h, "redo")]).toEqual([[title("a")], [title("b", "again")]]);
    // What undid nothing leaves nothing to be done again.
    h.crossed("undo", []);
    expect(ops(h, "redo")).toEqual([title("b", "again")]);
    h.did([title("c")]);
    expect(h.can("redo")).toBe(false);
  });

  it("grows with the change it belongs to, and holds three hundred steps", () => {
    const h = new UndoHistory();
    h.did([title("a")]);
    h.didMore([title("a"), title("b")]);
    expect(ops(h)).toEqual([title("a"), title("b")]);
    for (let i = 0; i < 305; i++) h.did([title(`e${i}`)]);
    let n = 0;
    for (; h.can("undo"); n++) h.drop("undo");
    expect(n).toBe(300);
  });

  it("knows the words of a description, which has its own undo, wherever they stand between other steps", () => {
    const h = new UndoHistory();
    h.wrote("e", "undo", true);
    h.did([title("a")]);
    h.wrote("f", "undo", true);
    h.unwrote("e", "undo");
    h.unwrote("nobody", "undo");
    expect(h.last("undo")).toEqual({ kind: "words", of: "f" });
    h.drop("undo");
    expect(ops(h)).toEqual([title("a")]);
    // What comes back by an undo ends nothing; what is written anew does.
    h.wrote("f", "redo", false);
    h.wrote("f", "undo", false);
    expect(h.can("redo")).toBe(true);
    h.wrote("f", "undo", true);
    expect(h.can("redo")).toBe(false);
  });
});

describe("what can be taken back after the page was loaded again", () => {
  it("is all of it, with the words of descriptions as updates, each in its place", () => {
    const h = new UndoHistory();
    h.wrote("e", "undo", true);
    h.did([title("a")]);
    h.wrote("e", "undo", true);
    const text = h.toText(steps({ "e undo": ["late", "early"] }));
    const again = new UndoHistory();
    again.takeUp(text);
    expect(ops(again)).toEqual([words("e", "late")]);
    expect([again.isLeftWords("e", "undo"), again.isLeftWords("f", "undo")]).toEqual([true, false]);
    again.drop("undo");
    expect([ops(again), again.isLeftWords("e", "undo")]).toEqual([[title("a")], false]);
    again.drop("undo");
    expect(ops(again)).toEqual([words("e", "early")]);
    // The same again is the same.
    expect(again.toText(steps({}))).toBe(JSON.stringify({ undo: [[words("e", "early")]], redo: [] }));
  });

  it("leaves out words whose document no longer knows how to take them back", () => {
    const h = new UndoHistory();
    h.did([title("a")]);
    h.wrote("e", "undo", true);
    h.wrote("e", "undo", true);
    const again = new UndoHistory();
    again.takeUp(h.toText(steps({ "e undo": ["late"] })));
    expect(ops(again)).toEqual([words("e", "late")]);
    again.drop("undo");
    expect(ops(again)).toEqual([title("a")]);
  });

  it("is the latest of it, as much as a browser keeps", () => {
    const h = new UndoHistory();
    const long = "x".repeat(400_000);
    for (let i = 0; i < 6; i++) h.did([title(`e${i}`, long)]);
    const again = new UndoHistory();
    const text = h.toText(steps({}));
    expect(text.length).toBeLessThan(1_500_100);
    again.takeUp(text);
    expect(ops(again)).toEqual([title("e5", long)]);
  });

  it("is nothing where what was kept is no such text", () => {
    for (const odd of [null, "", "{", "[]", "null", '{"undo":7}', '{"undo":[]}', '"x"']) {
      const h = new UndoHistory();
      h.takeUp(odd);
      expect([odd, h.can("undo"), h.can("redo")]).toEqual([odd, false, false]);
    }
  });
});
