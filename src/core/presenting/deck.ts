/** One thing that is shown at a time: where a timeline begins, a chapter, an event, the closing page. */
export interface Slide {
  id: string;
  title: string;
  /** As it is read; "" for none. */
  date: string;
  /** So many parts can be revealed one by one: the date and title, the picture, each paragraph. At least 1. */
  parts: number;
}

/** Where a presentation is. */
export interface At {
  slide: number;
  /** How many parts of it are seen. */
  seen: number;
}

/** A presentation as it goes on and back; `oneByOne`: the parts of a slide are revealed one after the other. */
export class Deck {
  readonly slides: readonly Slide[];
  oneByOne = false;
  private slide = 0;
  private seen = 1;

  constructor(slides: readonly Slide[]) {
    this.slides = slides;
  }

  get at(): At {
    return { slide: this.slide, seen: this.oneByOne ? this.seen : this.parts(this.slide) };
  }

  /** On to the next part or slide; false at the end. */
  next(): boolean {
    if (this.oneByOne && this.seen < this.parts(this.slide)) this.seen++;
    else if (this.slide < this.slides.length - 1) this.goTo(this.slide + 1);
    else return false;
    return true;
  }

  /** Back: what was revealed before stays revealed; false at the beginning. */
  back(): boolean {
    if (this.oneByOne && this.seen > 1) this.seen--;
    else if (this.slide > 0) {
      this.goTo(this.slide - 1);
      this.seen = this.parts(this.slide);
    } else return false;
    return true;
  }

  /** To a slide, within what there is. */
  goTo(slide: number): void {
    this.slide = Math.max(0, Math.min(this.slides.length - 1, slide));
    this.seen = 1;
  }

  /** Parts are revealed one by one from here on, or shown together. */
  reveal(oneByOne: boolean): void {
    this.oneByOne = oneByOne;
    this.seen = 1;
  }

  private parts(slide: number): number {
    return Math.max(1, this.slides[slide]?.parts ?? 1);
  }
}

/** Without marks over letters, in small letters: as it is typed in a hurry. */
const folded = (text: string) => text.normalize("NFD").replace(/\p{M}/gu, "").toLowerCase();
const yearsIn = (date: string) =>
  [...date.matchAll(/\d{1,4}(?![\d:])/g)].map((m) => Number(m[0])).filter((y) => y > 31);

/**
 * The slide that is meant by what was typed: a year finds the event of that year, or else the one nearest to it; words find the title
 * that has all of them, the first one after `from`, going round. Null: none.
 */
export function findSlide(slides: readonly Slide[], typed: string, from: number): number | null {
  const text = typed.trim();
  if (text === "") return null;
  if (/^\d{3,4}$/.test(text)) {
    const year = Number(text);
    let best: { slide: number; off: number } | null = null;
    for (const [slide, s] of slides.entries())
      for (const [n, y] of yearsIn(s.date).entries()) {
        // What begins in that year goes before what ends in it.
        const off = Math.abs(y - year) + (n > 0 ? 0.5 : 0);
        if (!best || off < best.off) best = { slide, off };
      }
    if (best) return best.slide;
  }
  const words = folded(text).split(/\s+/);
  for (let n = 1; n <= slides.length; n++) {
    const slide = (from + n) % slides.length;
    const title = folded(`${slides[slide]!.title} ${slides[slide]!.date}`);
    if (words.every((w) => title.includes(w))) return slide;
  }
  return null;
}
