import { nanoid } from "nanoid";
import { type BringInWish, type BroughtIn, bringIn } from "@/core/bring-in/bring-in";
import type { BroughtRow } from "@/core/bring-in/put-together";
import type { TooLongCell } from "@/core/ledger/fill-cells";
import type { Timeline } from "@/core/timeline/timeline";

/** So many rows lie between two places where others go on. */
const PIECE = 25;
/** Reading may hold a frame up for so long, ms. */
const SLICE_MS = 10;

/** What would come of bringing rows in, worked out in slices; null when it is no longer wanted. */
export async function planOf(
  timeline: Timeline,
  rows: readonly BroughtRow[],
  wish: Omit<BringInWish, "newId" | "client">,
  wanted: () => boolean,
  say: (rows: number) => void = () => {},
): Promise<BroughtIn | TooLongCell | null> {
  const steps = bringIn(timeline, rows, { ...wish, newId: () => nanoid(10), client: newClient() });
  let since = performance.now();
  let pieces = 0;
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
    pieces++;
    if (performance.now() - since < SLICE_MS) continue;
    // A timer alone would let the next slice run before anything is drawn.
    await new Promise((go) => requestAnimationFrame(() => setTimeout(go)));
    if (!wanted()) return null;
    // Every row is gone through twice: its cells, then what needs all of them.
    say(Math.min(rows.length, (pieces * PIECE) / 2));
    since = performance.now();
  }
}

/** Who writes descriptions that are brought in, as their documents count. */
export const newClient = () => crypto.getRandomValues(new Uint32Array(1))[0]!;
