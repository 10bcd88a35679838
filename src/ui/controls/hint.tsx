"use client";

import { WORDS } from "@/core/words/controls";
import { X } from "lucide-react";
import { type ReactNode, useEffect, useState } from "react";
import { classes } from "../classes";

const keyOf = (name: string) => `fastigo-hint-${name}`;

/** A sentence for those who are new; closed once, it does not come back on this device. */
export function Hint({ name, children, large }: { name: string; children: ReactNode; large?: boolean }) {
  const [open, setOpen] = useState(true);
  useEffect(() => {
    try {
      setOpen(localStorage.getItem(keyOf(name)) === null);
    } catch {}
  }, [name]);
  if (!open) return null;
  return (
    <span className={classes("inline-flex items-center gap-1.5", large && "text-[20px] text-quiet")}>
      <span>{children}</span>
      <button
        type="button"
        aria-label={WORDS.closeThisHintForGood}
        title={WORDS.closeThisHintForGood}
        className={classes(
          "pointer-events-auto flex shrink-0 items-center justify-center rounded-md hover:bg-verdigris-wash",
          large ? "size-14" : "size-6 max-sm:size-11",
        )}
        onClick={() => {
          setOpen(false);
          try {
            localStorage.setItem(keyOf(name), "closed");
          } catch {}
        }}
      >
        <X size={large ? 26 : 14} />
      </button>
    </span>
  );
}
