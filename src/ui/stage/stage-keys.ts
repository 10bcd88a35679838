import type { Carry } from "./carry";

/** Keys over a chart: with Alt what is focused is carried, Escape lets it go, all else `act` may mean something by. */
export function listenKeys(
  box: HTMLElement,
  carry: Carry | null,
  act: (key: string, shift: boolean) => boolean,
): () => void {
  const focused = (kind: RegExp) => (document.activeElement as HTMLElement | null)?.dataset.target?.match(kind)?.[1];
  const down = (e: KeyboardEvent): void => {
    if (e.key === "Escape" && carry?.active) {
      carry.cancel();
      e.stopPropagation();
      return;
    }
    if (e.altKey && !e.ctrlKey && !e.metaKey && carry) {
      const id = focused(/^event-(.+)$/);
      const lane = focused(/^lane-(\d+)$/);
      if ((id && carry.key(id, e)) || (lane && carry.laneKey(Number(lane), e.key))) {
        e.preventDefault();
        e.stopPropagation();
      }
      return;
    }
    if (e.ctrlKey || e.metaKey || e.altKey || !act(e.key, e.shiftKey)) return;
    e.preventDefault();
  };
  box.addEventListener("keydown", down);
  return () => box.removeEventListener("keydown", down);
}
