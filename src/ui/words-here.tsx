"use client";

import { type ReactNode, use } from "react";
import { hasWords, type Language } from "@/core/language/spoken";

const coming = new Map<string, Promise<void>>();

/** The words of a language from their script; English stands in where they do not come. */
function wordsOf(script: string): Promise<void> {
  let known = coming.get(script);
  if (!known) {
    known = new Promise((resolve) => {
      const element = document.createElement("script");
      element.src = script;
      element.onload = element.onerror = () => resolve();
      document.head.append(element);
    });
    coming.set(script, known);
  }
  return known;
}

/** Shows nothing before the words of its language are there: a page that could not be sent whole is drawn in the browser alone. */
export function WordsHere({ language, script, children }: { language: Language; script: string; children: ReactNode }) {
  if (typeof window !== "undefined" && !hasWords(language)) use(wordsOf(script));
  return children;
}
