/**
 * Presents a timeline: one event large with the chart in small above it, by keys, clicker, touch or by itself; and in a second window what
 * the speaker needs. Made of what the page says of each event in its list. Bundled into public/reader/present.js, which is fetched when it
 * is first wanted. Nothing that is drawn or pointed at is kept.
 */
import { Deck, findSlide } from "@/core/presenting/deck";
import { WORDS } from "@/core/words/presenting";
import { layOver } from "./alone";
import { PRESENT_STYLE } from "./reader-present-style";
import { Pen } from "./reader-pen";
import { type PresentSlide, slidesOf, type Told } from "./reader-slides";
import { runSpeaker } from "./reader-speaker";
import { stripCopy } from "./strip-copy";
import { onSwipe } from "./swipe";

const SECONDS = [5, 10, 20, 30, 60];
/** The bar steps back when nothing moves for so long, ms. */
const QUIET_MS = 2_500;
/** So long after a letter it is clear that no word follows, ms. */
const LETTER_MS = 700;
const channelName = () => `present ${location.pathname}`;

const sheet = new CSSStyleSheet();
sheet.replaceSync(PRESENT_STYLE);
document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];

class Presentation {
  private readonly slides = slidesOf(document);
  private readonly deck = new Deck(this.slides);
  private readonly channel = new BroadcastChannel(channelName());
  private readonly root = document.createElement("div");
  private readonly strip = document.createElement("div");
  private readonly room = document.createElement("div");
  private readonly count = document.createElement("span");
  private readonly said = document.createElement("p");
  private readonly jump = document.createElement("input");
  private readonly pen: Pen;
  private readonly line: HTMLElement | null;
  private readonly takeAway: () => void;
  private readonly begun = Date.now();
  private readonly stops: (() => void)[] = [];
  private black = false;
  private every = 0;
  private timer: ReturnType<typeof setTimeout> | null = null;
  private idle: ReturnType<typeof setTimeout> | null = null;
  private shown = -1;

  constructor() {
    const { root } = this;
    root.className = "present";
    root.setAttribute("role", "dialog");
    root.setAttribute("aria-modal", "true");
    root.setAttribute("aria-label", WORDS.presenting(document.querySelector("#begin h2, .bar h1")?.textContent ?? ""));
    root.tabIndex = -1;
    this.strip.className = "p-strip";
    this.line = this.drawStrip();
    this.room.className = "p-room";
    this.room.setAttribute("aria-live", "polite");
    this.said.className = "p-said";
    this.said.setAttribute("role", "status");
    this.pen = new Pen(root);
    root.append(this.strip, this.room, this.pen.canvas, this.pen.dot, this.said, this.bar());
    this.takeAway = layOver(root);
    this.hear(document, "keydown", (e) => this.key(e as KeyboardEvent), true);
    this.hear(window, "resize", () => {
      this.fit();
      this.pen.size();
    });
    this.hear(root, "pointermove", () => this.wake());
    this.hear(this.room, "click", (e) => this.press(e as MouseEvent));
    onSwipe(this.room, (way) => (way > 0 ? this.next() : this.back()));
    this.channel.onmessage = ({ data }: MessageEvent<Told>) => {
      if (data.kind === "hello") this.tell();
      else if (data.kind === "go") this.go(data.way);
    };
    // One begins at the event one looks at.
    const at = document.body.dataset.from ?? "";
    this.deck.goTo(
      Math.max(
        0,
        this.slides.findIndex((s) => s.id === at),
      ),
    );
    this.show();
    root.focus();
    this.wake();
  }

  close(): void {
    if (open !== this) return;
    open = null;
    if (this.timer) clearTimeout(this.timer);
    if (this.idle) clearTimeout(this.idle);
    for (const stop of this.stops) stop();
    this.channel.close();
    this.takeAway();
    if (document.fullscreenElement) void document.exitFullscreen();
    if (location.hash === "#present") {
      const id = this.slides[this.deck.at.slide]?.event;
      location.hash = id ? `r-${id}` : "begin";
    }
  }

  private hear(on: EventTarget, type: string, act: (e: Event) => void, capture = false): void {
    on.addEventListener(type, act, capture);
    this.stops.push(() => on.removeEventListener(type, act, capture));
  }

  private go(way: "next" | "back" | "black"): void {
    if (way === "black") this.setBlack(!this.black);
    else if (way === "next") this.next();
    else this.back();
  }

  private next(): void {
    this.setBlack(false);
    if (this.deck.next()) this.show();
  }

  private back(): void {
    this.setBlack(false);
    if (this.deck.back()) this.show();
  }

  private goTo(slide: number): void {
    this.setBlack(false);
    this.deck.goTo(slide);
    this.show();
  }

