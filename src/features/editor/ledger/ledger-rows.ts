import { defaultRangeExtractor, type Range, useVirtualizer } from "@tanstack/react-virtual";
import { type RefObject, useEffect, useMemo, useRef } from "react";
import type { TimelineEvent } from "@/core/timeline/timeline";

/** Up to so many rows are all there: found by the browser's own search, printed, reached by any assistive tool. */
const ALL = 150;
const ROW_PX = 33;
const OVERSCAN = 6;

export interface LedgerRows {
  /** Events, and between them the room of rows that are not there, px. */
  shown: readonly (TimelineEvent | number)[];
  indexOf: (e: TimelineEvent) => number;
  measure: ((row: HTMLElement | null) => void) | undefined;
}

/**
 * The rows of a ledger that are there: all of a short one, of a long one those in view and around them, and always the selected
 * one and the one in which somebody types. Brings the selected row into view.
 */
export function useLedgerRows(
  events: readonly TimelineEvent[],
  selected: string | null,
  body: RefObject<HTMLDivElement | null>,
  pressed: RefObject<boolean>,
): LedgerRows {
  const long = events.length > ALL;
  const index = useMemo(() => new Map(events.map((e, i) => [e.id, i])), [events]);
  // Whoever types in a row has selected it: it stays, wherever one scrolls.
  const at = selected === null ? undefined : index.get(selected);
  const virtual = useVirtualizer({
    count: events.length,
    enabled: long,
    estimateSize: () => ROW_PX,
    overscan: OVERSCAN,
    // What is measured while rows are drawn is drawn with the next ones, not at once again.
    useFlushSync: false,
    // The header of the columns sticks to the top.
    scrollPaddingStart: ROW_PX,
    getScrollElement: () => body.current?.closest<HTMLElement>("[data-ledger-scroll]") ?? null,
    getItemKey: (i) => events[i]!.id,
    rangeExtractor: (range: Range) => {
      const rows = defaultRangeExtractor(range);
      return at === undefined || rows.includes(at) ? rows : [...rows, at].sort((a, b) => a - b);
    },
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: only another selection scrolls
  useEffect(() => {
    // What is under a pointer that is held down stays there: it will be let go on what it was pressed on.
    if (at === undefined || pressed.current) return;
    if (long) virtual.scrollToIndex(at, { align: "auto" });
    else body.current?.querySelector(`[data-row="${selected}"]`)?.scrollIntoView({ block: "nearest" });
  }, [selected, long]);
  const chosen = useRef(selected);
  chosen.current = selected;
  // A ledger that becomes lower (a sentence above it, the divider, a keyboard on the screen) goes on showing the row it showed.
  useEffect(() => {
    const box = body.current?.closest<HTMLElement>("[data-ledger-scroll]");
    if (!box) return;
    let height = box.clientHeight;
    const watch = new ResizeObserver(() => {
      const before = height;
      height = box.clientHeight;
      const row = chosen.current === null ? null : box.querySelector(`[data-row="${CSS.escape(chosen.current)}"]`);
      if (!row || height >= before || pressed.current) return;
      const from = row.getBoundingClientRect().top - box.getBoundingClientRect().top;
      if (from >= 0 && from < before) row.scrollIntoView({ block: "nearest" });
    });
    watch.observe(box);
    return () => watch.disconnect();
  }, [body, pressed]);
  const indexOf = (e: TimelineEvent) => index.get(e.id)!;
  if (!long) return { shown: events, indexOf, measure: undefined };
  const shown: (TimelineEvent | number)[] = [];
  let end = 0;
  for (const i of virtual.getVirtualItems()) {
    if (i.start > end) shown.push(i.start - end);
    shown.push(events[i.index]!);
    end = i.end;
  }
  const rest = (end === 0 ? events.length * ROW_PX : virtual.getTotalSize()) - end;
  if (rest > 0) shown.push(rest);
  return { shown, indexOf, measure: virtual.measureElement };
}
