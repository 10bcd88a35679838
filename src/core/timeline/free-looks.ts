import type { AnyColour } from "./fields";
import type { Colour, Pattern } from "./looks";
import { inOrder } from "./order";
import { wholesOf } from "./parts";
import { categoriesOf, nextLook, type Timeline } from "./timeline";

/** The colour and pattern of a span with parts that has no category. */
export interface FreeLook {
  id: string;
  colour: Colour;
  pattern: Pattern;
}

/** So many get a look of their own; with more the colours would say nothing. */
const MOST = 8;

/**
 * Spans with parts, without a category and not part of anything themselves, each with a colour and pattern that no category
 * has, in their order: what they consist of takes the same, and the key lists them by their titles. `wholes`: as `wholesOf`
 * gives them, where that is known.
 */
export function freeLooks(
  timeline: Pick<Timeline, "events" | "categories">,
  wholes: ReadonlyMap<string, string> = wholesOf(timeline.events),
): FreeLook[] {
  if (wholes.size === 0) return [];
  const categories = categoriesOf(timeline);
  const known = new Set(categories.map((c) => c.id));
  const found = [...new Set(wholes.values())]
    .filter((id) => !wholes.has(id) && !known.has(timeline.events.get(id)!.category ?? ""))
    .map((id) => timeline.events.get(id)!);
  const used: { colour: AnyColour; pattern: Pattern }[] = [...categories];
  return inOrder(found)
    .slice(0, MOST)
    .map(({ id }) => {
      // Steel is the colour of what has no category.
      if (!used.some((u) => u.colour === "steel") && nextLook(used).colour === "steel")
        used.push({ colour: "steel", pattern: "solid" });
      const look = nextLook(used);
      used.push(look);
      return { id, ...look };
    });
}
