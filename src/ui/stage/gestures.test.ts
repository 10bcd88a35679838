import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { type GestureHooks, listenGestures } from "./gestures";

/** An element of 800 by 400, at 100, 50 of the window. */
class Pane extends EventTarget {
  style: Record<string, string> = {};
  offsetWidth = 800;
  /** How much larger it is shown than it was laid out. */
  shown = 1;
  captured: number[] = [];
  parentElement = { scrollTop: 0 };
  getBoundingClientRect() {
    return { left: 100, top: 50, width: 800 * this.shown, height: 400 * this.shown };
  }
  setPointerCapture(id: number): void {
    this.captured.push(id);
  }
  /** What the last press hit: nothing, or a button of a kind. */
  hit: { kind: string | null } | null = null;
  closest = () => (this.hit ? { dataset: { kind: this.hit.kind ?? undefined } } : null);
}

let pane: Pane;
let did: string[];
let state: { whole: boolean; upright: boolean; grabs: boolean };
let stop: () => void;
let now: number;
const r = (n: number) => Math.round(n * 100) / 100;

beforeEach(() => {
  pane = new Pane();
  did = [];
  now = 1_000;
  state = { whole: false, upright: false, grabs: false };
  const hooks: GestureHooks = {
    zoom: (at, factor) => did.push(`zoom ${r(at)} ${r(factor)}`),
    pan: (px) => did.push(`pan ${r(px)}`),
    tap: (x, y) => did.push(`tap ${r(x)} ${r(y)}`),
    hover: (at) => did.push(at ? `hover ${r(at.x)}` : "hover none"),
    grab: (x, y, touch) => {
      did.push(`grab ${r(x)} ${r(y)}${touch ? " touch" : ""}`);
      return state.grabs;
    },
    carry: (x, y) => did.push(`carry ${r(x)} ${r(y)}`),
    drop: (kept) => did.push(`drop ${kept}`),
    isWhole: () => state.whole,
    isUpright: () => state.upright,
  };
  stop = listenGestures(pane as unknown as HTMLElement, hooks);
});
afterEach(() => vi.restoreAllMocks());

type Point = { x: number; y: number };
function pointer(type: string, { x, y }: Point, more: Partial<PointerEvent> = {}): void {
  const event = Object.assign(new Event(type), {
    clientX: 100 + x,
    clientY: 50 + y,
    pointerId: 1,
    pointerType: "mouse",
    button: 0,
    ...more,
  });
  Object.defineProperty(event, "timeStamp", { value: now });
  pane.dispatchEvent(event);
}
const press = (at: Point, more: Partial<PointerEvent> = {}) => {
  pointer("pointerdown", at, more);
  pointer("pointerup", at, more);
};
/** The click a browser sends after a press; gives whether anything still hears of it. */
function click(detail = 1): boolean {
  const event = Object.assign(new Event("click", { cancelable: true }), { detail });
  return pane.dispatchEvent(event);
}
function wheel(more: Partial<WheelEvent>, at: Point = { x: 400, y: 200 }): boolean {
  const event = Object.assign(new Event("wheel", { cancelable: true }), {
    clientX: 100 + at.x,
    clientY: 50 + at.y,
    deltaX: 0,
    deltaY: 0,
    deltaMode: 0,
    ctrlKey: false,
    shiftKey: false,
    ...more,
  });
  return !pane.dispatchEvent(event);
}

describe("a press", () => {
  it("is a tap where nothing else lies, by its place on the pane, however large that is shown", () => {
    press({ x: 300, y: 120 });
    pane.shown = 2;
    now += 2_000;
    press({ x: 300, y: 120 });
    expect(did).toEqual(["tap 300 120", "tap 150 60"]);
  });

  it("on a button presses that, and taps nothing", () => {
    pane.hit = { kind: "event" };
    press({ x: 300, y: 120 });
    expect([did, click()]).toEqual([[], true]);
  });

  it("of another button of the mouse, or one that is cancelled, is none", () => {
    press({ x: 300, y: 120 }, { button: 2 });
    pointer("pointerdown", { x: 10, y: 10 });
    pointer("pointercancel", { x: 10, y: 10 });
    expect(did).toEqual([]);
  });

  it("that follows another at once on the same spot is part of it, and its click presses nothing", () => {
    press({ x: 300, y: 120 });
    expect(click()).toBe(true);
    now += 200;
    press({ x: 304, y: 118 });
    expect(click(2)).toBe(false);
    now += 600;
    press({ x: 304, y: 118 });
    now += 100;
    press({ x: 340, y: 118 });
    expect(did).toEqual(["tap 300 120", "tap 304 118", "tap 340 118"]);
  });

  it("on a count may follow itself: one comes nearer each time", () => {
    pane.hit = { kind: "more" };
    for (let i = 0; i < 3; i++) {
      press({ x: 300, y: 120 });
      expect(click(i + 1)).toBe(true);
      now += 100;
    }
  });
});

