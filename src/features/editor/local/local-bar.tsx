"use client";

import { PageLink } from "@/ui/page-link";
import { useState, useSyncExternalStore } from "react";
import { FORMATS } from "@/core/formats/formats";
import { toFrozen } from "@/core/formats/frozen";
import type { Timeline } from "@/core/timeline/timeline";
import { WORDS } from "@/core/words/editor-local";
import { WORDS as TAKE_OUT } from "@/core/words/take-out";
import { Button, buttonLook } from "@/ui/controls/button";
import { Modal } from "@/ui/controls/modal";
import { useEditor } from "../store/editor-context";
import { saveFile } from "@/ui/save-file";
import { writeFile } from "../write-file";
import { LocalTimeline } from "./local-timeline";

/** Whether the browser has a network. */
function useOnline(): boolean {
  return useSyncExternalStore(
    (told) => {
      window.addEventListener("online", told);
      window.addEventListener("offline", told);
      return () => {
        window.removeEventListener("online", told);
        window.removeEventListener("offline", told);
      };
    },
    () => navigator.onLine,
    () => true,
  );
}

/** What is said and offered where a timeline is kept in this browser only. */
export function LocalBar({ print }: { print: (timeline: Timeline) => Promise<void> }) {
  const { store, waits } = useEditor();
  const online = useOnline();
  const [asking, setAsking] = useState(false);
  const download = async (id: "csv" | "json" | "svg") => {
    const { timeline } = store.getState();
    const { mediaType, endings } = FORMATS.find((f) => f.id === id)!;
    const written = await writeFile(toFrozen(timeline, true), id).catch(() => null);
    if (!written || "problem" in written) return store.say(TAKE_OUT.notWritten);
    saveFile(new Blob([written.bytes as BlobPart], { type: mediaType }), timeline.title || WORDS.timeline, endings[0]!);
  };
  return (
    <div
      role="status"
      className="flex shrink-0 flex-wrap items-center gap-x-4 gap-y-1 border-b border-line bg-sun-wash px-[18px] py-1.5 text-[14px]"
    >
      <span>{waits ? WORDS.begunHere : WORDS.keptHereOnly}</span>
      <span className="flex flex-wrap gap-1.5">
        <Button
          size="small"
          onClick={() => void print(store.getState().timeline).catch(() => store.say(WORDS.cannotPrint))}
        >
          {WORDS.print}
        </Button>
        {(["svg", "csv", "json"] as const).map((id) => (
          <Button key={id} size="small" onClick={() => void download(id)}>
            {WORDS.download[id]}
          </Button>
        ))}
        <Button size="small" onClick={() => setAsking(true)}>
          {WORDS.clearIt}
        </Button>
        {waits ? null : (
          <PageLink href="/sign-up" className={buttonLook("main", "small")}>
            {WORDS.signUpToKeepIt}
          </PageLink>
        )}
        {/* A page of its own, so that this one lets go of what it holds. */}
        {waits && online ? (
          <a href="/" className={buttonLook("main", "small")}>
            {WORDS.networkIsBack}
          </a>
        ) : null}
      </span>
      <Modal title={WORDS.clearIt} open={asking} onOpenChange={setAsking}>
        <p>{WORDS.clearingRemovesIt}</p>
        <span className="mt-4 flex gap-2">
          <Button kind="danger" onClick={() => void LocalTimeline.clear().then(() => window.location.assign("/"))}>
            {WORDS.clearIt}
          </Button>
          <Button onClick={() => setAsking(false)}>{WORDS.leaveIt}</Button>
        </span>
      </Modal>
    </div>
  );
}
