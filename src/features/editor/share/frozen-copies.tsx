"use client";

import { locale } from "@/core/language/spoken";
import { WORDS } from "@/core/words/editor-share";
import { useCallback, useEffect, useState } from "react";
import { askServer } from "@/ui/ask-server";
import { Button, buttonLook } from "@/ui/controls/button";
import { Problem } from "@/ui/controls/problem";
import { useLatest } from "@/ui/use-latest";
import { OnceSaved } from "../once-saved";
import { useEditor } from "../store/editor-context";
import { CopyLine } from "./copy-line";

interface Copy {
  address: string;
  createdAt: string;
  hash: string;
}

/** Handing in without a class: a frozen, dated copy by its own link or as a file, independent of publishing. */
export function FrozenCopies() {
  const { store } = useEditor();
  const [copies, setCopies] = useState<readonly Copy[]>([]);
  const [problem, setProblem] = useState<string | null>(null);
  const path = `/api/timelines/${store.timelineId}/frozen-copies`;
  const asked = useLatest();
  const look = useCallback(async () => {
    const isLast = asked();
    const answer = await askServer<{ copies: Copy[] }>("GET", path);
    if (!isLast()) return;
    if (answer.ok) setCopies(answer.value.copies);
    else setProblem(answer.sentence);
  }, [path, asked]);
  useEffect(() => void look(), [look]);
  return (
    <section aria-label={WORDS.handInAFrozenCopy} className="mt-5 border-t border-line pt-4">
      <h3 className="mb-1 text-[16px]">{WORDS.handInAFrozenCopy}</h3>
      <p className="mb-2 text-[14px] text-quiet">{WORDS.aDatedCopyThatNever}</p>
      <OnceSaved
        onPress={async () => {
          const answer = await askServer<{ copy: Copy }>("POST", path);
          setProblem(answer.ok ? null : answer.sentence);
          if (!answer.ok) return;
          const { copy } = answer.value;
          // It is there, also where all of them cannot be asked for.
          setCopies((now) => [copy, ...now.filter((c) => c.address !== copy.address)]);
          await look();
        }}
      >
        {WORDS.makeAFrozenCopy}
      </OnceSaved>
      <Problem text={problem} className="mt-2" />
      {copies.map((c) => (
        <div key={c.address} className="mt-2 border-t border-line pt-1" data-testid="frozen-copy">
          <CopyLine
            label={WORDS.frozenFingerprint(
              new Date(c.createdAt).toLocaleString(locale(), { dateStyle: "medium", timeStyle: "short" }),
              c.hash.slice(0, 16),
            )}
            path={`/f/${c.address}`}
            open
          />
          <div className="mt-1.5 flex flex-wrap gap-2">
            <a className={buttonLook("plain", "small")} href={`/f/${c.address}/file?as=folder`}>
              {WORDS.downloadTheFolder}
            </a>
            <a className={buttonLook("plain", "small")} href={`/f/${c.address}/file`}>
              {WORDS.downloadTheFile}
            </a>
            <Button
              size="small"
              onClick={async () => {
                const answer = await askServer("DELETE", `${path}/${c.address}`);
                setProblem(answer.ok ? null : answer.sentence);
                if (answer.ok) await look();
              }}
            >
              {WORDS.closeTheLink}
            </Button>
          </div>
        </div>
      ))}
    </section>
  );
}
