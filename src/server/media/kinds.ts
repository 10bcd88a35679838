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
/** How a file of a kind is named; "" for what has no usual ending. */
const ENDINGS: Record<string, string> = {
  "image/jpeg": ".jpg",
  "image/png": ".png",
  "image/webp": ".webp",
  "image/gif": ".gif",
  "image/avif": ".avif",
  "image/tiff": ".tif",
  "image/svg+xml": ".svg",
  "video/mp4": ".mp4",
  "video/quicktime": ".mov",
  "video/webm": ".webm",
  "audio/mpeg": ".mp3",
  "audio/mp4": ".m4a",
  "audio/x-m4a": ".m4a",
  "audio/webm": ".webm",
  "audio/ogg": ".ogg",
  "audio/wav": ".wav",
  "audio/flac": ".flac",
};
export const endingOf = (type: string): string => ENDINGS[type] ?? "";

const SAME: Record<string, string> = {
  "audio/vnd.wave": "audio/wav",
  "audio/opus": "audio/ogg",
  "audio/ogg; codecs=opus": "audio/ogg",
  "audio/x-flac": "audio/flac",
  "audio/aac": "audio/mp4",
};

/** Pictures as phones keep them (HEVC within HEIF), which no part of this machine can read. */
const UNREAD_PICTURES = new Set(["image/heic", "image/heif", "image/heic-sequence", "image/heif-sequence"]);

/** The tracks of a recording are named within so many bytes. */
const HEAD = 65_536;
/** So far into a text one looks for the beginning of a drawing. */
const DRAWING_START = 4_096;

/** Whether a file is an SVG drawing: XML whose first element is `svg`. */
function isDrawing(start: Uint8Array): boolean {
  const text = new TextDecoder().decode(start.subarray(0, DRAWING_START)).replace(/^\uFEFF/, "");
  return /^\s*(?:<\?xml[^>]*\?>|<!--[\s\S]*?-->|<!DOCTYPE[^>[]*(?:\[[\s\S]*?\])?\s*>|\s)*<svg[\s>]/i.test(text);
}

/** Codec ids of Matroska (matroska.org, "Codec Mappings"), and the handlers of ISO/IEC 14496-12 (8.4.3): "soun", "vide". */
function isOnlySound(start: Uint8Array): boolean {
  const head = new TextDecoder("latin1").decode(start.subarray(0, HEAD));
  const sounds = /A_(?:OPUS|VORBIS|AAC|MPEG)|soun/.test(head);
  return sounds && !/V_(?:VP8|VP9|AV1|MPEG|MS)|vide/.test(head);
}

/** What a file is by its content; its name does not count. Null: nothing that can be shown. "unread": a picture nobody here can read. */
export async function kindOf(start: Uint8Array): Promise<{ kind: MediaKind; type: string } | "unread" | null> {
  if (isDrawing(start)) return { kind: "picture", type: "image/svg+xml" };
  const found = await fileTypeFromBuffer(start);
  if (!found) return null;
  if (UNREAD_PICTURES.has(found.mime)) return "unread";
  const type = SAME[found.mime] ?? found.mime;
  // What a browser records of a voice is a container of films without a film in it.
  if ((type === "video/webm" || type === "video/mp4") && isOnlySound(start))
    return { kind: "sound", type: type.replace("video", "audio") };
  const kind = KINDS[type];
  return kind ? { kind, type } : null;
}
