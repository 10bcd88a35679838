import { WORDS } from "@/core/words/controls";
import { PageLink } from "@/ui/page-link";
import type { ReactNode } from "react";
import { classes } from "./classes";
import { LanguageChoice } from "./language-choice";
import { Logo } from "./logo";

/** The dark bar of pages that are not a timeline. Where much stands in it, a phone shows the sign without the name. */
export function PlainBar({ children, crowded = false }: { children?: ReactNode; crowded?: boolean }) {
  return (
    <header className="flex h-14 items-center gap-3 bg-slate px-[18px] text-white max-sm:gap-2 max-sm:px-3">
      <PageLink href="/" className="flex items-center gap-3.5 rounded-md">
        <Logo />
        <span className={classes("font-head text-[20px] font-[650]", crowded && "max-[430px]:sr-only")}>
          {WORDS.fastigo}
        </span>
      </PageLink>
      <div className="ms-auto flex items-center gap-3 max-sm:gap-1.5">
        <LanguageChoice dark />
        {children}
      </div>
    </header>
  );
}
