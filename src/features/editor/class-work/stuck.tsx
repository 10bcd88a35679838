"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/editor-class-work";
import { Button } from "@/ui/controls/button";
import { SendLine } from "@/ui/controls/send-line";
import { useEditor, useEditorState } from "../store/editor-context";

/** What a group has asked at an event (or about the whole, ""), the answers, and asking. Nothing where there is no teacher to ask. */
export function Stuck({ event }: { event: string }) {
  const { store } = useEditor();
  const work = useEditorState((s) => s.work);
  const [asking, setAsking] = useState(false);
  if (!work) return null;
  const own = work.questions.filter((q) => q.event === event);
  return (
    <section aria-label={WORDS.stuck} className="mt-4 text-[14px]">
      {own.length > 0 ? <h3 className="font-sans text-[14px] font-bold">{WORDS.asked}</h3> : null}
      <ul className="flex flex-col gap-1.5">
        {own.map((q) => (
          <li key={q.id}>
            <strong>{q.by}:</strong> <span className="whitespace-pre-line">{q.text}</span>
            {q.answer ? (
              <span className="block border-s-2 border-verdigris ps-2 whitespace-pre-line">
                <strong>{q.answeredBy}:</strong> {q.answer}
              </span>
            ) : (
              <span className="block text-quiet">{WORDS.notAnswered}</span>
            )}
          </li>
        ))}
      </ul>
      {asking ? (
        <SendLine
          label={event === "" ? WORDS.stuckWith : WORDS.stuckHere}
          button={WORDS.ask}
          path={`/api/timelines/${store.timelineId}/questions`}
          method="POST"
          more={{ event }}
          onSent={() => {
            setAsking(false);
            void store.refresh();
          }}
        />
      ) : (
        <Button size="small" kind="quiet" className="mt-1" onClick={() => setAsking(true)}>
          {WORDS.iAmStuck}
        </Button>
      )}
    </section>
  );
}
