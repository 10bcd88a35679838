export interface GestureHooks {
  /** About a place along the ridge, px. */
  zoom: (at: number, factor: number) => void;
  /** The view moves by so many px towards the later. */
  pan: (px: number) => void;
  tap: (x: number, y: number) => void;
  /** Where a mouse is; null when it has left. */
  hover: (at: { x: number; y: number } | null) => void;
  /** A drag began there: true when something was taken hold of, which then follows the pointer. */
  grab: (x: number, y: number, touch: boolean) => boolean;
  carry: (x: number, y: number) => void;
  /** It was let go; not `kept`: it goes back. */
  drop: (kept: boolean) => void;
  isWhole: () => boolean;
  /** The ridge runs down: along is y. */
  isUpright: () => boolean;
}

/** A pointer that moved less than this was a tap, px. */
const SLOP = 5;
/** Two presses within so long and so near are one double click. */
const SECOND_PRESS_MS = 500;
const SECOND_PRESS_PX = 12;
/** Half an octave for one notch of a usual wheel. */
const WHEEL = Math.LN2 / 200;

/** Wheel, drag and pinch on an element; gives the way to stop. A drag that begins on a button is still a drag. */
export function listenGestures(element: HTMLElement, hooks: GestureHooks): () => void {
  const pointers = new Map<number, { x: number; y: number }>();
  let began: { x: number; y: number } | null = null;
  /** Where and when something was pressed last, on the screen: a second press there soon after is part of the first. */
  let pressed: { x: number; y: number; at: number } | null = null;
  let again = false;
  let dragging = false;
  let carrying = false;
  let pinch: { distance: number; at: number } | null = null;
  /** A page or a box that is longer than the screen still scrolls by one finger, where that does not move the view. */
  const touch = () => {
    element.style.touchAction = hooks.isUpright() && !hooks.isWhole() ? "none" : "pan-y";
  };
  touch();
  const along = (p: { x: number; y: number }) => (hooks.isUpright() ? p.y : p.x);

  const place = (e: { clientX: number; clientY: number }) => {
    const box = element.getBoundingClientRect();
    // It may be shown larger than it is laid out.
    const k = element.offsetWidth > 0 ? element.offsetWidth / box.width : 1;
    return { x: (e.clientX - box.left) * k, y: (e.clientY - box.top) * k };
  };
  const pinched = () => {
    const [a, b] = [...pointers.values()];
    return a && b ? { distance: Math.max(20, Math.hypot(a.x - b.x, a.y - b.y)), at: (along(a) + along(b)) / 2 } : null;
  };

  const down = (e: PointerEvent) => {
    if (e.pointerType === "mouse" && e.button !== 0) return;
    pointers.set(e.pointerId, place(e));
    if (pointers.size === 1) {
      began = place(e);
      dragging = false;
      again =
        pressed !== null &&
        e.timeStamp - pressed.at < SECOND_PRESS_MS &&
        Math.hypot(e.clientX - pressed.x, e.clientY - pressed.y) < SECOND_PRESS_PX;
    }
    pinch = pinched();
    if (!pinch) return;
    dragging = true;
    if (carrying) hooks.drop(false);
    carrying = false;
  };
  const move = (e: PointerEvent) => {
    const at = place(e);
    const last = pointers.get(e.pointerId);
    if (!last) {
      if (e.pointerType === "mouse") hooks.hover(at);
      return;
    }
    pointers.set(e.pointerId, at);
    if (pinch) {
      const now = pinched();
      if (!now) return;
      hooks.pan(pinch.at - now.at);
      hooks.zoom(now.at, now.distance / pinch.distance);
      pinch = now;
      return;
    }
    if (!dragging && began && Math.hypot(at.x - began.x, at.y - began.y) > SLOP) {
      dragging = true;
      carrying = hooks.grab(began.x, began.y, e.pointerType === "touch");
      element.setPointerCapture(e.pointerId);
      hooks.hover(null);
    }
    if (carrying) hooks.carry(at.x, at.y);
    else if (dragging) hooks.pan(along(last) - along(at));
  };
  const up = (e: PointerEvent) => {
    if (!pointers.delete(e.pointerId)) return;
    pinch = pinched();
    touch();
    if (pointers.size > 0) return;
    if (carrying) hooks.drop(e.type === "pointerup");
    carrying = false;
    const at = place(e);
    if (!dragging && began && e.type === "pointerup") {
      if (!again && !(e.target as Element).closest("button")) hooks.tap(at.x, at.y);
      // A count is pressed again and again, to come nearer each time; nothing else is.
      const kind = (e.target as Element).closest<HTMLElement>("button")?.dataset.kind;
      pressed = kind === "more" ? null : { x: e.clientX, y: e.clientY, at: e.timeStamp };
    }
    began = null;
  };
  // The click that ends a drag presses nothing; nor does the second of two, which may hit what has moved under it.
  const click = (e: MouseEvent) => {
    const second = again && e.detail > 0;
    again = false;
    if (!dragging && !second) return;
    dragging = false;
    e.preventDefault();
    e.stopPropagation();
  };
  const wheel = (e: WheelEvent) => {
    const unit = e.deltaMode === 1 ? 16 : e.deltaMode === 2 ? 240 : 1;
    const zoom = () => {
      e.preventDefault();
      const by = -Math.max(-300, Math.min(300, e.deltaY * unit)) * WHEEL * (e.ctrlKey ? 3 : 1);
      hooks.zoom(along(place(e)), Math.exp(by));
      touch();
    };
    if (hooks.isUpright()) {
      // The whole scrolls; a part of it is moved along.
      if (e.ctrlKey) zoom();
      else if (!hooks.isWhole()) {
        e.preventDefault();
        hooks.pan((e.deltaY || e.deltaX) * unit);
      }
      return;
    }
    const sideways = e.shiftKey && e.deltaX === 0 ? e.deltaY : e.deltaX;
    if (Math.abs(sideways) > Math.abs(e.deltaY) || (e.shiftKey && !e.ctrlKey)) {
      if (hooks.isWhole()) return;
      e.preventDefault();
      hooks.pan(sideways * unit);
      return;
    }
    // At the whole the page may scroll on, and what was scrolled may come back.
    const back = e.deltaY < 0 && (element.parentElement?.scrollTop ?? 0) > 0;
    if ((e.deltaY > 0 || back) && hooks.isWhole() && !e.ctrlKey) return;
    zoom();
  };
  const leave = () => hooks.hover(null);

  element.addEventListener("pointerdown", down);
  element.addEventListener("pointermove", move);
  element.addEventListener("pointerup", up);
  element.addEventListener("pointercancel", up);
  element.addEventListener("pointerleave", leave);
  element.addEventListener("click", click, true);
  element.addEventListener("wheel", wheel, { passive: false });
  return () => {
    element.removeEventListener("pointerdown", down);
    element.removeEventListener("pointermove", move);
    element.removeEventListener("pointerup", up);
    element.removeEventListener("pointercancel", up);
    element.removeEventListener("pointerleave", leave);
    element.removeEventListener("click", click, true);
    element.removeEventListener("wheel", wheel);
  };
}
