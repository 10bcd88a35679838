/** A copy of the page's strip of the whole, to stand somewhere else; null where the page has none. `prefix`: its own, one letter. */
export function stripCopy(prefix: string): HTMLElement | null {
  const hold = document.querySelector("#read .strip .hold")?.cloneNode(true) as HTMLElement | undefined;
  if (!hold) return null;
  // The drawings' patterns get names of their own: what is hidden lends none.
  for (const x of hold.querySelectorAll<SVGElement>("[id],[fill^='url']")) {
    if (x.id) x.id = `${prefix}${x.id}`;
    const fill = x.getAttribute("fill");
    if (fill) x.setAttribute("fill", fill.replace("url(#", `url(#${prefix}`));
  }
  return hold;
}
