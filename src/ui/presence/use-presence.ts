"use client";

import { useEffect, useRef, useState } from "react";
import {
  hear,
  type OpenPage,
  type Present,
  presentIn,
  SAY_EVERY_MS,
  stillHere,
  type Where,
} from "@/core/presence/present";
import { listenLive } from "@/ui/live";

/** Moving about is said so often at most, ms. */
const SAY_AT_MOST_MS = 700;

/**
 * Who else has a timeline open, and where they are; and says to them where this page is, now, when that changes, and again and again.
 * `where` null: nothing is said, and nobody is heard.
 */
export function usePresence(timeline: string, account: string, where: Where | null): readonly Present[] {
  const [pages, setPages] = useState<readonly OpenPage[]>([]);
  const latest = useRef(where);
  latest.current = where;
  const on = where !== null;
  const say = useRef<() => void>(() => {});
  // Whoever is alone says once that they came, and nothing more.
  const alone = useRef(true);
  alone.current = pages.every((p) => p.where === null);
  useEffect(() => {
    if (!on) return;
    const tab = crypto.randomUUID?.().slice(0, 20) ?? String(Math.random()).slice(2, 22);
    let n = 0;
    const post = (body: { tab: string; where: Where | null }) =>
      void fetch(`/api/timelines/${timeline}/here`, {
        method: "POST",
        headers: { "Content-Type": "application/json" },
        body: JSON.stringify({ ...body, n: n++ }),
        // What is said as the page goes is sent nevertheless.
        keepalive: body.where === null,
        // An answer that nobody reads would hold its connection.
      })
        .then((r) => r.arrayBuffer())
        .catch(() => {});
    let last = 0;
    let waiting: ReturnType<typeof setTimeout> | null = null;
    const now = () => {
      waiting = null;
      last = Date.now();
      if (latest.current) post({ tab, where: latest.current });
    };
    say.current = () => {
      waiting ??= setTimeout(now, Math.max(0, last + SAY_AT_MOST_MS - Date.now()));
    };
    const known = new Set<string>();
    const stop = listenLive((m) => {
      // One comes when one can hear who answers: what was said before would be answered to nobody.
      if (m.kind === "hearing" && m.hearing) say.current();
      if (m.kind !== "here" || m.timeline !== timeline || m.tab === tab) return;
      // Whoever has just come is told who is here.
      if (m.where && !known.has(m.tab)) say.current();
      if (m.where) known.add(m.tab);
      else known.delete(m.tab);
      setPages((p) => hear(p, m, Date.now()));
    });
    const beat = setInterval(() => {
      setPages((p) => stillHere(p, Date.now()));
      if (!alone.current && document.visibilityState === "visible") say.current();
    }, SAY_EVERY_MS);
    const leave = () => post({ tab, where: null });
    const back = () => {
      if (document.visibilityState === "visible") say.current();
    };
    window.addEventListener("pagehide", leave);
    document.addEventListener("visibilitychange", back);
    return () => {
      stop();
      clearInterval(beat);
      if (waiting) clearTimeout(waiting);
      window.removeEventListener("pagehide", leave);
      document.removeEventListener("visibilitychange", back);
      leave();
      setPages([]);
    };
  }, [timeline, on]);
  const place = where && `${where.at} ${where.event} ${where.field} ${where.follows} ${where.caret ?? ""}`;
  useEffect(() => {
    if (place !== null && !alone.current) say.current();
  }, [place]);
  return presentIn(pages, account);
}
