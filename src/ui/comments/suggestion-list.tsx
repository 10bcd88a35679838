"use client";

import { useCallback, useState } from "react";
import { WORDS } from "@/core/words/suggestions";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { ReportSaid } from "./report-said";
import { useLiveLook } from "./use-live-look";
import { useLatest } from "@/ui/use-latest";
import { useReady } from "@/ui/use-ready";

interface Suggested {
  field: keyof typeof WORDS.fields;
  was: string;
  given: string;
}
interface Suggestion {
  id: string;
  event: string;
  by: string;
  mine: boolean;
  why: string;
  title: string;
  changes: Suggested[];
  gone: boolean;
}

/** What is suggested and waits: to be decided by those who edit, to be taken back by whoever suggested it. `event`: of that one only. */
export function SuggestionList({ timeline, event = null }: { timeline: string; event?: string | null }) {
  const ready = useReady();
  const [all, setAll] = useState<readonly Suggestion[]>([]);
  const [decides, setDecides] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/timelines/${timeline}/suggestions`;
  const asked = useLatest();
  const look = useCallback(async () => {
    const isLast = asked();
    const got = await askServer<{ suggestions: Suggestion[]; decides: boolean }>("GET", path);
    if (!got.ok || !isLast()) return;
    setAll(got.value.suggestions);
    setDecides(got.value.decides);
  }, [path, asked]);
  useLiveLook(timeline, "comments changed", look);
  const ask = async (method: "PUT" | "DELETE", to: string, body?: object) => {
    const done = await askServer(method, to, body);
    setProblem(done.ok ? null : done.sentence);
    await look();
  };
  const decide = (ids: string[], accept: boolean) => ask("PUT", path, { ids, accept });
  const shown = event === null ? all : all.filter((s) => s.event === event);
  const open = shown.filter((s) => !s.gone).map((s) => s.id);
  if (shown.length === 0) return null;
  return (
    <section aria-label={WORDS.suggestions} className="mb-5 border-b border-line pb-4">
      <h3 className="mb-2 text-[16px]">{WORDS.suggestions}</h3>
      <Problem text={problem} className="mb-2" />
      <ul className="flex flex-col gap-3">
        {shown.map((s) => (
          <li key={s.id} className="rounded-lg border-2 border-dashed border-edge p-3 text-[15px]">
            <p className="text-[14px]">
              <strong>{s.mine && !decides ? WORDS.you : WORDS.by(s.by)}</strong>{" "}
              {s.event === "" ? WORDS.newEvent(s.title) : WORDS.forEvent(s.title)}
            </p>
            <dl className="mt-1 text-[14px]">
              {s.changes.map((c) => (
                <div key={c.field} className="mt-1">
                  <dt className="text-quiet">{WORDS.fields[c.field]}</dt>
                  <dd className="[overflow-wrap:anywhere]">
                    {s.event === "" ? null : (
                      <>
                        <del className="text-copper-dark">{c.was || WORDS.nothing}</del>{" "}
                        <span className="sr-only">{WORDS.becomes}</span>
                      </>
                    )}
                    <ins className="whitespace-pre-line text-verdigris no-underline">{c.given || WORDS.nothing}</ins>
                  </dd>
                </div>
              ))}
            </dl>
            {s.why ? <p className="mt-1 border-s-2 border-sun ps-2 text-[14px]">{s.why}</p> : null}
            {s.gone ? <p className="mt-1 text-[14px] text-copper-dark">{WORDS.gone}</p> : null}
            <span className="mt-2 flex flex-wrap gap-2">
              {decides ? (
                <>
                  {s.gone ? null : (
                    <Button
                      kind="main"
                      size="small"
                      disabled={!ready}
                      aria-label={WORDS.acceptOf(s.title)}
                      onClick={() => void decide([s.id], true)}
                    >
                      {WORDS.accept}
                    </Button>
                  )}
                  <Button
                    size="small"
                    disabled={!ready}
                    aria-label={WORDS.refuseOf(s.title)}
                    onClick={() => void decide([s.id], false)}
                  >
                    {WORDS.refuse}
                  </Button>
                </>
              ) : s.mine ? (
                <Button
                  size="small"
                  disabled={!ready}
                  aria-label={WORDS.takeBackOf(s.title)}
                  onClick={() => void ask("DELETE", `${path}/${s.id}`)}
                >
                  {WORDS.takeBack}
                </Button>
              ) : null}
              {s.mine ? null : <ReportSaid timeline={timeline} kind="suggestion" thing={s.id} by={s.by} />}
            </span>
          </li>
        ))}
      </ul>
      {decides && open.length > 1 ? (
        <Button size="small" className="mt-3" disabled={!ready} onClick={() => void decide(open, true)}>
          {WORDS.acceptAll(open.length)}
        </Button>
      ) : null}
    </section>
  );
}
