"use client";

import { language } from "@/core/language/spoken";
import { memo, useEffect, useState } from "react";
import type { LookAnswer, ShownRow } from "@/core/bring-in/asked";
import { USES, type Use } from "@/core/bring-in/guess-uses";
import type { BroughtRow } from "@/core/bring-in/put-together";
import { offeredIn } from "@/core/time/read/said-in";
import { isDated } from "@/core/time/when";
import { whenLabel } from "@/core/time/write-when";
import { dateProblemText } from "@/core/words/dates";
import { WORDS } from "@/core/words/bring-in";
import { classes } from "@/ui/classes";
import type { RowState } from "./row-states";

/** The rows as they lie in the table, and what each date is understood as; on top what each column is. */
export function Preview({
  looked,
  still,
  states,
  opening,
  setUse,
  setOpening,
  mend,
}: {
  looked: LookAnswer;
  /** While rows come in nothing can be altered. */
  still: boolean;
  /** What becomes of rows where some are events already; null where none is. */
  states: ReadonlyMap<number, RowState> | null;
  opening: number | null;
  setUse: (column: number, use: Use) => void;
  setOpening: (row: number | null) => void;
  mend: (row: number, text: string) => void;
}) {
  const { uses, shown, more } = looked;
  const drawn = useDrawn(shown.length);
  const nameOf = (i: number) => (looked.named ? looked.names[i]?.trim() : "") || WORDS.column(i + 1);
  return (
    <div inert={still} className="min-h-0 flex-1 overflow-auto">
      <table className="w-full border-collapse text-start text-[15px]">
        <thead className="sticky top-0 z-[1] bg-white">
          <tr className="border-b border-line align-bottom">
            <th className="min-w-[220px] px-3 sm:w-[330px] sm:min-w-[330px] py-2 text-[13px] font-normal text-quiet">
              {WORDS.understoodAs}
            </th>
            {states ? (
              <th className="min-w-[150px] px-3 py-2 text-[13px] font-normal text-quiet">{WORDS.becomes}</th>
            ) : null}
            {uses.map((use, i) => (
              // biome-ignore lint/suspicious/noArrayIndexKey: columns are known by where they stand
              <th key={i} className="min-w-[130px] px-3 py-2 text-[13px] font-normal text-quiet">
                <span className="mb-1 block max-w-[220px] truncate">{nameOf(i)}</span>
                <select
                  aria-label={WORDS.usedAs(nameOf(i))}
                  className={classes(
                    "h-8 max-w-full rounded-md border border-line px-1.5 font-bold",
                    use === "skip" ? "bg-white text-quiet" : "bg-verdigris-wash text-verdigris",
                  )}
                  value={use}
                  onChange={(e) => setUse(i, e.target.value as Use)}
                >
                  {USES.map((u) => (
                    <option key={u} value={u}>
                      {WORDS.uses[u]}
                    </option>
                  ))}
                </select>
              </th>
            ))}
          </tr>
        </thead>
        <tbody className="divide-y divide-line">
          {shown.slice(0, drawn).map((s) => (
            <Row
              key={s.row.number}
              shown={s}
              uses={uses}
              becomes={states ? stateText(states.get(s.row.number)) : null}
              isOpening={opening === s.row.number}
              setOpening={setOpening}
              mend={mend}
            />
          ))}
        </tbody>
      </table>
      {more > 0 ? <p className="px-3 py-3 text-quiet">{WORDS.moreRows(more)}</p> : null}
    </div>
  );
}

/** As long as nothing of it changes a row is not drawn again. */
const Row = memo(function Row({
  shown: { row, cells },
  uses,
  becomes,
  isOpening,
  setOpening,
  mend,
}: {
  shown: ShownRow;
  uses: readonly Use[];
  becomes: string | null;
  isOpening: boolean;
  setOpening: (row: number | null) => void;
  mend: (row: number, text: string) => void;
}) {
  return (
    <tr className={classes("align-top", isOpening && "bg-verdigris-wash")}>
      <Understood
        row={row}
        isOpening={isOpening}
        setOpening={(on) => setOpening(on ? row.number : null)}
        mend={(text) => mend(row.number, text)}
      />
      {becomes === null ? null : <td className="px-3 py-2 text-[14px]">{becomes}</td>}
      {uses.map((use, i) => (
        <td
          // biome-ignore lint/suspicious/noArrayIndexKey: columns are known by where they stand
          key={i}
          className={classes("max-w-[320px] truncate px-3 py-2", use === "skip" && "text-quiet line-through")}
        >
          {cells[i]}
        </td>
      ))}
    </tr>
  );
});

/** So many rows are drawn at once, so that no frame waits for all of them. */
const AT_ONCE = 25;

function useDrawn(of: number): number {
  const [drawn, setDrawn] = useState(AT_ONCE);
  useEffect(() => {
    if (drawn >= of) return;
    const next = requestAnimationFrame(() => setDrawn(drawn + AT_ONCE));
    return () => cancelAnimationFrame(next);
  }, [drawn, of]);
  return drawn;
}

function stateText(state: RowState | undefined): string {
  if (!state) return WORDS.isNew;
  return state.fields.length === 0 ? WORDS.isSame : WORDS.isChanged(state.fields);
}

function Understood({
  row,
  isOpening,
  setOpening,
  mend,
}: {
  row: BroughtRow;
  isOpening: boolean;
  setOpening: (on: boolean) => void;
  mend: (text: string) => void;
}) {
  const { when, typed, number } = row;
  const r = when.readAs;
  if (r.kind !== "not_understood") {
    const dated = isDated(when);
    return (
      <td className={classes("px-3 py-2", dated ? "font-bold text-verdigris" : "text-quiet")}>
        {dated ? whenLabel(when) : isOpening ? WORDS.openingPage : WORDS.noDate}
        {dated ? null : (
          <button
            type="button"
            className="ms-3 min-h-6 text-[14px] text-slate underline underline-offset-2"
            onClick={() => setOpening(!isOpening)}
          >
            {isOpening ? WORDS.asAnEvent : WORDS.asOpeningPage}
          </button>
        )}
      </td>
    );
  }
  return (
    <td className="bg-sun-wash px-3 py-2">
      <span className="mb-1 block font-bold text-copper-dark">{dateProblemText(r.problem)}</span>
      <span className="flex flex-wrap gap-1.5">
        {offeredIn(language(), r.problem).map((reading) => (
          <button
            key={reading}
            type="button"
            className="h-8 rounded-md border border-edge bg-white px-2 text-[14px] hover:bg-verdigris-wash"
            onClick={() => mend(reading)}
          >
            {reading}
          </button>
        ))}
        <input
          aria-label={WORDS.dateOfRow(number)}
          defaultValue={typed}
          className="h-8 w-[150px] rounded-md border border-edge bg-white px-2"
          onKeyDown={(e) => {
            if (e.key === "Enter" && !e.nativeEvent.isComposing) mend(e.currentTarget.value);
          }}
          onBlur={(e) => {
            if (e.currentTarget.value !== typed) mend(e.currentTarget.value);
          }}
        />
      </span>
    </td>
  );
}
