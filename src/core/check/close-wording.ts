import { type Block, plainTextOf } from "../text/description";

/** A text whose wording is compared with others. */
export interface Worded {
  /** What tells it from the others. */
  id: string;
  /** Texts of one of these are not compared with each other, such as those of one group. */
  group: string;
  text: string;
}

/** A stretch of words that stands in two texts, in each as it was written there. */
export interface ClosePassage {
  a: string;
  b: string;
  inA: string;
  inB: string;
  /** How many words it has. */
  words: number;
}

/** So many words in a row make one fingerprint. */
const SHINGLE = 5;
/**
 * Of so many fingerprints in a row one at least is kept (winnowing, Schleimer, Wilkerson and Aiken 2003): every stretch of
 * SHINGLE + WINDOW - 1 equal words is found.
 */
const WINDOW = 4;
/** Every stretch so long is found; a shorter one is how one says it, not where it is from. */
export const LEAST_WORDS = SHINGLE + WINDOW - 1;
/** A shingle that stands in more texts than this is a saying of the class, such as the task's own words. */
const MOST_TEXTS = 40;

interface Word {
  /** As it is compared. */
  plain: string;
  from: number;
  to: number;
}

/** The words of a text as they are compared: letters and digits, without case and accents, with where they stand. */
function wordsOf(text: string): Word[] {
  return [...text.matchAll(/[\p{L}\p{N}]+(?:['’][\p{L}]+)*/gu)].map((m) => ({
    plain: m[0].normalize("NFKD").replaceAll(/\p{M}/gu, "").toLowerCase().replaceAll("’", "'"),
    from: m.index,
    to: m.index + m[0].length,
  }));
}

/** FNV-1a over the characters of a shingle, 32 bits. */
function hashOf(words: readonly Word[], at: number): number {
  let h = 0x811c9dc5;
  for (let i = at; i < at + SHINGLE; i++) {
    const { plain } = words[i]!;
    for (let k = 0; k < plain.length; k++) h = Math.imul(h ^ plain.charCodeAt(k), 0x01000193);
    h = Math.imul(h ^ 32, 0x01000193);
  }
  return h >>> 0;
}

/** The places of a text whose fingerprints are kept: in every window the least, the last of equals. */
function winnow(words: readonly Word[]): { hash: number; at: number }[] {
  const count = words.length - SHINGLE + 1;
  if (count <= 0) return [];
  const hashes = Array.from({ length: count }, (_, i) => hashOf(words, i));
  const kept: { hash: number; at: number }[] = [];
  const width = Math.min(WINDOW, count);
  let last = -1;
  for (let from = 0; from + width <= count; from++) {
    let least = from;
    for (let i = from + 1; i < from + width; i++) if (hashes[i]! <= hashes[least]!) least = i;
    if (least !== last) kept.push({ hash: hashes[least]!, at: least });
    last = least;
  }
  return kept;
}

/**
 * Every stretch of at least `LEAST_WORDS` equal words that two texts of different groups share, the longest first. Takes time in
 * proportion to all words and to what is shared.
 */
export function closeWording(texts: readonly Worded[]): ClosePassage[] {
  const words = texts.map((t) => wordsOf(t.text));
  const index = new Map<number, { text: number; at: number }[]>();
  words.forEach((own, text) => {
    for (const { hash, at } of winnow(own)) {
      const there = index.get(hash);
      if (there) there.push({ text, at });
      else index.set(hash, [{ text, at }]);
    }
  });
  // For each pair the stretches that were found, so that one that is met again is not followed again.
  const found = new Map<string, { a: number; b: number; fromA: number; fromB: number; length: number }[]>();
  for (const places of index.values()) {
    if (places.length < 2 || new Set(places.map((p) => p.text)).size > MOST_TEXTS) continue;
    for (let i = 0; i < places.length; i++)
      for (let k = i + 1; k < places.length; k++) {
        const [p, q] = [places[i]!, places[k]!];
        if (p.text === q.text || texts[p.text]!.group === texts[q.text]!.group) continue;
        follow(words, p, q, found);
      }
  }
  return [...found.values()]
    .flat()
    .filter((f) => f.length >= LEAST_WORDS)
    .sort((x, y) => y.length - x.length || x.a - y.a || x.b - y.b || x.fromA - y.fromA)
    .map((f) => ({
      a: texts[f.a]!.id,
      b: texts[f.b]!.id,
      inA: cut(texts[f.a]!.text, words[f.a]!, f.fromA, f.length),
      inB: cut(texts[f.b]!.text, words[f.b]!, f.fromB, f.length),
      words: f.length,
    }));
}

function cut(text: string, words: readonly Word[], from: number, length: number): string {
  return text.slice(words[from]!.from, words[from + length - 1]!.to);
}

/** Follows two equal fingerprints both ways as far as the words are equal. */
function follow(
  words: readonly Word[][],
  p: { text: number; at: number },
  q: { text: number; at: number },
  found: Map<string, { a: number; b: number; fromA: number; fromB: number; length: number }[]>,
): void {
  const [one, other] = p.text < q.text ? [p, q] : [q, p];
  const [a, b] = [words[one.text]!, words[other.text]!];
  const key = `${one.text} ${other.text}`;
  const known = found.get(key) ?? [];
  const offset = other.at - one.at;
  if (known.some((f) => f.fromB - f.fromA === offset && one.at >= f.fromA && one.at < f.fromA + f.length)) return;
  let from = one.at;
  while (from > 0 && from + offset > 0 && a[from - 1]!.plain === b[from + offset - 1]!.plain) from--;
  let to = one.at;
  while (to < a.length && to + offset < b.length && a[to]!.plain === b[to + offset]!.plain) to++;
  if (to === from) return;
  known.push({ a: one.text, b: other.text, fromA: from, fromB: from + offset, length: to - from });
  found.set(key, known);
}

/** What somebody wrote in their own words: without what stands there as a quotation. */
export function ownWords(blocks: readonly Block[]): string {
  return plainTextOf(blocks.filter((b) => b.kind !== "quote")).replaceAll(/[“„«"][^”“»"]{1,2000}[”“»"]/g, " \u2026 ");
}
