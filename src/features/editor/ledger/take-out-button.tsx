"use client";

import { FileDown } from "lucide-react";
import { useRef, useState } from "react";
import { WORDS } from "@/core/words/take-out";
import { late } from "../late";
import { BAR_BUTTON } from "./bar-menu";

interface Some {
  ids: readonly string[];
  chosen: boolean;
}

const TakeOut = late(() => import("../take-out/take-out").then((m) => m.TakeOut));
/** It is fetched before the page is kept for when there is no network. */
export const TAKE_OUT = TakeOut;

/** Opens what saves the timeline, or some events of it, as a file. */
export function TakeOutButton({ some }: { some: Some | null | (() => Some) }) {
  const [open, setOpen] = useState<{ some: Some | null } | null>(null);
  const button = useRef<HTMLButtonElement>(null);
  const close = () => {
    setOpen(null);
    // A dialog that something else has opened leaves the focus nowhere.
    requestAnimationFrame(() => button.current?.focus());
  };
  return (
    <>
      <button
        ref={button}
        type="button"
        className={BAR_BUTTON}
        title={WORDS.takeOutHint}
        onClick={() => setOpen({ some: typeof some === "function" ? some() : some })}
      >
        <FileDown size={15} aria-hidden /> <span className="max-sm:sr-only">{WORDS.takeOut}</span>
      </button>
      {open ? <TakeOut some={open.some} onClose={close} /> : null}
    </>
  );
}
