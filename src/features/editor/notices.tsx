"use client";

import { useEditor, useEditorState } from "./editor-context";

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
  if (!notice) return null;
  return (
    <Banner>
      {notice}
      <button type="button" className="ml-3 font-bold underline" onClick={() => store.dismissNotice()}>
        Close
      </button>
    </Banner>
  );
}

function Banner({ children }: { children: React.ReactNode }) {
  return (
    <div role="status" className="shrink-0 border-b border-line bg-sun-wash px-[18px] py-2">
      {children}
    </div>
  );
}
