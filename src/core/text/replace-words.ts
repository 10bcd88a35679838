import * as Y from "yjs";
import { toBase64 } from "./base64";
import { FRAGMENT } from "./description";

/** What is looked for. */
export interface Wanted {
  text: string;
  matchCase: boolean;
  /** Only where it is no part of a longer word. */
  wholeWords: boolean;
}

const MOST_PLACES = 10_000;

/** Where a text stands in another, from the front, not over each other: [from, to) in UTF-16 units. */
export function placesIn(
  text: string,
  { text: wanted, matchCase, wholeWords }: Wanted,
): { from: number; to: number }[] {
  if (wanted === "") return [];
  const word = wanted.replaceAll(/[.*+?^${}()|[\]\\]/g, "\\$&");
  const edge = (c: string | undefined) => /[\p{L}\p{N}_]/u.test(c ?? "");
  const before = wholeWords && edge(wanted[0]) ? "(?<![\\p{L}\\p{N}_])" : "";
  const after = wholeWords && edge(wanted.at(-1)) ? "(?![\\p{L}\\p{N}_])" : "";
  const found = [];
  for (const m of text.matchAll(new RegExp(`${before}${word}${after}`, matchCase ? "gu" : "giu"))) {
    found.push({ from: m.index, to: m.index + m[0].length });
    if (found.length >= MOST_PLACES) break;
  }
  return found;
}

/** A text with some of the places (by their number, from 0) replaced. */
export function replacedIn(text: string, wanted: Wanted, by: string, which: (n: number) => boolean): string {
  let out = "";
  let at = 0;
  for (const [n, { from, to }] of placesIn(text, wanted).entries()) {
    if (!which(n)) continue;
    out += text.slice(at, from) + by;
    at = to;
  }
  return out + text.slice(at);
}

/** The runs of text of a description, in its order: a place never goes over the end of a paragraph. */
function runsOf(doc: Y.Doc): Y.XmlText[] {
  const runs: Y.XmlText[] = [];
  const stack: unknown[] = [doc.getXmlFragment(FRAGMENT)];
  while (stack.length > 0) {
    const node = stack.pop();
    if (node instanceof Y.XmlText) runs.push(node);
    else if (node instanceof Y.XmlElement || node instanceof Y.XmlFragment)
      for (const child of [...node.toArray()].reverse()) stack.push(child);
  }
  return runs;
}

function opened(state: Uint8Array): Y.Doc {
  const doc = new Y.Doc();
  if (state.length > 0) Y.applyUpdate(doc, state);
  return doc;
}

const plain = (run: Y.XmlText) =>
  (run.toDelta() as { insert: unknown }[]).map((d) => (typeof d.insert === "string" ? d.insert : "\ufffc")).join("");

/** Every place in a description, with the run of text around it. */
export function placesInDescription(state: Uint8Array, wanted: Wanted): { text: string; from: number; to: number }[] {
  if (state.length === 0 || wanted.text === "") return [];
  return runsOf(opened(state)).flatMap((run) => {
    const text = plain(run);
    return placesIn(text, wanted).map((p) => ({ text, ...p }));
  });
}

/**
 * The update (base64) that replaces some of the places of a description, by their number in `placesInDescription`; the new words
 * look as the old ones did. Null where none is replaced.
 */
export function replaceInDescription(
  state: Uint8Array,
  wanted: Wanted,
  by: string,
  which: (n: number) => boolean,
): string | null {
  const doc = opened(state);
  const known = Y.encodeStateVector(doc);
  let n = 0;
  let done = false;
  doc.transact(() => {
    for (const run of runsOf(doc)) {
      const places = placesIn(plain(run), wanted).map((p) => ({ ...p, n: n++ }));
      // From the end, so that those before stay where they are.
      for (const { from, to, n: at } of places.reverse()) {
        if (!which(at)) continue;
        done = true;
        const format = formatAt(run, from);
        run.delete(from, to - from);
        if (by !== "") run.insert(from, by, format);
      }
    }
  });
  return done ? toBase64(Y.encodeStateAsUpdate(doc, known)) : null;
}

function formatAt(run: Y.XmlText, at: number): Record<string, unknown> {
  let seen = 0;
  for (const d of run.toDelta() as { insert: unknown; attributes?: Record<string, unknown> }[]) {
    seen += typeof d.insert === "string" ? d.insert.length : 1;
    if (at < seen) return d.attributes ?? {};
  }
  return {};
}

/**
 * The update (base64) that takes an update of a description back, for a description that holds it: what it wrote is taken out,
 * what it took out is put back, and what others have written since stays. Null where it wrote nothing.
 */
export function undoUpdate(before: Uint8Array, update: Uint8Array): string | null {
  const doc = opened(before);
  const origin = {};
  const undo = new Y.UndoManager(doc.getXmlFragment(FRAGMENT), {
    trackedOrigins: new Set([origin]),
    captureTimeout: 0,
  });
  Y.applyUpdate(doc, update, origin);
  const known = Y.encodeStateVector(doc);
  if (!undo.undo()) return null;
  return toBase64(Y.encodeStateAsUpdate(doc, known));
}

/**
 * The update (base64) that makes a description what another state of it says: all of it is written anew, so what others write at
 * the same moment stays beside it. Null where both say the same.
 */
export function rewriteDescription(now: Uint8Array, then: Uint8Array): string | null {
  const [doc, old] = [opened(now), opened(then)];
  const [to, from] = [doc.getXmlFragment(FRAGMENT), old.getXmlFragment(FRAGMENT)];
  if (to.toString() === from.toString()) return null;
  const known = Y.encodeStateVector(doc);
  doc.transact(() => {
    to.delete(0, to.length);
    to.insert(
      0,
      from.toArray().map((node) => node.clone() as Y.XmlElement | Y.XmlText),
    );
  });
  return toBase64(Y.encodeStateAsUpdate(doc, known));
}

/** Whether two states of a description say the same, however they came about. */
export function saysTheSame(a: Uint8Array, b: Uint8Array): boolean {
  if (a === b || (a.length === b.length && a.every((byte, i) => byte === b[i]))) return true;
  return opened(a).getXmlFragment(FRAGMENT).toString() === opened(b).getXmlFragment(FRAGMENT).toString();
}
