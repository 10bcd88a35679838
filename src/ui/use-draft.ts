"use client";

import { useCallback, useEffect, useState } from "react";

/** A text that is being written and is there again when its page is loaded anew, in this window; "" forgets it. */
export function useDraft(key: string): [string, (change: string | ((now: string) => string)) => void] {
  const [text, setText] = useState("");
  const name = `draft ${key}`;
  useEffect(() => {
    const kept = read(name);
    if (kept) setText((now) => now || kept);
  }, [name]);
  const set = useCallback(
    (change: string | ((now: string) => string)) =>
      setText((now) => {
        const next = typeof change === "string" ? change : change(now);
        write(name, next);
        return next;
      }),
    [name],
  );
  return [text, set];
}

// A browser may forbid it: then a page that is loaded anew begins empty.
function read(name: string): string {
  try {
    return sessionStorage.getItem(name) ?? "";
  } catch {
    return "";
  }
}
function write(name: string, text: string): void {
  try {
    if (text === "") sessionStorage.removeItem(name);
    else sessionStorage.setItem(name, text);
  } catch {}
}
