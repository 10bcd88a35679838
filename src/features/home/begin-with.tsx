"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/starting-points";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

/** Begins a timeline with a starting point and opens it. */
export function BeginWith({ point }: { point: string }) {
  const [busy, setBusy] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const ready = useReady();
  const begin = async () => {
    setBusy(true);
    const answer = await askServer<{ id: string }>("POST", `/api/starting-points/${point}`, {});
    if (answer.ok) return window.location.assign(`/timelines/${answer.value.id}`);
    setBusy(false);
    setProblem(answer.sentence);
  };
  return (
    <div>
      <Button kind="main" disabled={busy || !ready} onClick={() => void begin()}>
        {WORDS.beginWithThis}
      </Button>
      <Problem text={problem ?? undefined} framed />
    </div>
  );
}
