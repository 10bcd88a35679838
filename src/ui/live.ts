import type { HereMessage } from "@/core/presence/present";

export type LiveMessage =
  | { kind: "changed"; timeline: string; seq: number }
  | { kind: "work"; timeline: string }
  | { kind: "comments"; timeline: string }
  | ({ kind: "here"; timeline: string } & HereMessage)
  | { kind: "right_lost"; timeline: string }
  | { kind: "catch_up" }
  | { kind: "signed_out" }
  /** Whether what others do is heard of at once. */
  | { kind: "hearing"; hearing: boolean };

/** Between tabs: who holds the stream says what it hears; who has just come asks how it stands. */
type TabMessage = LiveMessage | { kind: "ask_hearing" };

const RETRY_MS = 3_000;

/**
 * One event stream a browser: the tab that gets the lock holds it and passes on what it hears; the others listen to that
 * tab. When it closes, the lock goes to the next. Where there are no locks (a page without HTTPS) each tab has its own.
 */
export function listenLive(onMessage: (m: LiveMessage) => void): () => void {
  const channel = new BroadcastChannel("fastigo-live");
  let source: EventSource | null = null;
  let hearing = false;
  let release: (() => void) | null = null;
  const stop = new AbortController();
  let retry: ReturnType<typeof setTimeout> | null = null;
  const pass = (message: LiveMessage) => {
    if (message.kind === "hearing") hearing = message.hearing;
    channel.postMessage(message);
    onMessage(message);
  };
  channel.onmessage = (e: MessageEvent<TabMessage>) => {
    if (e.data.kind !== "ask_hearing") onMessage(e.data);
    else if (source) channel.postMessage({ kind: "hearing", hearing });
  };
  channel.postMessage({ kind: "ask_hearing" });
  const hold = () => {
    source = new EventSource("/api/live");
    source.onerror = () => {
      if (stop.signal.aborted) return;
      pass({ kind: "hearing", hearing: false });
      // A refusal ends an EventSource for good; a lost connection it takes up again by itself.
      if (source?.readyState !== EventSource.CLOSED) return;
      retry = setTimeout(hold, RETRY_MS);
      // Why it was refused, asking for what was missed will tell: that the session has ended, for one.
      pass({ kind: "catch_up" });
    };
    source.onmessage = (e: MessageEvent<string>) => pass(JSON.parse(e.data) as LiveMessage);
  };
  if (navigator.locks)
    navigator.locks
      .request("fastigo-live", { signal: stop.signal }, () => {
        if (stop.signal.aborted) return;
        hold();
        return new Promise<void>((resolve) => {
          release = resolve;
        });
      })
      .catch(() => {});
  else hold();
  return () => {
    stop.abort();
    source?.close();
    source = null;
    if (retry) clearTimeout(retry);
    release?.();
    channel.close();
  };
}
