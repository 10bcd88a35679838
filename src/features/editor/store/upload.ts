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
  return done.ok ? done.value.media : done.sentence;
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
