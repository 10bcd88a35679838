import { WORDS as COMMON } from "@/core/words/common";
import type { Target } from "@/core/chart/draw/scene";

export interface OverlayHooks {
  press: (t: Target) => void;
  /** From an event to the next or previous one in time order. */
  walk: (id: string, step: 1 | -1) => void;
  /** The keyboard's focus is on an event, or has left. */
  focused: (t: Target | null) => void;
}

export interface Flag {
  id: string;
  x: number;
  y: number;
  text: string;
  name: string;
}

/** So long the focus waits for an event that is being laid out, ms. */
const FOCUS_MS = 2_000;

const keyOf = (t: Target) => `${t.kind}-${t.ids[0]}`;

/**
 * Real buttons over a painted chart: for focus, screen readers and tests. One of the events can be tabbed to, the arrow keys
 * walk from it; counts can be tabbed to each.
 */
export class Overlay {
  private root: HTMLDivElement;
  private hooks: OverlayHooks;
  private buttons = new Map<string, HTMLButtonElement>();
  private targets = new Map<HTMLButtonElement, Target>();
  private flag: HTMLDivElement;
  private line: HTMLDivElement;
  private lineText: HTMLSpanElement;
  /** Where the focus is to go. */
  private wanted: { id: string; arrived: () => void; until: number } | null = null;

  constructor(sheet: HTMLElement, hooks: OverlayHooks) {
    this.hooks = hooks;
    this.root = document.createElement("div");
    this.root.setAttribute("role", "group");
    this.root.setAttribute("aria-label", COMMON.chart);
    this.line = document.createElement("div");
    this.line.className = "chart-line";
    this.line.hidden = true;
    this.line.setAttribute("aria-hidden", "true");
    this.lineText = document.createElement("span");
    this.lineText.dataset.testid = "reading-date";
    this.line.append(this.lineText);
    this.flag = document.createElement("div");
    this.flag.className = "chart-flag";
    this.flag.hidden = true;
    this.flag.setAttribute("aria-hidden", "true");
    sheet.append(this.line, this.root, this.flag);
    this.root.addEventListener("click", (e) => {
      const t = this.targetOf(e.target);
      if (t) this.hooks.press(t);
    });
    this.root.addEventListener("focusin", (e) => {
      const t = (e.target as Element).matches(":focus-visible") ? this.targetOf(e.target) : null;
      this.hooks.focused(t?.kind === "event" ? t : null);
    });
    this.root.addEventListener("focusout", () => this.hooks.focused(null));
    this.root.addEventListener("keydown", (e) => {
      const t = this.targetOf(e.target);
      const step =
        e.key === "ArrowRight" || e.key === "ArrowDown" ? 1 : e.key === "ArrowLeft" || e.key === "ArrowUp" ? -1 : 0;
      if (!t || t.kind === "lane" || step === 0 || e.shiftKey || e.altKey || e.ctrlKey || e.metaKey) return;
      e.preventDefault();
      e.stopPropagation();
      this.hooks.walk(t.ids[0]!, step);
    });
  }

  private targetOf(element: EventTarget | null): Target | null {
    const button = (element as Element | null)?.closest?.("button");
    return (button && this.targets.get(button as HTMLButtonElement)) ?? null;
  }

