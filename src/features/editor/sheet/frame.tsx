"use client";

import { ArrowLeft, ArrowRight, X } from "lucide-react";
import { useEffect, useRef } from "react";
import { WORDS } from "@/core/words/editor-sheet";

/** The panel at the right: event sheet, settings and history all use it. */
export function Frame({
  title,
  children,
  onClose,
  moveTo,
  first,
  last,
  headingRef,
}: {
  title: string;
  children: React.ReactNode;
  onClose: () => void;
  moveTo?: (step: 1 | -1) => void;
  first?: boolean;
  last?: boolean;
  headingRef?: React.RefObject<HTMLHeadingElement | null>;
}) {
  const own = useRef<HTMLHeadingElement>(null);
  const heading = headingRef ?? own;
  const hadFocus = useRef(false);
  // What had the focus may go when it has done its work: the focus stays in the panel.
  useEffect(() => {
    if (hadFocus.current && document.activeElement === document.body) heading.current?.focus({ preventScroll: true });
  });
  return (
    <aside
      aria-label={title}
      className="flex h-full w-full flex-col border-s-2 border-slate bg-white"
      onFocus={() => {
        hadFocus.current = true;
      }}
      onBlur={(e) => {
        if (e.relatedTarget) hadFocus.current = e.currentTarget.contains(e.relatedTarget);
      }}
      onKeyDown={(e) => {
        // The text editor marks Escape as handled although it does nothing with it.
        if (e.key === "Escape") onClose();
      }}
    >
      <div className="flex h-[38px] shrink-0 items-center gap-3 border-b border-line bg-sun-wash px-4">
        <h2 ref={heading} tabIndex={-1} className="font-sans text-[15px] font-bold outline-none">
          {title}
        </h2>
        {moveTo ? (
          <span className="flex rounded-md border border-edge bg-white">
            <button
              type="button"
              aria-label={WORDS.earlierEvent}
              disabled={first}
              onClick={() => moveTo(-1)}
              className="px-1.5 py-1 disabled:opacity-35"
            >
              <ArrowLeft size={15} />
            </button>
            <button
              type="button"
              aria-label={WORDS.laterEvent}
              disabled={last}
              onClick={() => moveTo(1)}
              className="px-1.5 py-1 disabled:opacity-35"
            >
              <ArrowRight size={15} />
            </button>
          </span>
        ) : null}
        <button
          type="button"
          aria-label={WORDS.close}
          title={WORDS.esc}
          onClick={onClose}
          className="ms-auto rounded-md border border-edge bg-white p-1 hover:bg-verdigris-wash"
        >
          <X size={16} />
        </button>
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto p-4">{children}</div>
    </aside>
  );
}
