"use client";

import { useRouter } from "next/navigation";
import { useCallback, useEffect } from "react";
import { askServer } from "./ask-server";

const FIRST_REST_MS = 500;
const LONGEST_REST_MS = 15_000;
const holder = globalThis as { fastigoPatient?: true };

/**
 * What the router fetches of the page that is open waits for a network where there is none: it would leave the page otherwise, for the
 * browser's own page about having none, with all that is typed in it.
 */
function bePatient(): void {
  if (holder.fastigoPatient) return;
  holder.fastigoPatient = true;
  const plain = window.fetch;
  window.fetch = async (input, init) => {
    if (!isOfThisPage(input, init)) return plain(input, init);
    for (let ms = FIRST_REST_MS; ; ms = Math.min(LONGEST_REST_MS, ms * 2)) {
      try {
        return await plain(input, init);
      } catch (error) {
        if (init?.signal?.aborted || !isOfThisPage(input, init)) throw error;
        await new Promise((resolve) => setTimeout(resolve, ms));
      }
    }
  };
}

/** Whether a request is the router's, for the page that is open. */
function isOfThisPage(input: RequestInfo | URL, init?: RequestInit): boolean {
  if (!(typeof input === "string" || input instanceof URL) || !new Headers(init?.headers).has("rsc")) return false;
  const asked = new URL(input, window.location.href);
  asked.searchParams.delete("_rsc");
  const here = new URL(window.location.href);
  return asked.pathname === here.pathname && asked.search === here.search;
}

/** Looks at the page anew, if the server answers. Without a network the page stays as it is, with all that is typed. */
export function useRefresh(): () => Promise<void> {
  const router = useRouter();
  useEffect(bePatient, []);
  return useCallback(async () => {
    const answer = await askServer("GET", "/api/health");
    if (answer.ok) router.refresh();
  }, [router]);
}
