import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { type LiveMessage, listenLive } from "./live";

/** One browser with several tabs: their locks, what they tell each other, and the streams they hold. */
class Source {
  static CLOSED = 2;
  readyState = 1;
  onerror: () => void = () => {};
  onmessage: (e: { data: string }) => void = () => {};
  readonly path: string;
  constructor(path: string) {
    this.path = path;
    sources.push(this);
  }
  close(): void {
    this.readyState = Source.CLOSED;
  }
  /** What the server says. */
  says(message: LiveMessage): void {
    this.onmessage({ data: JSON.stringify(message) });
  }
  /** A connection that is lost, or refused for good. */
  fails(forGood: boolean): void {
    if (forGood) this.readyState = Source.CLOSED;
    this.onerror();
  }
}
class Channel {
  onmessage: ((e: { data: unknown }) => void) | null = null;
  readonly name: string;
  constructor(name: string) {
    this.name = name;
    channels.add(this);
  }
  postMessage(data: unknown): void {
    for (const other of channels) if (other !== this && other.name === this.name) other.onmessage?.({ data });
  }
  close(): void {
    channels.delete(this);
  }
}
let sources: Source[];
let channels: Set<Channel>;
let held: Promise<void>;

beforeEach(() => {
  vi.useFakeTimers();
  sources = [];
  channels = new Set();
  held = Promise.resolve();
  vi.stubGlobal("EventSource", Source);
  vi.stubGlobal("BroadcastChannel", Channel);
  vi.stubGlobal("navigator", {
    locks: {
      // One after the other has it; who has gone meanwhile does not get it.
      request: (_name: string, { signal }: { signal: AbortSignal }, run: () => Promise<void> | undefined) => {
        const mine = held.then(() => (signal.aborted ? Promise.reject(new Error("aborted")) : run()));
        held = mine.then(
          () => {},
          () => {},
        );
        return mine;
      },
    },
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const turns = () => vi.advanceTimersByTimeAsync(0);
function tab() {
  const heard: LiveMessage[] = [];
  const close = listenLive((m) => heard.push(m));
  return { heard, close };
}
const changed = (seq: number): LiveMessage => ({ kind: "changed", timeline: "t", seq });
const open = () => sources.filter((s) => s.readyState !== Source.CLOSED);

describe("what a browser hears", () => {
  it("comes on one stream to all its tabs", async () => {
    const [one, two, three] = [tab(), tab(), tab()];
    await turns();
    expect(open().map((s) => s.path)).toEqual(["/api/live"]);
    sources[0]!.says(changed(1));
    sources[0]!.says({ kind: "right_lost", timeline: "t" });
    for (const t of [one, two, three]) expect(t.heard).toEqual([changed(1), { kind: "right_lost", timeline: "t" }]);
  });

  it("goes on on another tab's stream when the tab that holds it is closed, or one that waits for it", async () => {
    const [one, two, three] = [tab(), tab(), tab()];
    await turns();
    two.close();
    one.close();
    await turns();
    expect(open()).toHaveLength(1);
    expect(sources).toHaveLength(2);
    sources[1]!.says(changed(2));
    expect(three.heard).toEqual([changed(2)]);
    expect([one.heard, two.heard]).toEqual([[], []]);
    three.close();
    await turns();
    expect([open(), channels.size]).toEqual([[], 0]);
  });

  it("is known to a tab that has just come: whether anything is heard at once", async () => {
    const one = tab();
    await turns();
    sources[0]!.says({ kind: "hearing", hearing: true });
    const two = tab();
    expect(two.heard).toEqual([{ kind: "hearing", hearing: true }]);
    // What the new one asks is nothing to the others.
    expect(one.heard).toEqual([{ kind: "hearing", hearing: true }]);
    sources[0]!.fails(false);
    const three = tab();
    expect(three.heard).toEqual([{ kind: "hearing", hearing: false }]);
    expect(two.heard.at(-1)).toEqual({ kind: "hearing", hearing: false });
  });
});

describe("a stream that fails", () => {
  it("says so; a lost one is taken up by the browser itself, a refused one is asked for anew, and what was missed is asked for", async () => {
    const { heard } = tab();
    await turns();
    sources[0]!.fails(false);
    expect(heard).toEqual([{ kind: "hearing", hearing: false }]);
    await vi.advanceTimersByTimeAsync(10_000);
    expect(sources).toHaveLength(1);
    sources[0]!.fails(true);
    expect(heard.slice(1)).toEqual([{ kind: "hearing", hearing: false }, { kind: "catch_up" }]);
    await vi.advanceTimersByTimeAsync(3_000);
    expect([sources.length, open().length]).toEqual([2, 1]);
    sources[1]!.says(changed(3));
    expect(heard.at(-1)).toEqual(changed(3));
  });

  it("is not asked for any more once its tab is closed", async () => {
    const { close, heard } = tab();
    await turns();
    sources[0]!.fails(true);
    close();
    const told = heard.length;
    sources[0]!.fails(true);
    await vi.advanceTimersByTimeAsync(20_000);
    expect([sources.length, open(), heard.length]).toEqual([1, [], told]);
  });
});

it("has a stream for each tab where a browser has no locks", async () => {
  vi.stubGlobal("navigator", {});
  const [one, two] = [tab(), tab()];
  expect(open()).toHaveLength(2);
  one.close();
  expect(open()).toHaveLength(1);
  two.close();
  expect(open()).toHaveLength(0);
});
