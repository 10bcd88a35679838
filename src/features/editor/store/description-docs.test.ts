import fc from "fast-check";
import { describe, expect, it } from "vitest";
import * as Y from "yjs";
import { fromBase64 } from "@/core/text/base64";
import { FRAGMENT } from "@/core/text/description";
import { emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import { apply } from "@/core/change/apply";
import { DescriptionDocs } from "./description-docs";
import { UndoHistory } from "./undo-history";

/** Whose writing is taken back, as the field for formatted text says it. */
const HAND = { hand: true };

function desk(start: Timeline = emptyTimeline("t")) {
  const history = new UndoHistory();
  const written: { of: string; update: string }[] = [];
  let undoable = 0;
  const docs = new DescriptionDocs(
    history,
    (of, update) => written.push({ of, update }),
    () => {
      undoable += 1;
    },
  );
  const timeline = apply(start, [{ kind: "add_event", id: "e1", fields: { title: "Ferry" } }]).timeline;
  const open = (of = "e1") => {
    const { doc, undo } = docs.of(of, timeline);
    undo.trackedOrigins.add(HAND);
    return { doc, undo, text: paragraph(doc) };
  };
  return { history, written, docs, timeline, open, times: () => undoable };
}
function paragraph(doc: Y.Doc) {
  const fragment = doc.getXmlFragment(FRAGMENT);
  return {
    read: () => fragment.toString().replaceAll(/<\/?paragraph>/g, ""),
    write(at: number, words: string) {
      doc.transact(() => {
        if (fragment.length === 0) fragment.insert(0, [new Y.XmlElement("paragraph")]);
        const of = fragment.get(0) as Y.XmlElement;
        if (of.length === 0) of.insert(0, [new Y.XmlText()]);
        const text = of.get(0) as Y.XmlText;
        text.insert(Math.min(at, text.length), words);
      }, HAND);
    },
    cut(at: number, length: number) {
      const text = (fragment.get(0) as Y.XmlElement | undefined)?.get(0) as Y.XmlText | undefined;
      if (!text || at >= text.length) return;
      doc.transact(() => text.delete(at, Math.min(length, text.length - at)), HAND);
    },
  };
}
/** A document of somebody else with what was written here so far. */
function elsewhere(updates: readonly string[]) {
  const doc = new Y.Doc();
  for (const u of updates) Y.applyUpdate(doc, fromBase64(u));
  return { doc, text: paragraph(doc) };
}

describe("the documents of descriptions", () => {
  it("say what is written in them, so that others read the same", () => {
    const d = desk();
    const { text } = d.open();
    text.write(0, "A rope");
    text.write(6, " across");
    expect(d.written.map((w) => w.of)).toEqual(["e1", "e1"]);
    expect(elsewhere(d.written.map((w) => w.update)).text.read()).toBe("A rope across");
    expect(d.docs.of("e1", d.timeline).doc).toBe(d.open().doc);
  });

  it("take what others write without saying it again, and without a step of one's own", () => {
    const d = desk();
    const { text } = d.open();
    const obi = elsewhere([]);
    obi.text.write(0, "Obi was here");
    const update = Buffer.from(Y.encodeStateAsUpdate(obi.doc)).toString("base64");
    d.docs.feed([
      { kind: "describe", of: "e1", update },
      { kind: "describe", of: "never opened", update },
      { kind: "set_event", id: "e1", field: "title", value: "Mill" },
    ]);
    expect([text.read(), d.written, d.history.can("undo"), d.times()]).toEqual(["Obi was here", [], false, 0]);
  });

  it("begin with what the timeline holds, and are renewed by it", () => {
    const first = desk();
    first.open().text.write(0, "Before");
    const ops = first.written.map(({ of, update }) => ({ kind: "describe" as const, of, update }));
    const d = desk();
    const there = apply(d.timeline, ops).timeline;
    expect(paragraph(d.docs.of("e1", there).doc).read()).toBe("Before");
    const other = desk();
    const { text } = other.open();
    other.docs.renew(there);
    expect([text.read(), other.written]).toEqual(["Before", []]);
  });

  it("put one step into the common history for each stretch of writing, and take it off again", () => {
    const d = desk();
    const { text, undo } = d.open();
    text.write(0, "A rope");
    undo.stopCapturing();
    text.write(6, " across");
    expect([d.history.can("undo"), d.history.last("undo")]).toEqual([true, { kind: "words", of: "e1" }]);
    undo.undo();
    expect([text.read(), d.history.can("redo")]).toEqual(["A rope", true]);
    undo.undo();
    expect([text.read(), d.history.can("undo")]).toEqual(["", false]);
    undo.redo();
    expect([text.read(), d.history.can("undo"), d.history.can("redo")]).toEqual(["A rope", true, true]);
    // Something new: what was taken back is not done again any more.
    undo.stopCapturing();
    text.write(0, "New: ");
    expect(d.history.can("redo")).toBe(false);
    expect(d.times()).toBeGreaterThan(4);
  });

  it("tell the way back without going it: the latest step first, for whoever opens the tab again", () => {
    const d = desk();
    const { text, undo } = d.open();
    for (const [at, words] of [
      [0, "A rope"],
      [6, " across"],
      [13, " the Ambrel"],
    ] as const) {
      text.write(at, words);
      undo.stopCapturing();
    }
    text.cut(0, 2);
    undo.stopCapturing();
    const back = d.docs.stepsBack("e1", "undo");
    expect([text.read(), undo.undoStack.length]).toEqual(["rope across the Ambrel", 4]);
    const other = elsewhere(d.written.map((w) => w.update));
    const seen = back.map((update) => {
      Y.applyUpdate(other.doc, fromBase64(update));
      return other.text.read();
    });
    expect(seen).toEqual(["A rope across the Ambrel", "A rope across", "A rope", ""]);
    expect([d.docs.stepsBack("e1", "redo"), d.docs.stepsBack("never opened", "undo")]).toEqual([[], []]);
  });

  it("go back and forth over any writing and cutting, here and where the steps are told", () => {
    const deed = fc.oneof(
      fc.record({
        kind: fc.constant("write" as const),
        at: fc.nat(12),
        words: fc.constantFrom("rope ", "mill ", "ß", "a"),
      }),
      fc.record({ kind: fc.constant("cut" as const), at: fc.nat(12), length: fc.integer({ min: 1, max: 6 }) }),
    );
    fc.assert(
      fc.property(fc.array(deed, { minLength: 1, maxLength: 12 }), fc.nat(12), (list, backs) => {
        const d = desk();
        const { text, undo } = d.open();
        const states = [text.read()];
        for (const one of list) {
          const before = undo.undoStack.length;
          if (one.kind === "write") text.write(one.at, one.words);
          else text.cut(one.at, one.length);
          undo.stopCapturing();
          if (undo.undoStack.length > before) states.push(text.read());
        }
        for (let i = 0; i < Math.min(backs, states.length - 1); i++) undo.undo();
        const now = states.length - 1 - Math.min(backs, states.length - 1);
        expect(text.read()).toBe(states[now]);
        const told = (way: "undo" | "redo") => {
          const other = elsewhere(d.written.map((w) => w.update));
          return d.docs.stepsBack("e1", way).map((update) => {
            Y.applyUpdate(other.doc, fromBase64(update));
            return other.text.read();
          });
        };
        expect(told("undo")).toEqual(states.slice(0, now).reverse());
        // What is done again in a copy may stand elsewhere among what was taken back; none of it is lost, and nothing is there twice.
        const letters = (state: string) => [...state].sort().join("");
        expect(told("redo").map(letters)).toEqual(states.slice(now + 1).map(letters));
        expect(text.read()).toBe(states[now]);
        // Here itself it stands where it stood.
        for (let i = now; i < states.length - 1; i++) {
          undo.redo();
          expect(text.read()).toBe(states[i + 1]);
        }
      }),
      { numRuns: 120, seed: 1783 },
    );
  });
});
