"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { WORDS } from "@/core/words/classes";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { Field, INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

const COUNTS = [5, 8, 12, 20, 40];

/** Gives a practice to a class. */
export function GivePractice({
  klass,
  zone,
  timelines,
}: {
  klass: string;
  /** The time zone of the class. */
  zone: string;
  timelines: { id: string; title: string }[];
}) {
  const router = useRouter();
  const ready = useReady();
  const [choice, setChoice] = useState({ timeline: timelines[0]?.id ?? "", count: 8, parts: false, spans: true });
  const [due, setDue] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  if (timelines.length === 0) return <p className="text-quiet">{WORDS.noTimelines}</p>;
  return (
    <details className="mb-3 rounded-md border border-line bg-panel px-3 py-2">
      <summary className="min-h-7 cursor-pointer font-bold">{WORDS.givePractice}</summary>
      <form
        className="mt-2 flex flex-col gap-2"
        onSubmit={async (e) => {
          e.preventDefault();
          const answer = await askServer("POST", `/api/classes/${klass}/practices`, {
            ...choice,
            ...(due ? { dueAt: due } : {}),
          });
          setProblem(answer.ok ? null : answer.sentence);
          if (answer.ok) router.refresh();
        }}
      >
        <Field label={WORDS.ofTimeline}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={choice.timeline}
              onChange={(e) => setChoice({ ...choice, timeline: e.target.value })}
            >
              {timelines.map((t) => (
                <option key={t.id} value={t.id}>
                  {t.title || WORDS.untitledPractice}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Field label={WORDS.howManyEvents}>
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              value={choice.count}
              onChange={(e) => setChoice({ ...choice, count: Number(e.target.value) })}
            >
              {COUNTS.map((n) => (
                <option key={n}>{n}</option>
              ))}
            </select>
          )}
        </Field>
        <CheckRow
          label={WORDS.withSpans}
          checked={choice.spans}
          onChange={(spans) => setChoice({ ...choice, spans })}
        />
        <CheckRow
          label={WORDS.withParts}
          checked={choice.parts}
          onChange={(parts) => setChoice({ ...choice, parts })}
        />
        <Field label={WORDS.practiceDue} hint={WORDS.inTheTimeOfThe(zone.replaceAll("_", " "))}>
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              type="datetime-local"
              className={INPUT}
              value={due}
              onChange={(e) => setDue(e.target.value)}
            />
          )}
        </Field>
        <Problem text={problem} />
        <Button type="submit" className="self-start" disabled={!ready}>
          {WORDS.give}
        </Button>
      </form>
    </details>
  );
}

/** Takes a practice back, with what was made of it. */
export function TakePracticeBack({ klass, id, title }: { klass: string; id: string; title: string }) {
  const router = useRouter();
  const ready = useReady();
  const [problem, setProblem] = useState<string | null>(null);
  return (
    <>
      <Button
        size="small"
        kind="quiet"
        disabled={!ready}
        aria-label={WORDS.takeBackNamed(title)}
        onClick={async () => {
          const answer = await askServer("DELETE", `/api/classes/${klass}/practices/${id}`);
          setProblem(answer.ok ? null : answer.sentence);
          if (answer.ok) router.refresh();
        }}
      >
        {WORDS.takeBack}
      </Button>
      <Problem text={problem} />
    </>
  );
}
