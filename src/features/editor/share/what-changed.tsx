"use client";

import { useMemo, useState } from "react";
import { fromSnapshot, type Snapshot } from "@/core/formats/snapshot";
import { compareTimelines } from "@/core/history/compare";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-share";
import { askPacked } from "@/ui/ask-server";
import { Problem } from "@/ui/controls/problem";
import { Differences } from "../history/differences";
import { useEditor, useEditorState } from "../store/editor-context";

/** What is otherwise now than on the published page (`seq`: its last change), before it is published too. */
export function WhatChanged({ seq }: { seq: number }) {
  const { store } = useEditor();
  const now = useEditorState((s) => s.timeline);
  const [before, setBefore] = useState<Timeline | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const compared = useMemo(() => before && compareTimelines(before, now), [before, now]);
  const open = async () => {
    if (before) return;
    const answer = await askPacked<Snapshot>(`/api/timelines/${store.timelineId}/past/${seq}`);
    if (answer.ok) setBefore(fromSnapshot(answer.value));
    else setProblem(answer.sentence);
  };
  return (
    <details className="mb-3" onToggle={(e) => e.currentTarget.open && void open()}>
      <summary className="cursor-pointer text-[15px] text-verdigris underline">{WORDS.whatChanged}</summary>
      <Problem text={problem} className="mt-2" />
      {compared && before ? (
        <div className="mt-2 max-h-[38vh] overflow-y-auto rounded-md border border-line px-3 py-2">
          <p className="text-[14px] text-quiet">
            {WORDS.changedInAll(compared.added.length, compared.changed.length, compared.removed.length)}
          </p>
          <Differences
            compared={compared}
            before={before}
            after={now}
            selected={null}
            onSelect={null}
            onPutBack={null}
          />
        </div>
      ) : null}
    </details>
  );
}
