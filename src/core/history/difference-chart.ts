import type { Colour, Pattern } from "../timeline/looks";
import { emptyCategory, type Timeline, type TimelineEvent } from "../timeline/timeline";
import type { Compared } from "./compare";

export type DifferenceState = "added" | "changed" | "removed" | "same";
/** How the events of each state are drawn. */
export const DIFFERENCE_LOOKS: Record<DifferenceState, { colour: Colour; pattern: Pattern }> = {
  added: { colour: "verdigris", pattern: "solid" },
  changed: { colour: "river", pattern: "dots" },
  removed: { colour: "copper", pattern: "slanted" },
  same: { colour: "steel", pattern: "grid" },
};

/**
 * One timeline that shows what is different between two: the later one with what is gone from it, each event in the category of its
 * state, so that colour, pattern and the key say which it is. `names`: of the categories.
 */
export function differenceChart(
  before: Timeline,
  after: Timeline,
  { added, removed, changed }: Compared,
  names: Record<DifferenceState, string>,
): Timeline {
  const states = new Map<string, DifferenceState>();
  for (const id of added) states.set(id, "added");
  for (const id of changed) states.set(id, "changed");
  for (const id of removed) states.set(id, "removed");
  const events = new Map<string, TimelineEvent>();
  const put = (e: TimelineEvent) => {
    const state = states.get(e.id) ?? "same";
    events.set(e.id, { ...e, category: state, emphasis: state !== "same", spot: null });
  };
  for (const e of after.events.values()) if (!e.deleted) put(e);
  for (const id of removed) put(before.events.get(id)!);
  return {
    ...after,
    events,
    items: new Map([...before.items, ...after.items]),
    sources: new Map([...before.sources, ...after.sources]),
    categories: new Map(
      (Object.keys(DIFFERENCE_LOOKS) as DifferenceState[]).map((id, i) => [
        id,
        { ...emptyCategory(id), name: names[id], ...DIFFERENCE_LOOKS[id], place: `a${i}` },
      ]),
    ),
  };
}
