import { WORDS } from "@/core/words/places";
import { stripCopy } from "./strip-copy";

/** What the window is on. */
export interface WindowHost {
  /** Where each event stands along the ridge, percent, in their order. */
  places: () => number[];
  /** The first and the last event within the window. */
  range: () => [from: number, to: number];
  set: (from: number, to: number) => void;
}

/** An end is taken within so many px of it. */
const END = 14;
/** The window reaches past its outermost events, percent. */
const PAST = 0.8;

/**
 * The ridge of the whole timeline with a window on it: each end is dragged, and the window as a whole. The fields beside it do the same by
 * keys. Null where the page has no ridge.
 */
export function windowOnTheRidge(host: WindowHost): { element: HTMLElement; draw: () => void } | null {
  const drawing = stripCopy("m");
  if (!drawing) return null;
  drawing.querySelector(".line")?.remove();
  drawing.setAttribute("aria-hidden", "true");
  const pane = document.createElement("div");
  pane.className = "window";
  pane.title = WORDS.moveWindow;
  drawing.append(pane);
  const element = document.createElement("div");
  element.className = "on-ridge";
  element.append(drawing);

  const draw = () => {
    const places = host.places();
    const [from, to] = host.range();
    pane.hidden = places.length < 2;
    if (pane.hidden) return;
    const within = places.slice(from, to + 1);
    const low = Math.max(0, Math.min(...within) - PAST);
    const high = Math.min(100, Math.max(...within) + PAST);
    pane.style.left = `${low}%`;
    pane.style.width = `${high - low}%`;
  };

  let held: { what: "from" | "to" | "both"; at: number; range: [number, number] } | null = null;
  const percent = (e: PointerEvent) => {
    const box = drawing.getBoundingClientRect();
    return ((e.clientX - box.left) / box.width) * 100;
  };
  /** The event that stands nearest to a place. */
  const nearest = (at: number) => {
    const places = host.places();
    return places.reduce((best, p, i) => (Math.abs(p - at) < Math.abs(places[best]! - at) ? i : best), 0);
  };
  element.addEventListener("pointerdown", (e) => {
    if (pane.hidden) return;
    e.preventDefault();
    element.setPointerCapture(e.pointerId);
    const box = pane.getBoundingClientRect();
    // A narrow window has a middle too.
    const end = Math.min(END, box.width / 4);
    const what =
      Math.abs(e.clientX - box.left) <= end ? "from" : Math.abs(e.clientX - box.right) <= end ? "to" : "both";
    const inside = e.clientX >= box.left && e.clientX <= box.right;
    // Beside the window, its nearer end comes here.
    held = {
      what: what === "both" && !inside ? (e.clientX < box.left ? "from" : "to") : what,
      at: percent(e),
      range: host.range(),
    };
    if (!inside) move(e);
  });
  const move = (e: PointerEvent) => {
    if (!held) return;
    const [from, to] = held.range;
    const places = host.places();
    if (held.what === "from") host.set(Math.min(nearest(percent(e)), to), to);
    else if (held.what === "to") host.set(from, Math.max(nearest(percent(e)), from));
    else {
      const by = percent(e) - held.at;
      const first = Math.max(0, Math.min(places.length - 1 - (to - from), nearest(places[from]! + by)));
      host.set(first, first + to - from);
    }
  };
  element.addEventListener("pointermove", move);
  for (const type of ["pointerup", "pointercancel"] as const)
    element.addEventListener(type, () => {
      held = null;
    });
  return { element, draw };
}
