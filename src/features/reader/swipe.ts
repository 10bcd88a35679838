/** So far a finger moves along before it means the next, px; and no more than this share of it across. */
const LEAST = 56;
const ACROSS = 0.6;

/** Hears a finger that is drawn to one side: 1 to the next, -1 to the one before. Not while the page is enlarged. */
export function onSwipe(on: HTMLElement, act: (way: 1 | -1) => void): void {
  let from: { x: number; y: number } | null = null;
  on.addEventListener(
    "touchstart",
    (e) => {
      const [t] = e.touches;
      const large = (window.visualViewport?.scale ?? 1) > 1.02;
      // A finger on a player's controls moves what it holds.
      const onPlayer = (e.target as Element).closest("audio,video") !== null;
      from = t && e.touches.length === 1 && !large && !onPlayer ? { x: t.clientX, y: t.clientY } : null;
    },
    { passive: true },
  );
  on.addEventListener("touchend", (e) => {
    const [t] = e.changedTouches;
    if (!from || !t || e.touches.length > 0) return;
    const [x, y] = [t.clientX - from.x, t.clientY - from.y];
    from = null;
    if (Math.abs(x) >= LEAST && Math.abs(y) <= Math.abs(x) * ACROSS) act(x < 0 ? 1 : -1);
  });
}
