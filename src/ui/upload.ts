import { WORDS } from "@/core/words/editor-store";
import { FAILURES } from "@/core/words/failures";
import type { MediaKind, Tones } from "@/core/timeline/fields";
import { askServer } from "@/ui/ask-server";

export interface UploadedMedia {
  id: string;
  kind: MediaKind;
  name: string;
  width: number | null;
  height: number | null;
  moving: boolean;
  /** Of a picture: the darkest and the lightest that is to be seen of it. */
  tones?: Tones | null;
  /** How long it plays, seconds, where this browser can tell. */
  length?: number | null;
}

const MOST_PICTURE = 20 * 1_048_576;
const MOST_VIDEO = 200 * 1_048_576;
const TRIES = 5;

/** What may not be sent, said before anything is; null when it may. */
export function cannotSend(file: File): string | null {
  if (file.size === 0) return WORDS.thisFileIsEmptyChoose;
  if (/^image\/hei[cf]/.test(file.type) || /\.(heic|heif)$/i.test(file.name)) return FAILURES.picture_unread;
  if (file.type.startsWith("image/") && file.size > MOST_PICTURE) return WORDS.aPictureMayHaveAt;
  if (file.size > MOST_VIDEO) return WORDS.aVideoOrSoundMay;
  return null;
}

export type Sent =
  | { kind: "done"; media: UploadedMedia }
  /** Nobody answers: what has arrived is kept, and `sendFile` with the same upload goes on from there. */
  | { kind: "broken_off"; sentence: string | null }
  | { kind: "stopped" }
  | { kind: "refused"; sentence: string };

/**
 * Sends a file in pieces; only those that have not arrived. `upload` is what was begun before, and is set when it begins.
 * `progress` hears the share that has arrived, 0 to 1; `room` how many bytes are left for files, of how many.
 */
export async function sendFile(
  timeline: string,
  file: File,
  upload: { id: string | null },
  tell: { progress: (share: number) => void; room: (left: number, of: number) => void },
  signal: AbortSignal,
): Promise<Sent> {
  const failed = (answer: { failed: string; sentence: string; status: number }): Sent =>
    signal.aborted
      ? { kind: "stopped" }
      : isUnanswered(answer)
        ? // Where Fastigo itself says why, that is said.
          { kind: "broken_off", sentence: answer.failed === "no_answer" ? null : answer.sentence }
        : { kind: "refused", sentence: answer.sentence };
  let arrived = new Set<number>();
  let piece = 1_048_576;
  if (upload.id !== null) {
    const had = await again(
      () => askServer<{ arrived: number[]; piece: number }>("GET", `/api/timelines/${timeline}/uploads/${upload.id}`),
      signal,
    );
    if (had.ok) ({ piece } = had.value);
    if (had.ok) arrived = new Set(had.value.arrived);
    // One that is no longer there is begun anew.
    else if (had.status === 404) upload.id = null;
    else return failed(had);
  }
  if (upload.id === null) {
    const begun = await again(
      () =>
        askServer<{ upload: string; piece: number; left: number; of: number }>(
          "POST",
          `/api/timelines/${timeline}/uploads`,
          { name: file.name, size: file.size },
        ),
      signal,
    );
    if (!begun.ok) return failed(begun);
    upload.id = begun.value.upload;
    ({ piece } = begun.value);
    tell.room(begun.value.left, begun.value.of);
  }
  const path = `/api/timelines/${timeline}/uploads/${upload.id}`;
  const count = Math.ceil(file.size / piece);
  for (let n = 0; n < count; n++) {
    if (signal.aborted) return { kind: "stopped" };
    if (!arrived.has(n)) {
      const part = await again(() => askServer("PUT", `${path}/${n}`, file.slice(n * piece, (n + 1) * piece)), signal);
      if (!part.ok) return failed(part);
    }
    tell.progress((n + 1) / count);
  }
  if (signal.aborted) return { kind: "stopped" };
  const done = await again(() => askServer<{ media: UploadedMedia }>("POST", path), signal);
  if (!done.ok) return failed(done);
  const { media } = done.value;
  if (media.kind === "picture") return { kind: "done", media };
  return { kind: "done", media: await withLength(timeline, media, file) };
}

/** What a browser finds out about a video or sound that is stored: how long it is, and a still of it, which is sent. */
export async function withLength(timeline: string, media: UploadedMedia, file: Blob): Promise<UploadedMedia> {
  if (media.kind === "picture") return media;
  const length = await lengthOf(file, media.kind);
  const still = media.kind === "video" ? await sendStill(timeline, media.id, file) : null;
  return { ...media, ...still, length };
}

