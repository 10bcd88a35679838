"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { WORDS } from "@/core/words/published-pages";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

/** Hides what was reported, leaves it, or shows it again. */
export function Decide({ timeline, title, hidden }: { timeline: string; title: string; hidden: boolean }) {
  const router = useRouter();
  // Before the page has woken up a press would be lost.
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  const decide = async (hide: boolean) => {
    const answer = await askServer("PUT", `/api/operator/${timeline}`, { hide });
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) router.refresh();
  };
  return (
    <div className="mt-2 flex gap-2">
      {hidden ? null : (
        <Button size="small" disabled={!ready} aria-label={`${WORDS.hide}: ${title}`} onClick={() => void decide(true)}>
          {WORDS.hide}
        </Button>
      )}
      <Button
        size="small"
        disabled={!ready}
        aria-label={`${hidden ? WORDS.show : WORDS.keep}: ${title}`}
        onClick={() => void decide(false)}
      >
        {hidden ? WORDS.show : WORDS.keep}
      </Button>
      <Problem text={problem} />
    </div>
  );
}
