"use client";

import { PageLink } from "@/ui/page-link";
import { useEffect, useState } from "react";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-local";
import { Button } from "@/ui/controls/button";
import { PlainBar } from "@/ui/plain-bar";
import { Editor } from "../editor";
import { localPorts } from "./local-ports";
import { LocalTimeline, NOBODY } from "./local-timeline";

const LOCK = "fastigo-without-account";

/** The editor without an account: the real one, with a timeline that is kept in this browser only. */
export function TryEditor({
  print,
  waits = false,
}: {
  print: (timeline: Timeline) => Promise<void>;
  /** Begun without a network by somebody who has an account: it waits for the network. */
  waits?: boolean;
}) {
  const [local, setLocal] = useState<LocalTimeline | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  useEffect(() => {
    let done: () => void = () => {};
    let wanted = true;
    // One tab at a time holds it, so that two do not write over each other.
    const held = new Promise<void>((resolve) => {
      done = resolve;
    });
    const begin = async () => {
      try {
        const found = await LocalTimeline.open();
        if (wanted) setLocal(found);
      } catch {
        setProblem(WORDS.thisBrowserKeepsNothing);
      }
    };
    if (!navigator.locks) void begin();
    else
      void navigator.locks.request(LOCK, { ifAvailable: true }, async (lock) => {
        if (!lock) return setProblem(WORDS.openInAnotherTab);
        await begin();
        await held;
      });
    return () => {
      wanted = false;
      done();
    };
  }, []);
  if (problem)
    return (
      <>
        <PlainBar />
        <main className="mx-auto max-w-[560px] px-5 py-10">
          <p role="alert">{problem}</p>
          <p className="mt-4 flex gap-4">
            <Button kind="main" onClick={() => window.location.reload()}>
              {WORDS.tryAgain}
            </Button>
            <PageLink href="/sign-up" className="self-center font-bold text-verdigris underline">
              {WORDS.signUp}
            </PageLink>
          </p>
        </main>
      </>
    );
  if (!local)
    return (
      <p role="status" className="p-5 text-quiet">
        {WORDS.opening}
      </p>
    );
  return (
    <Editor
      account={NOBODY}
      snapshot={local.snapshot()}
      editors={[]}
      publication={null}
      work={null}
      given={{ classes: [], schools: [] }}
      columns={null}
      build=""
      ports={localPorts(local)}
      print={print}
      waits={waits}
    />
  );
}
