"use client";

import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { useReady } from "@/ui/use-ready";
import { Problem } from "@/ui/controls/problem";

/** Asks the server for a timeline to work on, and opens it; a refusal is said below the button. */
export function OpenTimelineButton({
  path,
  label,
  method = "POST",
  body,
  kind = "main",
  disabled = false,
}: {
  path: string;
  label: string;
  method?: "POST" | "PUT";
  body?: object;
  kind?: "main" | "plain";
  disabled?: boolean;
}) {
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <>
      <Button
        kind={kind}
        disabled={!ready || disabled}
        onClick={async () => {
          const answer = await askServer<{ timeline: string }>(method, path, body);
          if (answer.ok) window.location.assign(`/timelines/${answer.value.timeline}`);
          else setProblem(answer.sentence);
        }}
      >
        {label}
      </Button>
      <Problem text={problem} className="mt-2" />
    </>
  );
}
