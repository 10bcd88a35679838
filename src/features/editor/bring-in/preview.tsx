"use client";

import { USES, type Use } from "@/core/bring-in/guess-uses";
import type { BroughtRow, BroughtTable } from "@/core/bring-in/put-together";
import { offeredReadings } from "@/core/time/date-problem";
import { isDated } from "@/core/time/when";
import { whenLabel } from "@/core/time/write-when";
import { dateProblemText } from "@/core/words/en/dates";
import { WORDS } from "@/core/words/en/bring-in";
import { classes } from "@/ui/classes";

/** So many rows are shown; those that want mending always stand first. */
const SHOWN = 150;

/** The rows as they lie in the table, and what each date is understood as; on top what each column is. */
export function Preview({
  cells,
  named,
  uses,
  setUse,
  table,
  mend,
}: {
  cells: readonly (readonly string[])[];
  named: boolean;
  uses: readonly Use[];
  setUse: (column: number, use: Use) => void;
  table: BroughtTable;
  mend: (row: number, text: string) => void;
}) {
  const wrong = table.rows.filter((r) => r.when.readAs.kind === "not_understood");
  const rows = [...wrong, ...table.rows.filter((r) => r.when.readAs.kind !== "not_understood")].slice(0, SHOWN);
  const from = named ? 1 : 0;
  const nameOf = (i: number) => (named ? cells[0]?.[i]?.trim() : "") || WORDS.column(i + 1);
  return (
    <div className="min-h-0 flex-1 overflow-auto">
      <table className="w-full border-collapse text-left text-[15px]">
        <thead className="sticky top-0 z-[1] bg-white">
          <tr className="border-b border-line align-bottom">
            <th className="min-w-[220px] px-3 sm:w-[330px] sm:min-w-[330px] py-2 text-[13px] font-normal text-quiet">
              {WORDS.understoodAs}
            </th>
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
          {rows.map((r) => (
            <tr key={r.number} className="align-top">
              <Understood row={r} mend={(text) => mend(r.number, text)} />
              {uses.map((use, i) => (
                <td
                  // biome-ignore lint/suspicious/noArrayIndexKey: columns are known by where they stand
                  key={i}
                  className={classes("max-w-[320px] truncate px-3 py-2", use === "skip" && "text-quiet line-through")}
                >
                  {cells[r.number - 1 + from]?.[i]?.slice(0, 200)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      {table.rows.length > rows.length ? (
        <p className="px-3 py-3 text-quiet">{WORDS.moreRows(table.rows.length - rows.length)}</p>
      ) : null}
    </div>
  );
}

function Understood({ row, mend }: { row: BroughtRow; mend: (text: string) => void }) {
  const { when, typed, number } = row;
  const r = when.readAs;
  if (r.kind !== "not_understood")
    return (
      <td className={classes("px-3 py-2", isDated(when) ? "font-bold text-verdigris" : "text-quiet")}>
        {isDated(when) ? whenLabel(when) : WORDS.noDate}
      </td>
    );
  return (
    <td className="bg-sun-wash px-3 py-2">
      <span className="mb-1 block font-bold text-copper-dark">{dateProblemText(r.problem)}</span>
      <span className="flex flex-wrap gap-1.5">
        {offeredReadings(r.problem).map((reading) => (
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
