"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/published-pages";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

/** Begins a timeline of one's own with a published one, and opens it. */
export function CopyAsMine({ address }: { address: string }) {
  // Before the page has woken up a press would be lost.
  const ready = useReady();
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const copy = async () => {
    setBusy(true);
    const answer = await askServer<{ id: string }>("POST", `/api/published/${address}/copy`);
    if (answer.ok) window.location.assign(`/timelines/${answer.value.id}`);
    else {
      setBusy(false);
      setProblem(answer.sentence);
    }
  };
  return (
    <>
      <Button disabled={busy || !ready} onClick={() => void copy()}>
        {WORDS.copyDo}
      </Button>
      <Problem text={problem} className="mt-2" />
    </>
  );
}
