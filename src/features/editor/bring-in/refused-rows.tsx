"use client";

import Papa from "papaparse";
import type { Refused } from "@/core/bring-in/look-at-rows";
import { WORDS } from "@/core/words/bring-in";
import { Button } from "@/ui/controls/button";
import { saveFile } from "@/ui/save-file";

/** So many are named on the screen; the file has them all. */
const NAMED = 3;

/** Rows that cannot come in, each with its reason; they can be taken away as a file, to be mended where they come from. */
export function RefusedRows({ refused }: { refused: readonly Refused[] }) {
  const reason = (r: Refused) =>
    WORDS.tooLongIn(WORDS.uses[r.column as keyof typeof WORDS.uses] ?? r.column, r.length, r.most);
  const save = () => {
    const rows = refused.map((r) => [
      String(r.row.number),
      reason(r),
      r.row.typed,
      r.row.cells.title ?? "",
      r.row.description.join("\n\n"),
    ]);
    const text = Papa.unparse([[...WORDS.refusedColumns], ...rows], { newline: "\r\n", escapeFormulae: true });
    saveFile(new Blob([text], { type: "text/csv;charset=utf-8" }), WORDS.refusedFile, ".csv");
  };
  return (
    <div className="flex w-full flex-wrap items-center gap-x-4 text-[14px]">
      <span className="font-bold text-copper-dark">{WORDS.cannotComeIn(refused.length)}</span>
      <span>
        {refused
          .slice(0, NAMED)
          .map((r) => WORDS.rowAnd(r.row.number, reason(r)))
          .join(" ")}
      </span>
      <Button size="small" onClick={save}>
        {WORDS.saveThem}
      </Button>
    </div>
  );
}
