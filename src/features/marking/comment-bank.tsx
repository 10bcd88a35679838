"use client";

import { useEffect, useState } from "react";
import { WORDS } from "@/core/words/marking";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { SHORT_INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";

interface Kept {
  id: number;
  text: string;
}

/** Comments one uses again: put behind what is written, kept from it, or forgotten. */
export function CommentBank({ text, onInsert }: { text: string; onInsert: (text: string) => void }) {
  const [kept, setKept] = useState<Kept[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    void askServer<{ comments: Kept[] }>("GET", "/api/kept-comments").then((a) => {
      if (a.ok) setKept(a.value.comments);
    });
  }, []);
  const take = (answer: Awaited<ReturnType<typeof askServer<{ comments: Kept[] }>>>) => {
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) setKept(answer.value.comments);
  };
  const keep = async (words: string) => take(await askServer("POST", "/api/kept-comments", { text: words }));
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
            className={`${SHORT_INPUT} w-24`}
            value=""
            onChange={async (e) => take(await askServer("DELETE", `/api/kept-comments/${e.target.value}`))}
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
