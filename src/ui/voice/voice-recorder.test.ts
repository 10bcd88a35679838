import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { VoiceRecorder } from "./voice-recorder";

interface Track {
  enabled: boolean;
  live: boolean;
  stop(): void;
}
/** What a browser has for recording, as far as it is asked here. */
let track: Track;
let recorders: Recorder[];
let contexts: { state: string; close: () => Promise<void> }[];
let supported: readonly string[];
let level: number;
let given: () => Promise<unknown>;
let unable: boolean;

class Recorder {
  static isTypeSupported = (type: string) => supported.includes(type);
  state = "inactive";
  mimeType: string;
  ondataavailable: (e: { data: Blob }) => void = () => {};
  onstop: () => void = () => {};
  constructor(_stream: unknown, { mimeType = "audio/ogg;codecs=opus" }: { mimeType?: string }) {
    if (unable) throw new DOMException("no", "NotSupportedError");
    this.mimeType = mimeType;
    recorders.push(this);
  }
  start(): void {
    this.state = "recording";
  }
  pause(): void {
    this.state = "paused";
  }
  resume(): void {
    this.state = "recording";
  }
  stop(): void {
    this.state = "inactive";
    this.ondataavailable({ data: new Blob(["voice"]) });
    this.ondataavailable({ data: new Blob([]) });
    setTimeout(() => this.onstop(), 5);
  }
}

beforeEach(() => {
  vi.useFakeTimers();
  track = { enabled: true, live: true, stop: () => (track.live = false) };
  [recorders, contexts, supported, level, unable] = [[], [], ["audio/webm;codecs=opus", "audio/webm"], 0.25, false];
  given = async () => ({ getTracks: () => [track] });
  vi.stubGlobal("navigator", { mediaDevices: { getUserMedia: () => given() } });
  vi.stubGlobal("MediaRecorder", Recorder);
  vi.stubGlobal(
    "AudioContext",
    class {
      state = "running";
      constructor() {
        contexts.push(this as never);
      }
      createAnalyser = () => ({
        fftSize: 0,
        getFloatTimeDomainData: (samples: Float32Array) => samples.fill(-level),
      });
      createMediaStreamSource = () => ({ connect: () => {} });
      close = async () => {
        this.state = "closed";
      };
    },
  );
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

const heard: [number, number][] = [];
let full = 0;
const begin = async (most = 60) => {
  heard.length = 0;
  full = 0;
  return VoiceRecorder.begin({ most, heard: (s, l) => heard.push([s, l]), full: () => full++ });
};
const recording = async (most?: number) => {
  const begun = await begin(most);
  if (typeof begun === "string") throw new Error(begun);
  return begun;
};
const isOff = () => !track.live && contexts.every((c) => c.state === "closed");

describe("a voice that is recorded", () => {
  it("lasts as long as was spoken, without its pauses, in the first form this browser can write", async () => {
    const voice = await recording();
    expect(recorders[0]!.mimeType).toBe("audio/webm;codecs=opus");
    await vi.advanceTimersByTimeAsync(3_000);
    voice.pause();
    expect(track.enabled).toBe(false);
    await vi.advanceTimersByTimeAsync(10_000);
    voice.pause();
    voice.goOn();
    voice.goOn();
    expect(track.enabled).toBe(true);
    await vi.advanceTimersByTimeAsync(2_000);
    expect(isOff()).toBe(false);
    const done = voice.stop();
    await vi.advanceTimersByTimeAsync(10);
    const recorded = (await done)!;
    expect([recorded.seconds, recorded.blob.type, await recorded.blob.text()]).toEqual([5, "audio/webm", "voice"]);
    expect(isOff()).toBe(true);
    expect(heard.at(-1)).toEqual([5, 0.25]);
    const told = heard.length;
    await vi.advanceTimersByTimeAsync(2_000);
    expect(heard).toHaveLength(told);
  });

  it("is written as school tablets play it, where the browser can", async () => {
    supported = ["audio/webm", "audio/mp4"];
    await recording();
    supported = [];
    await recording();
    expect(recorders.map((r) => r.mimeType)).toEqual(["audio/mp4", "audio/ogg;codecs=opus"]);
  });

  it("says how loud it is, never more than all, and that it is full when it is", async () => {
    level = 3;
    await recording(1);
    await vi.advanceTimersByTimeAsync(900);
    expect([heard.at(-1)![1], full]).toEqual([1, 0]);
    await vi.advanceTimersByTimeAsync(200);
    expect(full).toBeGreaterThan(0);
  });

  it("is gone where it is dropped, also twice, and after its microphone was pulled out", async () => {
    const voice = await recording();
    recorders[0]!.state = "inactive";
    voice.drop();
    voice.drop();
    expect(isOff()).toBe(true);
    const other = await recording();
    recorders[1]!.state = "inactive";
    expect(await other.stop()).toBeNull();
  });
});

describe("a voice that cannot be recorded", () => {
  it.each([
    ["NotAllowedError", "refused"],
    ["SecurityError", "refused"],
    ["NotFoundError", "none"],
    ["NotReadableError", "none"],
    ["OverconstrainedError", "none"],
    ["AbortError", "cannot"],
  ])("says why: %s", async (name, why) => {
    given = () => Promise.reject(new DOMException("x", name));
    expect(await begin()).toBe(why);
  });

  it("says so where the browser has nothing for it", async () => {
    vi.stubGlobal("navigator", {});
    expect(await begin()).toBe("cannot");
    vi.stubGlobal("navigator", { mediaDevices: { getUserMedia: () => given() } });
    vi.stubGlobal("MediaRecorder", undefined);
    expect(await begin()).toBe("cannot");
  });

  it("leaves no microphone on that was given and then could not be recorded", async () => {
    unable = true;
    expect(await begin()).toBe("cannot");
    expect(track.live).toBe(false);
  });
});
