import * as Y from "yjs";
import { describe, expect, it } from "vitest";
import { apply } from "@/core/change/apply";
import type { Op } from "@/core/change/change";
import { toBase64 } from "@/core/text/base64";
import { blocksOf, FRAGMENT, plainTextOf } from "@/core/text/description";
import { emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import { joinOps } from "./join-ops";
import { chance } from "./testing/world";

const title = (id: string, value: string): Op => ({ kind: "set_event", id, field: "title", value });
const place = (id: string, value: string): Op => ({ kind: "set_event", id, field: "place", value });
const own = (value: string): Op => ({ kind: "set_timeline", field: "title", value });
const begun: Timeline = apply(emptyTimeline("t"), [
  { kind: "add_event", id: "a", fields: { title: "A" } },
  { kind: "add_event", id: "b", fields: { title: "B" } },
]).timeline;
const seen = (t: Timeline) => [
  t.title,
  ...[...t.events.values()].map((e) => [e.id, e.title, e.place, e.deleted, plainTextOf(blocksOf(e.description))]),
];

describe("steps that follow each other, as one", () => {
  it("are the last of each field, in the place of the first", () => {
    expect(joinOps([title("a", "F"), place("a", "x")], [title("a", "Fl"), title("b", "I")])).toEqual([
      title("a", "Fl"),
      place("a", "x"),
      title("b", "I"),
    ]);
    expect(joinOps([own("x")], [own("y")])).toEqual([own("y")]);
    expect(joinOps([], [title("a", "F")])).toEqual([title("a", "F")]);
  });

  it("never make one of what is of different records, fields or kinds", () => {
    const ops: Op[] = [
      title("a", "x"),
      title("b", "x"),
      place("a", "x"),
      own("x"),
      { kind: "set_category", id: "a", field: "name", value: "x" },
      { kind: "delete_event", id: "a" },
      { kind: "restore_event", id: "a" },
      { kind: "describe", of: "a", update: "" },
      { kind: "describe", of: "b", update: "" },
    ];
    for (const op of ops)
      for (const other of ops) if (op !== other) expect(joinOps([op], [other])).toEqual([op, other]);
  });

  it("do together what they did one after the other, whatever they are", () => {
    for (let seed = 1; seed <= 60; seed++) {
      const r = chance(seed);
      const docs = new Map(["a", "b"].map((id) => [id, new Y.Doc()]));
      const any = (): Op => {
        const id = r() < 0.5 ? "a" : "b";
        const value = `v${Math.floor(r() * 1_000)}`;
        if (r() < 0.3) {
          const doc = docs.get(id)!;
          const before = Y.encodeStateVector(doc);
          const p = new Y.XmlElement("paragraph");
          p.insert(0, [new Y.XmlText(value)]);
          doc.getXmlFragment(FRAGMENT).insert(0, [p]);
          return { kind: "describe", of: id, update: toBase64(Y.encodeStateAsUpdate(doc, before)) };
        }
        return r() < 0.2 ? own(value) : r() < 0.5 ? title(id, value) : place(id, value);
      };
      let joined: Op[] = [];
      let t = begun;
      for (let n = 0; n < 12; n++) {
        const op = any();
        joined = joinOps(joined, [op]);
        t = apply(t, [op]).timeline;
      }
      expect([seed, seen(apply(begun, joined).timeline)]).toEqual([seed, seen(t)]);
      expect(joined.length).toBeLessThanOrEqual(7);
    }
  });
});
