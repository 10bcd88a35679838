"use client";

import { WORDS } from "@/core/words/editor";
import { useState } from "react";
import type { Op } from "@/core/change/change";
import { fromBase64 } from "@/core/text/base64";
import { blocksOf, plainTextOf } from "@/core/text/description";
import { Button } from "@/ui/controls/button";
import { Modal } from "@/ui/controls/modal";
import { ExamplesNotice } from "./examples-notice";
import { useEditor, useEditorState } from "./store/editor-context";

export function Notices() {
  const { store } = useEditor();
  const notice = useEditorState((s) => s.notice);
  const saving = useEditorState((s) => s.saving);
  const waiting = useEditorState((s) => s.waiting);
  if (saving === "signed_out")
    return (
      <Banner>
        {WORDS.youAreSignedOut(
          waiting > 0 ? WORDS.keptInThisBrowserAnd(waiting, waiting === 1 ? WORDS.changeIs : WORDS.changesAre) : "",
        )}{" "}
        <a className="font-bold underline" href={`/sign-in?to=${encodeURIComponent(`/timelines/${store.timelineId}`)}`}>
          {WORDS.signIn}
        </a>
      </Banner>
    );
  if (saving === "right_lost")
    return <Banner>{WORDS.youCanNoLongerEdit(waiting > 0 ? WORDS.whatWasNotSentIs : "")}</Banner>;
  return (
    <>
      {notice ? (
        <Banner>
          {notice}
          <button type="button" className="ms-3 font-bold underline" onClick={() => store.dismissNotice()}>
            {WORDS.close}
          </button>
        </Banner>
      ) : null}
      <ExamplesNotice />
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
      {WORDS.notTakenByTheServer(setAside.length === 1 ? WORDS.oneChangeWas : WORDS.changesWere(setAside.length))}
      <button type="button" className="ms-3 font-bold underline" onClick={() => setShown(true)}>
        {WORDS.showWhatWasSetAside}
      </button>
      <Modal title={WORDS.setAside} open={shown} onOpenChange={setShown}>
        <ul className="flex flex-col gap-4">
          {setAside.map((s) => {
            const texts = textsOf(s.change.ops);
            return (
              <li key={s.key} className="border-b border-line pb-3">
                <p className="text-[14px] text-copper-dark">{s.sentence}</p>
                {texts.length === 0 ? (
                  <p className="mt-2 text-[14px] text-quiet">{WORDS.itHoldsNoWords}</p>
                ) : (
                  <textarea
                    readOnly
                    aria-label={WORDS.whatWasWritten}
                    className="mt-2 w-full rounded-md border border-edge p-2"
                    rows={Math.min(8, texts.length + 1)}
                    value={texts.join("\n")}
                  />
                )}
                <span className="mt-2 flex gap-2">
                  {texts.length > 0 ? (
                    <Button size="small" onClick={() => void navigator.clipboard?.writeText(texts.join("\n"))}>
                      {WORDS.copyTheWords}
                    </Button>
                  ) : null}
                  <Button size="small" onClick={() => void store.forget(s.key)}>
                    {WORDS.throwItAway}
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
      ["title", "shortTitle", "when", "name", "text", "subject", "byline", "caption", "credit"].includes(op.field)
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
