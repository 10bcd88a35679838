import fc from "fast-check";
import { describe, expect, it } from "vitest";
import * as Y from "yjs";
import { readWhen } from "../time/read/read-when";
import { toBase64 } from "../text/base64";
import { blocksOf, FRAGMENT, plainTextOf } from "../text/description";
import { emptyEvent, emptyTimeline, type Timeline } from "../timeline/timeline";
import { putBack } from "../history/compare";
import { apply } from "./apply";
import type { Change, ConfirmedChange, Op } from "./change";
import { invert } from "./invert";
import { edit, type LastSet, receive, type Replica, startReplica } from "./replica";

const EVENTS = ["e1", "e2", "e3", "e4"];

const op = fc.oneof(
  fc
    .tuple(fc.constantFrom(...EVENTS), fc.string({ maxLength: 8 }))
    .map(([id, title]): Op => ({ kind: "add_event", id, fields: { title } })),
  fc
    .tuple(fc.constantFrom(...EVENTS), fc.string({ maxLength: 8 }))
    .map(([id, value]): Op => ({ kind: "set_event", id, field: "title", value })),
  fc
    .tuple(fc.constantFrom(...EVENTS), fc.integer({ min: 100, max: 1900 }))
    .map(([id, y]): Op => ({ kind: "set_event", id, field: "when", value: readWhen(String(y)) })),
  // Some of these would make events part of themselves, alone or with what others do at the same time.
  fc
    .tuple(fc.constantFrom(...EVENTS), fc.constantFrom(null, ...EVENTS))
    .map(([id, value]): Op => ({ kind: "set_event", id, field: "partOf", value })),
  fc.constantFrom(...EVENTS).map((id): Op => ({ kind: "delete_event", id })),
  fc.constantFrom(...EVENTS).map((id): Op => ({ kind: "restore_event", id })),
  fc.string({ maxLength: 8 }).map((value): Op => ({ kind: "set_timeline", field: "title", value })),
  fc
    .tuple(fc.constantFrom("i1", "i2"), fc.constantFrom(...EVENTS))
    .map(([id, of]): Op => ({ kind: "add_item", id, fields: { of, list: "source", text: id } })),
  fc.constantFrom("i1", "i2").map((id): Op => ({ kind: "delete_item", id })),
);

/** What happens to one editor's traffic, step by step. */
type Step =
  | { kind: "edit"; who: number; ops: Op[] }
  | { kind: "write"; who: number; event: string; word: number }
  | { kind: "undo"; who: number }
  | { kind: "send"; who: number; answerLost: boolean }
  | { kind: "hear"; who: number; shuffled: boolean }
  | { kind: "restart"; who: number }
  | { kind: "put_back"; who: number; to: number; event: string | null };

const who = fc.integer({ min: 0, max: 2 });
const step: fc.Arbitrary<Step> = fc.oneof(
  {
    weight: 5,
    arbitrary: fc.record({
      kind: fc.constant("edit" as const),
      who,
      ops: fc.array(op, { minLength: 1, maxLength: 3 }),
    }),
  },
  {
    weight: 3,
    arbitrary: fc.record({
      kind: fc.constant("write" as const),
      who,
      event: fc.constantFrom(...EVENTS),
      word: fc.integer({ min: 0, max: 999_999 }),
    }),
  },
  { weight: 2, arbitrary: fc.record({ kind: fc.constant("undo" as const), who }) },
  { weight: 4, arbitrary: fc.record({ kind: fc.constant("send" as const), who, answerLost: fc.boolean() }) },
  { weight: 3, arbitrary: fc.record({ kind: fc.constant("hear" as const), who, shuffled: fc.boolean() }) },
  { weight: 1, arbitrary: fc.record({ kind: fc.constant("restart" as const), who }) },
);

const stepOrBack: fc.Arbitrary<Step> = fc.oneof(
  { weight: 6, arbitrary: step },
  {
    weight: 1,
    arbitrary: fc.record({
      kind: fc.constant("put_back" as const),
      who,
      to: fc.nat(30),
      event: fc.constantFrom(null, ...EVENTS),
    }),
  },
);

