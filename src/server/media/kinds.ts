import "server-only";
import { fileTypeFromBuffer } from "file-type";
import type { MediaKind } from "@/core/timeline/fields";

const KINDS: Record<string, MediaKind> = {
  "image/jpeg": "picture",
  "image/png": "picture",
  "image/webp": "picture",
  "image/gif": "picture",
  "image/avif": "picture",
  "image/tiff": "picture",
  "video/mp4": "video",
  "video/quicktime": "video",
  "video/webm": "video",
  "audio/mpeg": "sound",
  "audio/mp4": "sound",
  "audio/x-m4a": "sound",
  "audio/ogg": "sound",
  "audio/wav": "sound",
  "audio/flac": "sound",
};
const SAME: Record<string, string> = {
  "audio/vnd.wave": "audio/wav",
  "audio/opus": "audio/ogg",
  "audio/ogg; codecs=opus": "audio/ogg",
  "audio/x-flac": "audio/flac",
  "audio/aac": "audio/mp4",
};

/** What a file is by its content; its name does not count. Null: nothing that can be shown. */
export async function kindOf(start: Uint8Array): Promise<{ kind: MediaKind; type: string } | null> {
  const found = await fileTypeFromBuffer(start);
  if (!found) return null;
  const type = SAME[found.mime] ?? found.mime;
  const kind = KINDS[type];
  return kind ? { kind, type } : null;
}
