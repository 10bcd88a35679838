"use client";

import { useRouter } from "next/navigation";
import { useCallback } from "react";
import { askServer } from "./ask-server";

/**
 * Looks at the page anew, if the server answers. Without a network the page stays as it is, with all that is typed: the router would
 * leave it for the browser's own page about having none.
 */
export function useRefresh(): () => Promise<void> {
  const router = useRouter();
  return useCallback(async () => {
    const answer = await askServer("GET", "/api/health");
    if (answer.ok) router.refresh();
  }, [router]);
}