class Editor {
  name: string;
  replica: Replica;
  lastSet: LastSet = new Map();
  docs = new Map<string, Y.Doc>();
  done: Op[][] = [];
  made = 0;
  constructor(name: string, start: Timeline) {
    this.name = name;
    this.replica = startReplica(start, 0);
  }
  change(ops: Op[]) {
    this.replica = edit(this.replica, {
      id: `${this.name}${this.made++}`,
      author: this.name,
      base: this.replica.seq,
      ops,
    });
  }
}

function play(steps: Step[]) {
  const start: Timeline = {
    ...emptyTimeline("t"),
    events: new Map(EVENTS.slice(0, 2).map((id) => [id, emptyEvent(id)])),
  };
  const server = { timeline: start, log: [] as ConfirmedChange[] };
  const editors = ["a", "b", "c"].map((n) => new Editor(n, start));
  const words: { event: string; word: string }[] = [];

  const take = (c: Change): ConfirmedChange => {
    const known = server.log.find((l) => l.id === c.id);
    if (known) return known;
    const confirmed = { ...c, seq: server.log.length + 1, at: "" };
    server.timeline = apply(server.timeline, c.ops).timeline;
    server.log.push(confirmed);
    return confirmed;
  };
  const hear = (e: Editor, changes: ConfirmedChange[]) => {
    e.replica = receive(e.replica, changes, e.lastSet).replica;
  };
  const send = (e: Editor, answerLost: boolean) => {
    const first = e.replica.pending[0];
    if (!first) return;
    take(first);
    if (!answerLost) hear(e, server.log.slice(first.base));
  };

  for (const s of steps) {
    const e = editors[s.who]!;
    if (s.kind === "edit") {
      e.done.push(invert(e.replica.current, s.ops));
      e.change(s.ops);
    } else if (s.kind === "undo") {
      const ops = e.done.pop();
      if (ops?.length) e.change(ops);
    } else if (s.kind === "write") {
      const event = e.replica.current.events.get(s.event);
      if (!event) continue;
      const doc = new Y.Doc();
      if (event.description.length) Y.applyUpdate(doc, event.description);
      const before = Y.encodeStateVector(doc);
      const p = new Y.XmlElement("paragraph");
      const word = `${e.name}${s.word}w`;
      p.insert(0, [new Y.XmlText(word)]);
      const f = doc.getXmlFragment(FRAGMENT);
      f.insert(Math.min(f.length, s.word % 3), [p]);
      e.change([{ kind: "describe", of: s.event, update: toBase64(Y.encodeStateAsUpdate(doc, before)) }]);
      words.push({ event: s.event, word });
    } else if (s.kind === "put_back") {
      const known = server.log.slice(0, Math.min(s.to, e.replica.seq));
      const then = known.reduce((t, c) => apply(t, c.ops).timeline, start);
      const wish = s.event === null ? ({ what: "all" } as const) : ({ what: "event", id: s.event } as const);
      const ops = putBack(e.replica.current, then, wish);
      if (ops.length === 0) continue;
      e.done.push(invert(e.replica.current, ops));
      e.change(ops);
    } else if (s.kind === "send") send(e, s.answerLost);
    else if (s.kind === "hear") {
      // Late, repeated and out of order: any run of the log, known or not.
      const list = server.log.slice(Math.max(0, e.replica.seq - 2));
      hear(e, s.shuffled ? [...list].reverse() : list);
    } else {
      // A closed tab: only the confirmed state and the pending changes are there afterwards.
      e.replica = startReplica(
        server.timeline,
        server.log.length,
        e.replica.pending.filter((p) => !server.log.some((l) => l.id === p.id)),
      );
      e.lastSet = new Map();
    }
  }
  for (let round = 0; round < 200 && editors.some((e) => e.replica.pending.length > 0); round++)
    for (const e of editors) send(e, false);
  for (const e of editors) hear(e, server.log);
  return { start, server, editors, words };
}

