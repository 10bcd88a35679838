import type { Timeline } from "../timeline/timeline";

/** Whether nothing has been written in a timeline yet but its title: then another one comes in as a whole. */
export function isUnwritten(t: Timeline): boolean {
  return (
    [...t.events.values()].every((e) => e.deleted) &&
    [...t.categories.values()].every((c) => c.deleted) &&
    t.introduction.length === 0 &&
    t.closing.length === 0
  );
}
