"use client";

import { WORDS } from "@/core/words/en/editor-share";
import { useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { useEditor, useEditorState } from "../store/editor-context";
import { CopyLine } from "./copy-line";

/** Who works on the timeline, and inviting others. */
export function Together({ owner }: { owner: boolean }) {
  const { store } = useEditor();
  const editors = useEditorState((s) => s.editors);
  const [token, setToken] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/timelines/${store.timelineId}/invitation`;
  const make = async (renew: boolean) => {
    const answer = await askServer<{ token: string }>("POST", path, { renew });
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) setToken(answer.value.token);
  };
  const remove = async (account: string) => {
    const answer = await askServer("DELETE", `/api/timelines/${store.timelineId}/editors/${account}`);
    setProblem(answer.ok ? null : answer.sentence);
    if (answer.ok) store.setEditors(editors.filter((e) => e.id !== account));
  };
  return (
    <section aria-label={WORDS.workOnItTogether} className="mt-5 border-t border-line pt-4">
      <h3 className="mb-2 text-[16px]">{WORDS.workOnItTogether}</h3>
      <ul className="mb-3">
        {editors.map((e) => (
          <li key={e.id} className="flex items-center justify-between py-0.5">
            <span>
              {e.displayName}
              {e.role === "owner" ? <span className="ml-2 text-[13px] text-quiet">{WORDS.owner}</span> : null}
            </span>
            {owner && e.role === "editor" ? (
              <Button size="small" kind="quiet" onClick={() => void remove(e.id)}>
                {WORDS.takeTheRightAway}
              </Button>
            ) : null}
          </li>
        ))}
      </ul>
      {owner ? (
        token ? (
          <>
            <CopyLine label={WORDS.whoeverOpensThisLinkSigned} path={`/join/${token}`} />
            <div className="mt-2 flex gap-2">
              <Button size="small" onClick={() => void make(true)}>
                {WORDS.renewTheLink}
              </Button>
              <Button
                size="small"
                onClick={async () => {
                  const answer = await askServer("DELETE", path);
                  setProblem(answer.ok ? null : answer.sentence);
                  if (answer.ok) setToken(null);
                }}
              >
                {WORDS.closeTheLink}
              </Button>
            </div>
          </>
        ) : (
          <Button onClick={() => void make(false)}>{WORDS.inviteByALink}</Button>
        )
      ) : null}
      <Problem text={problem} className="mt-2" />
    </section>
  );
}
