"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/calls";
import { askServer } from "@/ui/ask-server";
import { ReportSaid } from "@/ui/comments/report-said";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { LocalTime } from "@/ui/local-time";
import { useReady } from "@/ui/use-ready";

interface Waiting {
  id: string;
  name: string;
  when: string;
  title: string;
  text: string;
  at: string;
  understood: string;
  misread: boolean;
}

/** What was sent in, each to be taken into the timeline or left out. */
export function SentList({ timeline, waiting }: { timeline: string; waiting: readonly Waiting[] }) {
  const ready = useReady();
  const [left, setLeft] = useState(waiting);
  const [said, setSaid] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const decide = async (w: Waiting, accept: boolean) => {
    const done = await askServer("PUT", `/api/timelines/${timeline}/sent/${w.id}`, { accept });
    setProblem(done.ok ? null : done.sentence);
    if (done.ok) setSaid(accept ? WORDS.takenIn(w.title) : WORDS.leftOut(w.title));
    // Somebody else has decided meanwhile: it is gone here too.
    if (done.ok || done.failed === "not_found") setLeft((l) => l.filter((x) => x.id !== w.id));
  };
  return (
    <>
      <p role="status" className="min-h-6 text-[14px] text-verdigris">
        {said}
      </p>
      <Problem text={problem} className="mb-2" />
      {left.length === 0 ? <p>{WORDS.nothingWaits}</p> : null}
      <ul aria-label={WORDS.sentIn} className="flex flex-col gap-3">
        {left.map((w) => (
          <li key={w.id} className="rounded-lg border border-line p-4">
            <p className="text-[14px]">
              <strong className="text-verdigris">{w.when || WORDS.noDate}</strong>
              {w.misread ? (
                <span className="text-copper-dark"> · {WORDS.misread}</span>
              ) : w.understood && w.understood !== w.when ? (
                <span className="text-quiet"> · {WORDS.understoodAs(w.understood)}</span>
              ) : null}
            </p>
            <h2 className="text-[18px] [overflow-wrap:anywhere]">{w.title}</h2>
            {w.text ? <p className="mt-1 whitespace-pre-line [overflow-wrap:anywhere]">{w.text}</p> : null}
            <p className="mt-1 text-[14px] text-quiet">
              {WORDS.by(w.name)}, <LocalTime at={w.at} />
            </p>
            <div className="mt-3 flex gap-2">
              <Button
                kind="main"
                size="small"
                disabled={!ready}
                aria-label={WORDS.acceptOf(w.title)}
                onClick={() => void decide(w, true)}
              >
                {WORDS.accept}
              </Button>
              <Button
                size="small"
                disabled={!ready}
                aria-label={WORDS.refuseOf(w.title)}
                onClick={() => void decide(w, false)}
              >
                {WORDS.refuse}
              </Button>
              <ReportSaid timeline={timeline} kind="sent" thing={w.id} by={w.name} />
            </div>
          </li>
        ))}
      </ul>
    </>
  );
}
