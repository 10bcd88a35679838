import { WORDS } from "@/core/words/controls";
import Link from "next/link";
import type { ReactNode } from "react";
import { LanguageChoice } from "./language-choice";
import { Logo } from "./logo";

/** The dark bar of pages that are not a timeline. */
export function PlainBar({ children }: { children?: ReactNode }) {
  return (
    <header className="flex h-14 items-center gap-3 bg-slate px-[18px] text-white">
      <Link href="/" className="flex items-center gap-3.5 rounded-md">
        <Logo />
        <span className="font-head text-[20px] font-[650]">{WORDS.fastigo}</span>
      </Link>
      <div className="ml-auto flex items-center gap-3">
        <LanguageChoice dark />
        {children}
      </div>
    </header>
  );
}
