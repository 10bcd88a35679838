"use client";

import { type FormEvent, useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { useReady } from "@/ui/use-ready";

/** Makes something that needs a name only, and goes to its page. */
export function NameForm({
  label,
  button,
  placeholder,
  path,
  body = () => ({}),
  to,
}: {
  label: string;
  button: string;
  placeholder?: string;
  /** Where it is made, and what is said beside the name. */
  path: string;
  body?: () => object;
  /** What its id stands behind in the address of its page. */
  to: string;
}) {
  const ready = useReady();
  const [name, setName] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const answer = await askServer<{ id: string }>("POST", path, { name, ...body() });
    if (answer.ok) window.location.assign(`${to}/${answer.value.id}`);
    else setProblem(answer.sentence);
  };
  return (
    <form onSubmit={submit} className="flex items-end gap-2" noValidate>
      <fieldset disabled={!ready} className="contents">
        <Field label={label} problem={problem} className="flex-1">
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              className={INPUT}
              value={name}
              placeholder={placeholder}
              onChange={(e) => setName(e.target.value)}
            />
          )}
        </Field>
        <Button kind="main" type="submit" disabled={!ready}>
          {button}
        </Button>
      </fieldset>
    </form>
  );
}
