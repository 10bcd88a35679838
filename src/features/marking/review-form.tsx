"use client";

import { useState } from "react";
import type { Rubric } from "@/core/classes/rubric";
import { WORDS } from "@/core/words/peers";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { useReady } from "@/ui/use-ready";
import { RubricMarks } from "./rubric-marks";

export interface GivenReview {
  id: string;
  submission: string;
  names: string;
  rubric: Rubric | null;
  total: number;
  levels: (number | null)[];
  comment: string;
  done: boolean;
}

/** A work of somebody else that one reads, and what one says of it. */
export function ReviewForm({ given: g, name }: { given: GivenReview; name: string }) {
  const ready = useReady();
  const [levels, setLevels] = useState(g.levels);
  const [comment, setComment] = useState(g.comment);
  const [state, setState] = useState<"open" | "done" | "sent">(g.done ? "done" : "open");
  const [problem, setProblem] = useState<string | null>(null);
  const send = async () => {
    const answer = await askServer("PUT", `/api/reviews/${g.id}`, { levels, comment });
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) setState("sent");
  };
  return (
    <article aria-label={name} className="mt-3 rounded-lg border border-line p-4">
      <h3 className="flex items-baseline gap-3 text-[17px]">
        {name}
        <a
          href={`/submissions/${g.submission}/reader`}
          target="_blank"
          rel="noreferrer"
          className="font-sans text-[14px] font-bold text-verdigris underline"
        >
          {WORDS.readIt}
        </a>
      </h3>
      {g.rubric ? (
        <RubricMarks
          rubric={g.rubric}
          chosen={levels}
          points=""
          total={g.total}
          disabled={!ready}
          name={g.id}
          onChoose={(next) => {
            setLevels(next);
            setState("open");
          }}
        />
      ) : null}
      <Field label={WORDS.comment(name)} problem={problem} className="mt-3">
        {(ids) => (
          <textarea
            id={ids.id}
            aria-describedby={ids.describedBy}
            rows={3}
            maxLength={4_000}
            className={`${INPUT} h-auto py-2`}
            value={comment}
            onChange={(e) => {
              setComment(e.target.value);
              setState("open");
            }}
          />
        )}
      </Field>
      <div className="mt-2 flex items-center gap-3">
        <Button kind="main" disabled={!ready} onClick={() => void send()}>
          {g.done ? WORDS.sendAgain : WORDS.send}
        </Button>
        <span role="status" className="text-[14px] text-verdigris">
          {state === "sent" ? WORDS.sent : ""}
        </span>
      </div>
    </article>
  );
}
