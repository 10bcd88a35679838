import { locale } from "@/core/language/spoken";
import { WORDS } from "@/core/words/index-view";
import { onFilter, readFilter, setFilter } from "./reader-filter";

/** Puts fields for the filter into a bar: words, and a tag where there are any; and how many events it leaves. */
export function filterBar(bar: HTMLElement, tags: readonly string[], total: number, counted: () => number): void {
  bar.setAttribute("role", "search");
  bar.setAttribute("aria-label", WORDS.filter);
  const words = document.createElement("input");
  words.type = "search";
  words.placeholder = WORDS.findWords;
  words.setAttribute("aria-label", WORDS.findWords);
  words.addEventListener("input", () => setFilter({ words: words.value }));
  bar.append(words);
  const tag = document.createElement("select");
  if (tags.length > 0) {
    tag.setAttribute("aria-label", WORDS.tagged);
    for (const t of ["", ...tags]) {
      const option = document.createElement("option");
      option.value = t;
      option.textContent = t || WORDS.allTags;
      tag.append(option);
    }
    tag.addEventListener("change", () => setFilter({ tag: tag.value }));
    bar.append(tag);
  }
  const said = document.createElement("p");
  said.setAttribute("role", "status");
  const all = document.createElement("button");
  all.type = "button";
  all.textContent = WORDS.showAll;
  all.addEventListener("click", () => {
    setFilter({ words: "", tag: "", hide: [] });
    words.focus();
  });
  bar.append(said, all);
  const follow = () => {
    const f = readFilter();
    if (words.value !== f.words) words.value = f.words;
    if (tag.value !== f.tag) tag.value = f.tag;
    const isFiltered = f.words !== "" || f.tag !== "" || f.hide.length > 0;
    all.hidden = !isFiltered;
    const shown = isFiltered ? counted() : total;
    said.textContent = !isFiltered ? "" : shown === 0 ? WORDS.nothing : WORDS.someOf(shown, total);
  };
  onFilter(follow);
  follow();
}

/** The tags of events, each once, in the order of the alphabet. */
export function tagsOf(events: Iterable<{ tags: readonly string[] }>): string[] {
  const found = new Map<string, string>();
  for (const e of events) for (const t of e.tags) if (!found.has(t.toLowerCase())) found.set(t.toLowerCase(), t);
  return [...found.values()].sort((a, b) => a.localeCompare(b, locale()));
}
