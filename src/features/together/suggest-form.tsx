"use client";

import { useEffect, useState } from "react";
import { WORDS } from "@/core/words/en/suggestions";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

interface Given {
  when: string;
  title: string;
  text: string;
  category: string | null;
}

const NOTHING: Given = { when: "", title: "", text: "", category: null };

/** Suggests what an event be, or a new one: its fields as they stand, to be written otherwise. */
export function SuggestForm({
  timeline,
  titles,
  event,
  onEvent,
}: {
  timeline: string;
  titles: readonly { id: string; title: string }[];
  /** "" for a new one. */
  event: string;
  onEvent: (event: string) => void;
}) {
  const ready = useReady();
  const [was, setWas] = useState<Given>(NOTHING);
  const [given, setGiven] = useState<Given>(NOTHING);
  const [why, setWhy] = useState("");
  const [categories, setCategories] = useState<readonly { id: string; name: string }[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const [said, setSaid] = useState(false);
  const path = `/api/timelines/${timeline}/suggestions`;
  useEffect(() => {
    let wanted = true;
    void askServer<{ current: Given | null; categories: { id: string; name: string }[] }>(
      "GET",
      event === "" ? path : `${path}?event=${encodeURIComponent(event)}`,
    ).then((got) => {
      if (!wanted || !got.ok) return;
      const now = got.value.current ?? NOTHING;
      setWas(now);
      setGiven(now);
      setCategories(got.value.categories);
    });
    return () => {
      wanted = false;
    };
  }, [path, event]);
  const input = (name: "when" | "title", label: string) => (
    <Field label={label} className="mt-2">
      {(ids) => (
        <input
          id={ids.id}
          className={INPUT}
          maxLength={300}
          disabled={!ready}
          value={given[name]}
          onChange={(e) => setGiven({ ...given, [name]: e.target.value })}
        />
      )}
    </Field>
  );
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
      {input("when", WORDS.when)}
      {input("title", WORDS.title)}
      <Field label={WORDS.text} className="mt-2">
        {(ids) => (
          <textarea
            id={ids.id}
            rows={5}
            disabled={!ready}
            className={`${INPUT} h-auto py-1.5`}
            value={given.text}
            onChange={(e) => setGiven({ ...given, text: e.target.value })}
          />
        )}
      </Field>
      {categories.length > 0 ? (
        <Field label={WORDS.category} className="mt-2">
          {(ids) => (
            <select
              id={ids.id}
              className={INPUT}
              disabled={!ready}
              value={given.category ?? ""}
              onChange={(e) => setGiven({ ...given, category: e.target.value || null })}
            >
              <option value="">{WORDS.none}</option>
              {categories.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
            </select>
          )}
        </Field>
      ) : null}
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
        disabled={!ready || given.title.trim() === ""}
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
