"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { WORDS } from "@/core/words/people";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

/** Ending the year of a class, and beginning the next one with its set-up. */
export function YearPanel({
  classId,
  name,
  over,
  leads,
}: {
  classId: string;
  name: string;
  over: boolean;
  /** Only who leads it ends it. */
  leads: boolean;
}) {
  const router = useRouter();
  const ready = useReady();
  const [next, setNext] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const end = async () => {
    const answer = await askServer("PUT", `/api/classes/${classId}/year`, { over: !over });
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) router.refresh();
  };
  const begin = async () => {
    const answer = await askServer<{ id: string }>("POST", `/api/classes/${classId}/year`, { name: next ?? "" });
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) window.location.assign(`/classes/${answer.value.id}`);
  };
  return (
    <section aria-label={WORDS.year} className="mt-5">
      <h2 className="mb-2 text-[18px]">{WORDS.year}</h2>
      {over ? <p className="mb-2 font-bold">{WORDS.yearOver}</p> : null}
      <div className="flex flex-wrap gap-2">
        <Button size="small" disabled={!ready} onClick={() => setNext(name)}>
          {WORDS.nextYear}
        </Button>
        {leads ? (
          <Button size="small" kind="quiet" disabled={!ready} onClick={() => void end()}>
            {over ? WORDS.reopen : WORDS.endYear}
          </Button>
        ) : null}
      </div>
      {leads && !over ? <p className="mt-1 text-[13px] text-quiet">{WORDS.endYearHelp}</p> : null}
      <Problem text={next === null ? problem : null} className="mt-2" />
      <Modal title={WORDS.nextYear} open={next !== null} onOpenChange={() => setNext(null)}>
        <p className="text-[14px] text-quiet">{WORDS.nextYearHelp}</p>
        <Field label={WORDS.nextName} problem={problem} className="mt-3">
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              className={INPUT}
              maxLength={80}
              value={next ?? ""}
              onChange={(e) => setNext(e.target.value)}
            />
          )}
        </Field>
        <div className="mt-4 flex gap-2">
          <Button kind="main" onClick={() => void begin()}>
            {WORDS.begin}
          </Button>
          <Button onClick={() => setNext(null)}>{WORDS.cancel}</Button>
        </div>
      </Modal>
    </section>
  );
}
