"use client";

import { useCallback, useState } from "react";
import { WORDS } from "@/core/words/own-events";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { useLatest } from "@/ui/use-latest";
import { useReady } from "@/ui/use-ready";
import { useLiveLook } from "@/ui/comments/use-live-look";
import { EventFields, NOTHING_SAID, type SaidEvent } from "./event-fields";

interface Own extends SaidEvent {
  id: string;
  understood: string;
  misread: boolean;
}

/** What somebody adds to a timeline of others: a form for the next event, and theirs that are there. */
export function OwnEvents({ timeline, onShow }: { timeline: string; onShow: (event: string) => void }) {
  const ready = useReady();
  const [own, setOwn] = useState<readonly Own[]>([]);
  const [categories, setCategories] = useState<readonly { id: string; name: string }[]>([]);
  const [given, setGiven] = useState<SaidEvent>(NOTHING_SAID);
  /** The event that is written otherwise; null: a new one. */
  const [altered, setAltered] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const path = `/api/timelines/${timeline}/own-events`;
  const asked = useLatest();
  const look = useCallback(async () => {
    const isLast = asked();
    const got = await askServer<{ events: Own[]; categories: { id: string; name: string }[] }>("GET", path);
    if (!got.ok || !isLast()) return;
    setOwn(got.value.events);
    setCategories(got.value.categories);
  }, [path, asked]);
  useLiveLook(timeline, "changed", look);
  const begin = (event: Own | null) => {
    setAltered(event?.id ?? null);
    setGiven(
      event ? { when: event.when, title: event.title, text: event.text, category: event.category } : NOTHING_SAID,
    );
    setProblem(null);
  };
  const send = async () => {
    const done = await askServer<{ id: string }>(
      altered ? "PUT" : "POST",
      altered ? `${path}/${altered}` : path,
      given,
    );
    setProblem(done.ok ? null : done.sentence);
    if (!done.ok) return;
    setSaid(altered ? WORDS.saved : WORDS.added);
    begin(null);
    await look();
  };
  return (
    <section aria-label={WORDS.yourEvents} className="mb-5 border-b border-line pb-4">
      <h2 className="text-[18px]">{altered ? WORDS.alterIt : WORDS.addAnEvent}</h2>
      <EventFields event={given} categories={categories} onChange={setGiven} />
      <div className="mt-2 flex gap-2">
        <Button kind="main" size="small" disabled={!ready || given.title.trim() === ""} onClick={() => void send()}>
          {altered ? WORDS.save : WORDS.add}
        </Button>
        {altered ? (
          <Button size="small" onClick={() => begin(null)}>
            {WORDS.cancel}
          </Button>
        ) : null}
        <span role="status" className="self-center text-[14px] text-verdigris">
          {said}
        </span>
      </div>
      <Problem text={problem} className="mt-2" />
      {own.length > 0 ? (
        <>
          <h3 className="mt-4 font-sans text-[14px] font-bold">{WORDS.yourEvents}</h3>
          <ul aria-label={WORDS.yourEvents} className="divide-y divide-line">
            {own.map((e) => (
              <li key={e.id} className="py-1.5 text-[15px]">
                <button
                  type="button"
                  className="min-h-6 text-start font-bold text-verdigris underline"
                  onClick={() => onShow(e.id)}
                >
                  {e.title}
                </button>{" "}
                <span className="text-quiet">{e.misread ? WORDS.misread(e.when) : e.understood || WORDS.noDate}</span>
                <span className="flex gap-1">
                  <Button size="small" kind="quiet" aria-label={WORDS.alter(e.title)} onClick={() => begin(e)}>
                    {WORDS.alterShort}
                  </Button>
                  <Button
                    size="small"
                    kind="quiet"
                    aria-label={WORDS.remove(e.title)}
                    onClick={async () => {
                      const done = await askServer("DELETE", `${path}/${e.id}`);
                      setProblem(done.ok ? null : done.sentence);
                      if (altered === e.id) begin(null);
                      await look();
                    }}
                  >
                    {WORDS.removeShort}
                  </Button>
                </span>
              </li>
            ))}
          </ul>
        </>
      ) : null}
    </section>
  );
}