  show(targets: readonly Target[], selected: string | null, flag: Flag | null, width: number, height: number): void {
    const list = [...targets];
    if (flag && !list.some((t) => t.kind === "event" && t.ids[0] === flag.id))
      list.push({ ids: [flag.id], kind: "event", x: flag.x - 8, y: flag.y - 20, w: 16, h: 19, name: flag.name });
    const old = this.buttons;
    const next = new Map<string, HTMLButtonElement>();
    const stop = list.find((t) => t.kind === "event" && t.ids[0] === selected) ?? list.find((t) => t.kind === "event");
    this.targets.clear();
    for (const t of list) {
      const key = keyOf(t);
      if (next.has(key)) continue;
      let b = old.get(key);
      if (!b) {
        b = document.createElement("button");
        b.type = "button";
        b.className = "chart-target";
        b.dataset.target = key;
        b.dataset.kind = t.kind;
        this.root.append(b);
      }
      old.delete(key);
      next.set(key, b);
      this.targets.set(b, t);
      // A part outside the frame is not there to be pressed.
      const left = Math.max(0, t.x);
      const right = Math.min(width, t.x + t.w);
      const style = `left:${left.toFixed(1)}px;top:${t.y.toFixed(1)}px;width:${Math.max(8, right - left).toFixed(1)}px;height:${Math.min(t.h, height - t.y).toFixed(1)}px`;
      if (b.dataset.at !== style) {
        b.dataset.at = style;
        b.style.cssText = style;
      }
      if (b.getAttribute("aria-label") !== t.name) b.setAttribute("aria-label", t.name);
      const isCurrent = t.kind === "event" && t.ids[0] === selected;
      if (isCurrent !== b.hasAttribute("aria-current")) {
        if (isCurrent) b.setAttribute("aria-current", "true");
        else b.removeAttribute("aria-current");
      }
      b.tabIndex = t.kind !== "event" || t === stop ? 0 : -1;
    }
    const gone = [...old.values()];
    const hadFocus = gone.some((b) => b === document.activeElement);
    for (const b of gone) b.remove();
    this.buttons = next;
    this.order(next);
    // What had the focus has left the view: the focus goes to what can be tabbed to, not to nowhere.
    if (hadFocus && stop) next.get(keyOf(stop))?.focus({ preventScroll: true });
    this.flag.hidden = flag === null;
    if (flag) {
      this.flag.textContent = flag.text;
      this.flag.style.left = `${Math.min(flag.x, Math.max(0, width - 230)).toFixed(1)}px`;
      this.flag.style.top = `${flag.y.toFixed(1)}px`;
    }
    this.focusWanted();
  }

  /** In the document the elements stand in time order, as they are read. Only what is out of order is moved. */
  private order(buttons: Map<string, HTMLButtonElement>): void {
    let at = this.root.firstElementChild;
    for (const b of buttons.values()) {
      if (b === at) at = at.nextElementSibling;
      else if (b !== document.activeElement) this.root.insertBefore(b, at);
    }
  }

  /** The focus goes to an event, as soon as it is there: what is being laid out may take a while. */
  focus(id: string, arrived: () => void): void {
    this.wanted = { id, arrived, until: performance.now() + FOCUS_MS };
    requestAnimationFrame(() => requestAnimationFrame(() => this.focusWanted()));
  }

  private focusWanted(): void {
    const { wanted } = this;
    const button = wanted && this.buttons.get(`event-${wanted.id}`);
    if (!wanted || (!button && performance.now() < wanted.until)) return;
    this.wanted = null;
    button?.focus({ preventScroll: true });
    button?.scrollIntoView({ block: "nearest", inline: "nearest" });
    wanted.arrived();
  }

  /** What lies at a place; of several the smallest. */
  at(x: number, y: number): Target | null {
    let found: Target | null = null;
    let least = Number.POSITIVE_INFINITY;
    for (const t of this.targets.values())
      for (const b of t.also ? [t, t.also] : [t])
        if (x >= b.x && x <= b.x + b.w && y >= b.y && y <= b.y + b.h && b.w * b.h <= least) {
          found = t;
          least = b.w * b.h;
        }
    return found;
  }

  /** The reading line at x from `top` to `end` (null: all the way), saying the date beside the ridge; no x: none. */
  readingLine(x: number | null, text: string, top: number, ridgeTop: number, end: number | null = null): void {
    this.line.hidden = x === null;
    if (x === null) return;
    // Faint below the ridge, where it runs over words.
    const foot = ridgeTop + 24 - top;
    this.line.style.top = `${top}px`;
    this.line.style.bottom = end === null ? "0" : "auto";
    this.line.style.height = end === null ? "auto" : `${end - top}px`;
    this.line.style.background = `linear-gradient(#16323A 0 ${foot}px,rgba(22,50,58,.22) ${foot}px)`;
    this.line.style.transform = `translateX(${x.toFixed(1)}px)`;
    this.lineText.textContent = text;
    this.lineText.style.top = `${Math.max(2, ridgeTop - top - 22)}px`;
  }
}
