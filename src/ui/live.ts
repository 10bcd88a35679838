export type LiveMessage =
  | { kind: "changed"; timeline: string; seq: number }
  | { kind: "work"; timeline: string }
  | { kind: "right_lost"; timeline: string }
  | { kind: "catch_up" }
  | { kind: "signed_out" };

const RETRY_MS = 3_000;

/**
 * One event stream a browser: the tab that gets the lock holds it and passes on what it hears; the others listen to that
 * tab. When it closes, the lock goes to the next. Where there are no locks (a page without HTTPS) each tab has its own.
 */
export function listenLive(onMessage: (m: LiveMessage) => void): () => void {
  const channel = new BroadcastChannel("fastigo-live");
  channel.onmessage = (e: MessageEvent<LiveMessage>) => onMessage(e.data);
  let source: EventSource | null = null;
  let release: (() => void) | null = null;
  const stop = new AbortController();
  let retry: ReturnType<typeof setTimeout> | null = null;
  const hold = () => {
    source = new EventSource("/api/live");
    // A refusal ends an EventSource for good; a lost connection it takes up again by itself.
    source.onerror = () => {
      if (source?.readyState !== EventSource.CLOSED || stop.signal.aborted) return;
      retry = setTimeout(hold, RETRY_MS);
      // Why it was refused, asking for what was missed will tell: that the session has ended, for one.
      const message: LiveMessage = { kind: "catch_up" };
      channel.postMessage(message);
      onMessage(message);
    };
    source.onmessage = (e: MessageEvent<string>) => {
      const message = JSON.parse(e.data) as LiveMessage;
      channel.postMessage(message);
      onMessage(message);
    };
  };
  if (navigator.locks)
    navigator.locks
      .request("fastigo-live", { signal: stop.signal }, () => {
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
    if (retry) clearTimeout(retry);
    release?.();
    channel.close();
  };
}
