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
    <span className="flex items-center gap-1.5">
      <Languages size={18} aria-hidden className="max-sm:hidden" />
      <select
        aria-label={WORDS.language}
        className={classes(
          "h-9 rounded-md border px-2 text-[14px]",
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
