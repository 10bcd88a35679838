"use client";

import { useEffect, useState } from "react";
import { WORDS } from "@/core/words/suggestions";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";
import { EventFields, NOTHING_SAID, type SaidEvent } from "./event-fields";

/** Suggests what an event be, or a new one: its fields as they stand, to be written otherwise. */
export function SuggestForm({
  timeline,
  titles,
  about,
  onEvent,
}: {
  timeline: string;
  titles: readonly { id: string; title: string }[];
  /** The event that is looked at; "" for none. */
  about: string;
  onEvent: (event: string) => void;
}) {
  const ready = useReady();
  /** The one a change of is suggested; "" for a new one. */
  const [event, setEvent] = useState(about);
  /** The one whose fields are here: until they are, nothing can be written into them. */
  const [here, setHere] = useState<string | null>(null);
  const [was, setWas] = useState<SaidEvent>(NOTHING_SAID);
  const [given, setGiven] = useState<SaidEvent>(NOTHING_SAID);
  const [why, setWhy] = useState("");
  const [categories, setCategories] = useState<readonly { id: string; name: string }[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [said, setSaid] = useState(false);
  const path = `/api/timelines/${timeline}/suggestions`;
  // It goes along with what is looked at while nothing is written that would be lost.
  const isWritten = why !== "" || JSON.stringify(given) !== JSON.stringify(was);
  useEffect(() => {
    if (!isWritten) setEvent(about);
  }, [about, isWritten]);
  useEffect(() => {
    let wanted = true;
    void askServer<{ current: SaidEvent | null; categories: { id: string; name: string }[] }>(
      "GET",
      event === "" ? path : `${path}?event=${encodeURIComponent(event)}`,
    ).then((got) => {
      if (!wanted || !got.ok) return;
      const now = got.value.current ?? NOTHING_SAID;
      setWas(now);
      setGiven(now);
      setHere(event);
      setCategories(got.value.categories);
    });
    return () => {
      wanted = false;
    };
  }, [path, event]);
  return (
    <details className="mb-5 border-b border-line pb-4">
      <summary className="cursor-pointer text-[16px] font-bold text-verdigris">{WORDS.suggest}</summary>
      <Field label={WORDS.about} className="mt-2">
        {(ids) => (
          <select
            id={ids.id}
            className={INPUT}
            disabled={!ready}
            value={event}
            onChange={(e) => {
              setSaid(false);
              setEvent(e.target.value);
              onEvent(e.target.value);
            }}
          >
            <option value="">{WORDS.aNewOne}</option>
            {titles.map((t) => (
              <option key={t.id} value={t.id}>
                {t.title}
              </option>
            ))}
          </select>
        )}
      </Field>
      <fieldset disabled={here !== event}>
        <legend className="sr-only">{WORDS.asSuggested}</legend>
        <EventFields event={given} categories={categories} onChange={setGiven} />
      </fieldset>
      <Field label={WORDS.why} className="mt-2">
        {(ids) => (
          <input
            id={ids.id}
            className={INPUT}
            maxLength={1_000}
            disabled={!ready}
            value={why}
            onChange={(e) => setWhy(e.target.value)}
          />
        )}
      </Field>
      <Button
        kind="main"
        size="small"
        className="mt-2"
        disabled={!ready || here !== event || given.title.trim() === ""}
        onClick={async () => {
          const done = await askServer("POST", path, { event, was, given, why });
          setProblem(done.ok ? null : done.sentence);
          setSaid(done.ok);
          if (!done.ok) return;
          setWhy("");
          setGiven(was);
        }}
      >
        {WORDS.send}
      </Button>
      <Problem text={problem} className="mt-2" />
      {said ? (
        <p role="status" className="mt-2 text-[14px] text-verdigris">
          {WORDS.sent}
        </p>
      ) : null}
    </details>
  );
}
