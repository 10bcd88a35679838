"use client";

import { WORDS } from "@/core/words/marking";
import { useRefresh } from "@/ui/use-refresh";
import { useState } from "react";
import type { GivenResult } from "@/core/check/given-dates";
import { GIVEN_WORDS } from "@/core/words/class-work";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { INPUT } from "@/ui/controls/field";
import type { DeskSubmission } from "./desk-submission";

/** One given date: what was answered, what was worked out of it, and what the teacher says instead. */
export function GivenLine({
  n,
  submission,
  given: g,
}: {
  n: number;
  submission: string;
  given: DeskSubmission["given"][number];
}) {
  const refresh = useRefresh();
  const [asking, setAsking] = useState(false);
  const [result, setResult] = useState<GivenResult>(g.override?.result ?? "right");
  const [reason, setReason] = useState(g.override?.reason ?? "");
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/submissions/${submission}/given/${n}`;
  const counts = g.override?.result ?? g.result;
  const set = async (method: "PUT" | "DELETE", body?: object) => {
    const answer = await askServer(method, path, body);
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) return;
    setAsking(false);
    void refresh();
  };
  return (
    <li className="border-b border-line py-1">
      {g.title}:{" "}
      <strong className={counts === "right" ? "text-verdigris" : "text-copper-dark"}>
        {g.locked ? WORDS.givenWithItsDate : GIVEN_WORDS[counts]}
      </strong>
      {g.locked ? null : (
        <span className="block text-quiet">
          {g.answer || WORDS.nothing} {g.result === "right" ? "" : WORDS.rightIs(g.right)}
        </span>
      )}
      {g.override ? (
        <span className="block">
          {WORDS.setByYou(g.override.reason)}{" "}
          <button type="button" className="font-bold underline" onClick={() => void set("DELETE")}>
            {WORDS.takeItBack}
          </button>
        </span>
      ) : null}
      {g.locked ? null : asking ? (
        <span className="mt-1 flex flex-col gap-1.5">
          <select
            aria-label={WORDS.countsAs(g.title)}
            className={INPUT}
            value={result}
            onChange={(e) => setResult(e.target.value as GivenResult)}
          >
            {(["right", "less_exact", "wrong"] as const).map((r) => (
              <option key={r} value={r}>
                {GIVEN_WORDS[r]}
              </option>
            ))}
          </select>
          <input
            aria-label={WORDS.why(g.title)}
            className={INPUT}
            placeholder={WORDS.whyTheGroupReadsIt}
            value={reason}
            onChange={(e) => setReason(e.target.value)}
          />
          <span className="flex gap-1.5">
            <Button size="small" kind="main" onClick={() => void set("PUT", { result, reason })}>
              {WORDS.letItCountSo}
            </Button>
            <Button size="small" onClick={() => setAsking(false)}>
              {WORDS.cancel}
            </Button>
          </span>
          {problem ? <span className="font-bold text-copper-dark">{problem}</span> : null}
        </span>
      ) : g.override ? null : (
        <button
          type="button"
          className="text-[13px] font-bold text-verdigris underline"
          onClick={() => setAsking(true)}
        >
          {WORDS.letItCountOtherwise}
        </button>
      )}
    </li>
  );
}
