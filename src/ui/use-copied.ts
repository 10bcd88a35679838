"use client";

import { useState } from "react";
import { WORDS } from "@/core/words/editor-share";

/** Copies a text; what came of it, to be said. */
export function useCopied(): { said: string | null; copy: (text: string) => Promise<void> } {
  const [said, setSaid] = useState<string | null>(null);
  const copy = async (text: string) => {
    try {
      await navigator.clipboard.writeText(text);
      setSaid(WORDS.copied);
    } catch {
      setSaid(WORDS.thisBrowserDoesNotLet);
    }
  };
  return { said, copy };
}
