"use client";

import { Languages } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { WORDS } from "@/core/words/controls";
import { LANGUAGES, language } from "@/core/language/spoken";
import { askServer } from "./ask-server";
import { classes } from "./classes";
import { Problem } from "./controls/problem";
import { useReady } from "./use-ready";

/** Where it is noted that the page comes again because of this: whoever chose goes on from the same place, by the keyboard too. */
const CHOSEN = "fastigo-language-chosen";

/** In which language one is spoken to; the page comes again in the one that is chosen. */
export function LanguageChoice({ dark = false }: { dark?: boolean }) {
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  const list = useRef<HTMLSelectElement>(null);
  useEffect(() => {
    if (!ready || sessionStorage.getItem(CHOSEN) === null) return;
    sessionStorage.removeItem(CHOSEN);
    list.current?.focus();
  }, [ready]);
  const choose = async (chosen: string) => {
    const done = await askServer("PUT", "/api/language", { language: chosen });
    if (!done.ok) return setProblem(done.sentence);
    sessionStorage.setItem(CHOSEN, "");
    window.location.reload();
  };
  return (
    <span className="relative flex items-center gap-1.5 rounded-md max-sm:size-9 max-sm:justify-center max-sm:has-focus-visible:outline-2">
      <Languages size={18} aria-hidden />
      <select
        ref={list}
        aria-label={WORDS.language}
        className={classes(
          // On a phone the sign alone is seen; the list of the device opens from it all the same.
          "h-9 rounded-md border px-2 text-[14px] max-sm:absolute max-sm:inset-0 max-sm:size-9 max-sm:opacity-0",
          dark ? "border-[#4b6a70] bg-slate text-white" : "border-edge bg-white",
        )}
        disabled={!ready}
        value={language()}
        onChange={(e) => void choose(e.target.value)}
      >
        {Object.entries(LANGUAGES).map(([tag, name]) => (
          <option key={tag} value={tag} lang={tag}>
            {name}
          </option>
        ))}
      </select>
      {problem ? <Problem text={problem} /> : null}
    </span>
  );
}