const plain = (t: Timeline) => ({
  ...t,
  introduction: [],
  categories: [...t.categories],
  items: [...t.items].sort(),
  events: [...t.events.values()]
    .map((e) => ({ ...e, description: blocksOf(e.description) }))
    .sort((a, b) => (a.id < b.id ? -1 : 1)),
});

describe("three editors, lost, repeated and late messages, undo, delete, restore, closed tabs", () => {
  it("end equal everywhere, and every word written is there", () => {
    fc.assert(
      fc.property(fc.array(step, { minLength: 5, maxLength: 60 }), (steps) => {
        const { server, editors, words } = play(steps);
        for (const e of editors) {
          expect(e.replica.pending).toEqual([]);
          expect(e.replica.seq).toBe(server.log.length);
          expect(plain(e.replica.current)).toEqual(plain(server.timeline));
        }
        for (const { event, word } of words)
          expect(plainTextOf(blocksOf(server.timeline.events.get(event)!.description))).toContain(word);
      }),
      { seed: 8, numRuns: 300 },
    );
  });
});

describe("with what is put back from earlier among it", () => {
  it("they end equal everywhere, and the log replayed gives the same", () => {
    fc.assert(
      fc.property(fc.array(stepOrBack, { minLength: 5, maxLength: 60 }), (steps) => {
        const { start, server, editors } = play(steps);
        for (const e of editors) expect(plain(e.replica.current)).toEqual(plain(server.timeline));
        const replayed = server.log.reduce((t, c) => apply(t, c.ops).timeline, start);
        expect(plain(replayed)).toEqual(plain(server.timeline));
      }),
      { seed: 10, numRuns: 200 },
    );
  });
});

describe("a change and its undo", () => {
  it("come back to where they began", () => {
    fc.assert(
      fc.property(fc.array(op, { maxLength: 12 }), fc.array(op, { minLength: 1, maxLength: 6 }), (history, ops) => {
        const before = apply(emptyTimeline("t"), history).timeline;
        const after = apply(before, ops).timeline;
        const back = apply(after, invert(before, ops)).timeline;
        const living = (t: Timeline) => ({
          ...plain(t),
          events: plain(t).events.filter((e) => !e.deleted),
          items: [...t.items.values()].filter((i) => !i.deleted),
        });
        expect(living(back)).toEqual(living(before));
      }),
      { seed: 9, numRuns: 500 },
    );
  });

  it("leave what someone else has changed since, and say so", () => {
    const before = apply(emptyTimeline("t"), [{ kind: "add_event", id: "e1", fields: { title: "Ferry" } }]).timeline;
    const mine: Op[] = [{ kind: "set_event", id: "e1", field: "title", value: "Rope ferry" }];
    const theirs: Op[] = [{ kind: "set_event", id: "e1", field: "title", value: "Tolley's ferry" }];
    const result = apply(apply(before, [...mine, ...theirs]).timeline, invert(before, mine));
    expect(result.timeline.events.get("e1")!.title).toBe("Tolley's ferry");
    expect(result.skipped.map((s) => s.why)).toEqual(["changed_since"]);
  });

  it("notice two people setting one field unseen by each other", () => {
    const start = apply(emptyTimeline("t"), [{ kind: "add_event", id: "e1", fields: {} }]).timeline;
    const set = (seq: number, author: string, base: number, value: string): ConfirmedChange => ({
      id: `${author}${seq}`,
      author,
      base,
      seq,
      at: "",
      ops: [{ kind: "set_event", id: "e1", field: "title", value }],
    });
    const { overlaps } = receive(
      startReplica(start, 0),
      [set(1, "nia", 0, "Ferry"), set(2, "obi", 0, "Boat"), set(3, "nia", 2, "Ship")],
      new Map(),
    );
    expect(overlaps).toEqual([
      { key: "event:e1:title", earlier: "Ferry", earlierAuthor: "nia", later: "Boat", laterAuthor: "obi" },
    ]);
  });
});
