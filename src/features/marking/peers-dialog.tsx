"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/peers";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { CheckRow } from "@/ui/controls/check-row";
import { Field, INPUT } from "@/ui/controls/field";
import { Modal } from "@/ui/controls/modal";
import { useReady } from "@/ui/use-ready";

/** Letting everybody who handed in read work of others. */
export function PeersDialog({ assignment }: { assignment: string }) {
  const ready = useReady();
  const [shown, setShown] = useState(false);
  const [count, setCount] = useState(2);
  const [blind, setBlind] = useState(true);
  const [problem, setProblem] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const begin = async () => {
    const answer = await askServer<{ given: number }>("POST", `/api/assignments/${assignment}/reviews`, {
      count,
      blind,
    });
    setProblem(answer.ok ? null : answer.sentence);
    setSaid(answer.ok ? WORDS.given(answer.value.given) : null);
  };
  return (
    <>
      <Button size="small" kind="quiet" disabled={!ready} onClick={() => setShown(true)}>
        {WORDS.peers}
      </Button>
      <Modal title={WORDS.peers} open={shown} onOpenChange={setShown}>
        <p className="text-[14px] text-quiet">{WORDS.peersHelp}</p>
        <Field label={WORDS.howMany} problem={problem} className="mt-3 w-56">
          {(ids) => (
            <input
              id={ids.id}
              aria-describedby={ids.describedBy}
              type="number"
              min={1}
              max={10}
              className={INPUT}
              value={count}
              onChange={(e) => setCount(Math.min(10, Math.max(1, Math.round(Number(e.target.value)) || 1)))}
            />
          )}
        </Field>
        <div className="mt-2">
          <CheckRow label={WORDS.blind} checked={blind} onChange={setBlind} />
        </div>
        <p role="status" className="mt-2 font-bold text-verdigris">
          {said}
        </p>
        <div className="mt-3 flex gap-2">
          <Button kind="main" onClick={() => void begin()}>
            {WORDS.begin}
          </Button>
          <Button onClick={() => setShown(false)}>{WORDS.cancel}</Button>
        </div>
      </Modal>
    </>
  );
}
