import type { PictureSize } from "@/core/chart/draw/scene";
import { type ChartData, isWorded } from "@/core/chart/data/chart-data";
import { firstWordsOf } from "@/core/text/first-words";
import type { Pointed } from "@/core/chart/axis/look-at";
import type { Timeline, TimelineEvent } from "@/core/timeline/timeline";
import type { Spot } from "@/core/timeline/fields";
import type { CardContent } from "./card";
import type { MoveHooks } from "./carry";
import { namesOf, TIMELINE } from "@/core/timeline/fields";

export interface StageHooks {
  /** The address of a picture in a size; null: there is none. */
  pictureUrl: (item: string, size: PictureSize) => string | null;
  /** It has been laid out, and the drawing is so high, px; told before it is painted. */
  drawn?: (height: number) => void;
  select: (id: string | null, open: boolean) => void;
  /** What a card says of an event while a pointer rests on it; left out: there are no cards. */
  card?: (id: string) => CardContent | null;
  /** A count that zooming does not take apart, or of few events: their ids. */
  list: (ids: string[]) => void;
  /** What is seen, when the view is at rest. */
  seen: (text: string, whole: boolean) => void;
  /** Px at the right of the foot that belong to whoever mounts the chart. */
  footInset: number;
  /** A row's name was pressed: its look. */
  fold?: (look: number) => void;
  /** The letter of a close-up was pressed: it is to be open, or closed. */
  closeUp?: (id: string, open: boolean) => void;
  /** What may be moved by hand; left out: nothing. */
  moves?: MoveHooks;
  /** Pairs of labels placed by hand that lie on each other, when that has changed. */
  meeting?: (pairs: [string, string][]) => void;
  /** An empty place was pointed at, in a close-up of the event `within`; null: nothing can be added. */
  add: ((place: Pointed, within: string | null) => void) | null;
}

export interface StageSubject {
  timeline: Timeline;
  hidden: ReadonlySet<string>;
  /** The ridge runs down; null: on narrow screens. */
  upright: boolean | null;
  /** A row for each category, these (by look) folded; null: one for all. */
  rows: ReadonlySet<number> | null;
  /** On an interactive board: everything can be taken hold of by a finger, in a larger reach. */
  board?: boolean;
}

/** An event that hangs open: the stretch of the ridge left to it, px, and who wants to know where it hangs from. */
export interface Hung {
  id: string;
  from: number;
  to: number;
  hangs: (at: { x: number; y: number; foot: number; colour: string }) => void;
}

/** On a board all is drawn so many times larger. */
export const BOARD_SCALE = 1.6;

/** The settings of a timeline that are seen in its chart. */
const DRAWN = namesOf(TIMELINE, (f) => !f.undrawn);

/** Whether two subjects are laid out the same. */
export function sameLayout(a: StageSubject, b: StageSubject): boolean {
  const [t, u] = [a.timeline, b.timeline];
  return (
    sameDrawn(t.events, u.events, isWorded(u)) &&
    t.categories === u.categories &&
    t.items === u.items &&
    a.hidden === b.hidden &&
    a.upright === b.upright &&
    a.rows === b.rows &&
    DRAWN.every((k) => t[k] === u[k])
  );
}

/**
 * Whether events are drawn the same: of descriptions at most the first words are drawn (`worded`), so writing on in one lays
 * nothing out anew.
 */
export function sameDrawn(before: Timeline["events"], after: Timeline["events"], worded: boolean): boolean {
  if (before === after) return true;
  if (before.size !== after.size) return false;
  const old = before.values();
  for (const e of after.values()) {
    const o = old.next().value!;
    if (o === e) continue;
    for (const k of Object.keys(e) as (keyof TimelineEvent)[]) if (k !== "description" && o[k] !== e[k]) return false;
    if (worded && o.description !== e.description && firstWordsOf(o.description) !== firstWordsOf(e.description))
      return false;
  }
  return true;
}

/** More events than that were changed at once by something else than a hand. */
const MOST_BY_HAND = 50;

/** The spots that are all that changed between two states of a timeline's events; null: something else did too. */
export function changedSpots(before: Timeline["events"], after: Timeline["events"]): Map<string, Spot | null> | null {
  if (before.size !== after.size) return null;
  const found = new Map<string, Spot | null>();
  // Both hold their events in one order: side by side is quicker than looking each up.
  const old = before.entries();
  for (const [id, e] of after) {
    const [was, o] = old.next().value!;
    if (o === e) continue;
    if (was !== id || found.size === MOST_BY_HAND) return null;
    for (const k of Object.keys(e) as (keyof TimelineEvent)[]) if (k !== "spot" && o[k] !== e[k]) return null;
    found.set(id, e.spot);
  }
  return found;
}

/** The spots and events of a chart after labels were moved by hand, where that is all that changed; null: something else did too. */
export function withSpots(
  before: StageSubject,
  now: StageSubject,
  data: Pick<ChartData, "spots" | "ids">,
  events: readonly TimelineEvent[],
): { spots: Map<number, Spot>; events: TimelineEvent[] } | null {
  const changed = changedSpots(before.timeline.events, now.timeline.events);
  if (!changed || changed.size === 0) return null;
  const spots = new Map(data.spots);
  const next = events.slice();
  for (const [id, spot] of changed) {
    const i = data.ids.indexOf(id);
    if (i < 0) continue;
    if (spot) spots.set(i, spot);
    else spots.delete(i);
    next[i] = now.timeline.events.get(id)!;
  }
  return { spots, events: next };
}
