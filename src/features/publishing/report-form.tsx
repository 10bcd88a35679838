"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/published-pages";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { useReady } from "@/ui/use-ready";

/** Says what is wrong with a published page. */
export function ReportForm({ address }: { address: string }) {
  // Before the page has woken up a press would be lost.
  const ready = useReady();
  const [reason, setReason] = useState("harmful");
  const [words, setWords] = useState("");
  const [state, setState] = useState<"open" | "busy" | "done">("open");
  const [problem, setProblem] = useState<string | null>(null);
  if (state === "done") return <p role="status">{WORDS.reported}</p>;
  return (
    <form
      onSubmit={async (e) => {
        e.preventDefault();
        setState("busy");
        const answer = await askServer("POST", `/api/published/${address}/report`, { reason, words });
        setState(answer.ok ? "done" : "open");
        setProblem(answer.ok ? null : answer.sentence);
      }}
    >
      <label className="block text-[13px] text-quiet">
        {WORDS.reason}
        <select className={`${INPUT} mt-1`} value={reason} onChange={(e) => setReason(e.target.value)}>
          {Object.entries(WORDS.reasons).map(([value, text]) => (
            <option key={value} value={value}>
              {text}
            </option>
          ))}
        </select>
      </label>
      <label className="mt-3 block text-[13px] text-quiet">
        {WORDS.reportWords}
        <textarea
          className={`${INPUT} mt-1 h-24 py-2`}
          maxLength={2_000}
          value={words}
          onChange={(e) => setWords(e.target.value)}
        />
      </label>
      <Problem text={problem} className="mt-2" />
      <Button type="submit" className="mt-3" disabled={state === "busy" || !ready}>
        {WORDS.reportDo}
      </Button>
    </form>
  );
}
