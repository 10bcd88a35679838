/** Lays something over the page, which is out of reach until it is taken away again; gives what takes it away. */
export function layOver(over: HTMLElement): () => void {
  const from = document.activeElement;
  const under = [...document.body.children].filter((e): e is HTMLElement => e instanceof HTMLElement && !e.inert);
  for (const e of under) e.inert = true;
  document.body.append(over);
  document.body.classList.add("presenting");
  return () => {
    over.remove();
    document.body.classList.remove("presenting");
    for (const e of under) e.inert = false;
    if (from instanceof HTMLElement) from.focus();
  };
}
