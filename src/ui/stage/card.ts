/** What a card says of an event. */
export interface CardContent {
  date: string;
  title: string;
  /** The first lines of what is written about it. */
  text: string;
  /** What it is part of; "" for nothing. */
  partOf: string;
  picture: string | null;
}

interface Box {
  x: number;
  y: number;
  w: number;
  h: number;
}

/** A pointer rests when it has not left a label for so long, ms. */
const REST_MS = 420;
/** The widest a card is, px, and how far from its label. */
const WIDTH = 300;
const APART = 8;

/**
 * A small card beside a label while a pointer rests on it or the keyboard's focus is there. It takes no presses, so that nothing
 * under it is out of reach; Escape takes it away.
 */
export class Card {
  private box = document.createElement("div");
  private over: string | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private readonly contentOf: (id: string) => CardContent | null;

  constructor(sheet: HTMLElement, contentOf: (id: string) => CardContent | null) {
    this.contentOf = contentOf;
    this.box.className = "chart-card";
    this.box.hidden = true;
    // A screen reader has the name of what is focused; the card is for those who see.
    this.box.setAttribute("aria-hidden", "true");
    sheet.append(this.box);
  }

  /** The pointer is on an event, or on none. */
  pointAt(id: string | null, at: Box, sheet: { width: number; height: number }): void {
    if (id === this.over) return;
    this.hide();
    this.over = id;
    if (id !== null) this.timer = setTimeout(() => this.show(id, at, sheet), REST_MS);
  }

  /** At once, for the keyboard's focus. */
  show(id: string, at: Box, sheet: { width: number; height: number }): void {
    const content = this.contentOf(id);
    if (!content) return;
    this.over = id;
    this.fill(content);
    this.box.hidden = false;
    const w = Math.min(WIDTH, sheet.width - 8);
    this.box.style.width = `${w}px`;
    const h = this.box.offsetHeight;
    const below = at.y + at.h + APART;
    const y = below + h <= sheet.height || at.y - APART - h < 0 ? below : at.y - APART - h;
    this.box.style.left = `${Math.max(4, Math.min(at.x, sheet.width - w - 4)).toFixed(1)}px`;
    this.box.style.top = `${y.toFixed(1)}px`;
  }

  hide(): void {
    clearTimeout(this.timer);
    this.over = null;
    this.box.hidden = true;
  }

  private fill({ date, title, text, partOf, picture }: CardContent): void {
    const line = (name: string, words: string) => {
      const p = document.createElement("p");
      p.className = name;
      p.textContent = words;
      return p;
    };
    const image = document.createElement("img");
    image.alt = "";
    if (picture) image.src = picture;
    this.box.replaceChildren(
      ...(picture ? [image] : []),
      ...(date ? [line("date", date)] : []),
      line("title", title),
      ...(text ? [line("text", text)] : []),
      ...(partOf ? [line("part", partOf)] : []),
    );
  }
}
