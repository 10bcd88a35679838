import type { Frozen } from "./frozen";

/** A timeline with some of its events alone, and what belongs to them: for a file of those that are looked at. */
export function onlyEvents(f: Frozen, ids: ReadonlySet<string>): Frozen {
  const items = f.items.filter((i) => ids.has(i.of));
  const named = new Set(items.map((i) => i.source));
  const used = new Set(f.events.flatMap((e) => (ids.has(e.id) && e.category ? [e.category] : [])));
  return {
    ...f,
    chapters: (f.chapters ?? []).filter((c) => c.before !== null && ids.has(c.before)),
    categories: f.categories.filter((c) => used.has(c.id)),
    events: f.events
      .filter((e) => ids.has(e.id))
      .map((e) => ({ ...e, partOf: e.partOf && ids.has(e.partOf) ? e.partOf : null })),
    items,
    sources: (f.sources ?? []).filter((s) => named.has(s.id)),
  };
}
