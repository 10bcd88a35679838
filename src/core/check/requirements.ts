import { blocksOf, plainTextOf, wordCount } from "../text/description";
import { inOrder } from "../timeline/order";
import { isCited } from "../sources/cited";
import { itemsByOwner, type Timeline, type TimelineEvent } from "../timeline/timeline";

/** What an assignment asks for. */
export type Requirement =
  | { kind: "events"; count: number }
  | { kind: "media"; count: number }
  | { kind: "sources" }
  | { kind: "words"; count: number }
  | { kind: "categories"; names: string[] };

/** The state of one requirement: how much there is of how much, and where what is missing can be mended. */
export interface Check {
  requirement: Requirement;
  met: boolean;
  have: number;
  need: number;
  /** Events at fault, in time order; empty where something is missing altogether. */
  events: string[];
  /** What is missing, in words; "" when met. */
  missing: string;
}

/**
 * Checks every requirement against a timeline. Events are all that are not deleted, spans, parts and given ones
 * included; media are distinct pictures and videos that belong to such an event or to the timeline itself.
 */
export function checkRequirements(timeline: Timeline, requirements: readonly Requirement[]): Check[] {
  const events = inOrder(timeline.events.values());
  return requirements.map((r) => check(timeline, events, r));
}

function check(t: Timeline, events: readonly TimelineEvent[], r: Requirement): Check {
  const made = (have: number, need: number, at: string[], missing: string): Check => ({
    requirement: r,
    met: missing === "",
    have,
    need,
    events: at,
    missing,
  });
  const more = (n: number, one: string, many: string) => (n <= 0 ? "" : `${n} more ${n === 1 ? one : many}`);
  switch (r.kind) {
    case "events":
      return made(events.length, r.count, [], more(r.count - events.length, "event", "events"));
    case "media": {
      const owners = new Set(["timeline", ...events.map((e) => e.id)]);
      const shown = new Set<string>();
      for (const i of t.items.values())
        if (!i.deleted && (i.kind === "picture" || i.kind === "video") && owners.has(i.of))
          shown.add(i.player || (i.media ?? i.id));
      return made(shown.size, r.count, [], more(r.count - shown.size, "picture or video", "pictures or videos"));
    }
    case "sources": {
      const items = itemsByOwner(t);
      const without = events.filter((e) => !items(e.id, "source").some((s) => isCited(t.sources, s)));
      const missing =
        events.length === 0 ? "no events yet" : without.length === 0 ? "" : `${without.length} without a source`;
      return made(
        events.length - without.length,
        events.length,
        without.map((e) => e.id),
        missing,
      );
    }
    case "words": {
      // Nothing written is not written in few words.
      const words = new Map(events.map((e) => [e.id, wordCount(plainTextOf(blocksOf(e.description)))]));
      const bare = events.filter((e) => words.get(e.id) === 0).length;
      const over = events.filter((e) => words.get(e.id)! > r.count).length;
      const faults = [over > 0 ? `${over} too long` : "", bare > 0 ? `${bare} without a description` : ""];
      return made(
        events.length - over - bare,
        events.length,
        events.flatMap((e) => (words.get(e.id)! > r.count || words.get(e.id) === 0 ? [e.id] : [])),
        events.length === 0 ? "no events yet" : faults.filter(Boolean).join(", "),
      );
    }
    case "categories": {
      const used = new Set(
        events.flatMap((e) =>
          e.category
            ? [plain(t.categories.get(e.category)?.deleted ? "" : (t.categories.get(e.category)?.name ?? ""))]
            : [],
        ),
      );
      const missing = r.names.filter((n) => !used.has(plain(n)));
      return made(
        r.names.length - missing.length,
        r.names.length,
        [],
        missing.length === 0 ? "" : `${missing.map((n) => `“${n}”`).join(", ")} not in use`,
      );
    }
  }
}

const plain = (name: string) => name.trim().toLowerCase();
