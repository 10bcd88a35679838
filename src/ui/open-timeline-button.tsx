"use client";

import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { useReady } from "@/ui/use-ready";

/** Asks the server, with a POST to `path`, for a timeline to work on, and opens it; a refusal is said below the button. */
export function OpenTimelineButton({ path, label }: { path: string; label: string }) {
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <>
      <Button
        kind="main"
        disabled={!ready}
        onClick={async () => {
          const answer = await askServer<{ timeline: string }>("POST", path);
          if (answer.ok) window.location.assign(`/timelines/${answer.value.timeline}`);
          else setProblem(answer.sentence);
        }}
      >
        {label}
      </Button>
      {problem ? (
        <p role="alert" className="mt-2 font-bold text-copper-dark">
          {problem}
        </p>
      ) : null}
    </>
  );
}
