"use client";

import { useEffect, useMemo, useState } from "react";
import { type Finding, findingKey, lookOver } from "@/core/check/look-over";
import { findingText, WORDS } from "@/core/words/look-over";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { AddressCheck } from "../about/address-check";
import { useEditor, useEditorState } from "../store/editor-context";

/** What is worth a look before work is handed in: each with a jump to the spot, or set aside with a reason. */
export function LookOverSection({ onLook }: { onLook: () => void }) {
  const { store, select } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const work = useEditorState((s) => s.work);
  const [asking, setAsking] = useState<string | null>(null);
  const [reason, setReason] = useState("");
  const [problem, setProblem] = useState<string | null>(null);
  const findings = useMemo(() => lookOver(timeline), [timeline]);
  if (!work) return null;
  const open = findings.filter((f) => work.aside[findingKey(f)] === undefined);
  const aside = findings.filter((f) => work.aside[findingKey(f)] !== undefined);
  const put = async (f: Finding, why: string | null) => {
    const answer = await askServer("PUT", `/api/timelines/${store.timelineId}/set-aside`, {
      finding: findingKey(f),
      reason: why,
    });
    setProblem(answer.ok ? null : answer.sentence);
    if (!answer.ok) return;
    setAsking(null);
    setReason("");
    await store.refresh();
  };
  const where = (f: Finding) =>
    f.code === "contrast" || f.code === "look_alike" ? (
      <button type="button" className="min-h-6 font-bold text-verdigris underline" onClick={onLook}>
        {WORDS.toTheLook}
      </button>
    ) : f.event && timeline.events.has(f.event) ? (
      <button
        type="button"
        className="min-h-6 font-bold text-verdigris underline"
        onClick={() => select(f.event, true)}
      >
        {timeline.events.get(f.event)!.title || WORDS.whyShort}
      </button>
    ) : null;
  return (
    <section aria-label={WORDS.title} className="text-[14px]">
      <h3 className="mb-1 font-sans font-bold">{WORDS.title}</h3>
      <p className="text-quiet">{open.length === 0 ? WORDS.nothing : WORDS.help}</p>
      <ul className="mt-1 flex flex-col gap-2">
        {open.map((f) => {
          const text = findingText(f, timeline);
          const key = findingKey(f);
          return (
            <li key={key}>
              {where(f)} {text}
              {asking === key ? (
                <div className="mt-1 flex items-end gap-1.5">
                  <Field label={WORDS.whyShort} className="flex-1">
                    {(ids) => (
                      <input
                        id={ids.id}
                        aria-label={WORDS.why(text)}
                        className={INPUT}
                        maxLength={500}
                        value={reason}
                        onChange={(e) => setReason(e.target.value)}
                      />
                    )}
                  </Field>
                  <Button size="small" disabled={reason.trim() === ""} onClick={() => void put(f, reason)}>
                    {WORDS.keep}
                  </Button>
                  <Button size="small" kind="quiet" onClick={() => setAsking(null)}>
                    {WORDS.cancel}
                  </Button>
                </div>
              ) : (
                <Button
                  size="small"
                  kind="quiet"
                  onClick={() => {
                    setReason("");
                    setAsking(key);
                  }}
                >
                  {WORDS.setAside}
                </Button>
              )}
            </li>
          );
        })}
      </ul>
      {aside.length > 0 ? (
        <details className="mt-1">
          <summary className="min-h-6 cursor-pointer">{WORDS.aside(aside.length)}</summary>
          <ul className="flex flex-col gap-1.5">
            {aside.map((f) => (
              <li key={findingKey(f)}>
                {where(f)} {findingText(f, timeline)} <em>{work.aside[findingKey(f)]}</em>{" "}
                <Button size="small" kind="quiet" onClick={() => void put(f, null)}>
                  {WORDS.takeBack}
                </Button>
              </li>
            ))}
          </ul>
        </details>
      ) : null}
      <Problem text={problem} />
      <div className="mt-3 empty:hidden">
        <AddressCheck />
      </div>
      <OwnWording />
    </section>
  );
}

interface Looked {
  at: string | null;
  waiting: boolean;
  passages: { event: string; passage: string; words: number }[];
}

/** How often it is asked whether the looking is done, ms. */
const ASK_MS = 1_500;

/** Passages of one's own whose wording is close to other texts: not whose, nor what. */
function OwnWording() {
  const { store, select } = useEditor();
  const events = useEditorState((s) => s.timeline.events);
  const [looked, setLooked] = useState<Looked | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/timelines/${store.timelineId}/close-wording`;
  useEffect(() => {
    if (!looked?.waiting) return;
    const timer = setTimeout(async () => {
      const answer = await askServer<Looked>("GET", path);
      if (answer.ok) setLooked(answer.value);
      else setProblem(answer.sentence);
    }, ASK_MS);
    return () => clearTimeout(timer);
  }, [looked, path]);
  const look = async () => {
    const asked = await askServer("POST", path);
    setProblem(asked.ok ? null : asked.sentence);
    if (asked.ok) setLooked({ at: null, waiting: true, passages: [] });
  };
  return (
    <div className="mt-3">
      <h3 className="font-sans font-bold">{WORDS.wording}</h3>
      <p className="text-quiet">{WORDS.wordingHelp}</p>
      {looked?.waiting ? (
        <p role="status">{WORDS.looking}</p>
      ) : (
        <>
          {looked && looked.passages.length === 0 ? <p role="status">{WORDS.noWording}</p> : null}
          {looked && looked.passages.length > 0 ? (
            <>
              <ul className="mt-1 flex flex-col gap-1.5" data-testid="close-wording">
                {looked.passages.map((p) => (
                  <li key={`${p.event} ${p.passage}`}>
                    {WORDS.words(p.words)}
                    <q>{p.passage}</q>{" "}
                    {events.has(p.event) ? (
                      <button
                        type="button"
                        className="min-h-6 font-bold text-verdigris underline"
                        onClick={() => select(p.event, true)}
                      >
                        {events.get(p.event)!.title}
                      </button>
                    ) : null}
                  </li>
                ))}
              </ul>
              <p className="mt-1 text-quiet">{WORDS.mend}</p>
            </>
          ) : null}
          <Button size="small" className="mt-1" onClick={() => void look()}>
            {WORDS.look}
          </Button>
        </>
      )}
      <Problem text={problem} />
    </div>
  );
}
