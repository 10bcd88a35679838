"use client";

import { WORDS } from "@/core/words/upload-queue";
import { useEffect, useState } from "react";
import { Button } from "@/ui/controls/button";
import { Modal } from "@/ui/controls/modal";
import { useEditor, useEditorState } from "../store/editor-context";
import { OnItsWayRow } from "./on-its-way-row";
import { useOnTheirWay } from "./on-their-way";

/** What is on its way for whatever event, in one line over the chart; all of it when one asks. Closing the tab is asked about. */
export function UploadsBar() {
  const { uploads } = useEditor();
  const timeline = useEditorState((s) => s.timeline);
  const list = useOnTheirWay();
  const [shown, setShown] = useState(false);
  useEffect(() => uploads?.start(), [uploads]);
  const going = list.filter((f) => f.state !== "failed");
  const failed = list.length - going.length;
  const waiting = list.filter((f) => f.state === "broken_off").length;
  const busy = going.length > 0;
  useEffect(() => {
    if (!busy) return;
    const ask = (e: BeforeUnloadEvent) => e.preventDefault();
    window.addEventListener("beforeunload", ask);
    return () => window.removeEventListener("beforeunload", ask);
  }, [busy]);
  if (list.length === 0) return null;
  const percent = Math.floor((going.reduce((sum, f) => sum + f.share, 0) / Math.max(1, going.length)) * 100);
  const said = [
    going.length > waiting ? WORDS.many(going.length - waiting, percent) : "",
    waiting > 0 ? WORDS.someWait(waiting) : "",
    failed > 0 ? WORDS.someFailed(failed) : "",
  ].filter(Boolean);
  const owner = (of: string) =>
    of === "timeline" ? WORDS.theTimeline : timeline.events.get(of)?.title || WORDS.untitled;
  return (
    <div
      className="flex flex-wrap items-center gap-3 border-b border-line bg-sun-wash px-4 py-1.5 text-[14px]"
      data-testid="uploads"
    >
      <span role="status">{said.join(". ")}</span>
      {busy ? <progress value={percent} max={100} className="h-2 min-w-16 flex-1" aria-hidden="true" /> : null}
      {waiting > 0 ? (
        <Button size="small" onClick={() => uploads?.goOn()}>
          {WORDS.goOn}
        </Button>
      ) : null}
      <Button size="small" onClick={() => setShown(true)}>
        {WORDS.show}
      </Button>
      {failed > 0 && !busy ? (
        <Button
          size="small"
          onClick={() => {
            for (const f of list) if (f.state === "failed") uploads?.drop(f.key);
          }}
        >
          {WORDS.close}
        </Button>
      ) : null}
      <Modal title={WORDS.filesOnTheirWay} open={shown} onOpenChange={setShown}>
        <ul className="flex flex-col gap-3">
          {list.map((f) => (
            <li key={f.key}>
              <p className="mb-1 text-[13px] text-quiet">{owner(f.of)}</p>
              <OnItsWayRow file={f} />
            </li>
          ))}
        </ul>
      </Modal>
    </div>
  );
}
