/** The pictures of a reader's page, large: one pressed fills the window and leads on through all of the timeline. */
import { WORDS } from "@/core/words/reader";
import { onSwipe } from "./swipe";

interface Shown {
  large: string;
  alt: string;
  caption: string;
  date: string;
  title: string;
}

export class Pictures {
  private dialog = document.createElement("dialog");
  private image = document.createElement("img");
  private words = document.createElement("div");
  private count = document.createElement("p");
  private all: Shown[] = [];
  private at = 0;
  private before: HTMLButtonElement;
  private after: HTMLButtonElement;
  private from: HTMLElement | null = null;

  constructor() {
    const { dialog } = this;
    dialog.className = "large";
    dialog.setAttribute("aria-label", WORDS.pictureLarge);
    this.words.setAttribute("aria-live", "polite");
    const stage = document.createElement("div");
    stage.className = "stage";
    const whole = document.createElement("button");
    whole.type = "button";
    whole.className = "fit";
    whole.setAttribute("aria-label", WORDS.largerOrFitted);
    whole.title = WORDS.largerOrFitted;
    whole.append(this.image);
    whole.addEventListener("click", () => this.enlarge());
    stage.append(whole);
    const bar = document.createElement("div");
    bar.className = "bar-large";
    const button = (text: string, name: string, act: () => void) => {
      const b = document.createElement("button");
      b.type = "button";
      b.textContent = text;
      b.title = name;
      if (name !== text) b.setAttribute("aria-label", name);
      b.addEventListener("click", act);
      return b;
    };
    this.before = button("\u2190", WORDS.pictureBefore, () => this.step(-1));
    this.after = button("\u2192", WORDS.pictureAfter, () => this.step(1));
    bar.append(
      this.words,
      this.count,
      this.before,
      this.after,
      button(WORDS.close, WORDS.close, () => dialog.close()),
    );
    dialog.append(stage, bar);
    document.body.append(dialog);
    dialog.addEventListener("keydown", (e) => {
      if (e.altKey || e.ctrlKey || e.metaKey) return;
      if (e.key === "ArrowRight") this.step(1);
      else if (e.key === "ArrowLeft") this.step(-1);
      else if (e.key === "+" || e.key === "-") this.enlarge(e.key === "+");
      else return;
      e.preventDefault();
      e.stopPropagation();
    });
    dialog.addEventListener("close", () => this.from?.focus({ preventScroll: true }));
    onSwipe(stage, (way) => this.step(way));
    this.listen(document.body);
  }

  private listened = new WeakSet<HTMLElement>();

  /** Presses on pictures within are taken. */
  listen(within: HTMLElement): void {
    if (this.listened.has(within)) return;
    this.listened.add(within);
    within.addEventListener("click", (e) => {
      const link = (e.target as Element).closest<HTMLAnchorElement>("figure a:not(.play)");
      if (!link?.querySelector("img") || e.ctrlKey || e.metaKey || e.shiftKey || e.defaultPrevented) return;
      e.preventDefault();
      this.from = link;
      this.open(link.href);
    });
  }

  private open(large: string): void {
    this.all = everyPicture();
    this.at = Math.max(
      0,
      this.all.findIndex((p) => p.large === large),
    );
    this.show();
    this.dialog.showModal();
  }

  private step(way: 1 | -1): void {
    const to = this.at + way;
    if (to < 0 || to >= this.all.length) return;
    this.at = to;
    this.show();
  }

  private enlarge(on = !this.dialog.classList.contains("enlarged")): void {
    this.dialog.classList.toggle("enlarged", on);
  }

  private show(): void {
    const p = this.all[this.at];
    if (!p) return;
    this.enlarge(false);
    this.image.src = p.large;
    this.image.alt = p.alt;
    const title = document.createElement("strong");
    title.textContent = p.title;
    const date = document.createElement("span");
    date.textContent = p.date;
    const caption = document.createElement("p");
    caption.textContent = p.caption;
    this.words.replaceChildren(date, title, ...(p.caption ? [caption] : []));
    this.count.textContent = WORDS.pictureOf(this.at + 1, this.all.length);
    this.before.disabled = this.at === 0;
    this.after.disabled = this.at === this.all.length - 1;
  }
}

/** All pictures of the page: the cover first, then those of the events in their order. */
function everyPicture(): Shown[] {
  return [...document.querySelectorAll<HTMLElement>("#begin figure, #read .event figure")].flatMap((figure) => {
    const link = figure.querySelector<HTMLAnchorElement>("a:has(img):not(.play)");
    if (!link) return [];
    const event = figure.closest<HTMLElement>(".event");
    const text = (of: string) => event?.querySelector(of)?.textContent ?? "";
    return [
      {
        large: link.href,
        alt: link.querySelector("img")!.alt,
        caption: figure.querySelector("figcaption")?.textContent ?? "",
        date: text(".date"),
        title: event ? text("h2") : (document.querySelector("#begin h2")?.textContent ?? ""),
      },
    ];
  });
}
