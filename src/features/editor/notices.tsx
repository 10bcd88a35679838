"use client";

import { useState } from "react";
import type { Op } from "@/core/change/change";
import { fromBase64 } from "@/core/text/base64";
import { blocksOf, plainTextOf } from "@/core/text/description";
import { Button } from "@/ui/controls/button";
import { Modal } from "@/ui/controls/modal";
import { useEditor, useEditorState } from "./store/editor-context";

export function Notices() {
  const { store } = useEditor();
  const notice = useEditorState((s) => s.notice);
  const saving = useEditorState((s) => s.saving);
  const waiting = useEditorState((s) => s.waiting);
  if (saving === "signed_out")
    return (
      <Banner>
        You are signed out.{" "}
        {waiting > 0
          ? `${waiting} ${waiting === 1 ? "change is" : "changes are"} kept in this browser and sent when you have signed in again.`
          : ""}{" "}
        <a className="font-bold underline" href={`/sign-in?to=${encodeURIComponent(`/timelines/${store.timelineId}`)}`}>
          Sign in
        </a>
      </Banner>
    );
  if (saving === "right_lost")
    return (
      <Banner>
        You can no longer edit this timeline: it was deleted, or its owner has taken the right away.{" "}
        {waiting > 0 ? "What was not sent is kept in this browser; copy what you need." : ""}
      </Banner>
    );
  return (
    <>
      {notice ? (
        <Banner>
          {notice}
          <button type="button" className="ml-3 font-bold underline" onClick={() => store.dismissNotice()}>
            Close
          </button>
        </Banner>
      ) : null}
      <SetAsideNotice />
    </>
  );
}

/** What the server would not take: shown with its texts until its author has dealt with it. */
function SetAsideNotice() {
  const { store } = useEditor();
  const setAside = useEditorState((s) => s.setAside);
  const [shown, setShown] = useState(false);
  if (setAside.length === 0) return null;
  return (
    <Banner>
      {setAside.length === 1 ? "One change was" : `${setAside.length} changes were`} not taken by the server and set
      aside on this device; all later ones are saved.
      <button type="button" className="ml-3 font-bold underline" onClick={() => setShown(true)}>
        Show what was set aside
      </button>
      <Modal title="Set aside" open={shown} onOpenChange={setShown}>
        <ul className="flex flex-col gap-4">
          {setAside.map((s) => {
            const texts = textsOf(s.change.ops);
            return (
              <li key={s.key} className="border-b border-line pb-3">
                <p className="text-[14px] text-copper-dark">{s.sentence}</p>
                {texts.length === 0 ? (
                  <p className="mt-2 text-[14px] text-quiet">It holds no words.</p>
                ) : (
                  <textarea
                    readOnly
                    aria-label="What was written"
                    className="mt-2 w-full rounded-md border border-edge p-2"
                    rows={Math.min(8, texts.length + 1)}
                    value={texts.join("\n")}
                  />
                )}
                <span className="mt-2 flex gap-2">
                  {texts.length > 0 ? (
                    <Button size="small" onClick={() => void navigator.clipboard?.writeText(texts.join("\n"))}>
                      Copy the words
                    </Button>
                  ) : null}
                  <Button size="small" onClick={() => void store.forget(s.key)}>
                    Throw it away
                  </Button>
                </span>
              </li>
            );
          })}
        </ul>
      </Modal>
    </Banner>
  );
}

/** Every text that was written in the steps of a change, in their order. */
function textsOf(ops: readonly Op[]): string[] {
  const words = (v: unknown): string[] => {
    if (typeof v === "string") return v.trim() ? [v] : [];
    return v !== null && typeof v === "object" && "typed" in v ? words((v as { typed: unknown }).typed) : [];
  };
  return ops.flatMap((op) => {
    if (op.kind === "describe")
      return [plainTextOf(blocksOf(fromBase64(op.update)))].filter((text) => text.trim() !== "");
    if ("fields" in op) {
      const { title, shortTitle, name, text, when } = op.fields as Record<string, unknown>;
      return [when, title, shortTitle, name, text].flatMap(words);
    }
    return "value" in op &&
      ["title", "shortTitle", "when", "name", "text", "subject", "byline", "credit"].includes(op.field)
      ? words(op.value)
      : [];
  });
}

function Banner({ children }: { children: React.ReactNode }) {
  return (
    <div role="status" className="shrink-0 border-b border-line bg-sun-wash px-[18px] py-2">
      {children}
    </div>
  );
}
