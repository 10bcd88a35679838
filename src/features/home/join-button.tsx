"use client";

import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";

export function JoinButton({ token }: { token: string }) {
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <>
      <Button
        kind="main"
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
