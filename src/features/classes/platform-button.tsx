"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { WORDS } from "@/core/words/platform";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { useReady } from "@/ui/use-ready";

/** Bringing in the students of the course that a class is on a learning platform. */
export function PlatformButton({ classId, platform }: { classId: string; platform: string }) {
  const router = useRouter();
  const ready = useReady();
  const [said, setSaid] = useState<string | null>(null);
  return (
    <p className="mb-3 flex flex-wrap items-center gap-2">
      <Button
        size="small"
        disabled={!ready}
        onClick={async () => {
          const answer = await askServer<{ added: number; there: number }>("POST", `/api/classes/${classId}/platform`);
          setSaid(answer.ok ? WORDS.brought(answer.value.added, answer.value.there) : answer.sentence);
          if (answer.ok) router.refresh();
        }}
      >
        {WORDS.bring(platform)}
      </Button>
      <span role="status" className="text-[14px]">
        {said}
      </span>
    </p>
  );
}
