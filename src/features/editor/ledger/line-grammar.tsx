"use client";

import { Popover } from "radix-ui";
import { useState } from "react";
import { LINE_GRAMMAR, WORDS } from "@/core/words/editor-ledger";

/** What the line understands, with examples that can be tried. */
export function LineGrammar({ onTry }: { onTry: (line: string) => void }) {
  const [open, setOpen] = useState(false);
  return (
    <Popover.Root open={open} onOpenChange={setOpen}>
      <Popover.Trigger
        aria-label={WORDS.whatTheLineUnderstands}
        title={WORDS.whatTheLineUnderstands}
        className="ms-auto flex size-6 items-center justify-center rounded-md border border-edge bg-white font-bold text-slate hover:bg-verdigris-wash max-sm:size-11"
      >
        ?
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          side="top"
          align="end"
          sideOffset={4}
          collisionPadding={8}
          aria-label={WORDS.whatTheLineUnderstands}
          className="z-50 max-h-[min(480px,var(--radix-popover-content-available-height))] w-[min(520px,94vw)] overflow-y-auto rounded-md border border-edge bg-white p-3 text-[14px] text-slate"
        >
          <p className="mb-2 text-quiet">{WORDS.pressAnExample}</p>
          <ul className="flex flex-col gap-1.5">
            {LINE_GRAMMAR.map(([example, what]) => (
              <li key={example} className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)] items-baseline gap-3">
                <button
                  type="button"
                  className="rounded-md border border-line px-2 py-1 text-start font-bold hover:bg-verdigris-wash"
                  onClick={() => {
                    setOpen(false);
                    onTry(example);
                    document.getElementById("next-event")?.focus();
                  }}
                >
                  {example}
                </button>
                <span>{what}</span>
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
