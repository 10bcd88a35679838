"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { WORDS } from "@/core/words/published-pages";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

/** Takes a published page back from the list of all one has published. */
export function TakeBack({ timeline, title }: { timeline: string; title: string }) {
  const router = useRouter();
  // Before the page has woken up a press would be lost.
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <span>
      <Button
        disabled={!ready}
        aria-label={`${WORDS.takeBack}: ${title}`}
        onClick={async () => {
          const answer = await askServer("DELETE", `/api/timelines/${timeline}/publication`);
          setProblem(answer.ok ? null : answer.sentence);
          if (answer.ok) router.refresh();
        }}
      >
        {WORDS.takeBack}
      </Button>
      <Problem text={problem} />
    </span>
  );
}
