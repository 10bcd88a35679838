"use client";

import { WORDS } from "@/core/words/editor-share";
import { Button } from "@/ui/controls/button";
import { useCopied } from "@/ui/use-copied";
import { INPUT } from "@/ui/controls/field";

/** A text to be copied: shown whole, selected when it is entered, and copied by a button. */
export function CopyText({ label, text, copy = WORDS.copyCode }: { label: string; text: string; copy?: string }) {
  const { said, copy: copyIt } = useCopied();
  return (
    <div>
      <label className="block text-[13px] text-quiet">
        {label}
        <textarea
          readOnly
          value={text}
          rows={Math.min(6, Math.max(3, Math.ceil(text.length / 62)))}
          className={`${INPUT} mt-1 h-auto py-2 font-mono text-[13px]`}
          onFocus={(e) => e.target.select()}
        />
      </label>
      <div className="mt-1.5 flex items-center gap-2">
        <Button size="small" onClick={() => void copyIt(text)}>
          {copy}
        </Button>
        <span role="status" className="text-[13px] text-verdigris">
          {said}
        </span>
      </div>
    </div>
  );
}
