"use client";

import { nanoid } from "nanoid";
import { useCallback, useEffect, useMemo, useRef, useState } from "react";
import type { ReadAnswer } from "@/core/bring-in/asked";
import { isUnwritten } from "@/core/bring-in/unwritten";
import { bringInTimeline, timelineOfFile } from "@/core/bring-in/whole-timeline";
import { filesOf } from "@/core/change/copy-events";
import { whenLabel } from "@/core/time/write-when";
import { mannerOf } from "@/core/timeline/read-options";
import { WORDS } from "@/core/words/bring-in";
import { Button } from "@/ui/controls/button";
import { sendFile } from "@/ui/upload";
import { useEditor, useEditorState } from "../store/editor-context";
import { newClient } from "./plan";

/** So many events of it are listed. */
const SHOWN = 200;

/** A whole timeline that was found in a file: what comes in with it, and into what. */
export function Whole({
  found,
  files,
  onClose,
}: {
  found: Extract<ReadAnswer, { kind: "timeline" }>;
  /** Files that came with it, by their ids there: they are sent when it is brought in. */
  files: ReadonlyMap<string, Blob>;
  onClose: () => void;
}) {
  const { store, select } = useEditor();
  const here = useEditorState((s) => s.timeline);
  const [problem, setProblem] = useState<string | null>(null);
  const { frozen } = found;
  const file = useMemo(() => timelineOfFile(frozen, newClient()), [frozen]);
  const bring = useCallback(
    (sent: ReadonlyMap<string, string>) => {
      const media = new Set([...here.items.values()].flatMap((i) => i.media ?? []));
      const mediaFor = (m: string) => sent.get(m) ?? (media.has(m) ? m : null);
      return bringInTimeline(here, file, { newId: () => nanoid(10), mediaFor });
    },
    [here, file],
  );
  /** Files that have to be sent first: those that are shown, and are not here. */
  const toSend = useMemo(() => {
    if (store.isLocal) return [];
    const there = new Set([...here.items.values()].flatMap((i) => i.media ?? []));
    return [...new Set(filesOf([...file.items.values()]))].filter((m) => files.has(m) && !there.has(m));
  }, [store, here, file, files]);
  const brought = useMemo(() => bring(new Map(toSend.map((m) => [m, m]))), [bring, toSend]);
  const all = isUnwritten(here);
  const [sending, setSending] = useState<number | null>(null);
  const stop = useRef<AbortController | null>(null);
  useEffect(() => () => stop.current?.abort(), []);
  const add = async () => {
    const sent = new Map<string, string>();
    const { signal } = (stop.current = new AbortController());
    for (const [n, m] of toSend.entries()) {
      setSending(n + 1);
      const name = frozen.items.find((i) => i.media === m)?.caption || m;
      const done = await sendFile(
        store.timelineId,
        new File([files.get(m)!], name),
        { id: null },
        { progress: () => {}, room: () => {} },
        signal,
      );
      if (done.kind === "done") sent.set(m, done.media.id);
      else {
        setSending(null);
        return setProblem("sentence" in done && done.sentence ? done.sentence : WORDS.notReadNow);
      }
    }
    setSending(null);
    const { ops } = bring(sent);
    const refused = store.edit(ops);
    if (refused) return setProblem(refused);
    store.say(WORDS.added(brought.events));
    onClose();
    const first = ops.find((op) => op.kind === "add_event");
    if (first?.kind === "add_event") select(first.id);
  };
  return (
    <>
      <div className="flex shrink-0 flex-col gap-1 border-b border-line bg-panel px-[22px] py-3">
        <p role="status" className="font-bold">
          {WORDS.timelineFound(frozen.title, brought.events)}
        </p>
        <p className="text-[14px]">{all ? WORDS.comesAsAWhole : WORDS.eventsComeIn}</p>
        {brought.mediaLeftOut > 0 ? <p className="text-[14px]">{WORDS.mediaNotHere(brought.mediaLeftOut)}</p> : null}
      </div>
      <ul className="min-h-0 flex-1 divide-y divide-line overflow-auto">
        {frozen.events.slice(0, SHOWN).map((e) => (
          <li key={e.id} className="flex flex-wrap gap-x-4 px-[22px] py-2">
            <span className="w-[180px] font-bold text-verdigris">
              {whenLabel(e.when, mannerOf(frozen)) || WORDS.noDate}
            </span>
            <span className="min-w-0 flex-1">{e.title}</span>
          </li>
        ))}
        {frozen.events.length > SHOWN ? (
          <li className="px-[22px] py-2 text-quiet">{WORDS.moreRows(frozen.events.length - SHOWN)}</li>
        ) : null}
      </ul>
      <footer className="flex shrink-0 flex-wrap items-center gap-x-5 gap-y-2 border-t border-line bg-verdigris-wash px-[18px] py-3">
        <span aria-live="polite">
          {sending !== null ? WORDS.sendingFiles(sending, toSend.length) : WORDS.nothingYet}
        </span>
        <span role="alert" className="ms-auto font-bold text-copper-dark">
          {problem}
        </span>
        <Button kind="main" disabled={brought.ops.length === 0 || sending !== null} onClick={() => void add()}>
          {WORDS.add(brought.events)}
        </Button>
      </footer>
    </>
  );
}
