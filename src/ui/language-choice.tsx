"use client";

import { Languages } from "lucide-react";
import { useState } from "react";
import { WORDS } from "@/core/words/controls";
import { LANGUAGES, language } from "@/core/language/spoken";
import { askServer } from "./ask-server";
import { classes } from "./classes";
import { Problem } from "./controls/problem";
import { useReady } from "./use-ready";

/** In which language one is spoken to; the page comes again in the one that is chosen. */
export function LanguageChoice({ dark = false }: { dark?: boolean }) {
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  const choose = async (chosen: string) => {
    const done = await askServer("PUT", "/api/language", { language: chosen });
    if (done.ok) window.location.reload();
    else setProblem(done.sentence);
  };
  return (
    <span className="relative flex items-center gap-1.5 rounded-md max-sm:size-9 max-sm:justify-center max-sm:has-focus-visible:outline-2">
      <Languages size={18} aria-hidden />
      <select
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
