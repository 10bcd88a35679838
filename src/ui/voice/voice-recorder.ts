/** What was recorded: its bytes with their type, and how long it lasts, seconds. */
export interface Recorded {
  blob: Blob;
  seconds: number;
}

/** What school tablets play comes first. */
const FORMS = ["audio/mp4;codecs=mp4a.40.2", "audio/mp4", "audio/webm;codecs=opus", "audio/webm"];
/** How often the level and the time are told, ms. */
const TOLD_MS = 100;

interface Hearing {
  /** The most that is recorded, seconds. */
  most: number;
  /** How long it is, seconds, and how loud it is just now, 0 to 1. */
  heard: (seconds: number, level: number) => void;
  full: () => void;
}

/** A recording of the microphone. The microphone is off the moment it is stopped or dropped. */
export class VoiceRecorder {
  private readonly recorder: MediaRecorder;
  private readonly stream: MediaStream;
  private readonly context: AudioContext;
  private readonly parts: Blob[] = [];
  private readonly timer: ReturnType<typeof setInterval>;
  /** Time that is recorded already, ms; and since when it goes on. */
  private before = 0;
  private since: number | null = performance.now();

  private constructor(stream: MediaStream, type: string | null, hearing: Hearing) {
    this.stream = stream;
    this.recorder = new MediaRecorder(stream, type ? { mimeType: type } : {});
    this.recorder.ondataavailable = (e) => {
      if (e.data.size > 0) this.parts.push(e.data);
    };
    this.context = new AudioContext();
    const analyser = this.context.createAnalyser();
    analyser.fftSize = 1_024;
    this.context.createMediaStreamSource(stream).connect(analyser);
    const samples = new Float32Array(analyser.fftSize);
    this.timer = setInterval(() => {
      analyser.getFloatTimeDomainData(samples);
      const level = Math.min(1, Math.max(...samples.map(Math.abs)));
      hearing.heard(this.seconds, level);
      if (this.seconds >= hearing.most) hearing.full();
    }, TOLD_MS);
    this.recorder.start(1_000);
  }

  /** Begins to record; or why it cannot be: refused by whoever is asked, no microphone, or not by this browser. */
  static async begin(hearing: Hearing): Promise<VoiceRecorder | "refused" | "none" | "cannot"> {
    if (!navigator.mediaDevices || typeof MediaRecorder === "undefined") return "cannot";
    let stream: MediaStream | null = null;
    try {
      stream = await navigator.mediaDevices.getUserMedia({
        audio: { echoCancellation: true, noiseSuppression: true },
      });
      return new VoiceRecorder(stream, FORMS.find((f) => MediaRecorder.isTypeSupported(f)) ?? null, hearing);
    } catch (error) {
      // It was given and cannot be recorded: it is not left on.
      for (const t of stream?.getTracks() ?? []) t.stop();
      const name = error instanceof DOMException ? error.name : "";
      if (name === "NotFoundError" || name === "NotReadableError" || name === "OverconstrainedError") return "none";
      return name === "NotAllowedError" || name === "SecurityError" ? "refused" : "cannot";
    }
  }

  private get seconds(): number {
    return (this.before + (this.since === null ? 0 : performance.now() - this.since)) / 1_000;
  }

  pause(): void {
    if (this.recorder.state !== "recording") return;
    this.before = this.seconds * 1_000;
    this.since = null;
    this.recorder.pause();
    for (const t of this.stream.getTracks()) t.enabled = false;
  }

  goOn(): void {
    if (this.recorder.state !== "paused") return;
    for (const t of this.stream.getTracks()) t.enabled = true;
    this.recorder.resume();
    this.since = performance.now();
  }

  /** Ends it and gives what was recorded; null: nothing. */
  async stop(): Promise<Recorded | null> {
    const seconds = Math.round(this.seconds * 1_000) / 1_000;
    const ended = new Promise<void>((resolve) => {
      this.recorder.onstop = () => resolve();
    });
    if (this.recorder.state !== "inactive") {
      this.recorder.stop();
      await ended;
    }
    this.letGo();
    const blob = new Blob(this.parts, { type: this.recorder.mimeType.split(";")[0] || "audio/webm" });
    return blob.size > 0 ? { blob, seconds } : null;
  }

  /** Ends it, and nothing is kept. */
  drop(): void {
    if (this.recorder.state !== "inactive") this.recorder.stop();
    this.letGo();
  }

  private letGo(): void {
    clearInterval(this.timer);
    for (const t of this.stream.getTracks()) t.stop();
    if (this.context.state !== "closed") void this.context.close();
  }
}
