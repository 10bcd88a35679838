export type LiveMessage =
  | { kind: "changed"; timeline: string; seq: number }
  | { kind: "right_lost"; timeline: string }
  | { kind: "catch_up" }
  | { kind: "signed_out" };

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
  const hold = () => {
    source = new EventSource("/api/live");
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
    release?.();
    channel.close();
  };
}