  private setBlack(black: boolean): void {
    if (black === this.black) return;
    this.black = black;
    this.root.classList.toggle("black", black);
    this.said.textContent = black ? WORDS.blackNow : "";
    this.tell();
  }

  /** Shows where the deck is. */
  private show(): void {
    const { slide, seen } = this.deck.at;
    const s = this.slides[slide]!;
    if (slide !== this.shown) {
      this.shown = slide;
      for (const m of this.room.querySelectorAll<HTMLMediaElement>("audio,video")) m.pause();
      this.room.replaceChildren(s.make());
      this.pen.clear();
      this.said.textContent = "";
    }
    for (const part of this.room.querySelectorAll<HTMLElement>("[data-part]"))
      part.classList.toggle("unseen", Number(part.dataset.part) >= seen);
    this.count.textContent = WORDS.of(slide + 1, this.slides.length);
    if (this.line) {
      this.line.style.display = s.at === null ? "none" : "block";
      this.line.style.left = `${s.at ?? 0}%`;
    }
    this.fit();
    this.tell();
    this.playOn(s);
  }

  /** Words as large as they fit: a whole class reads them. */
  private fit(): void {
    const words = this.room.querySelector<HTMLElement>(".p-words");
    if (!words) return;
    const most = Math.min(this.room.clientWidth / 34, this.room.clientHeight / 15);
    let size = Math.max(18, most);
    for (; size > 16; size *= 0.93) {
      words.style.fontSize = `${size}px`;
      if (words.scrollHeight <= words.clientHeight + 1 && words.scrollWidth <= words.clientWidth + 1) break;
    }
  }

  /** By itself: on after its voice, or after so many seconds; from the end one begins again. */
  private playOn(s: PresentSlide): void {
    if (this.timer) clearTimeout(this.timer);
    const voice = this.room.querySelector<HTMLAudioElement>("audio.voice");
    // One that speaks to its end leads on only while it plays by itself.
    if (voice) voice.onended = null;
    if (this.every === 0) return;
    const on = () => (this.deck.next() ? this.show() : this.goTo(0));
    if (voice && this.deck.at.seen >= s.parts) {
      voice.onended = on;
      // Where it may not sound it is waited for as for any other.
      voice.play().catch(() => {
        this.timer = setTimeout(on, this.every * 1_000);
      });
    } else this.timer = setTimeout(on, this.every * 1_000);
  }

  private tell(): void {
    const told: Told = { kind: "at", ...this.deck.at, black: this.black, begun: this.begun };
    this.channel.postMessage(told);
  }

  private key(e: KeyboardEvent): void {
    if (e.altKey || e.ctrlKey || e.metaKey || document.querySelector("dialog[open]")) return;
    const typing = e.target === this.jump;
    const inField = (e.target as Element).closest?.("select,video,audio") !== null && !typing;
    if (inField && e.key !== "Escape") return;
    if (typing && !["Escape", "Enter", "PageDown", "PageUp"].includes(e.key)) return;
    const onButton = (e.target as Element).closest?.("button,a,summary") !== null;
    if (onButton && (e.key === "Enter" || e.key === " ")) return;
    const deeds: Record<string, () => void> = {
      ArrowRight: () => this.next(),
      ArrowDown: () => this.next(),
      PageDown: () => this.next(),
      " ": () => this.next(),
      Enter: () => (typing ? this.jumpThere() : this.next()),
      ArrowLeft: () => this.back(),
      ArrowUp: () => this.back(),
      PageUp: () => this.back(),
      Home: () => this.goTo(0),
      End: () => this.goTo(this.slides.length - 1),
      ".": () => this.setBlack(!this.black),
      Escape: () => (typing ? this.endJump() : this.close()),
    };
    const deed = deeds[e.key];
    if (deed) {
      e.preventDefault();
      e.stopPropagation();
      deed();
    } else if (e.key.length === 1) {
      // A year or words are typed: the field takes them from here on.
      this.jump.focus();
      e.stopPropagation();
      this.alone(e.key.toLowerCase());
    }
    this.wake();
  }

  /** A letter that is followed by no other is no word, but does something; clickers send the B. */
  private alone(letter: string): void {
    const deed = {
      b: () => this.setBlack(!this.black),
      p: () => this.pen.use(this.pen.tool === "pen" ? null : "pen"),
      l: () => this.pen.use(this.pen.tool === "pointer" ? null : "pointer"),
      f: () => this.full(),
    }[letter];
    if (!deed) return;
    setTimeout(() => {
      if (this.jump.value.toLowerCase() !== letter || document.activeElement !== this.jump) return;
      this.endJump();
      deed();
    }, LETTER_MS);
  }

  private jumpThere(): void {
    const typed = this.jump.value;
    const found = findSlide(this.slides, typed, this.deck.at.slide);
    if (found === null) {
      this.said.textContent = WORDS.notFound(typed);
      return;
    }
    this.endJump();
    this.goTo(found);
  }

