/** Pieces of which practice is made. */
export function make<K extends keyof HTMLElementTagNameMap>(
  name: K,
  className = "",
  text = "",
): HTMLElementTagNameMap[K] {
  const e = document.createElement(name);
  if (className) e.className = className;
  if (text) e.textContent = text;
  return e;
}

export function button(text: string, press: () => void, className = ""): HTMLButtonElement {
  const b = make("button", className, text);
  b.type = "button";
  b.addEventListener("click", press);
  return b;
}

/** What an exercise has to do with whoever lays it over the page. */
export interface ExerciseHost {
  readonly body: HTMLElement;
  say: (text: string) => void;
  /** Shows what it came to: a sentence, and the events with what is said of each. */
  finish: (sum: string, list: HTMLElement, tools?: readonly HTMLElement[]) => void;
}

/** Tells whoever listens, such as a learning platform, which share of a practice was right, 0 to 1. */
export function practised(share: number): void {
  document.dispatchEvent(new CustomEvent("practised", { detail: share }));
}
