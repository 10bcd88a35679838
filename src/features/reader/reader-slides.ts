import type { Slide } from "@/core/presenting/deck";
import { WORDS } from "@/core/words/presenting";

/** A slide with what it shows. */
export interface PresentSlide extends Slide {
  /** Of an event: its id. */
  event: string | null;
  /** Where it stands on the ridge, percent; null: nowhere. */
  at: number | null;
  make: () => HTMLElement;
}

/** What presentation and speaker's window tell each other. */
export type Told =
  | { kind: "at"; slide: number; seen: number; black: boolean; begun: number }
  | { kind: "hello" }
  | { kind: "go"; way: "next" | "back" | "black" };

/** The slides of a page: where it begins, its chapters and events in their order, and its closing page if something is written there. */
export function slidesOf(page: Document): PresentSlide[] {
  const begin = page.querySelector<HTMLElement>("#begin .opening");
  const title = page.querySelector(".bar h1")?.textContent ?? "";
  const list = [...page.querySelectorAll<HTMLElement>("#read .events > li")];
  const closing = page.querySelector<HTMLElement>(".closing > .text");
  return [
    ...(begin ? [opening(begin, title)] : []),
    ...list.map((li) => (li.classList.contains("event") ? eventSlide(li) : chapter(li))),
    ...(closing ? [plain("closing", WORDS.closing, [closing])] : []),
  ];
}

function element(name: string, className: string, ...children: (Node | string)[]): HTMLElement {
  const made = document.createElement(name);
  made.className = className;
  made.append(...children);
  return made;
}

/** A copy without names of its own: those of the page stay the page's. */
function copy(of: Element): HTMLElement {
  const made = of.cloneNode(true) as HTMLElement;
  for (const x of [made, ...made.querySelectorAll("[id]")]) x.removeAttribute("id");
  for (const img of made.querySelectorAll("img")) {
    img.loading = "eager";
    const large = img.closest("a")?.getAttribute("href");
    // As large as there is of it; the sources for moving ones stay.
    if (large && img.closest("a:not(.play)")) img.src = large;
  }
  return made;
}

/** Words at the left, what there is to see at the right; `parts` are revealed in their order. */
function laid(words: HTMLElement[], media: HTMLElement[]): HTMLElement {
  const made = element("div", media.length === 0 ? "p-slide p-alone" : "p-slide");
  made.append(element("div", "p-words", ...words));
  if (media.length > 0) made.append(element("div", "p-media", ...media));
  return made;
}

function opening(begin: HTMLElement, title: string): PresentSlide {
  return {
    id: "begin",
    event: null,
    title,
    date: "",
    at: null,
    parts: 1,
    make: () => {
      const figure = begin.querySelector(":scope > figure");
      const words = [...begin.querySelectorAll(".said > h2, .said > .by, .said > .facts, .said > figure")].map(copy);
      const made = laid(words, figure ? [copy(figure)] : []);
      made.classList.add("p-begin");
      return made;
    },
  };
}

function chapter(li: HTMLElement): PresentSlide {
  const title = li.querySelector("h2")?.textContent ?? "";
  return plain(li.id, title, [...li.children]);
}

function plain(id: string, title: string, children: Element[]): PresentSlide {
  return {
    id,
    event: null,
    title,
    date: "",
    at: null,
    parts: 1,
    make: () => {
      const made = laid(children.map(copy), []);
      made.classList.add("p-chapter");
      return made;
    },
  };
}

function eventSlide(li: HTMLElement): PresentSlide {
  const id = li.id.slice(2);
  const story = li.querySelector<HTMLElement>(".story")!;
  const figures = [...story.querySelectorAll<HTMLElement>(":scope > figure")];
  const paragraphs = [...story.querySelectorAll<HTMLElement>(".text > *")];
  const main = figures.length > 0 ? 1 : 0;
  return {
    id,
    event: id,
    title: story.querySelector("h2")?.textContent ?? "",
    date: story.querySelector(".date")?.textContent ?? "",
    at: li.dataset.at === undefined ? null : Number(li.dataset.at),
    parts: 1 + main + paragraphs.length,
    make: () => {
      const date = copy(story.querySelector(".date")!);
      date.classList.remove("same");
      const text = copy(story.querySelector(".text")!);
      for (const [i, p] of [...text.children].entries()) p.setAttribute("data-part", String(1 + main + i));
      const [first, ...others] = figures.map(copy);
      if (first) first.dataset.part = "1";
      // Of several the first is large, the others stand under it.
      const media = first ? [first, ...(others.length > 0 ? [element("div", "p-more", ...others)] : [])] : [];
      const more = media[1];
      if (more) more.dataset.part = "1";
      const made = laid([date, copy(story.querySelector("h2")!), text], media);
      // A sound needs no room of its own.
      if (first && !first.querySelector("img,video,.play,.card,iframe")) made.classList.add("p-heard");
      return made;
    },
  };
}
