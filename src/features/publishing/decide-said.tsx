"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { WORDS } from "@/core/words/reports";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

/** Takes away what was reported of somebody's words, or leaves it. */
export function DecideSaid({ report, by, there }: { report: string; by: string; there: boolean }) {
  const router = useRouter();
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  const decide = async (remove: boolean) => {
    const answer = await askServer("PUT", `/api/operator/said/${report}`, { remove });
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) router.refresh();
  };
  return (
    <div className="mt-2 flex gap-2">
      {there ? (
        <Button size="small" disabled={!ready} aria-label={`${WORDS.remove}: ${by}`} onClick={() => void decide(true)}>
          {WORDS.remove}
        </Button>
      ) : null}
      <Button size="small" disabled={!ready} aria-label={`${WORDS.leave}: ${by}`} onClick={() => void decide(false)}>
        {WORDS.leave}
      </Button>
      <Problem text={problem} />
    </div>
  );
}
