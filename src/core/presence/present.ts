/** Parts of an open timeline that somebody can be in. */
export const PLACES = ["chart", "ledger", "sheet", "comments", "settings", "reading"] as const;
export type PresencePlace = (typeof PLACES)[number];

/** Where somebody is: in which part, at which event, and in which field of it, by its name; null and "" for none. */
export interface Where {
  at: PresencePlace;
  event: string | null;
  field: string;
  /** Whose place they go along with; null: they go by themselves. */
  follows: string | null;
  /** Where they write: the text (an event's id, or the name of a text of the timeline), a space, and the place in it. */
  caret?: string;
}

/** What an open page says of itself to the others, again and again; `where` null: it is closed. */
export interface HereMessage {
  tab: string;
  /** The how-manieth of this page it is: what comes late is older than what was heard. */
  n: number;
  account: string;
  name: string;
  where: Where | null;
}

/** A page of somebody, and when it was heard of last, ms; one that was closed is remembered for a while. */
export interface OpenPage extends HereMessage {
  heard: number;
}

/** Somebody who is here. */
export interface Present {
  account: string;
  name: string;
  where: Where;
}

/** Pages say that they are here every so often, and after so long without a word they count as gone, ms. */
export const SAY_EVERY_MS = 15_000;
export const GONE_AFTER_MS = 40_000;

/** The pages after a message. */
export function hear(pages: readonly OpenPage[], m: HereMessage, now: number): OpenPage[] {
  const last = pages.find((p) => p.tab === m.tab);
  if (last && last.n >= m.n) return [...pages];
  return [...pages.filter((p) => p.tab !== m.tab), { ...m, heard: now }];
}

/** The open pages without those nothing was heard of for long; the same list where none goes. */
export function stillHere(pages: readonly OpenPage[], now: number): readonly OpenPage[] {
  const left = pages.filter((p) => now - p.heard < GONE_AFTER_MS);
  return left.length === pages.length ? pages : left;
}

/** Who is here but oneself, by name, each once: where they were heard of last. */
export function presentIn(pages: readonly OpenPage[], me: string): Present[] {
  const last = new Map<string, OpenPage>();
  for (const p of pages)
    if (p.where !== null && p.account !== me && (last.get(p.account)?.heard ?? -1) <= p.heard) last.set(p.account, p);
  return [...last.values()]
    .map(({ account, name, where }) => ({ account, name, where: where! }))
    .sort((a, b) => a.name.localeCompare(b.name, "en") || (a.account < b.account ? -1 : 1));
}

/**
 * Whether somebody who follows another goes where they are now. Of two who follow each other one leads, so that they do not run around
 * each other.
 */
export function goesAlong(me: string, led: Present): boolean {
  return led.where.follows !== me || me > led.account;
}

/** Colours of people, each so dark that white words on it are readable. */
export const PERSON_COLOURS = ["#0B6E69", "#B4481E", "#1F5FA8", "#7A3E9D", "#7A5200", "#A0285A"] as const;

/** The colour of a person: the same wherever they are seen. */
export function colourOf(account: string): string {
  let sum = 0;
  for (const c of account) sum = (sum * 31 + c.codePointAt(0)!) % 1_000_003;
  return PERSON_COLOURS[sum % PERSON_COLOURS.length]!;
}

/** Two letters for a name: of its first and last word, or the first two of its only one. */
export function initialsOf(name: string): string {
  const words = name.trim().split(/\s+/u).filter(Boolean);
  const letters = words.length > 1 ? [[...words[0]!][0]!, [...words.at(-1)!][0]!] : [...(words[0] ?? "?")].slice(0, 2);
  return letters.join("").toLocaleUpperCase("en");
}
