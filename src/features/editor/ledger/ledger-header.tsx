"use client";

import { ArrowDown, ArrowUp } from "lucide-react";
import { type PointerEvent, useRef } from "react";
import { type LedgerColumn, widenColumn } from "@/core/ledger/columns";
import { COLUMN_NAMES, WORDS } from "@/core/words/editor-ledger";
import { classes } from "@/ui/classes";
import type { GridColumn } from "./grid-place";
import type { LedgerLook } from "./use-look";
import type { Marks } from "./use-marks";

/** The names of the columns: pressed they sort for looking, at their right edges they are made wider. */
export function LedgerHeader({
  columns,
  template,
  card,
  look,
  marks,
  active,
  readOnly,
}: {
  columns: readonly LedgerColumn[];
  template: string;
  card: boolean;
  look: LedgerLook;
  marks: Marks;
  active: GridColumn | null;
  readOnly: boolean;
}) {
  const { sort } = look.at;
  const all = marks.marked.size > 0 && marks.marked.size === look.events.length;
  return (
    <div
      role="row"
      data-header
      aria-rowindex={1}
      className={classes(
        "sticky top-0 z-[2] grid border-b border-line bg-white text-[13px] text-quiet",
        card && "sr-only",
      )}
      style={{ gridTemplateColumns: template }}
    >
      <span role="columnheader" className="flex items-center justify-center ps-[13px]">
        {readOnly ? (
          <span className="sr-only">{WORDS.row}</span>
        ) : (
          <input
            type="checkbox"
            data-col="mark"
            tabIndex={active === "mark" ? 0 : -1}
            aria-label={WORDS.markAll}
            checked={all}
            ref={(el) => {
              if (el) el.indeterminate = marks.marked.size > 0 && !all;
            }}
            onChange={() => marks.all(!all)}
            className={classes("size-4 accent-verdigris", card && "sr-only")}
          />
        )}
      </span>
      {columns.map((c) => {
        const on = sort?.column === c ? sort : null;
        return (
          <span
            key={c}
            role="columnheader"
            aria-sort={on ? (on.down ? "descending" : "ascending") : undefined}
            className="relative flex min-w-0"
          >
            <button
              type="button"
              data-col={c}
              tabIndex={active === c ? 0 : -1}
              title={`${WORDS.sortBy(COLUMN_NAMES[c])}. ${WORDS.columnKeys}`}
              className="flex min-h-7 min-w-0 flex-1 items-center gap-1 px-1.5 text-start hover:bg-verdigris-wash"
              onClick={() => look.sortBy(c)}
            >
              <span className={classes("truncate", on && "font-bold text-slate")}>{COLUMN_NAMES[c]}</span>
              {on ? on.down ? <ArrowDown size={13} aria-hidden /> : <ArrowUp size={13} aria-hidden /> : null}
            </button>
            <Widen column={c} look={look} />
          </span>
        );
      })}
      <span role="columnheader" className="sr-only">
        {WORDS.more}
      </span>
    </div>
  );
}

/** The right edge of a column. By keys the same is done on its name. */
function Widen({ column, look }: { column: LedgerColumn; look: LedgerLook }) {
  const from = useRef<{ x: number; width: number } | null>(null);
  const move = (e: PointerEvent) => {
    if (!from.current) return;
    look.setColumns(widenColumn(look.columns, column, from.current.width + e.clientX - from.current.x));
  };
  return (
    <span
      aria-hidden
      title={WORDS.dragToWiden}
      data-widen={column}
      className="absolute top-0 end-0 h-full w-[9px] translate-x-1/2 cursor-col-resize touch-none border-x-4 border-transparent bg-line bg-clip-padding hover:bg-verdigris"
      onPointerDown={(e) => {
        e.stopPropagation();
        e.preventDefault();
        e.currentTarget.setPointerCapture(e.pointerId);
        from.current = { x: e.clientX, width: e.currentTarget.parentElement!.getBoundingClientRect().width };
      }}
      onPointerMove={move}
      onPointerUp={() => {
        from.current = null;
      }}
      onDoubleClick={() => look.setColumns(widenColumn(look.columns, column, null))}
    />
  );
}
