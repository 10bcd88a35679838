import { describe, expect, it } from "vitest";
import * as Y from "yjs";
import { fromBase64 } from "./base64";
import { blocksOf, FRAGMENT, mergeDescriptions, plainTextOf } from "./description";
import {
  placesIn,
  placesInDescription,
  replacedIn,
  replaceInDescription,
  undoUpdate,
  type Wanted,
} from "./replace-words";

const wanted = (text: string, more: Partial<Wanted> = {}): Wanted => ({
  text,
  matchCase: false,
  wholeWords: false,
  ...more,
});
const ALL = () => true;

/** A description of paragraphs; what stands between stars is bold. */
function written(...paragraphs: string[]): Uint8Array {
  const doc = new Y.Doc();
  doc.getXmlFragment(FRAGMENT).push(
    paragraphs.map((text) => {
      const run = new Y.XmlText();
      let at = 0;
      for (const [i, part] of text.split("*").entries()) {
        run.insert(at, part, i % 2 === 1 ? { bold: {} } : {});
        at += part.length;
      }
      const p = new Y.XmlElement("paragraph");
      p.push([run]);
      return p;
    }),
  );
  return Y.encodeStateAsUpdate(doc);
}
const read = (state: Uint8Array) => plainTextOf(blocksOf(state));
const withUpdate = (state: Uint8Array, update: string | null) =>
  update ? mergeDescriptions(state, fromBase64(update)) : state;

it.each<[string, Wanted, string, string]>([
  ["Ferry, ferry, ferryman", wanted("ferry"), "boat", "boat, boat, boatman"],
  ["Ferry, ferry, ferryman", wanted("ferry", { matchCase: true }), "boat", "Ferry, boat, boatman"],
  ["Ferry, ferry, ferryman", wanted("ferry", { wholeWords: true }), "boat", "boat, boat, ferryman"],
  ["a.b axb", wanted("a.b"), "$&", "$& axb"],
  ["(1604)", wanted("(1604)", { wholeWords: true }), "1605", "1605"],
  ["aaa", wanted("aa"), "b", "ba"],
  ["שיטפון", wanted("שיט"), "x", "xפון"],
  ["text", wanted(""), "x", "text"],
])("in %j", (text, what, by, out) => expect(replacedIn(text, what, by, ALL)).toBe(out));

it("only the places that are chosen are replaced", () => {
  expect(replacedIn("a a a", wanted("a"), "b", (n) => n === 1)).toBe("a b a");
  expect(placesIn("a a a", wanted("a")).map((p) => p.from)).toEqual([0, 2, 4]);
});

describe("descriptions", () => {
  it("every place is found and replaced, and looks as it did", () => {
    const state = written("The *ferry* came. The ferry went.", "No ferry.");
    expect(placesInDescription(state, wanted("ferry")).map((p) => [p.text, p.from])).toEqual([
      ["The ferry came. The ferry went.", 4],
      ["The ferry came. The ferry went.", 20],
      ["No ferry.", 3],
    ]);
    const now = withUpdate(
      state,
      replaceInDescription(state, wanted("ferry"), "rope boat", (n) => n !== 1),
    );
    expect(read(now)).toBe(read(written("The rope boat came. The ferry went.", "No rope boat.")));
    expect(JSON.stringify(blocksOf(now))).toContain('{"kind":"text","text":"rope boat","marks":[{"kind":"bold"}]}');
  });

  it("where nothing is chosen there is no update", () => {
    const state = written("The ferry");
    expect(replaceInDescription(state, wanted("ferry"), "x", () => false)).toBeNull();
    expect(replaceInDescription(new Uint8Array(0), wanted("ferry"), "x", ALL)).toBeNull();
  });

  it("an update is taken back and done again, and what others wrote meanwhile stays", () => {
    const state = written("The ferry came.");
    const update = replaceInDescription(state, wanted("ferry"), "boat", ALL)!;
    // Somebody else writes at the end, unseen.
    const other = new Y.Doc();
    Y.applyUpdate(other, state);
    const sv = Y.encodeStateVector(other);
    const run = (other.getXmlFragment(FRAGMENT).get(0) as Y.XmlElement).get(0) as Y.XmlText;
    run.insert(run.length, " At dusk.");
    const theirs = Y.encodeStateAsUpdate(other, sv);

    const both = mergeDescriptions(withUpdate(state, update), theirs);
    expect(read(both)).toBe("The boat came. At dusk.");
    const back = undoUpdate(state, fromBase64(update))!;
    const undone = withUpdate(both, back);
    expect(read(undone)).toBe("The ferry came. At dusk.");
    const again = undoUpdate(both, fromBase64(back))!;
    expect(read(withUpdate(undone, again))).toBe("The boat came. At dusk.");
  });
});