/** A still of so many seconds into a video, or in the middle of a shorter one. */
const STILL_AT = 1.5;
const STILL_MS = 15_000;
const STILL_EDGE = 1_280;

/**
 * Draws a still of a video and sends it, so that every drawing shows one; gives its size. A video this browser cannot play, or
 * whose still does not arrive, goes without.
 */
async function sendStill(
  timeline: string,
  media: string,
  file: Blob,
): Promise<{ width: number; height: number } | null> {
  const still = await stillOf(file);
  if (!still) return null;
  const sent = await askServer<{ width: number; height: number }>(
    "PUT",
    `/api/timelines/${timeline}/media/${media}/still`,
    still,
  );
  return sent.ok ? sent.value : null;
}

const PAST_ANY_END = 1e7;

/** How long a video or sound plays, seconds; null where this browser cannot play it, or its file does not say. */
async function lengthOf(file: Blob, kind: "video" | "sound"): Promise<number | null> {
  const url = URL.createObjectURL(file);
  const player = document.createElement(kind === "video" ? "video" : "audio");
  try {
    const known = new Promise<number | null>((resolve) => {
      player.onloadedmetadata = () => resolve(player.duration);
      player.onerror = () => resolve(null);
      setTimeout(() => resolve(null), STILL_MS);
    });
    player.preload = "metadata";
    player.src = url;
    let length = await known;
    // What a browser has recorded does not say how long it is, until one goes to its end.
    if (length === Number.POSITIVE_INFINITY) {
      const end = new Promise<number>((resolve) => {
        player.ondurationchange = () => resolve(player.duration);
        setTimeout(() => resolve(player.duration), STILL_MS);
      });
      player.currentTime = PAST_ANY_END;
      length = await end;
    }
    return length !== null && Number.isFinite(length) && length > 0 ? Math.round(length * 1_000) / 1_000 : null;
  } finally {
    player.removeAttribute("src");
    URL.revokeObjectURL(url);
  }
}

/** Draws what a playing video shows now. */
export async function frameOf(video: HTMLVideoElement): Promise<Blob | null> {
  if (!video.videoWidth) return null;
  const scale = Math.min(1, STILL_EDGE / Math.max(video.videoWidth, video.videoHeight));
  const canvas = document.createElement("canvas");
  canvas.width = Math.round(video.videoWidth * scale);
  canvas.height = Math.round(video.videoHeight * scale);
  canvas.getContext("2d")!.drawImage(video, 0, 0, canvas.width, canvas.height);
  return new Promise((resolve) => canvas.toBlob(resolve, "image/jpeg", 0.86));
}

async function stillOf(file: Blob): Promise<Blob | null> {
  const url = URL.createObjectURL(file);
  const video = document.createElement("video");
  const happened = (name: string) =>
    new Promise<boolean>((resolve) => {
      video.addEventListener(name, () => resolve(true), { once: true });
      video.addEventListener("error", () => resolve(false), { once: true });
      setTimeout(() => resolve(false), STILL_MS);
    });
  try {
    video.muted = true;
    video.preload = "auto";
    video.src = url;
    if (!(await happened("loadeddata"))) return null;
    const length = Number.isFinite(video.duration) ? video.duration : 0;
    const sought = happened("seeked");
    video.currentTime = Math.min(STILL_AT, length / 2);
    if (!(await sought)) return null;
    return await frameOf(video);
  } catch {
    return null;
  } finally {
    video.removeAttribute("src");
    URL.revokeObjectURL(url);
  }
}

/** Nobody of ours answered, but perhaps a page of something in between, whatever it says; or the place of files is away. */
const isUnanswered = (answer: { status: number; failed: string }) =>
  answer.failed === "no_answer" || answer.status >= 502;

/** Asks again while nobody answers, with growing pauses, as long as this browser has a network. */
async function again<T extends { ok: true } | { ok: false; status: number; failed: string }>(
  ask: () => Promise<T>,
  signal: AbortSignal,
): Promise<T> {
  let answer = await ask();
  for (let n = 1; n < TRIES && !answer.ok && isUnanswered(answer) && !signal.aborted && navigator.onLine; n++) {
    // The server has tried the place where files are kept several times itself: it is said at once.
    if (answer.failed === "no_store") break;
    await new Promise((resolve) => setTimeout(resolve, 500 * 2 ** n));
    answer = await ask();
  }
  return answer;
}
