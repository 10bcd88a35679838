"use client";

import { WORDS as COMMON } from "@/core/words/common";

import { WORDS } from "@/core/words/editor-about";
import { useEffect, useState } from "react";
import { addressText } from "@/core/words/addresses";
import type { Timeline } from "@/core/timeline/timeline";
import { dayText } from "@/core/time/zoned";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { ownZone } from "@/ui/own-zone";
import { useEditor, useEditorState } from "../store/editor-context";

interface State {
  addresses: { address: string; state: string | null; status: number | null; at: string | null }[];
  job: { state: string; done: number; total: number | null; failed: string | null } | null;
}

const ASK_AGAIN_MS = 1_000;

/** Whether the web addresses that pictures, sources and links name still answer: asked on request, with progress and a way to stop. */
export function AddressCheck() {
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const path = `/api/timelines/${store.timelineId}/addresses`;
  const [known, setKnown] = useState<State | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const items = addressed(timeline);
  const running = known?.job?.state === "waiting" || known?.job?.state === "running";

  const ask = async (method: "GET" | "POST" | "DELETE") => {
    const answer = await askServer<State>(method, path);
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) setKnown(answer.value);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: asked once for each timeline
  useEffect(() => void ask("GET"), [path]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: each answer begins the next wait
  useEffect(() => {
    if (!running) return;
    const timer = setTimeout(() => void ask("GET"), ASK_AGAIN_MS);
    return () => clearTimeout(timer);
  }, [known]);

  if (items.length === 0) return null;
  const asked = known?.addresses.filter((a) => a.at !== null) ?? [];
  const faulty = asked.filter((a) => a.state !== "answers");
  const { done = 0, total = null } = known?.job ?? {};
  return (
    <section aria-label={WORDS.webAddresses}>
      <h3 className="mb-1 font-sans text-[13px] font-normal text-quiet">{WORDS.webAddresses}</h3>
      {running ? (
        <div className="flex items-center gap-2.5">
          <progress
            aria-label={WORDS.addressesAsked}
            className="h-2.5 min-w-0 flex-1 accent-verdigris"
            {...(total === null ? {} : { value: done, max: total })}
          />
          <span role="status" className="text-[13px] text-quiet">
            {total === null ? WORDS.waitingToBegin : WORDS.ofAsked(done, total)}
          </span>
          <Button size="small" onClick={() => void ask("DELETE")}>
            {WORDS.stop}
          </Button>
        </div>
      ) : (
        <div className="flex flex-wrap items-center gap-2.5">
          <Button size="small" disabled={known === null} onClick={() => void ask("POST")}>
            {WORDS.askWhetherTheyAnswer}
          </Button>
          <span role="status" className="text-[13px] text-quiet">
            {known === null ? "" : summary(known.addresses.length, asked.length, faulty.length)}
          </span>
        </div>
      )}
      <Problem text={problem} className="mt-1.5 text-[14px]" />
      <ul className="mt-1.5 flex flex-col gap-1.5">
        {faulty.map((a) => (
          <li key={a.address} className="rounded-md bg-sun-wash px-3 py-2 text-[14px]">
            <span className="block break-all font-bold">{a.address}</span>
            {addressText(a.state!, a.status, dayText(new Date(a.at!), ownZone()))}
            <span className="mt-1 flex flex-wrap gap-x-3">
              {eventsWith(items, a.address).map((id) => (
                <button key={id} type="button" className="underline" onClick={() => select(id, true)}>
                  {timeline.events.get(id)?.title || WORDS.untitled}
                </button>
              ))}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** How things stand, of so many addresses. */
function summary(all: number, asked: number, faulty: number): string {
  if (all === 0) return WORDS.noneOfThemIsAn;
  if (asked === 0) return WORDS.notBeenAskedYet(all === 1 ? WORDS.n1AddressHas : WORDS.addressesHave(all));
  const rest = asked < all ? WORDS.notAskedYet(all - asked) : "";
  return faulty === 0
    ? `${asked === 1 ? WORDS.itAnswers : WORDS.allThatWereAskedAnswer(asked)}${rest}`
    : `${COMMON.didNotShow(faulty, asked)}${rest}`;
}

/** Where addresses stand: entries with one of their own, and those whose source has one. */
function addressed({ items, sources }: Timeline): { of: string; address: string }[] {
  const own = [...items.values()].flatMap((i) => {
    if (i.deleted) return [];
    const source = i.source ? sources.get(i.source) : null;
    return [i.address, source && !source.deleted ? source.address : ""]
      .filter(Boolean)
      .map((address) => ({ of: i.of, address }));
  });
  const others = [...sources.values()].filter((s) => !s.deleted && s.address !== "");
  return [...own, ...others.map((s) => ({ of: "timeline", address: s.address }))];
}

function eventsWith(items: readonly { of: string; address: string }[], address: string): string[] {
  return [...new Set(items.filter((i) => i.address === address && i.of !== "timeline").map((i) => i.of))];
}
