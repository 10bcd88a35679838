"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/setting";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { useReady } from "@/ui/use-ready";

/** Setting an assignment once more, in this class or another that one teaches. */
export function UseAgain({ id, classes }: { id: string; classes: readonly { id: string; name: string }[] }) {
  const ready = useReady();
  const [chosen, setChosen] = useState(classes[0]?.id ?? "");
  const [problem, setProblem] = useState<string | null>(null);
  const set = async () => {
    const answer = await askServer<{ id: string }>("POST", `/api/assignments/${id}/again`, { class: chosen });
    if (answer.ok) window.location.assign(`/assignments/${answer.value.id}/edit`);
    else setProblem(answer.sentence);
  };
  return (
    <section aria-label={WORDS.useAgain} className="mt-8 max-w-[480px] border-t border-line pt-5">
      <h2 className="text-[18px]">{WORDS.useAgain}</h2>
      <p className="text-[14px] text-quiet">{WORDS.useAgainHelp}</p>
      <div className="mt-2 flex items-end gap-2">
        <Field label={WORDS.useAgainIn} problem={problem} className="flex-1">
          {(ids) => (
            <select id={ids.id} className={INPUT} value={chosen} onChange={(e) => setChosen(e.target.value)}>
              {classes.map((c) => (
                <option key={c.id} value={c.id}>
                  {c.name}
                </option>
              ))}
            </select>
          )}
        </Field>
        <Button disabled={!ready || chosen === ""} onClick={() => void set()}>
          {WORDS.useIt}
        </Button>
      </div>
    </section>
  );
}
