"use client";

import { WORDS } from "@/core/words/upload-queue";
import { Problem } from "@/ui/controls/problem";
import { useEditor } from "../store/editor-context";
import type { OnItsWay } from "../store/upload-queue";

const LINK = "min-h-6 font-bold text-verdigris underline";

/** A file on its way, in small, with how far it is and what can be done. */
export function OnItsWayRow({ file }: { file: OnItsWay }) {
  const { uploads } = useEditor();
  const ended = file.state === "failed";
  return (
    <div className="flex gap-3 rounded-md border border-line p-2.5 text-[14px]" data-testid="on-its-way">
      {file.preview ? (
        <img src={file.preview} alt="" className="h-[54px] w-[78px] shrink-0 rounded object-cover opacity-80" />
      ) : null}
      <div className="min-w-0 flex-1">
        <div className="flex justify-between gap-2">
          <span className="truncate">{file.name}</span>
          <span className="flex shrink-0 gap-3">
            {file.state === "broken_off" ? (
              <button type="button" className={LINK} onClick={() => uploads?.goOn()}>
                {WORDS.goOn}
              </button>
            ) : null}
            {file.state === "asks" ? (
              <button type="button" className={LINK} onClick={() => uploads?.sendAnyway(file.key)}>
                {WORDS.sendAnyway}
              </button>
            ) : null}
            <button type="button" className={LINK} onClick={() => uploads?.drop(file.key)}>
              {file.state === "asks" ? WORDS.leaveOut : ended ? WORDS.close : WORDS.stop}
            </button>
          </span>
        </div>
        {ended || file.problem ? (
          <Problem text={file.problem} className="mt-1" />
        ) : file.state === "broken_off" ? (
          <p role="status" className="mt-1 text-[13px] font-bold text-copper-dark">
            {WORDS.brokenOff(Math.floor(file.share * 100))}
          </p>
        ) : file.state === "waiting" || file.state === "looking" ? (
          <p className="mt-1 text-[13px] text-quiet">{WORDS.waiting}</p>
        ) : (
          <progress className="mt-1.5 h-2 w-full" value={file.share} max={1} aria-label={WORDS.onItsWay(file.name)} />
        )}
      </div>
    </div>
  );
}
