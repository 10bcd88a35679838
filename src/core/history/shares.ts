import type { Change } from "../change/change";
import { fromBase64 } from "../text/base64";
import { blocksOf, mergeDescriptions, plainTextOf } from "../text/description";
import type { MediaKind } from "../timeline/fields";
import { isOwnText } from "../timeline/timeline";
import { BREAK_MS } from "./sittings";

/** A change as the log has it; `at`: milliseconds since 1970. */
export interface LoggedChange extends Pick<Change, "author" | "ops"> {
  at: number;
}

/** What one person did of a timeline, counted from its log. */
export interface Share {
  author: string;
  eventsAdded: number;
  /** Of those that are there now. */
  eventsThere: number;
  /** Words of theirs that stand in the texts now, and how many they ever wrote. */
  wordsThere: number;
  wordsWritten: number;
  /** Words of others that they took away or wrote over. */
  wordsOfOthers: number;
  pictures: number;
  sounds: number;
  sources: number;
  changes: number;
  /** Sittings, and what they come to, minutes. */
  sittings: number;
  minutes: number;
}

/** Many words that came into a text at once: brought in from elsewhere, from another text here, or dictated. */
export interface AtOnce {
  author: string;
  /** Of which event; "introduction" and "closing" for the two pages. */
  of: string;
  at: number;
  words: number;
  /** Its first words. */
  begins: string;
}

/** A stretch of work of one person without a longer break. */
export interface Stretch {
  author: string;
  from: number;
  to: number;
}

export interface Shares {
  people: Share[];
  atOnce: AtOnce[];
  stretches: Stretch[];
}

/** So many words in one change were not typed: a change holds what is typed in a third of a second. */
const AT_ONCE_WORDS = 25;
const BEGINS_WORDS = 8;
/** A sitting of one change is counted as this long, ms. */
const LEAST_MS = 60_000;

const wordsOf = (text: string) => text.split(/\s+/).filter((w) => /[\p{L}\p{N}]/u.test(w));

/** Who did what, from the whole log in its order. People stand in the order of their first change. */
export function sharesOf(log: readonly LoggedChange[]): Shares {
  const people = new Map<string, Share>();
  const texts = new Texts();
  const addedBy = new Map<string, string>();
  const there = new Set<string>();
  const stretches: Stretch[] = [];
  const last = new Map<string, Stretch>();
  const atOnce: AtOnce[] = [];
  const share = (author: string): Share => {
    const known = people.get(author) ?? emptyShare(author);
    people.set(author, known);
    return known;
  };
  for (const { author, ops, at } of log) {
    const own = share(author);
    own.changes++;
    const open = last.get(author);
    if (open && at - open.to <= BREAK_MS) open.to = Math.max(open.to, at);
    else {
      const begun = { author, from: at, to: at };
      stretches.push(begun);
      last.set(author, begun);
    }
    for (const op of ops) {
      switch (op.kind) {
        case "add_event":
          own.eventsAdded++;
          addedBy.set(op.id, author);
          there.add(op.id);
          break;
        case "delete_event":
          there.delete(op.id);
          texts.take(op.id);
          break;
        case "restore_event":
          if (addedBy.has(op.id)) there.add(op.id);
          texts.bring(op.id);
          break;
        case "add_item": {
          const { list, kind } = op.fields as { list?: string; kind?: MediaKind | null };
          if (list === "source") own.sources++;
          else if (list === "media" && kind === "sound") own.sounds++;
          else if (list === "media") own.pictures++;
          break;
        }
        case "describe": {
          const { added, taken } = texts.write(op.of, fromBase64(op.update), author);
          own.wordsWritten += added.length;
          own.wordsOfOthers += taken;
          if (added.length >= AT_ONCE_WORDS)
            atOnce.push({
              author,
              of: op.of,
              at,
              words: added.length,
              begins: added.slice(0, BEGINS_WORDS).join(" "),
            });
          break;
        }
        default:
      }
    }
  }
  for (const [event, author] of addedBy) if (there.has(event)) share(author).eventsThere++;
  for (const [author, n] of texts.standing()) share(author).wordsThere += n;
  for (const s of stretches) {
    const own = share(s.author);
    own.sittings++;
    own.minutes += Math.max(LEAST_MS, s.to - s.from) / 60_000;
  }
  for (const p of people.values()) p.minutes = Math.round(p.minutes);
  return { people: [...people.values()], atOnce, stretches };
}

function emptyShare(author: string): Share {
  return {
    author,
    eventsAdded: 0,
    eventsThere: 0,
    wordsThere: 0,
    wordsWritten: 0,
    wordsOfOthers: 0,
    pictures: 0,
    sounds: 0,
    sources: 0,
    changes: 0,
    sittings: 0,
    minutes: 0,
  };
}

/** The texts of a timeline as they grow, and for each word who wrote it. */
class Texts {
  private readonly docs = new Map<string, { state: Uint8Array; words: string[]; authors: string[]; gone: boolean }>();

  /** Takes an update in; gives the words that are new, and how many of others are there no more. */
  write(of: string, update: Uint8Array, author: string): { added: string[]; taken: number } {
    const known = this.docs.get(of) ?? { state: new Uint8Array(), words: [], authors: [], gone: false };
    const state = known.state.length === 0 ? update : mergeDescriptions(known.state, update);
    const words = wordsOf(plainTextOf(blocksOf(state)));
    let head = 0;
    while (head < words.length && head < known.words.length && words[head] === known.words[head]) head++;
    let tail = 0;
    while (
      tail < words.length - head &&
      tail < known.words.length - head &&
      words[words.length - 1 - tail] === known.words[known.words.length - 1 - tail]
    )
      tail++;
    const added = words.slice(head, words.length - tail);
    const old = known.words.slice(head, known.words.length - tail);
    const oldAuthors = known.authors.slice(head, known.authors.length - tail);
    // A word that is only spelt on or moved within the stretch stays whose it was.
    const left = new Map<string, string[]>();
    for (const [i, w] of old.entries()) left.set(w, [...(left.get(w) ?? []), oldAuthors[i]!]);
    const authors = added.map((w) => left.get(w)?.shift() ?? author);
    const kept = added.filter((_, i) => authors[i] !== author).length;
    const others = oldAuthors.filter((a) => a !== author).length;
    // A word one goes on spelling is one word: what is lost of one's own is not written twice.
    const ownLost = [...left.values()].flat().filter((a) => a === author).length;
    const fresh = added.filter((w, i) => authors[i] === author && !old.includes(w)).slice(ownLost);
    this.docs.set(of, {
      state,
      words,
      authors: [...known.authors.slice(0, head), ...authors, ...known.authors.slice(known.authors.length - tail)],
      gone: known.gone,
    });
    return { added: fresh, taken: Math.max(0, others - kept) };
  }

  take(of: string): void {
    const known = this.docs.get(of);
    if (known && !isOwnText(of)) known.gone = true;
  }

  bring(of: string): void {
    const known = this.docs.get(of);
    if (known) known.gone = false;
  }

  /** How many words of each person stand in the texts that are there. */
  standing(): Map<string, number> {
    const found = new Map<string, number>();
    for (const d of this.docs.values()) if (!d.gone) for (const a of d.authors) found.set(a, (found.get(a) ?? 0) + 1);
    return found;
  }
}
