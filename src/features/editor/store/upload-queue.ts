import { nanoid } from "nanoid";
import { WORDS } from "@/core/words/upload-queue";
import { cannotSend, type Sent, sendFile, type UploadedMedia } from "@/ui/upload";

/** A file on its way, or one that did not get through. */
export interface OnItsWay {
  key: string;
  /** What it is for: an event's id, or "timeline". */
  of: string;
  /** A recorded voice. */
  voice?: boolean | undefined;
  /** Another list than media. */
  list?: "map" | "back" | undefined;
  name: string;
  /** The share that has arrived, 0 to 1. */
  share: number;
  state: "looking" | "asks" | "waiting" | "sending" | "broken_off" | "failed";
  /** Why it did not get through, or what speaks against sending it; null of one that broke off: nobody answers. */
  problem: string | null;
  /** A small picture of it, drawn here; an address of this page's. */
  preview: string | null;
}

/** What the queue reaches outside of it. */
export interface QueuePorts {
  send?: typeof sendFile;
  /** What speaks against sending a video or sound: that it will not play everywhere; null for nothing. */
  doubts?: (file: File) => Promise<string | null>;
  /** Draws a picture in small; null where this browser cannot. */
  preview: (file: File) => Promise<string | null>;
  /** What has come is put where it belongs; a sentence where that could not be. */
  attach: (of: string, media: UploadedMedia, found: Found) => string | null;
  /** Calls back when there is a network again. */
  onNetwork: (again: () => void) => () => void;
}

/** Where a file was found, and what is known of it. */
export type Found = Partial<
  Record<"address" | "foundOn" | "credit" | "licence" | "text" | "caption" | "spoken", string>
> & {
  voice?: boolean;
  length?: number | null;
  /** The entry whose still the picture is, instead of an entry of its own. */
  stillOf?: string;
  /** The list of the entry, where that is not media. */
  list?: "map" | "back";
};

interface Entry extends OnItsWay {
  file: File;
  known: Found;
  upload: { id: string | null };
  stop: AbortController;
  done: UploadedMedia | null;
}

/** So many files are sent at once: while one is looked at by the server the next one is on its way. */
const AT_ONCE = 2;

/**
 * Files on their way into a timeline, for whatever event, whichever sheet is open. They are put into their event in the order in
 * which they were chosen. One that fails takes no other with it; one that broke off goes on when there is a network again, from where
 * it was.
 */
export class UploadQueue {
  private entries: Entry[] = [];
  private list: readonly OnItsWay[] = [];
  private readonly hearers = new Set<() => void>();
  private drawing: Promise<void> = Promise.resolve();
  /** Bytes that are left for files, of how many; null: not heard yet. */
  left: { left: number; of: number } | null = null;

  private readonly timeline: string;
  private readonly ports: QueuePorts;

  constructor(timeline: string, ports: QueuePorts) {
    this.timeline = timeline;
    this.ports = ports;
  }

  readonly subscribe = (hear: () => void): (() => void) => {
    this.hearers.add(hear);
    return () => this.hearers.delete(hear);
  };
  readonly getList = (): readonly OnItsWay[] => this.list;

  add(of: string, files: Iterable<File>, known: Found = {}): void {
    for (const file of files) {
      const problem = cannotSend(file);
      const looks = !problem && this.ports.doubts !== undefined && /^(?:video|audio)\//.test(file.type);
      const entry: Entry = {
        key: nanoid(6),
        of,
        list: known.list,
        voice: known.voice,
        name: file.name || WORDS.pastedPicture,
        share: 0,
        state: problem ? "failed" : looks ? "looking" : "waiting",
        problem,
        preview: null,
        file,
        known,
        upload: { id: null },
        stop: new AbortController(),
        done: null,
      };
      this.entries.push(entry);
      if (looks) void this.look(entry);
      if (!problem && file.type.startsWith("image/")) this.draw(entry);
    }
    this.tell();
    this.next();
  }

  private async look(entry: Entry): Promise<void> {
    const doubt = await this.ports.doubts!(entry.file).catch(() => null);
    if (!this.entries.includes(entry)) return;
    Object.assign(entry, doubt === null ? { state: "waiting" } : { state: "asks", problem: doubt });
    this.attachInOrder();
    this.tell();
    this.next();
  }

