/** A finger or mouse drags from so many px on. */
const DRAG = 8;
/** So far under the ridge a card may still be let go, px. */
const UNDER = 60;

/** A card that is dragged with mouse or finger to a gap of the ridge (`.x-gap`, `.x-ridge`) within `root`. */
export function draggable(card: HTMLElement, root: HTMLElement, place: (at: number) => void): void {
  card.addEventListener("pointerdown", (down) => {
    if (down.button !== 0) return;
    let ghost: HTMLElement | null = null;
    const gaps = () => [...root.querySelectorAll<HTMLElement>(".x-gap")];
    const nearest = (e: PointerEvent) => {
      const far = (g: HTMLElement) => {
        const box = g.getBoundingClientRect();
        return Math.abs(e.clientX - (box.left + box.width / 2));
      };
      return gaps().reduce<HTMLElement | null>((best, g) => (best && far(best) <= far(g) ? best : g), null);
    };
    const overRidge = (e: PointerEvent) => {
      const box = root.querySelector(".x-ridge")?.getBoundingClientRect();
      return box !== undefined && e.clientY < box.bottom + UNDER;
    };
    const mark = (at: HTMLElement | null) => {
      for (const g of gaps()) g.classList.toggle("x-near", g === at);
    };
    const move = (e: PointerEvent) => {
      if (!ghost && Math.hypot(e.clientX - down.clientX, e.clientY - down.clientY) < DRAG) return;
      e.preventDefault();
      if (!ghost) {
        ghost = card.cloneNode(true) as HTMLElement;
        ghost.className = "x-card x-ghost";
        ghost.setAttribute("aria-hidden", "true");
        root.append(ghost);
      }
      ghost.style.transform = `translate(${e.clientX}px, ${e.clientY}px) translate(-50%, -50%)`;
      mark(overRidge(e) ? nearest(e) : null);
    };
    const up = (e: PointerEvent) => {
      window.removeEventListener("pointermove", move);
      window.removeEventListener("pointerup", up);
      window.removeEventListener("pointercancel", up);
      if (!ghost) return;
      ghost.remove();
      mark(null);
      // The press that ends a drag takes nothing.
      const still = (x: Event) => x.stopImmediatePropagation();
      card.addEventListener("click", still, { capture: true });
      setTimeout(() => card.removeEventListener("click", still, { capture: true }));
      const at = e.type === "pointerup" && overRidge(e) ? nearest(e) : null;
      if (at) place(Number(at.dataset.at));
    };
    window.addEventListener("pointermove", move, { passive: false });
    window.addEventListener("pointerup", up);
    window.addEventListener("pointercancel", up);
  });
}
