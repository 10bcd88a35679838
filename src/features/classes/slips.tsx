"use client";

import { createPortal } from "react-dom";
import { WORDS } from "@/core/words/people";
import { Button } from "@/ui/controls/button";

export interface Slip {
  displayName: string;
  note: string;
  signInName: string;
  code: string;
}

/** Slips with sign-in name and first-time code, to be printed and cut. On paper there is nothing else. */
export function Slips({ slips, className, onDone }: { slips: readonly Slip[]; className: string; onDone: () => void }) {
  return (
    <>
      <p className="mt-1 text-[14px] text-quiet">{WORDS.slipsHelp}</p>
      <Sheet slips={slips} className={className} />
      <div className="mt-4 flex gap-2">
        <Button kind="main" disabled={slips.length === 0} onClick={() => window.print()}>
          {WORDS.print}
        </Button>
        <Button onClick={onDone}>{WORDS.done}</Button>
      </div>
      {createPortal(
        <div className="only-print" aria-hidden="true">
          <Sheet slips={slips} className={className} />
        </div>,
        document.body,
      )}
    </>
  );
}

function Sheet({ slips, className }: { slips: readonly Slip[]; className: string }) {
  return (
    <ul className="mt-3 grid max-h-[44vh] grid-cols-1 gap-2 overflow-y-auto sm:grid-cols-2 print:max-h-none print:grid-cols-2 print:gap-0 print:overflow-visible">
      {slips.map((s) => (
        <li
          key={s.signInName}
          className="break-inside-avoid rounded-md border border-dashed border-edge p-3 print:rounded-none"
          data-testid="slip"
        >
          <p className="text-[13px] text-quiet">{WORDS.slipTitle(className)}</p>
          <p className="font-head text-[18px] font-[650]">{s.displayName}</p>
          <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3 text-[14px]">
            <dt className="text-quiet">{WORDS.signInName}</dt>
            <dd className="font-bold">{s.signInName}</dd>
            <dt className="text-quiet">{WORDS.code}</dt>
            <dd className="font-bold tracking-wide">{s.code}</dd>
          </dl>
          <p className="mt-1 text-[12px] text-quiet">{WORDS.how(window.location.host)}</p>
        </li>
      ))}
    </ul>
  );
}
