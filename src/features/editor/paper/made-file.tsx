"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { WORDS } from "@/core/words/paper";
import { askServer } from "@/ui/ask-server";
import { Button, buttonLook } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { useEditor } from "../store/editor-context";

export interface MadeFile {
  id: string;
  name: string;
  type: string;
  notices: string[];
  madeAt: string | null;
  job: { state: "waiting" | "running" | "done" | "failed" | "stopped"; done: number; total: number | null } | null;
}

const ASK_MS = 400;
/** How soon a server that does not answer is asked again. */
const AGAIN_MS = 2_000;

/** A file that is made on the server: begun, asked about until it is there, stopped. */
export function useMadeFile() {
  const { store } = useEditor();
  const [file, setFile] = useState<MadeFile | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | null>(null);
  useEffect(() => () => clearTimeout(timer.current ?? undefined), []);
  const ask = useCallback(async (id: string) => {
    const answer = await askServer<{ file: MadeFile }>("GET", `/api/files/${id}`);
    if (!answer.ok) {
      // It goes on being made, also by the server that comes back: it is asked about until somebody says how it is.
      if (answer.failed === "no_answer") timer.current = setTimeout(() => void ask(id), AGAIN_MS);
      else setProblem(answer.sentence);
      return;
    }
    const { file: now } = answer.value;
    setFile(now);
    const state = now.job?.state;
    if (state === "failed") setProblem(WORDS.failed);
    else if (!now.madeAt && state !== "stopped") timer.current = setTimeout(() => void ask(id), ASK_MS);
  }, []);
  const begin = async (body: object) => {
    setProblem(null);
    setFile(null);
    const answer = await askServer<{ file: MadeFile }>("POST", `/api/timelines/${store.timelineId}/files`, body);
    if (!answer.ok) return setProblem(answer.sentence);
    setFile(answer.value.file);
    void ask(answer.value.file.id);
  };
  const stop = async () => {
    clearTimeout(timer.current ?? undefined);
    if (file) await askServer("DELETE", `/api/files/${file.id}`);
    setFile(null);
    setProblem(WORDS.stopped);
  };
  const isBusy = file !== null && !file.madeAt && problem === null;
  return { file, problem, isBusy, begin, stop };
}

/** How far it is, and what came of it. */
export function MadeFileRow({ made, children }: { made: ReturnType<typeof useMadeFile>; children?: React.ReactNode }) {
  const { file, problem, isBusy, stop } = made;
  const url = file && `/api/files/${file.id}/content`;
  return (
    <div className="mt-2" aria-live="polite">
      {isBusy ? (
        <p className="flex items-center gap-3">
          {file?.job?.total ? WORDS.madeOf(file.job.done, file.job.total) : WORDS.making}
          <progress
            className="h-2 flex-1 accent-verdigris"
            max={file?.job?.total ?? undefined}
            value={file?.job?.total ? file.job.done : undefined}
          />
          <Button size="small" onClick={() => void stop()}>
            {WORDS.stop}
          </Button>
        </p>
      ) : null}
      {file?.madeAt && url ? (
        <>
          {file.notices.map((n) => (
            <p key={n} className="mb-1 text-[14px]">
              {n}
            </p>
          ))}
          <div className="flex flex-wrap items-center gap-2">
            <a href={url} download={file.name} className={buttonLook("sun")}>
              {WORDS.download}
            </a>
            {children}
            <span className="text-[14px] text-quiet">{file.name}</span>
          </div>
        </>
      ) : null}
      <Problem text={problem} />
    </div>
  );
}