  /** Sends one of which it was said what speaks against it. */
  sendAnyway(key: string): void {
    const entry = this.entries.find((e) => e.key === key && e.state === "asks");
    if (!entry) return;
    Object.assign(entry, { state: "waiting", problem: null });
    this.tell();
    this.next();
  }

  /** Takes a file out of the queue, wherever it is on its way. */
  drop(key: string): void {
    const entry = this.entries.find((e) => e.key === key);
    if (!entry) return;
    entry.stop.abort();
    this.remove(entry);
    this.attachInOrder();
    this.tell();
    this.next();
  }

  /** All that broke off goes on, from where it was. */
  goOn(): void {
    for (const e of this.entries) if (e.state === "broken_off") e.state = "waiting";
    this.tell();
    this.next();
  }

  /** Listens for the network; gives what ends it. */
  start(): () => void {
    return this.ports.onNetwork(() => this.goOn());
  }

  /** One after the other: many large pictures at once would fill a small machine's memory. */
  private draw(entry: Entry): void {
    this.drawing = this.drawing.then(async () => {
      if (!this.entries.includes(entry)) return;
      entry.preview = await this.ports.preview(entry.file).catch(() => null);
      if (this.entries.includes(entry)) this.tell();
      else if (entry.preview) URL.revokeObjectURL(entry.preview);
    });
  }

  private next(): void {
    for (const e of this.entries) {
      if (this.entries.filter((x) => x.state === "sending" && !x.done).length >= AT_ONCE) return;
      if (e.state === "waiting") void this.send(e);
    }
  }

  private async send(entry: Entry): Promise<void> {
    Object.assign(entry, { state: "sending", problem: null });
    this.tell();
    const sent: Sent = await (this.ports.send ?? sendFile)(
      this.timeline,
      entry.file,
      entry.upload,
      {
        progress: (share) => {
          entry.share = share;
          this.tell();
        },
        room: (left, of) => {
          this.left = { left, of };
        },
      },
      entry.stop.signal,
    ).catch((): Sent => ({ kind: "broken_off", sentence: null }));
    if (!this.entries.includes(entry)) return;
    if (sent.kind === "done") entry.done = sent.media;
    else if (sent.kind === "broken_off") Object.assign(entry, { state: "broken_off", problem: sent.sentence });
    else {
      entry.state = "failed";
      entry.problem = sent.kind === "refused" ? sent.sentence : WORDS.stopped;
    }
    this.attachInOrder();
    this.tell();
    this.next();
  }

  /** What has come waits for those chosen before it for the same event, as long as they may still come. */
  private attachInOrder(): void {
    const held = new Set<string>();
    for (const e of [...this.entries]) {
      if (e.done && !held.has(e.of)) {
        const problem = this.ports.attach(e.of, e.done, e.known);
        if (problem === null) this.remove(e);
        else Object.assign(e, { done: null, state: "failed", problem });
      } else if (e.state === "looking" || e.state === "waiting" || e.state === "sending") held.add(e.of);
    }
  }

  private remove(entry: Entry): void {
    this.entries = this.entries.filter((e) => e !== entry);
    if (entry.preview) URL.revokeObjectURL(entry.preview);
  }

  private tell(): void {
    this.list = this.entries.map(({ key, of, list, voice, name, share, state, problem, preview }) => ({
      key,
      of,
      list,
      voice,
      name,
      share,
      state,
      problem,
      preview,
    }));
    for (const hear of this.hearers) hear();
  }
}

/** Longest edge of a picture in small, px. */
const PREVIEW_EDGE = 208;

/** Draws a picture in small, outside of the page's own thread where the browser can. */
export async function drawPreview(file: File): Promise<string | null> {
  const bitmap = await createImageBitmap(file, { resizeWidth: PREVIEW_EDGE, resizeQuality: "low" });
  const canvas = document.createElement("canvas");
  canvas.width = bitmap.width;
  canvas.height = bitmap.height;
  canvas.getContext("2d")!.drawImage(bitmap, 0, 0);
  bitmap.close();
  const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, "image/webp", 0.7));
  return blob && URL.createObjectURL(blob);
}