  private endJump(): void {
    this.jump.value = "";
    this.root.focus();
  }

  /** A press beside links and players leads on; at the left edge back. */
  private press(e: MouseEvent): void {
    if (this.pen.tool || (e.target as Element).closest("a,button,video,audio,summary,details,iframe")) return;
    if (e.clientX < this.room.clientWidth * 0.2) this.back();
    else this.next();
  }

  private full(): void {
    if (document.fullscreenElement) void document.exitFullscreen();
    else this.root.requestFullscreen?.().catch(() => {});
  }

  private wake(): void {
    this.root.classList.remove("still");
    if (this.idle) clearTimeout(this.idle);
    this.idle = setTimeout(() => this.root.classList.add("still"), QUIET_MS);
  }

  private drawStrip(): HTMLElement | null {
    const hold = stripCopy("p");
    if (!hold) return null;
    hold.setAttribute("aria-hidden", "true");
    this.strip.append(hold);
    this.strip.addEventListener("click", (e) => {
      const box = hold.getBoundingClientRect();
      const at = ((e.clientX - box.left) / box.width) * 100;
      const far = (s: PresentSlide) => (s.at === null ? Number.POSITIVE_INFINITY : Math.abs(s.at - at));
      this.goTo(this.slides.reduce((best, s, i) => (far(s) < far(this.slides[best]!) ? i : best), 0));
    });
    const line = hold.querySelector<HTMLElement>(".line");
    // In the page it may be hidden just now.
    if (line) line.style.display = "block";
    return line;
  }

  private bar(): HTMLElement {
    const bar = document.createElement("div");
    bar.className = "p-bar";
    bar.title = WORDS.keys;
    const button = (text: string, press: () => void, pressed?: () => boolean) => {
      const b = document.createElement("button");
      b.type = "button";
      b.textContent = text;
      const mark = () => pressed && b.setAttribute("aria-pressed", String(pressed()));
      mark();
      if (pressed) this.pen.onTool(mark);
      b.addEventListener("click", () => {
        press();
        mark();
      });
      return b;
    };
    const byItself = document.createElement("select");
    byItself.setAttribute("aria-label", WORDS.byItselfEvery);
    for (const n of [0, ...SECONDS]) {
      const o = document.createElement("option");
      o.value = String(n);
      o.textContent = `${WORDS.byItself}: ${n === 0 ? WORDS.off : WORDS.every(n)}`;
      byItself.append(o);
    }
    byItself.addEventListener("change", () => {
      this.every = Number(byItself.value);
      this.playOn(this.slides[this.deck.at.slide]!);
    });
    this.jump.className = "p-jump";
    this.jump.setAttribute("aria-label", WORDS.jump);
    this.jump.placeholder = WORDS.jumpHint;
    const more = document.createElement("div");
    more.className = "p-extra";
    const opens = button(
      WORDS.more,
      () => bar.classList.toggle("open"),
      () => bar.classList.contains("open"),
    );
    opens.className = "p-opens";
    bar.append(
      button(`← ${WORDS.back}`, () => this.back()),
      this.count,
      button(`${WORDS.next} →`, () => this.next()),
      opens,
      more,
      button(WORDS.leave, () => this.close()),
    );
    more.append(
      this.jump,
      button(
        WORDS.oneByOne,
        () => {
          this.deck.reveal(!this.deck.oneByOne);
          this.show();
        },
        () => this.deck.oneByOne,
      ),
      byItself,
      button(
        WORDS.pen,
        () => this.pen.use(this.pen.tool === "pen" ? null : "pen"),
        () => this.pen.tool === "pen",
      ),
      button(
        WORDS.pointer,
        () => this.pen.use(this.pen.tool === "pointer" ? null : "pointer"),
        () => this.pen.tool === "pointer",
      ),
      button(WORDS.black, () => this.setBlack(!this.black)),
      button(WORDS.speaker, () => this.openSpeaker()),
      ...(document.fullscreenEnabled ? [button(WORDS.fullScreen, () => this.full())] : []),
    );
    return bar;
  }

  private openSpeaker(): void {
    const address = `${location.pathname}${location.search}#speaker`;
    if (window.open(address, "fastigo-speaker", "popup,width=960,height=640")) return;
    const a = document.createElement("a");
    a.href = address;
    a.target = "_blank";
    a.textContent = new URL(address, location.href).href;
    this.said.replaceChildren(`${WORDS.blocked} `, a);
  }
}

let open: Presentation | null = null;
function follow(): void {
  const speaks = location.hash === "#speaker";
  if (speaks) runSpeaker(slidesOf(document), new BroadcastChannel(channelName()));
  else if (location.hash === "#present") open ??= new Presentation();
  else open?.close();
}
window.addEventListener("hashchange", follow);
follow();
