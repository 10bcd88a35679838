"use client";

import { Popover } from "radix-ui";
import { type KeyboardEvent, useEffect, useId, useRef, useState } from "react";
import type { LedgerColumn } from "@/core/ledger/columns";
import { WORDS } from "@/core/words/editor-ledger";
import { classes } from "@/ui/classes";

/** What one may choose from where one writes. */
export interface Choice {
  value: string;
  /** What stands beside it. */
  note?: string;
}

/** Where one goes after a cell was written. */
export type After = "down" | "up" | "right" | "left" | "stay" | "open";

const INPUT =
  "absolute inset-0 z-[1] w-full min-w-0 border-2 border-verdigris bg-white px-1.5 text-[14px] font-normal text-slate outline-none";
/** Texts that may have several lines: Alt-Enter begins another. */
const SEVERAL_LINES: ReadonlySet<LedgerColumn> = new Set(["shortTitle", "source", "link", "note"]);
/** After so long without a key what was written is kept, ms: nothing is lost with the tab. */
const REST_MS = 400;

/**
 * A cell while it is written in. Enter takes it over and goes down, Tab goes right, Escape leaves it as it was, Shift-Enter opens
 * the event. What cannot be taken stays, with a sentence.
 */
export function CellEditor({
  label,
  column,
  value,
  typed,
  live,
  choices,
  lang,
  onCommit,
  onEnd,
}: {
  label: string;
  column: LedgerColumn;
  value: string;
  /** What was typed to begin with; null: the cell as it is. */
  typed: string | null;
  /** Kept while one writes, after a rest. */
  live: boolean;
  /** What may be chosen for what was written so far; null: nothing is chosen from. */
  choices: ((text: string) => readonly Choice[]) | null;
  lang?: string;
  /** Gives a sentence where it cannot be taken. */
  onCommit: (text: string) => string | null;
  onEnd: (after: After) => void;
}) {
  const [text, setText] = useState(typed ?? value);
  const [problem, setProblem] = useState<string | null>(null);
  const [at, setAt] = useState(-1);
  const [open, setOpen] = useState(choices !== null);
  const input = useRef<HTMLTextAreaElement & HTMLInputElement>(null);
  const kept = useRef(value);
  const done = useRef(false);
  const rest = useRef<ReturnType<typeof setTimeout> | null>(null);
  const listId = useId();
  // Before anything is typed all choices are there.
  const all = choices?.(text === value && typed === null ? "" : text) ?? [];
  useEffect(() => {
    const el = input.current!;
    el.focus({ preventScroll: true });
    el.setSelectionRange(el.value.length, el.value.length);
  }, []);

  const commit = (next: string): boolean => {
    if (rest.current) clearTimeout(rest.current);
    if (next === kept.current) return true;
    const refused = onCommit(next);
    setProblem(refused);
    if (!refused) kept.current = next;
    return !refused;
  };
  const latest = useRef(() => {});
  latest.current = () => {
    if (!done.current) commit(input.current?.value ?? text);
  };
  // A page that goes away takes nothing with it.
  useEffect(() => {
    const leave = () => latest.current();
    window.addEventListener("pagehide", leave);
    return () => {
      window.removeEventListener("pagehide", leave);
      if (rest.current) clearTimeout(rest.current);
    };
  }, []);

  const end = (after: After, chosen?: string) => {
    const next = chosen ?? text;
    if (!commit(next)) return;
    done.current = true;
    onEnd(after);
  };
  const write = (next: string) => {
    setText(next);
    setProblem(null);
    setAt(-1);
    if (choices) setOpen(true);
    if (!live) return;
    if (rest.current) clearTimeout(rest.current);
    rest.current = setTimeout(() => commit(next), REST_MS);
  };
  /** Of several tags the last is being written. */
  const chosen = (c: Choice) =>
    column === "tags" && text.includes(",") ? `${text.slice(0, text.lastIndexOf(",") + 1)} ${c.value}` : c.value;
  const keys = (e: KeyboardEvent) => {
    // Enter that takes over a word of an input method is none of ours.
    if (e.nativeEvent.isComposing) return;
    const pick = open && at >= 0 ? all[at] : undefined;
    if (e.key === "Escape") {
      e.preventDefault();
      e.stopPropagation();
      if (open && all.length > 0 && at >= 0) {
        setAt(-1);
        return;
      }
      if (rest.current) clearTimeout(rest.current);
      if (kept.current !== value) onCommit(value);
      done.current = true;
      onEnd("stay");
    } else if (e.key === "Enter" && e.altKey && SEVERAL_LINES.has(column)) {
      // A line more, where a text may have several.
      e.preventDefault();
      const el = input.current!;
      const [a, b] = [el.selectionStart ?? text.length, el.selectionEnd ?? text.length];
      write(`${text.slice(0, a)}\n${text.slice(b)}`);
    } else if (e.key === "Enter") {
      e.preventDefault();
      e.stopPropagation();
      end(e.shiftKey ? "open" : "down", pick && chosen(pick));
    } else if (e.key === "Tab") {
      e.preventDefault();
      e.stopPropagation();
      end(e.shiftKey ? "left" : "right", pick && chosen(pick));
    } else if (choices && (e.key === "ArrowDown" || e.key === "ArrowUp")) {
      e.preventDefault();
      setOpen(true);
      const way = e.key === "ArrowDown" ? 1 : -1;
      setAt((now) => Math.max(-1, Math.min(all.length - 1, now + way)));
    } else if (!choices && (e.key === "ArrowDown" || e.key === "ArrowUp") && typed !== null) {
      // Who typed over a cell goes on as from a cell that was only looked at.
      e.preventDefault();
      end(e.key === "ArrowDown" ? "down" : "up");
    }
    // Nothing typed here is a command of the page; undo and redo stay.
    if (!(e.ctrlKey || e.metaKey)) e.stopPropagation();
  };
  const shown = open && all.length > 0;
  const common = {
    ref: input,
    "aria-label": label,
    "aria-invalid": problem !== null,
    value: text,
    lang,
    className: INPUT,
    onChange: (e: { target: { value: string } }) => write(e.target.value),
    onKeyDown: keys,
    onBlur: () => {
      if (done.current) return;
      if (commit(text)) {
        done.current = true;
        onEnd("stay");
      }
    },
  };
  return (
    <Popover.Root open={shown || problem !== null}>
      <Popover.Anchor asChild>
        {SEVERAL_LINES.has(column) ? (
          <textarea
            {...common}
            rows={Math.min(6, text.split("\n").length)}
            className={classes(INPUT, "h-auto min-h-full resize-none py-1")}
          />
        ) : (
          <input
            {...common}
            autoComplete="off"
            {...(choices
              ? {
                  role: "combobox",
                  "aria-expanded": shown,
                  "aria-controls": listId,
                  "aria-autocomplete": "list" as const,
                  "aria-activedescendant": at >= 0 ? `${listId}-${at}` : undefined,
                }
              : {})}
          />
        )}
      </Popover.Anchor>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={2}
          aria-label={label}
          onOpenAutoFocus={(e) => e.preventDefault()}
          onCloseAutoFocus={(e) => e.preventDefault()}
          // The input closes it: a press on a choice must not take the focus away first.
          onMouseDown={(e) => e.preventDefault()}
          className="z-50 max-h-64 min-w-[180px] max-w-[360px] overflow-y-auto rounded-md border border-edge bg-white p-1 text-[14px] text-slate"
        >
          {problem ? (
            <p role="alert" className="max-w-[320px] px-2 py-1 font-bold text-copper-dark">
              {problem}
            </p>
          ) : null}
          {shown ? (
            <div id={listId} role="listbox" aria-label={WORDS.choices}>
              {all.map((c, i) => (
                // biome-ignore lint/a11y/useKeyWithClickEvents: the keys are the input's
                <div
                  key={c.value}
                  id={`${listId}-${i}`}
                  role="option"
                  tabIndex={-1}
                  aria-selected={i === at}
                  ref={i === at ? (el) => el?.scrollIntoView({ block: "nearest" }) : undefined}
                  className={classes(
                    "flex cursor-pointer items-baseline gap-2 rounded px-2 py-1 max-sm:py-2.5",
                    i === at ? "bg-verdigris-wash" : "hover:bg-verdigris-wash",
                  )}
                  onClick={() => end("stay", chosen(c))}
                >
                  <span className="truncate">{c.value || WORDS.none}</span>
                  {c.note ? <span className="ms-auto shrink-0 text-[13px] text-quiet">{c.note}</span> : null}
                </div>
              ))}
            </div>
          ) : null}
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
