import { WORDS } from "@/core/words/en/editor-store";
import type { MediaKind } from "@/core/timeline/fields";
import { askServer } from "@/ui/ask-server";

export interface UploadedMedia {
  id: string;
  kind: MediaKind;
  name: string;
  width: number | null;
  height: number | null;
}

const MOST_PICTURE = 20 * 1_048_576;
const MOST_VIDEO = 200 * 1_048_576;
const TRIES = 6;

/**
 * Sends a file in pieces. A piece that is lost on its way is sent again, and only that one. Resolves with the media or
 * with a sentence; `progress` hears the share that has arrived, 0 to 1.
 */
export async function uploadFile(
  timeline: string,
  file: File,
  progress: (share: number) => void,
  signal: AbortSignal,
  room: (left: number, of: number) => void,
): Promise<UploadedMedia | string> {
  if (file.size === 0) return WORDS.thisFileIsEmptyChoose;
  if (file.type.startsWith("image/") && file.size > MOST_PICTURE) return WORDS.aPictureMayHaveAt;
  if (file.size > MOST_VIDEO) return WORDS.aVideoOrSoundMay;
  const begun = await again(
    () =>
      askServer<{ upload: string; piece: number; left: number; of: number }>(
        "POST",
        `/api/timelines/${timeline}/uploads`,
        {
          name: file.name,
          size: file.size,
        },
      ),
    signal,
  );
  if (!begun.ok) return begun.sentence;
  const path = `/api/timelines/${timeline}/uploads/${begun.value.upload}`;
  const { piece } = begun.value;
  room(begun.value.left, begun.value.of);
  const count = Math.ceil(file.size / piece);
  for (let n = 0; n < count; n++) {
    if (signal.aborted) return WORDS.stoppedNothingWasAdded;
    const part = await again(() => askServer("PUT", `${path}/${n}`, file.slice(n * piece, (n + 1) * piece)), signal);
    if (!part.ok) return part.sentence;
    progress((n + 1) / count);
  }
  const done = await again(() => askServer<{ media: UploadedMedia }>("POST", path), signal);
  if (!done.ok) return done.sentence;
  const { media } = done.value;
  return media.kind === "video" ? { ...media, ...(await sendStill(timeline, media.id, file)) } : media;
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
  file: File,
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

async function stillOf(file: File): Promise<Blob | null> {
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
    if (!(await sought) || !video.videoWidth) return null;
    const scale = Math.min(1, STILL_EDGE / Math.max(video.videoWidth, video.videoHeight));
    const canvas = document.createElement("canvas");
    canvas.width = Math.round(video.videoWidth * scale);
    canvas.height = Math.round(video.videoHeight * scale);
    canvas.getContext("2d")!.drawImage(video, 0, 0, canvas.width, canvas.height);
    return await new Promise((resolve) => canvas.toBlob(resolve, "image/jpeg", 0.86));
  } catch {
    return null;
  } finally {
    video.removeAttribute("src");
    URL.revokeObjectURL(url);
  }
}

/** Asks again while nobody answers, with growing pauses. */
async function again<T extends { ok: boolean; status?: number }>(
  ask: () => Promise<T>,
  signal: AbortSignal,
): Promise<T> {
  let answer = await ask();
  for (
    let n = 1;
    n < TRIES && !answer.ok && ((answer.status ?? 0) === 0 || (answer.status ?? 0) >= 502) && !signal.aborted;
    n++
  ) {
    await new Promise((resolve) => setTimeout(resolve, 500 * 2 ** n));
    answer = await ask();
  }
  return answer;
}
