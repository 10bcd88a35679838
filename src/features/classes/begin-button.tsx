"use client";

import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { useReady } from "@/ui/use-ready";

export function BeginButton({ assignment }: { assignment: string }) {
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <>
      <Button
        kind="main"
        disabled={!ready}
        onClick={async () => {
          const answer = await askServer<{ timeline: string }>("POST", `/api/assignments/${assignment}/group`);
          if (answer.ok) window.location.assign(`/timelines/${answer.value.timeline}`);
          else setProblem(answer.sentence);
        }}
      >
        Begin
      </Button>
      {problem ? (
        <p role="alert" className="mt-2 font-bold text-copper-dark">
          {problem}
        </p>
      ) : null}
    </>
  );
}
