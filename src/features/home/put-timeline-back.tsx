"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { WORDS } from "@/core/words/home";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";

/** Puts a deleted timeline back, with all it had. */
export function PutTimelineBack({ id, title }: { id: string; title: string }) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const run = async () => {
    setBusy(true);
    const answer = await askServer("PATCH", `/api/timelines/${id}`, { deleted: false });
    setBusy(false);
    if (answer.ok) router.refresh();
    else setProblem(answer.sentence);
  };
  return (
    <span className="flex items-center gap-3">
      {problem ? (
        <span role="alert" className="text-[14px] text-copper-dark">
          {problem}
        </span>
      ) : null}
      <Button aria-label={WORDS.putBackNamed(title)} disabled={busy} onClick={() => void run()}>
        {WORDS.putBack}
      </Button>
    </span>
  );
}
