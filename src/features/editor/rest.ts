/** Somebody rests who has done nothing for so long, ms. */
const REST_MS = 2_000;
/** Who never rests is not waited for longer, ms. */
const PATIENCE_MS = 20_000;
const DEEDS = ["keydown", "pointerdown", "wheel"] as const;

/**
 * What gives a promise that is kept once somebody rests: {@link REST_MS} after the last key, press or turn of the wheel (to begin with:
 * after this was called), at the latest {@link PATIENCE_MS} after this was called, and from then on at once.
 */
export function restOf(place: Pick<EventTarget, "addEventListener" | "removeEventListener">): () => Promise<void> {
  const until = performance.now() + PATIENCE_MS;
  let last = performance.now();
  const deed = () => {
    last = performance.now();
  };
  for (const name of DEEDS) place.addEventListener(name, deed, { capture: true, passive: true });
  const enough = () => {
    for (const name of DEEDS) place.removeEventListener(name, deed, { capture: true });
  };
  setTimeout(enough, PATIENCE_MS);
  return async () => {
    for (;;) {
      const left = Math.min(last + REST_MS, until) - performance.now();
      if (left <= 0) return;
      await new Promise((go) => setTimeout(go, left));
    }
  };
}
