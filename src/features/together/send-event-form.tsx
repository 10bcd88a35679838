"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/calls";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

const fields = () =>
  [
    ["name", WORDS.yourName, 80],
    ["when", WORDS.when, 300],
    ["title", WORDS.what, 300],
  ] as const;

/** An event of somebody without an account; what could not be sent stays in the fields. */
export function SendEventForm({ token }: { token: string }) {
  const ready = useReady();
  const [given, setGiven] = useState({ name: "", when: "", title: "", text: "" });
  const [problem, setProblem] = useState<string | null>(null);
  const [sent, setSent] = useState(false);
  if (sent)
    return (
      <div className="mt-5">
        <p role="status" className="rounded-lg bg-verdigris-wash px-4 py-3">
          {WORDS.thanks}
        </p>
        <Button className="mt-4" onClick={() => setSent(false)}>
          {WORDS.another}
        </Button>
      </div>
    );
  return (
    <form
      className="mt-5 flex flex-col gap-3"
      onSubmit={async (e) => {
        e.preventDefault();
        const done = await askServer("POST", `/api/send/${token}`, given);
        setProblem(done.ok ? null : done.sentence);
        if (!done.ok) return;
        setGiven({ ...given, when: "", title: "", text: "" });
        setSent(true);
      }}
    >
      {fields().map(([name, label, most]) => (
        <Field key={name} label={label} {...(name === "when" ? { hint: WORDS.whenHelp } : {})}>
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              className={`${INPUT} max-sm:h-11`}
              maxLength={most}
              disabled={!ready}
              autoComplete={name === "name" ? "nickname" : "off"}
              value={given[name]}
              onChange={(e) => setGiven({ ...given, [name]: e.target.value })}
            />
          )}
        </Field>
      ))}
      <Field label={WORDS.more}>
        {(ids) => (
          <textarea
            id={ids.id}
            rows={5}
            maxLength={4_000}
            disabled={!ready}
            className={`${INPUT} h-auto py-2`}
            value={given.text}
            onChange={(e) => setGiven({ ...given, text: e.target.value })}
          />
        )}
      </Field>
      <Problem text={problem} />
      <Button type="submit" kind="main" disabled={!ready} className="self-start max-sm:h-11">
        {WORDS.send}
      </Button>
      <p className="text-[13px] text-quiet">{WORDS.whatIsKept}</p>
    </form>
  );
}
