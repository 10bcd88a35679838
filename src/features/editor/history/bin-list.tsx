"use client";

import { useEffect, useState } from "react";
import type { Op, Table } from "@/core/change/change";
import { COLLECTION } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-history";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { useLatest } from "@/ui/use-latest";
import { useEditor, useEditorState } from "../store/editor-context";
import { momentText } from "./sitting-list";

interface Binned {
  kind: keyof typeof WORDS.binKinds;
  id: string;
  title: string;
  of: string;
  deletedAt: string;
  by: string;
}

const tableOf = (kind: Binned["kind"]): Table =>
  kind === "event" || kind === "category" ? kind : kind === "record" ? "source" : "item";

/** What was deleted in this timeline, by whom and when: each is put back with all it had. */
export function BinList() {
  const { store, select } = useEditor();
  const waiting = useEditorState((s) => s.waiting);
  const timeline = useEditorState((s) => s.timeline);
  const [got, setGot] = useState<{ days: number; binned: Binned[] } | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const asked = useLatest();
  // biome-ignore lint/correctness/useExhaustiveDependencies: read again when a change has been confirmed
  useEffect(() => {
    if (waiting > 0) return;
    const isLast = asked();
    void askServer<{ days: number; binned: Binned[] }>("GET", `/api/timelines/${store.timelineId}/bin`).then(
      (answer) => {
        if (!isLast()) return;
        if (answer.ok) setGot(answer.value);
        setProblem(answer.ok ? null : answer.sentence);
      },
    );
  }, [store, waiting === 0]);
  if (problem) return <p role="alert">{problem}</p>;
  if (!got) return <p role="status">{WORDS.fetching}</p>;
  const stillGone = ({ kind, id }: Binned) => timeline[COLLECTION[tableOf(kind)]].get(id)?.deleted !== false;
  const list = got.binned.filter(stillGone);
  const back = ({ kind, id }: Binned) => {
    const op = { kind: `restore_${tableOf(kind)}`, id } as Op;
    const refused = store.edit([op]);
    if (refused) store.say(refused);
    else if (kind === "event") select(id);
  };
  return (
    <>
      <p className="mb-2 text-[14px] text-quiet">{WORDS.binHolds(got.days)}</p>
      {list.length === 0 ? <p>{WORDS.binEmpty}</p> : null}
      <ul className="flex flex-col divide-y divide-line text-[14px]">
        {list.map((b) => (
          <li key={`${b.kind} ${b.id}`} className="flex items-center gap-3 py-2">
            <span className="min-w-0 flex-1">
              <strong className="block truncate">{b.title || WORDS.untitled}</strong>
              <span className="text-[13px] text-quiet">
                {WORDS.binKinds[b.kind]}
                {b.of ? ` ${WORDS.ofEvent(b.of)}` : ""} · {b.by ? `${b.by}, ` : ""}
                {momentText(new Date(b.deletedAt).getTime())}
              </span>
            </span>
            <Button size="small" aria-label={WORDS.putBackNamed(b.title || WORDS.untitled)} onClick={() => back(b)}>
              {WORDS.putBackNow}
            </Button>
          </li>
        ))}
      </ul>
    </>
  );
}
