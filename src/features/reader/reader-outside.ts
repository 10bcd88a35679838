import { WORDS } from "@/core/words/reader";

const ALWAYS = "fastigo-outside";
/** One has agreed, on this page or on this device. */
let agreed = false;

function agreedForGood(): boolean {
  try {
    return localStorage.getItem(ALWAYS) === "always";
  } catch {
    return false; // a browser that keeps nothing
  }
}

/** Makes players of the links to other sites, each when it is pressed and once one has agreed; nothing is asked of them before. */
export function playOutside(): void {
  document.addEventListener("click", (e) => {
    const link = (e.target as Element).closest<HTMLAnchorElement>("a.play[data-player]");
    if (!link || e.ctrlKey || e.metaKey || e.shiftKey || e.button !== 0) return;
    e.preventDefault();
    if (agreed || ("always" in link.dataset && agreedForGood())) play(link);
    else ask(link);
  });
}

function ask(link: HTMLAnchorElement): void {
  const figure = link.parentElement!;
  const before = figure.querySelector<HTMLElement>(".agree");
  if (before) {
    before.querySelector("button")!.focus();
    return;
  }
  const site = link.dataset.site!;
  const box = document.createElement("div");
  box.className = "agree";
  box.setAttribute("role", "group");
  box.setAttribute("aria-label", WORDS.agreeTo(site));
  const text = document.createElement("p");
  text.textContent = WORDS.beforePlaying(site);
  box.append(text);
  const button = (words: string, press: () => void) => {
    const b = document.createElement("button");
    b.type = "button";
    b.textContent = words;
    b.addEventListener("click", press);
    box.append(b);
    return b;
  };
  const first = button(WORDS.playIt, () => {
    agreed = true;
    play(link);
  });
  if ("always" in link.dataset)
    button(WORDS.alwaysPlay, () => {
      agreed = true;
      try {
        localStorage.setItem(ALWAYS, "always");
      } catch {
        // It is asked again then.
      }
      play(link);
    });
  button(WORDS.notNow, () => {
    box.remove();
    link.focus();
  });
  link.after(box);
  first.focus();
}

function play(link: HTMLAnchorElement): void {
  const frame = document.createElement("iframe");
  frame.className = link.dataset.size ?? "";
  frame.title = link.getAttribute("aria-label") ?? WORDS.playedBy(link.dataset.site!);
  frame.allow = "fullscreen; encrypted-media; picture-in-picture";
  frame.referrerPolicy = "strict-origin";
  // Its own scripts in its own origin, and no way out of its frame.
  frame.setAttribute("sandbox", "allow-scripts allow-same-origin allow-presentation");
  frame.src = link.dataset.player!;
  link.parentElement!.querySelector(".agree")?.remove();
  link.replaceWith(frame);
  frame.focus();
}
