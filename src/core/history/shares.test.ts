import { expect, it } from "vitest";
import * as Y from "yjs";
import type { Op } from "../change/change";
import { toBase64 } from "../text/base64";
import { FRAGMENT } from "../text/description";
import { type LoggedChange, sharesOf } from "./shares";

const MINUTE = 60_000;

/** A text that is written in as people write, change by change, and the log of it. */
class Writing {
  readonly log: LoggedChange[] = [];
  private readonly docs = new Map<string, { doc: Y.Doc; text: Y.XmlText }>();
  private minute = 0;

  private put(author: string, op: Op): this {
    this.log.push({ author, ops: [op], at: this.minute * MINUTE });
    return this;
  }
  after(minutes: number): this {
    this.minute += minutes;
    return this;
  }
  add(author: string, id: string): this {
    return this.put(author, { kind: "add_event", id, fields: {} } as unknown as Op);
  }
  remove(author: string, id: string): this {
    return this.put(author, { kind: "delete_event", id } as Op);
  }
  item(author: string, fields: object): this {
    return this.put(author, { kind: "add_item", id: `i${this.log.length}`, fields } as unknown as Op);
  }
  write(author: string, of: string, at: number | "end", words: string): this {
    return this.edit(author, of, (text) => text.insert(at === "end" ? text.length : at, words));
  }
  cut(author: string, of: string, at: number, length: number): this {
    return this.edit(author, of, (text) => text.delete(at, length));
  }
  private edit(author: string, of: string, deed: (text: Y.XmlText) => void): this {
    let known = this.docs.get(of);
    const updates: Uint8Array[] = [];
    if (!known) {
      const doc = new Y.Doc();
      doc.on("update", (u: Uint8Array) => updates.push(u));
      const paragraph = new Y.XmlElement("paragraph");
      const text = new Y.XmlText();
      paragraph.insert(0, [text]);
      doc.getXmlFragment(FRAGMENT).insert(0, [paragraph]);
      known = { doc, text };
      this.docs.set(of, known);
    } else known.doc.on("update", (u: Uint8Array) => updates.push(u));
    deed(known.text);
    return this.put(author, { kind: "describe", of, update: toBase64(Y.mergeUpdates(updates)) } as Op);
  }
  shares() {
    return sharesOf(this.log);
  }
}

it("counts events, pictures and sources by who added them, and what is there now", () => {
  const w = new Writing()
    .add("nia", "a")
    .add("nia", "b")
    .add("obi", "c")
    .remove("obi", "b")
    .item("obi", { list: "media", kind: "picture" })
    .item("obi", { list: "media", kind: "sound" })
    .item("nia", { list: "source", text: "Roll" });
  expect(w.shares().people).toMatchObject([
    { author: "nia", eventsAdded: 2, eventsThere: 1, pictures: 0, sounds: 0, sources: 1, changes: 3 },
    { author: "obi", eventsAdded: 1, eventsThere: 1, pictures: 1, sounds: 1, sources: 0, changes: 4 },
  ]);
});

it("knows of each word whose it is, while two write in one text", () => {
  const w = new Writing()
    .write("nia", "a", 0, "The rope ")
    .write("nia", "a", "end", "fer")
    .write("nia", "a", "end", "ry crossed")
    .write("obi", "a", "end", " twice a day");
  expect(w.shares().people.map((p) => [p.author, p.wordsThere, p.wordsWritten, p.wordsOfOthers])).toEqual([
    ["nia", 4, 4, 0],
    ["obi", 3, 3, 0],
  ]);
  // Obi takes "rope" out, and writes over what Nia wrote last.
  w.cut("obi", "a", 4, 5).cut("obi", "a", 10, 7).write("obi", "a", 10, " went");
  expect(w.shares().people.map((p) => [p.author, p.wordsThere, p.wordsOfOthers])).toEqual([
    ["nia", 2, 0],
    ["obi", 4, 2],
  ]);
});

it("does not count the words of an event that was deleted, but that they were written", () => {
  const w = new Writing().add("nia", "a").write("nia", "a", 0, "one two three").remove("nia", "a");
  expect(w.shares().people[0]).toMatchObject({ wordsThere: 0, wordsWritten: 3, eventsThere: 0 });
});

it("says which words came in one piece, and not what was typed", () => {
  const many = Array.from({ length: 30 }, (_, i) => `word${i}`).join(" ");
  const w = new Writing().write("nia", "a", 0, "Typed words here. ").write("obi", "a", "end", many);
  for (const part of many.split(" ")) w.write("nia", "b", "end", `${part} `);
  expect(w.shares().atOnce).toEqual([
    { author: "obi", of: "a", at: 0, words: 30, begins: "word0 word1 word2 word3 word4 word5 word6 word7" },
  ]);
});

it("sittings end with a break of half an hour, a lone change is a minute, and the minutes add up", () => {
  const w = new Writing().add("nia", "a").after(20).add("nia", "b").after(45).add("nia", "c").add("obi", "d");
  const { people, stretches } = w.shares();
  expect(people.map((p) => [p.author, p.sittings, p.minutes])).toEqual([
    ["nia", 2, 21],
    ["obi", 1, 1],
  ]);
  expect(stretches.map((s) => [s.author, s.from / MINUTE, s.to / MINUTE])).toEqual([
    ["nia", 0, 20],
    ["nia", 65, 65],
    ["obi", 65, 65],
  ]);
});
