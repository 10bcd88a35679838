"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { WORDS as MARKING } from "@/core/words/marking";
import { WORDS } from "@/core/words/moderation";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { useReady } from "@/ui/use-ready";
import type { DeskSubmission } from "./desk-submission";
import { useFocusWhenOpened } from "./use-focus";
import { RubricMarks } from "./rubric-marks";

/** A work of the sample as its second marker marks it: before they see what the first gave. */
export function SecondMark({ open, total }: { open: DeskSubmission; total: number }) {
  const heading = useFocusWhenOpened<HTMLHeadingElement>();
  const router = useRouter();
  const ready = useReady();
  const [points, setPoints] = useState("");
  const [levels, setLevels] = useState<(number | null)[]>([]);
  const [comment, setComment] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const give = async () => {
    const number = Number(points.trim().replace(",", "."));
    if (points.trim() === "" || !(number >= 0 && number <= total)) {
      setProblem(MARKING.thePointsMustLieBetween(total));
      return;
    }
    const answer = await askServer("PUT", `/api/submissions/${open.id}/second`, { points: number, levels, comment });
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) router.refresh();
  };
  return (
    <aside
      aria-label={WORDS.secondTitle}
      className="w-[340px] shrink-0 overflow-y-auto border-s border-line bg-panel p-5 max-lg:order-first max-lg:w-full max-lg:border-b max-lg:border-s-0"
    >
      <h2 ref={heading} tabIndex={-1} className="text-[20px]">
        {open.members.join(", ")}
      </h2>
      <p className="mt-1 font-bold">{WORDS.secondTitle}</p>
      <p className="text-[14px] text-quiet">{WORDS.secondHelp}</p>
      {open.rubric ? (
        <RubricMarks
          rubric={open.rubric}
          chosen={levels}
          points={points}
          total={total}
          disabled={!ready}
          name="second"
          onChoose={(next, sum) => {
            setLevels(next);
            if (sum !== null) setPoints(String(sum));
          }}
        />
      ) : null}
      <Field label={MARKING.pointsOf(total)} problem={problem} className="mt-3">
        {(ids) => (
          <input
            id={ids.id}
            aria-describedby={ids.describedBy}
            inputMode="decimal"
            className={INPUT}
            value={points}
            onChange={(e) => setPoints(e.target.value)}
          />
        )}
      </Field>
      <Field label={WORDS.comment} className="mt-3">
        {(ids) => (
          <textarea
            id={ids.id}
            rows={3}
            maxLength={4_000}
            className={`${INPUT} h-auto py-2`}
            value={comment}
            onChange={(e) => setComment(e.target.value)}
          />
        )}
      </Field>
      <Button kind="main" className="mt-3" disabled={!ready} onClick={() => void give()}>
        {WORDS.give}
      </Button>
    </aside>
  );
}

/** Drawing the works that a second teacher marks too. */
export function DrawSample({ assignment }: { assignment: string }) {
  const router = useRouter();
  const ready = useReady();
  const [count, setCount] = useState(3);
  const [said, setSaid] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const draw = async () => {
    const answer = await askServer<{ drawn: number }>("POST", `/api/assignments/${assignment}/moderation`, { count });
    setProblem(answer.ok ? null : answer.sentence);
    setSaid(answer.ok ? WORDS.drawn(answer.value.drawn) : null);
    if (answer.ok) router.refresh();
  };
  return (
    <div className="mt-3 flex flex-wrap items-end gap-2">
      <Field label={WORDS.count} problem={problem} className="w-40">
        {(ids) => (
          <input
            id={ids.id}
            aria-describedby={ids.describedBy}
            type="number"
            min={1}
            max={100}
            className={INPUT}
            value={count}
            onChange={(e) => setCount(Math.min(100, Math.max(1, Math.round(Number(e.target.value)) || 1)))}
          />
        )}
      </Field>
      <Button disabled={!ready} onClick={() => void draw()}>
        {WORDS.draw}
      </Button>
      <span role="status" className="text-[14px] text-verdigris">
        {said}
      </span>
    </div>
  );
}
