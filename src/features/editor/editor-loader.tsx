"use client";

import { WORDS } from "@/core/words/editor";
import { PageLink } from "@/ui/page-link";
import { useEffect, useState } from "react";
import type { Snapshot } from "@/core/formats/snapshot";
import { Button } from "@/ui/controls/button";
import { Logo } from "@/ui/logo";
import { askPacked } from "@/ui/ask-server";
import { Editor, type EditorProps } from "./editor";

type LoaderProps = Omit<EditorProps, "snapshot"> & { timeline: string; title: string };

/** The editor's frame at once, and the editor in it as soon as its timeline has come. */
export function EditorLoader({ timeline, title, ...props }: LoaderProps) {
  const [snapshot, setSnapshot] = useState<Snapshot | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [round, setRound] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: `round` asks again
  useEffect(() => {
    let wanted = true;
    void askPacked<Snapshot>(`/api/timelines/${timeline}`).then((answer) => {
      if (!wanted) return;
      if (answer.ok) setSnapshot(answer.value);
      else setProblem(answer.sentence);
    });
    return () => {
      wanted = false;
    };
  }, [timeline, round]);
  if (snapshot) return <Editor {...props} snapshot={snapshot} />;
  return (
    <div className="flex h-dvh flex-col">
      <header className="flex h-14 shrink-0 items-center gap-3 bg-slate px-[18px] text-white">
        <PageLink href="/" aria-label={WORDS.yourTimelines} className="rounded-md">
          <Logo />
        </PageLink>
        <h1 className="truncate font-head text-[19px] font-[650]">{title || WORDS.untitled}</h1>
      </header>
      <div className="h-9 shrink-0 border-b border-line bg-panel" />
      <main className="p-5">
        {problem ? (
          <div role="alert" className="max-w-[560px]">
            <p>{problem}</p>
            <Button
              kind="main"
              className="mt-3"
              onClick={() => {
                setProblem(null);
                setRound(round + 1);
              }}
            >
              {WORDS.openItAgain}
            </Button>
          </div>
        ) : (
          <p role="status" className="text-quiet">
            {WORDS.openingTheTimeline}
          </p>
        )}
      </main>
    </div>
  );
}
