"use client";

import { type KeyboardEvent, useEffect, useRef, useState } from "react";
import { classes } from "@/ui/classes";

/** How everything one writes in looks in a row. */
export const CELL =
  "w-full min-w-0 truncate rounded bg-transparent px-1 py-1 hover:bg-verdigris-wash/60 focus:bg-white";

/** A cell one types in. It shows the value as understood, and as typed while it is being edited. */
export function CellInput({
  label,
  value,
  shown,
  placeholder,
  className,
  live,
  locked,
  onCommit,
}: {
  label: string;
  value: string;
  shown?: string;
  placeholder?: string;
  className?: string;
  live?: boolean;
  /** Given by the teacher: read only. */
  locked?: boolean;
  onCommit: (text: string) => string | null;
}) {
  const [draft, setDraft] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  // What was committed last: Enter commits and moves on, and leaving the cell must not commit once more.
  const committed = useRef(value);
  useEffect(() => {
    committed.current = value;
  }, [value]);
  const leaving = useRef(false);
  /** Gives whether the text was taken; what was refused stays in the cell. */
  const commit = (text: string): boolean => {
    if (text === committed.current) {
      setProblem(null);
      return true;
    }
    const refused = onCommit(text) || null;
    setProblem(refused);
    if (!refused) committed.current = text;
    return !refused;
  };
  const keys = (e: KeyboardEvent<HTMLInputElement>) => {
    // Enter that takes over a word of an input method is none of ours.
    if (e.nativeEvent.isComposing) return;
    if (e.key === "Enter") {
      commit(e.currentTarget.value);
      moveRow(e.currentTarget, 1);
    }
    if (e.key === "Escape") {
      leaving.current = true;
      setDraft(null);
      setProblem(null);
      e.currentTarget.blur();
      leaving.current = false;
    }
    if (e.key === "ArrowDown" || e.key === "ArrowUp") {
      e.preventDefault();
      moveRow(e.currentTarget, e.key === "ArrowDown" ? 1 : -1);
    }
  };
  return (
    <>
      <input
        aria-label={label}
        className={classes(CELL, className)}
        value={draft ?? shown ?? value}
        placeholder={placeholder}
        aria-invalid={problem !== null}
        readOnly={locked}
        title={problem ?? undefined}
        onFocus={() => setDraft((kept) => (problem ? kept : value))}
        onChange={(e) => {
          setDraft(e.target.value);
          if (live) commit(e.target.value);
        }}
        onBlur={(e) => {
          if (leaving.current || commit(e.target.value)) setDraft(null);
        }}
        onKeyDown={keys}
      />
      {problem ? (
        <span role="alert" className="block px-1 text-[12px] font-bold text-copper-dark">
          {problem}
        </span>
      ) : null}
    </>
  );
}

/** To the same column of a neighbouring row; from the last one to the line for the next event. */
function moveRow(input: HTMLInputElement, step: 1 | -1): void {
  const row = input.closest("[data-row]");
  const beside = step === 1 ? row?.nextElementSibling : row?.previousElementSibling;
  const next = beside?.hasAttribute("data-row") ? beside : null;
  const column = [...(row?.querySelectorAll("input") ?? [])].indexOf(input);
  const target = next?.querySelectorAll("input")[column] ?? (step === 1 ? document.getElementById("next-event") : null);
  (target as HTMLElement | null)?.focus();
}
