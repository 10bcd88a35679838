"use client";

import { useRefresh } from "@/ui/use-refresh";
import { useState } from "react";
import { WORDS } from "@/core/words/peers";
import { askServer } from "@/ui/ask-server";
import { CheckRow } from "@/ui/controls/check-row";
import { Problem } from "@/ui/controls/problem";

/** Shows a work in the gallery of its class, or no longer; what could not be done is said, and the box is as it was. */
export function GalleryBox({
  assignment,
  submission,
  gallery,
}: {
  assignment: string;
  submission: string;
  /** What is shown to the class. */
  gallery: readonly string[];
}) {
  const refresh = useRefresh();
  const [wanted, setWanted] = useState<boolean | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const change = async (on: boolean) => {
    setWanted(on);
    const answer = await askServer("PUT", `/api/assignments/${assignment}/gallery`, {
      submissions: on ? [...gallery, submission] : gallery.filter((g) => g !== submission),
    });
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) setWanted(null);
    void refresh();
  };
  return (
    <div className="mt-3">
      <CheckRow
        label={WORDS.inGallery}
        checked={wanted ?? gallery.includes(submission)}
        onChange={(on) => void change(on)}
      />
      <Problem text={problem} />
    </div>
  );
}