describe("a drag", () => {
  it("moves the view by as much, and the click that ends it presses nothing", () => {
    pointer("pointerdown", { x: 300, y: 100 });
    pointer("pointermove", { x: 303, y: 101 });
    expect(did).toEqual([]);
    pointer("pointermove", { x: 310, y: 101 });
    pointer("pointermove", { x: 290, y: 140 });
    pointer("pointerup", { x: 290, y: 140 });
    expect(did).toEqual(["grab 300 100", "hover none", "pan -7", "pan 20"]);
    expect(pane.captured).toEqual([1]);
    expect(click()).toBe(false);
    expect(click()).toBe(true);
  });

  it("carries what it took hold of, and lets go of it; what is cancelled goes back", () => {
    state.grabs = true;
    for (const end of ["pointerup", "pointercancel"]) {
      did = [];
      pointer("pointerdown", { x: 300, y: 100 });
      pointer("pointermove", { x: 320, y: 90 });
      pointer(end, { x: 320, y: 90 });
      expect(did).toEqual(["grab 300 100", "hover none", "carry 320 90", `drop ${end === "pointerup"}`]);
    }
  });

  it("goes down where the ridge does", () => {
    state.upright = true;
    pointer("pointerdown", { x: 100, y: 100 });
    pointer("pointermove", { x: 100, y: 110 });
    pointer("pointermove", { x: 180, y: 90 });
    expect(did.filter((d) => d.startsWith("pan"))).toEqual(["pan -10", "pan 20"]);
  });

  it("of two fingers zooms about what lies between them and moves with them; what one finger carried goes back", () => {
    state.grabs = true;
    const finger = (pointerId: number) => ({ pointerId, pointerType: "touch" });
    pointer("pointerdown", { x: 300, y: 200 }, finger(1));
    pointer("pointermove", { x: 310, y: 200 }, finger(1));
    pointer("pointerdown", { x: 510, y: 200 }, finger(2));
    pointer("pointermove", { x: 610, y: 200 }, finger(2));
    pointer("pointerup", { x: 610, y: 200 }, finger(2));
    pointer("pointerup", { x: 310, y: 200 }, finger(1));
    expect(did).toEqual(["grab 300 200 touch", "hover none", "carry 310 200", "drop false", "pan -50", "zoom 460 1.5"]);
    // It was no tap, and its click presses nothing.
    expect(click()).toBe(false);
  });

  it("is left to the page where a finger does not move the view", () => {
    expect(pane.style.touchAction).toBe("pan-y");
    state.upright = true;
    press({ x: 1, y: 1 });
    expect(pane.style.touchAction).toBe("none");
    state.whole = true;
    press({ x: 90, y: 90 });
    expect(pane.style.touchAction).toBe("pan-y");
  });
});

describe("a mouse that is over it", () => {
  it("is told where it is, and when it has left", () => {
    pointer("pointermove", { x: 30, y: 40 });
    pointer("pointermove", { x: 31, y: 40 }, { pointerType: "touch", pointerId: 7 });
    pointer("pointerleave", { x: 0, y: 0 });
    expect(did).toEqual(["hover 30", "hover none"]);
  });
});

describe("a wheel", () => {
  it("zooms about where it is: half an octave a notch, thrice by a pinch of a touchpad, never by more than is seen", () => {
    expect(wheel({ deltaY: -100 })).toBe(true);
    wheel({ deltaY: 100 }, { x: 10, y: 0 });
    wheel({ deltaY: -10, ctrlKey: true });
    wheel({ deltaY: -3, deltaMode: 1 });
    wheel({ deltaY: -1e6 });
    expect(did).toEqual(["zoom 400 1.41", "zoom 10 0.71", "zoom 400 1.11", "zoom 400 1.18", "zoom 400 2.83"]);
  });

  it("moves sideways, also with Shift, where there is something at the sides", () => {
    wheel({ deltaX: 50, deltaY: 3 });
    wheel({ deltaY: 50, shiftKey: true });
    state.whole = true;
    expect(wheel({ deltaX: 50 })).toBe(false);
    expect(did).toEqual(["pan 50", "pan 50"]);
  });

  it("scrolls the page at the whole, and comes back to it; what was scrolled comes back first", () => {
    state.whole = true;
    expect(wheel({ deltaY: 100 })).toBe(false);
    pane.parentElement.scrollTop = 30;
    expect(wheel({ deltaY: -100 })).toBe(false);
    pane.parentElement.scrollTop = 0;
    expect(wheel({ deltaY: -100 })).toBe(true);
    expect(wheel({ deltaY: 100, ctrlKey: true })).toBe(true);
    expect(did).toEqual(["zoom 400 1.41", "zoom 400 0.35"]);
  });

  it("moves down a ridge that runs down, and scrolls the page at the whole of it", () => {
    state.upright = true;
    wheel({ deltaY: 40 });
    wheel({ deltaY: -10, ctrlKey: true });
    state.whole = true;
    expect(wheel({ deltaY: 40 })).toBe(false);
    expect(did).toEqual(["pan 40", "zoom 200 1.11"]);
  });
});

it("hears nothing any more once it is told to stop", () => {
  stop();
  press({ x: 300, y: 120 });
  wheel({ deltaY: -100 });
  pointer("pointermove", { x: 30, y: 40 });
  expect(did).toEqual([]);
});
