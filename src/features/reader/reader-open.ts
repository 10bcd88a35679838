/**
 * An event opened from the chart of a reader's page: a sheet that hangs from the ridge at its date, made of what the page says of
 * it in its list. On a narrow screen it hangs from the strip of the whole.
 */
import { WORDS } from "@/core/words/reader";
import type { ChartStage } from "@/ui/stage/chart-stage";
import type { SvgOptions } from "@/core/chart/draw/to-svg";
import { partsDrawing } from "./parts-drawing";
import { matcher, readFilter } from "./reader-filter";
import type { ReaderTimeline } from "./chart-data-element";
import type { Pictures } from "./reader-pictures";
import { stripCopy } from "./strip-copy";
import { onSwipe } from "./swipe";
import { takeFocus } from "./take-focus";

/** Narrower than this the sheet takes the whole width, px. */
const WIDE = 900;
/** The sheet's share of the chart's width, and the most it takes, px. */
const SHARE = 0.56;
const MOST = 760;
/** Less than this beside it holds no label, px. */
const LEAST_BESIDE = 150;
/** Between the bobs and the sheet, px. */
const ROPE = 14;
/** A wheel leads on no oftener than this, ms. */
const WHEEL_MS = 320;
/** The plumb line keeps so far from the sheet's ends, px. */
const INSET = 14;

export interface OpenedHost {
  /** Holds the stage; the sheet is laid over it. */
  box: HTMLElement;
  section: HTMLElement;
  stage: ChartStage;
  timeline: () => ReaderTimeline;
  pictures: Pictures;
  /** The address of a picture in a size. */
  pictureUrl: SvgOptions["pictureUrl"];
  /** The box gets the height the page has, or its own again. */
  fit: (open: boolean) => void;
}

export class Opened {
  private host: OpenedHost;
  private sheet: HTMLElement;
  private rope: HTMLElement;
  private strip: HTMLElement;
  private list: HTMLElement[];
  private id: string | null = null;
  /** What is gone back to: the event the first one was opened from, and how far the page was scrolled. */
  private from: { id: string; scroll: number } | null = null;

  constructor(host: OpenedHost) {
    this.host = host;
    this.list = [...document.querySelectorAll<HTMLElement>("#read .event")];
    this.sheet = document.createElement("article");
    this.sheet.className = "hung";
    this.sheet.hidden = true;
    this.sheet.tabIndex = -1;
    this.rope = document.createElement("div");
    this.rope.className = "rope";
    this.rope.hidden = true;
    this.strip = this.makeStrip();
    host.box.before(this.strip);
    host.box.append(this.rope, this.sheet);
    document.addEventListener("opened", () => this.follow());
    document.addEventListener("keydown", (e) => this.key(e));
    onSwipe(this.sheet, (way) => this.step(way));
    host.box.addEventListener("wheel", (e) => this.wheel(e), { capture: true, passive: false });
    this.follow();
  }

  /** Shows what the address names. */
  follow(): void {
    const id = document.body.dataset.open || null;
    if (id === this.id) return;
    const was = this.id;
    this.id = id;
    if (id === null) {
      this.close();
      return;
    }
    if (was === null) this.from = { id, scroll: window.scrollY };
    this.fill(id);
    this.place();
    if (!this.sheet.hidden) takeFocus(this.sheet);
    if (was === null) window.scrollTo(0, 0);
    this.sheet.scrollTop = 0;
    if (!this.wide) window.scrollTo(0, 0);
  }

  /** The sheet is seen from when its place is known. */
  private show(): void {
    if (!this.sheet.hidden) return;
    this.sheet.hidden = false;
    takeFocus(this.sheet);
  }

  /** The room there is has changed. */
  place(): void {
    const { id, sheet, rope, host } = this;
    if (id === null) return;
    const at = Number(this.item(id)?.dataset.at ?? 50) / 100;
    document.body.classList.toggle("narrow", !this.wide);
    host.fit(true);
    if (!this.wide) {
      this.show();
      host.stage.hang(null);
      // Put in again, it would lose the focus, and a video its place.
      if (sheet.parentElement !== host.section) host.section.append(sheet);
      rope.hidden = true;
      sheet.style.cssText = "";
      this.strip.style.setProperty("--at", `${(at * 100).toFixed(2)}%`);
      return;
    }
    if (sheet.parentElement !== host.box) host.box.append(rope, sheet);
    const width = host.box.clientWidth;
    const least = Math.min(MOST, Math.round(width * SHARE));
    // Where too little is left beside it for a label, it takes that too.
    let left = Math.round(at * (width - least));
    let w = least;
    if (width - left - w < LEAST_BESIDE) w = width - left;
    if (left < LEAST_BESIDE) [left, w] = [0, w + left];
    sheet.style.left = `${left}px`;
    sheet.style.width = `${w}px`;
    host.stage.hang({
      id,
      from: left,
      to: left + w,
      hangs: ({ x, y, foot, colour }) => {
        const line = Math.max(left + INSET, Math.min(left + w - INSET, x));
        rope.hidden = false;
        rope.style.cssText = `left:${(line - 1.5).toFixed(1)}px;top:${y.toFixed(1)}px;height:${(foot + ROPE - y).toFixed(1)}px;background:${colour}`;
        sheet.style.top = `${(foot + ROPE).toFixed(1)}px`;
        sheet.style.maxHeight = `calc(100% - ${(foot + ROPE).toFixed(1)}px)`;
        sheet.style.borderColor = colour;
        this.show();
      },
    });
  }

  private get wide(): boolean {
    return window.innerWidth >= WIDE;
  }

  private item(id: string): HTMLElement | null {
    return document.getElementById(`e-${id}`);
  }

