"use client";

import { WORDS } from "@/core/words/editor-about";
import type { Problem } from "@/core/timeline/problems";
import { Button } from "@/ui/controls/button";
import { useEditor, useEditorState } from "../store/editor-context";
import { mendsOf } from "./mends";
import { problemText } from "../../../core/words/findings";

/** A finding in a sentence, with the ways to mend it; `named`: it says which event it is about, and leads there. */
export function Finding({ problem: p, named = false }: { problem: Problem; named?: boolean }) {
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  return (
    <div className="rounded-md bg-sun-wash px-3 py-2 text-[14px]">
      {named ? (
        <>
          <button type="button" className="font-bold underline" onClick={() => select(p.event, true)}>
            {timeline.events.get(p.event)?.title || WORDS.untitled}
          </button>
          :{" "}
        </>
      ) : null}
      {problemText(p, timeline)}
      <span className="mt-1.5 flex flex-wrap gap-1.5">
        {mendsOf(p, timeline).map((m) => (
          <Button key={m.words} size="small" onClick={() => store.edit(m.ops)}>
            {m.words}
          </Button>
        ))}
      </span>
    </div>
  );
}
