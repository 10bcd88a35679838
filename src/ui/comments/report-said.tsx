"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/reports";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

/** Reports what somebody else said; `by`: their name. */
export function ReportSaid({
  timeline,
  kind,
  thing,
  by,
}: {
  timeline: string;
  kind: "comment" | "suggestion" | "sent";
  thing: string;
  by: string;
}) {
  const ready = useReady();
  const [open, setOpen] = useState(false);
  const [reason, setReason] = useState<keyof typeof WORDS.reasons>("harmful");
  const [words, setWords] = useState("");
  const [told, setTold] = useState<keyof typeof WORDS.told | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  if (told)
    return (
      <span role="status" className="text-[13px] text-verdigris">
        {WORDS.told[told]}
      </span>
    );
  const send = async () => {
    const answer = await askServer<{ to: keyof typeof WORDS.told }>("POST", `/api/timelines/${timeline}/reports`, {
      kind,
      thing,
      reason,
      words,
    });
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) return;
    setOpen(false);
    setTold(answer.value.to);
  };
  return (
    <>
      <Button size="small" kind="quiet" disabled={!ready} aria-label={WORDS.reportOf(by)} onClick={() => setOpen(true)}>
        {WORDS.report}
      </Button>
      <Modal title={WORDS.title(by)} open={open} onOpenChange={setOpen}>
        <Field label={WORDS.reason}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={reason}
              onChange={(e) => setReason(e.target.value as keyof typeof WORDS.reasons)}
            >
              {Object.entries(WORDS.reasons).map(([value, text]) => (
                <option key={value} value={value}>
                  {text}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label={WORDS.words} className="mt-3">
          {(ids) => (
            <textarea
              id={ids.id}
              rows={3}
              maxLength={2_000}
              className={`${INPUT} h-auto py-1.5`}
              value={words}
              onChange={(e) => setWords(e.target.value)}
            />
          )}
        </Field>
        <Problem text={problem} className="mt-2" />
        <div className="mt-4 flex gap-2">
          <Button kind="main" onClick={() => void send()}>
            {WORDS.send}
          </Button>
          <Button onClick={() => setOpen(false)}>{WORDS.cancel}</Button>
        </div>
      </Modal>
    </>
  );
}
