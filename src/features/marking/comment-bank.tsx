"use client";

import { useCallback, useEffect, useState } from "react";
import { WORDS } from "@/core/words/marking";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { SHORT_INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { useLatest } from "@/ui/use-latest";

interface Kept {
  id: number;
  text: string;
}

/** Comments one uses again: put behind what is written, kept from it, or forgotten. */
export function CommentBank({ text, onInsert }: { text: string; onInsert: (text: string) => void }) {
  const [kept, setKept] = useState<Kept[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const asked = useLatest();
  /** Whatever is asked, all that is kept is the answer. */
  const ask = useCallback(
    async (method: "GET" | "POST" | "DELETE", of = "", body?: object) => {
      const isLast = asked();
      const answer = await askServer<{ comments: Kept[] }>(method, `/api/kept-comments${of}`, body);
      if (!answer.ok) setProblem(answer.sentence);
      else if (isLast()) {
        setProblem(null);
        setKept(answer.value.comments);
      }
    },
    [asked],
  );
  useEffect(() => void ask("GET"), [ask]);
  const keep = (words: string) => ask("POST", "", { text: words });
  const plain = text.trim();
  return (
    <div className="mt-1 flex flex-wrap gap-1.5">
      {kept.length > 0 ? (
        <>
          <select
            aria-label={WORDS.keptComments}
            className={`${SHORT_INPUT} min-w-0 flex-1`}
            value=""
            onChange={(e) => {
              const chosen = kept.find((k) => String(k.id) === e.target.value);
              if (!chosen) return;
              onInsert(plain === "" ? chosen.text : `${plain}\n${chosen.text}`);
              void keep(chosen.text);
            }}
          >
            <option value="">{WORDS.chooseComment}</option>
            {kept.map((k) => (
              <option key={k.id} value={k.id}>
                {k.text}
              </option>
            ))}
          </select>
          <select
            aria-label={WORDS.forgetComment}
            className={`${SHORT_INPUT} w-40`}
            value=""
            onChange={(e) => void ask("DELETE", `/${e.target.value}`)}
          >
            <option value="">{WORDS.forgetComment}</option>
            {kept.map((k) => (
              <option key={k.id} value={k.id}>
                {k.text}
              </option>
            ))}
          </select>
        </>
      ) : null}
      {plain !== "" && !kept.some((k) => k.text === plain) ? (
        <Button size="small" kind="quiet" onClick={() => void keep(plain)}>
          {WORDS.keepThis}
        </Button>
      ) : null}
      <Problem text={problem} className="w-full" />
    </div>
  );
}
