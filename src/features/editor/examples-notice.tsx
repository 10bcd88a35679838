"use client";

import { useMemo } from "react";
import { keepExamples, untouchedExamples, withoutExamples } from "@/core/starting-points/starting-points";
import { WORDS } from "@/core/words/starting-points";
import { Button } from "@/ui/controls/button";
import { useEditor, useEditorState } from "./store/editor-context";

/** While a timeline has events that came with its starting point: one click takes them away, or keeps them. */
export function ExamplesNotice() {
  const { store } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const examples = useMemo(() => untouchedExamples(timeline).length, [timeline]);
  if (examples === 0) return null;
  return (
    <div className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-line bg-verdigris-wash px-[18px] py-1.5 text-[14px]">
      <span>{WORDS.examples(examples)}</span>
      <Button size="small" onClick={() => store.edit(withoutExamples(store.getState().timeline))}>
        {WORDS.takeAway}
      </Button>
      <Button size="small" onClick={() => store.edit(keepExamples(store.getState().timeline))}>
        {WORDS.keepThem}
      </Button>
    </div>
  );
}
