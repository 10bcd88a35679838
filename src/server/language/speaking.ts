import "server-only";
import { AsyncLocalStorage } from "node:async_hooks";
import { DE } from "@/core/words/de/all";
import { ES } from "@/core/words/es/all";
import { mirrored } from "@/core/language/mirrored";
import { EN } from "@/core/words/en/all";
import { type Language, learn, MIRROR } from "@/core/language/spoken";

/**
 * Makes a process speak every language, each request its own. Where nobody asks (jobs, letters, pages that are made in advance) whoever does
 * the work says in which, by `speakIn`. Done once, before the first request, in each process and thread.
 */
export function learnLanguages(): void {
  learn("de", DE);
  learn("es", ES);
  if (process.env.MIRROR === "1") learn(MIRROR as Language, mirrored(EN));
  (globalThis as { fastigoSpeaks?: unknown }).fastigoSpeaks ??= new AsyncLocalStorage<Language>();
}
