"use client";

import { useRefresh } from "@/ui/use-refresh";
import { useState } from "react";
import { WORDS } from "@/core/words/marking";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import type { DeskSubmission } from "./desk-submission";
import { saverOf } from "./mark-saver";
import { RubricMarks } from "./rubric-marks";

/** Changing a mark that was given back: with a reason the group reads; what it was stays in the history. */
export function ChangeMark({ open, total }: { open: DeskSubmission; total: number }) {
  const refresh = useRefresh();
  const [shown, setShown] = useState(false);
  const [points, setPoints] = useState("");
  const [levels, setLevels] = useState<(number | null)[]>([]);
  const [reason, setReason] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const begin = () => {
    setPoints(open.points === null ? "" : String(open.points));
    setLevels(open.levels);
    setReason("");
    setProblem(null);
    setShown(true);
  };
  const change = async () => {
    const saver = saverOf(open.id, total);
    if (!(await saver.flush())) return;
    const number = Number(points.trim().replace(",", "."));
    if (points.trim() === "" || !(number >= 0 && number <= total)) {
      setProblem(WORDS.thePointsMustLieBetween(total));
      return;
    }
    const typed = saver.typed;
    const answer = await askServer("PUT", `/api/submissions/${open.id}/mark`, {
      points: number,
      levels,
      reason,
      comment: typed?.comment ?? open.comment,
      comments: Object.entries(typed?.comments ?? open.comments).map(([event, text]) => ({ event, text })),
    });
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) return;
    saver.forget();
    setShown(false);
    void refresh();
  };
  return (
    <>
      <Button size="small" onClick={begin}>
        {WORDS.changeMark}
      </Button>
      <Modal title={WORDS.changeMark} open={shown} onOpenChange={setShown}>
        {open.rubric ? (
          <RubricMarks
            rubric={open.rubric}
            chosen={levels}
            points={points}
            total={total}
            disabled={false}
            name="change"
            onChoose={(next, sum) => {
              setLevels(next);
              if (sum !== null) setPoints(String(sum));
            }}
          />
        ) : null}
        <Field label={WORDS.pointsOf(total)} className="mt-3">
          {(ids) => (
            <input
              id={ids.id}
              inputMode="decimal"
              className={INPUT}
              value={points}
              onChange={(e) => setPoints(e.target.value)}
            />
          )}
        </Field>
        <Field label={WORDS.whyChanged} problem={problem} className="mt-3">
          {(ids) => (
            <textarea
              id={ids.id}
              aria-describedby={ids.describedBy}
              rows={2}
              maxLength={500}
              className={`${INPUT} h-auto py-2`}
              value={reason}
              onChange={(e) => setReason(e.target.value)}
            />
          )}
        </Field>
        <div className="mt-4 flex gap-2">
          <Button kind="main" onClick={() => void change()}>
            {WORDS.changeIt}
          </Button>
          <Button onClick={() => setShown(false)}>{WORDS.cancel}</Button>
        </div>
      </Modal>
    </>
  );
}
