"use client";

import { useEffect } from "react";
import { type LiveMessage, listenLive } from "@/ui/live";

/** A burst of notices is one look at the server. */
const GATHER_MS = 250;

/** Looks at once, and whenever something of these kinds is heard of a timeline, or was missed. */
export function useLiveLook(timeline: string, kinds: string, look: () => Promise<void>): void {
  useEffect(() => {
    void look();
    let waiting: ReturnType<typeof setTimeout> | null = null;
    const isOurs = (m: LiveMessage) =>
      m.kind === "catch_up" || ("timeline" in m && m.timeline === timeline && kinds.split(" ").includes(m.kind));
    const stop = listenLive((m) => {
      if (isOurs(m))
        waiting ??= setTimeout(() => {
          waiting = null;
          void look();
        }, GATHER_MS);
    });
    return () => {
      stop();
      if (waiting) clearTimeout(waiting);
    };
  }, [look, timeline, kinds]);
}
