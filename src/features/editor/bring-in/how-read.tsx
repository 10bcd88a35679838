"use client";

import { useId, useState } from "react";
import type { ReadAnswer } from "@/core/bring-in/asked";
import {
  DELIMITERS,
  type Delimiter,
  ENCODINGS,
  type Encoding,
  type ReadFileOptions,
} from "@/core/bring-in/files/found";
import { WORDS } from "@/core/words/bring-in";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";

const SELECT = "h-9 max-w-[220px] rounded-md border border-edge bg-white px-2 font-bold";

/** How a file was read, and what of it can be otherwise: its sheet, letters, what stands between cells, repeats, the living. */
export function HowRead({
  found,
  options,
  sheet,
  setSheet,
  readAgain,
}: {
  found: Extract<ReadAnswer, { kind: "rows" }>;
  options: ReadFileOptions;
  sheet: number;
  setSheet: (n: number) => void;
  readAgain: (options: ReadFileOptions) => void;
}) {
  const { encoding, delimiter, repeats } = found;
  return (
    <>
      {found.sheets.length > 1 ? (
        <Choice label={WORDS.sheet}>
          {(id) => (
            <select id={id} className={SELECT} value={sheet} onChange={(e) => setSheet(Number(e.target.value))}>
              {found.sheets.map((s, n) => (
                // biome-ignore lint/suspicious/noArrayIndexKey: sheets are known by where they stand
                <option key={n} value={n}>
                  {WORDS.sheetOf(s.name || String(n + 1), s.rows)}
                </option>
              ))}
            </select>
          )}
        </Choice>
      ) : null}
      {encoding ? (
        <Choice label={WORDS.letters}>
          {(id) => (
            <select
              id={id}
              className={SELECT}
              value={encoding}
              onChange={(e) => readAgain({ ...options, encoding: e.target.value as Encoding })}
            >
              {ENCODINGS.map((e) => (
                <option key={e} value={e}>
                  {WORDS.encodings[e]}
                </option>
              ))}
            </select>
          )}
        </Choice>
      ) : null}
      {delimiter ? (
        <Choice label={WORDS.between}>
          {(id) => (
            <select
              id={id}
              className={SELECT}
              value={delimiter}
              onChange={(e) => readAgain({ ...options, delimiter: e.target.value as Delimiter })}
            >
              {DELIMITERS.map((d) => (
                <option key={d} value={d}>
                  {WORDS.delimiters[d]}
                </option>
              ))}
            </select>
          )}
        </Choice>
      ) : null}
      {repeats ? <Repeats now={repeats} onSet={(r) => readAgain({ ...options, repeats: r })} /> : null}
      {found.living ? (
        <CheckRow
          label={WORDS.livingToo(found.living)}
          checked={options.living ?? false}
          onChange={(living) => readAgain({ ...options, living })}
        />
      ) : null}
    </>
  );
}

function Choice({ label, children }: { label: string; children: (id: string) => React.ReactNode }) {
  const id = useId();
  return (
    <span className="flex items-center gap-2">
      <label htmlFor={id}>{label}</label>
      {children(id)}
    </span>
  );
}

function Repeats({
  now,
  onSet,
}: {
  now: { from: string; to: string };
  onSet: (r: { from: string; to: string }) => void;
}) {
  const [from, setFrom] = useState(now.from);
  const [to, setTo] = useState(now.to);
  const field = (label: string, value: string, set: (v: string) => void) => (
    <label className="flex items-center gap-2">
      {label}
      <input
        type="date"
        value={value}
        className="h-9 rounded-md border border-edge bg-white px-2"
        onChange={(e) => set(e.target.value)}
      />
    </label>
  );
  const valid = from !== "" && to !== "" && from <= to;
  return (
    <fieldset className="flex flex-wrap items-center gap-2">
      <legend className="sr-only">{WORDS.repeats}</legend>
      {field(WORDS.repeatsFrom, from, setFrom)}
      {field(WORDS.repeatsTo, to, setTo)}
      {from !== now.from || to !== now.to ? (
        <Button size="small" disabled={!valid} onClick={() => onSet({ from, to })}>
          {WORDS.unfold}
        </Button>
      ) : null}
    </fieldset>
  );
}
