"use client";

import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { useReady } from "@/ui/use-ready";

export function JoinButton({ token }: { token: string }) {
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <>
      <Button
        kind="main"
        disabled={!ready}
        onClick={async () => {
          const answer = await askServer<{ id: string }>("POST", `/api/join/${token}`);
          if (answer.ok) window.location.assign(`/timelines/${answer.value.id}`);
          else setProblem(answer.sentence);
        }}
      >
        Join
      </Button>
      {problem ? (
        <p role="alert" className="mt-3 font-bold text-copper-dark">
          {problem}
        </p>
      ) : null}
    </>
  );
}
