"use client";

import { WORDS } from "@/core/words/editor";
import { ChevronDown, ChevronUp } from "lucide-react";
import type { PointerEvent } from "react";

/** Between chart and ledger: dragged, moved by keys, or folded to either side. */
export function Divider({
  split,
  setSplit,
  within,
}: {
  split: number;
  setSplit: (s: number) => void;
  within: React.RefObject<HTMLDivElement | null>;
}) {
  const drag = (e: PointerEvent<HTMLDivElement>) => {
    if (!e.currentTarget.hasPointerCapture(e.pointerId)) return;
    const box = within.current!.getBoundingClientRect();
    setSplit(Math.min(0.95, Math.max(0.1, (e.clientY - box.top) / box.height)));
  };
  const folded = split <= 0.02 ? "chart" : split >= 0.98 ? "ledger" : null;
  return (
    <div className="relative z-[3] flex h-2 shrink-0 items-center border-y border-line bg-panel">
      <div
        role="separator"
        aria-label={WORDS.betweenChartAndLedger}
        aria-orientation="horizontal"
        aria-valuenow={Math.round(split * 100)}
        aria-valuemin={0}
        aria-valuemax={100}
        tabIndex={0}
        className="h-full flex-1 cursor-row-resize touch-none"
        onPointerDown={(e) => e.currentTarget.setPointerCapture(e.pointerId)}
        onPointerMove={drag}
        onKeyDown={(e) => {
          if (e.key === "ArrowUp") setSplit(Math.max(0.1, split - 0.05));
          if (e.key === "ArrowDown") setSplit(Math.min(0.95, split + 0.05));
        }}
      />
      <div className="absolute left-1/2 flex -translate-x-1/2 max-sm:start-[80px] rounded-md border border-edge bg-white">
        <button
          type="button"
          aria-label={folded === "ledger" ? WORDS.showTheLedger : WORDS.foldTheChartAway}
          disabled={folded === "chart"}
          className="flex h-6 min-w-7 items-center justify-center disabled:opacity-30 max-sm:h-8 max-sm:min-w-9"
          onClick={() => setSplit(folded === "ledger" ? 0.6 : 0)}
        >
          <ChevronUp size={14} />
        </button>
        <button
          type="button"
          aria-label={folded === "chart" ? WORDS.showTheChart : WORDS.foldTheLedgerAway}
          disabled={folded === "ledger"}
          className="flex h-6 min-w-7 items-center justify-center disabled:opacity-30 max-sm:h-8 max-sm:min-w-9"
          onClick={() => setSplit(folded === "chart" ? 0.6 : 1)}
        >
          <ChevronDown size={14} />
        </button>
      </div>
    </div>
  );
}