  private close(): void {
    const { host, from } = this;
    this.sheet.hidden = true;
    this.rope.hidden = true;
    this.sheet.replaceChildren();
    document.body.classList.remove("narrow");
    host.stage.hang(null);
    host.fit(false);
    this.from = null;
    if (document.body.dataset.view !== "chart" || !from) return;
    host.stage.select(from.id);
    host.stage.focus(from.id);
    window.scrollTo(0, from.scroll);
  }

  private step(way: 1 | -1): void {
    const to = this.neighbour(way);
    if (to) location.hash = to;
  }

  private neighbour(way: 1 | -1): string | null {
    // One walks among those the filter leaves.
    const fits = matcher(readFilter());
    const { events } = this.host.timeline();
    const list = this.list.filter((e) => {
      const event = events.get(e.id.slice(2));
      return !fits || e.id === `e-${this.id}` || (event !== undefined && fits(event));
    });
    const at = list.findIndex((e) => e.id === `e-${this.id}`);
    return list[at + way]?.id ?? null;
  }

  private wheeled = 0;
  /** Over the chart a turn of the wheel leads on: the sheet itself scrolls. */
  private wheel(e: WheelEvent): void {
    if (this.id === null || !this.wide || e.ctrlKey || this.sheet.contains(e.target as Node)) return;
    e.preventDefault();
    e.stopPropagation();
    const turn = Math.abs(e.deltaY) > Math.abs(e.deltaX) ? e.deltaY : e.deltaX;
    if (turn === 0 || e.timeStamp - this.wheeled < WHEEL_MS) return;
    this.wheeled = e.timeStamp;
    this.step(turn > 0 ? 1 : -1);
  }

  private key(e: KeyboardEvent): void {
    if (this.id === null || e.altKey || e.ctrlKey || e.metaKey || document.querySelector("dialog[open]")) return;
    if (/^(INPUT|SELECT|VIDEO|AUDIO)$/.test((e.target as Element).tagName)) return;
    if (e.key === "Escape") location.hash = "chart";
    else if (e.key === "ArrowRight" || e.key === "ArrowLeft") this.step(e.key === "ArrowRight" ? 1 : -1);
    else return;
    e.preventDefault();
    e.stopPropagation();
  }

  /** The sheet's content: what the list says of the event, and the ways on from it. */
  private fill(id: string): void {
    const item = this.item(id)!;
    const title = item.querySelector(".story h2")!.textContent ?? "";
    const story = item.querySelector(".story")!.cloneNode(true) as HTMLElement;
    const when = item.querySelector(".when")!;
    const figures = [...story.querySelectorAll<HTMLElement>(":scope > figure")];
    const [main, ...others] = figures;
    for (const f of figures) f.remove();
    const heading = story.querySelector("h2")!;
    const between = story.querySelector(".between");
    const more = document.createElement("p");
    more.className = "under";
    for (const p of when.querySelectorAll(".cat,.of")) {
      const part = document.createElement("span");
      part.append(...[...p.childNodes].map((n) => n.cloneNode(true)));
      more.append(part);
    }
    heading.after(...(between ? [between] : []), ...(more.childNodes.length > 0 ? [more] : []));
    if (main) {
      main.classList.add("main");
      story.querySelector(".text")!.before(main);
    }
    if (others.length > 0) {
      const rest = document.createElement("div");
      rest.className = "more-media";
      rest.append(...others);
      story.append(rest);
    }
    const beside = item.querySelector(".beside")!.cloneNode(true) as HTMLElement;
    const parts = partsDrawing(this.host.timeline(), id, this.sheetWidth(), this.host.pictureUrl);
    this.sheet.replaceChildren(this.ways(), story, ...(parts ? [parts] : []), beside);
    for (const v of this.sheet.querySelectorAll<HTMLImageElement>("img")) v.loading = "eager";
    this.sheet.setAttribute("aria-label", title);
    this.host.pictures.listen(this.sheet);
  }

  private sheetWidth(): number {
    return this.wide
      ? Math.min(MOST, Math.round(this.host.box.clientWidth * SHARE)) - 44
      : this.host.section.clientWidth - 32;
  }

  /** Back, and to both neighbours. */
  private ways(): HTMLElement {
    const nav = document.createElement("nav");
    nav.className = "ways-on";
    nav.setAttribute("aria-label", WORDS.onFromHere);
    const link = (to: string | null, text: string, name: string) => {
      const a = document.createElement("a");
      a.textContent = text;
      a.title = name;
      if (text !== name) a.setAttribute("aria-label", name);
      if (to) a.href = `#${to}`;
      else a.setAttribute("aria-disabled", "true");
      nav.append(a);
    };
    link(this.neighbour(-1), "\u2190", WORDS.eventBefore);
    link(this.neighbour(1), "\u2192", WORDS.eventAfter);
    link("chart", WORDS.backToTheChart, WORDS.backToTheChart);
    return nav;
  }

  /** The strip of the whole, for a narrow screen; a press opens what is nearest to it. */
  private makeStrip(): HTMLElement {
    const strip = document.createElement("div");
    strip.className = "strip over";
    const hold = stripCopy("o");
    if (hold) strip.append(hold);
    const line = hold?.querySelector<HTMLElement>(".line");
    if (line) line.style.cssText = "display:block;left:var(--at)";
    strip.addEventListener("click", (e) => {
      const box = hold?.getBoundingClientRect();
      if (!box) return;
      const at = ((e.clientX - box.left) / box.width) * 100;
      const far = (x: HTMLElement) => Math.abs(Number(x.dataset.at) - at);
      const nearest = this.list.reduce<HTMLElement | null>((a, b) => (a && far(a) <= far(b) ? a : b), null);
      if (nearest) location.hash = nearest.id;
    });
    return strip;
  }
}
