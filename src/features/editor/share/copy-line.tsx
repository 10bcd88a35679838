"use client";

import { WORDS } from "@/core/words/editor-share";
import { Button, buttonLook } from "@/ui/controls/button";
import { useCopied } from "@/ui/use-copied";
import { INPUT } from "@/ui/controls/field";

/** A link to be copied, and opened. */
export function CopyLine({ label, path, open }: { label: string; path: string; open?: boolean }) {
  const { said, copy } = useCopied();
  const url = typeof window === "undefined" ? path : new URL(path, window.location.href).href;
  return (
    <div className="mt-3">
      <label className="mb-1 block text-[13px] text-quiet">
        {label}
        <input readOnly value={url} className={`${INPUT} mt-1`} onFocus={(e) => e.target.select()} />
      </label>
      <div className="mt-1.5 flex items-center gap-2">
        <Button size="small" onClick={() => void copy(url)}>
          {WORDS.copyLink}
        </Button>
        {open ? (
          <a className={buttonLook("plain", "small")} href={path} target="_blank" rel="noreferrer">
            {WORDS.openIt}
          </a>
        ) : null}
        <span role="status" className="text-[13px] text-verdigris">
          {said}
        </span>
      </div>
    </div>
  );
}
