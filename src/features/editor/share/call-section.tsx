"use client";

import { locale } from "@/core/language/spoken";
import { PageLink } from "@/ui/page-link";
import { useCallback, useEffect, useState } from "react";
import { WORDS } from "@/core/words/calls";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Field, INPUT } from "@/ui/controls/field";
import { Problem } from "@/ui/controls/problem";
import { useLatest } from "@/ui/use-latest";
import { useEditor, useEditorState } from "../store/editor-context";
import { CopyLine } from "./copy-line";
import { QrCode } from "./qr-code";

interface Call {
  token: string;
  words: string;
  closesAt: string | null;
}

const endText = (at: Date): string => at.toLocaleString(locale(), { dateStyle: "full", timeStyle: "short" });
/** A time as the field for it takes it, in this browser's zone. */
const fieldTime = (at: string) => {
  const d = new Date(at);
  return new Date(d.getTime() - d.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};

/** Asking others for events: the link, what is asked for, until when, and what waits. */
export function CallSection({ owner }: { owner: boolean }) {
  const { store } = useEditor();
  const isWork = useEditorState((s) => s.work !== null);
  const path = `/api/timelines/${store.timelineId}/call`;
  const [call, setCall] = useState<Call | null>(null);
  const [waiting, setWaiting] = useState(0);
  // What was typed and is not saved; null: as it stands. A look that is answered late takes nothing of it away.
  const [typedWords, setWords] = useState<string | null>(null);
  const [typedUntil, setUntil] = useState<string | null>(null);
  const words = typedWords ?? call?.words ?? "";
  const until = typedUntil ?? (call?.closesAt ? fieldTime(call.closesAt) : "");
  const [said, setSaid] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const asked = useLatest();
  const look = useCallback(async () => {
    const isLast = asked();
    const got = await askServer<{ call: Call | null; waiting: number }>("GET", path);
    if (!got.ok || !isLast()) return;
    setCall(got.value.call);
    setWaiting(got.value.waiting);
  }, [path, asked]);
  useEffect(() => void look(), [look]);
  const ask = async (method: "PUT" | "DELETE", renew = false) => {
    const body = { words, closesAt: until ? new Date(until).toISOString() : null, renew };
    const done = await askServer(method, path, method === "PUT" ? body : undefined);
    setProblem(done.ok ? null : done.sentence);
    setSaid(done.ok && method === "PUT" && call ? WORDS.saved : null);
    if (!done.ok) return;
    await look();
    setWords(null);
    setUntil(null);
  };
  // The work of a group is its members' alone; and to an editor there is nothing to say where nothing is asked for.
  if (isWork || (!owner && !call && waiting === 0)) return null;
  const origin = typeof window === "undefined" ? "" : window.location.origin;
  const end = call?.closesAt ? new Date(call.closesAt) : null;
  return (
    <section aria-label={WORDS.title} className="mt-5 border-t border-line pt-4">
      <h3 className="text-[16px]">{WORDS.title}</h3>
      <p className="mb-2 text-[14px] text-quiet">{WORDS.help}</p>
      {waiting > 0 ? (
        <p className="mb-2">
          <strong>{WORDS.waiting(waiting)}</strong> ·{" "}
          <PageLink href={`/timelines/${store.timelineId}/sent`} className="font-bold text-verdigris underline">
            {WORDS.lookAtThem}
          </PageLink>
        </p>
      ) : null}
      {call ? (
        <>
          <CopyLine label={WORDS.link} path={`/send/${call.token}`} open />
          {end ? (
            <p className="mt-1 text-[14px]">
              {end > new Date() ? WORDS.openUntil(endText(end)) : WORDS.isOver(endText(end))}
            </p>
          ) : null}
          <div className="my-2">
            <QrCode url={`${origin}/send/${call.token}`} />
          </div>
        </>
      ) : null}
      {owner ? (
        <>
          <Field label={WORDS.askFor}>
            {(ids) => (
              <textarea
                id={ids.id}
                rows={2}
                maxLength={2_000}
                className={`${INPUT} h-auto py-1.5`}
                value={words}
                onChange={(e) => setWords(e.target.value)}
              />
            )}
          </Field>
          <Field label={WORDS.closes} className="mt-2">
            {(ids) => (
              <input
                id={ids.id}
                type="datetime-local"
                className={INPUT}
                value={until}
                onChange={(e) => setUntil(e.target.value)}
              />
            )}
          </Field>
          <div className="mt-2 flex flex-wrap items-center gap-2">
            <Button size="small" onClick={() => void ask("PUT")}>
              {call ? WORDS.save : WORDS.open}
            </Button>
            {call ? (
              <>
                <Button size="small" onClick={() => void ask("PUT", true)}>
                  {WORDS.renew}
                </Button>
                <Button size="small" onClick={() => void ask("DELETE")}>
                  {WORDS.close}
                </Button>
              </>
            ) : null}
            <span role="status" className="text-[14px] text-verdigris">
              {said}
            </span>
          </div>
          <Problem text={problem} className="mt-2" />
        </>
      ) : null}
    </section>
  );
}
