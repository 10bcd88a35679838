"use client";

import { type ReactNode, useLayoutEffect, useRef, useState } from "react";
import { WORDS } from "@/core/words/editor-share";

/** The parts of a long dialog, with a way to each above them: on a phone the last is three screens further down. */
export function Sections({ children }: { children: ReactNode }) {
  const inside = useRef<HTMLDivElement>(null);
  const [names, setNames] = useState<readonly string[]>([]);
  // Before it is painted: nothing below moves when it opens.
  useLayoutEffect(() => {
    const all = inside.current!;
    // Some of them are not for everybody, and some are known only once they have asked the server.
    const look = () => {
      const found = sectionsOf(all).map(nameOf);
      setNames((before) => (before.join("\n") === found.join("\n") ? before : found));
    };
    look();
    const watch = new MutationObserver(look);
    watch.observe(all, { childList: true });
    return () => watch.disconnect();
  }, []);
  const go = (name: string) => {
    const section = sectionsOf(inside.current!).find((s) => nameOf(s) === name);
    if (!section) return;
    // Who goes on by keyboard goes on from there.
    section.tabIndex = -1;
    section.focus({ preventScroll: true });
    section.scrollIntoView({ block: "start" });
  };
  return (
    <>
      {names.length > 1 ? (
        <nav aria-label={WORDS.partsOfThis} className="mb-3">
          <ul className="flex flex-wrap gap-x-4 text-[14px]">
            {names.slice(1).map((name) => (
              <li key={name}>
                <button
                  type="button"
                  className="min-h-7 text-verdigris underline underline-offset-2"
                  onClick={() => go(name)}
                >
                  {name}
                </button>
              </li>
            ))}
          </ul>
        </nav>
      ) : null}
      <div ref={inside}>{children}</div>
    </>
  );
}

const sectionsOf = (all: HTMLElement) => [...all.querySelectorAll<HTMLElement>(":scope > section[aria-label]")];
const nameOf = (section: HTMLElement) => section.getAttribute("aria-label")!;
