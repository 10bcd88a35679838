/**
 * Which events chart and index show: by words, by a tag, without some categories. It stands in the address, so that a link leads to it, and
 * is heard by whoever shows events.
 */

export interface Filter {
  words: string;
  /** "" for any. */
  tag: string;
  /** Categories that are left out, by id. */
  hide: readonly string[];
}

/** The address follows when nothing was typed for so long, ms. */
const ADDRESS_MS = 350;
/** Told to the document when the filter has changed. */
const FILTERED = "filtered";

export function readFilter(): Filter {
  // What was set since the page came stands in the page: chart and index are scripts of their own.
  const set = document.body.dataset.filter;
  if (set) return JSON.parse(set) as Filter;
  const at = new URLSearchParams(location.search);
  const hide = (at.get("hide") ?? "").split(",").filter(Boolean);
  return { words: at.get("words") ?? "", tag: at.get("tag") ?? "", hide };
}

let soon: ReturnType<typeof setTimeout> | undefined;

export function setFilter(change: Partial<Filter>): void {
  const now = { ...readFilter(), ...change };
  document.body.dataset.filter = JSON.stringify(now);
  document.dispatchEvent(new CustomEvent(FILTERED));
  clearTimeout(soon);
  // Another address makes a browser look at every link of the page: not while somebody types.
  soon = setTimeout(() => addressed(now), ADDRESS_MS);
}

function addressed(now: Filter): void {
  const address = new URL(location.href);
  for (const [name, value] of [
    ["words", now.words],
    ["tag", now.tag],
    ["hide", now.hide.join(",")],
  ] as const) {
    // In this order, whatever was set first: one filter has one address.
    address.searchParams.delete(name);
    if (value) address.searchParams.set(name, value);
  }
  if (address.href !== location.href) history.replaceState(history.state, "", address);
}

export function onFilter(act: () => void): void {
  document.addEventListener(FILTERED, act);
}

const texts = new Map<string, string>();
/** All that the page says of an event, to be searched: small letters, without accents. */
export function textOf(id: string): string {
  let text = texts.get(id);
  if (text === undefined) texts.set(id, (text = plain(document.getElementById(`e-${id}`)?.textContent ?? "")));
  return text;
}

const plain = (text: string) => text.normalize("NFD").replaceAll(/\p{M}/gu, "").toLowerCase();

/** Says of each event whether it is shown; null: all are. `tags` as the index and the chart have them. */
export function matcher(
  f: Filter,
): ((e: { id: string; category: string | null; tags: readonly string[] }) => boolean) | null {
  const words = plain(f.words).split(/\s+/).filter(Boolean);
  const tag = f.tag.toLowerCase();
  if (words.length === 0 && tag === "" && f.hide.length === 0) return null;
  const hide = new Set(f.hide);
  return (e) =>
    !hide.has(e.category ?? "") &&
    (tag === "" || e.tags.some((t) => t.toLowerCase() === tag)) &&
    (words.length === 0 || words.every((w) => textOf(e.id).includes(w)));
}
