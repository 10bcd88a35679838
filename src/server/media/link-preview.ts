import "server-only";
import sharp from "sharp";
import type { Focus } from "@/core/timeline/fields";
import { Lane } from "../lane";
import { type Failure, fail, isFailure } from "../http/failure";
import { findFrozenFile } from "./find-file";
import { storeOf } from "./stores";

/** As large as those want it who show a link with a picture (the Open Graph protocol), px. */
const WIDTH = 1_200;
const HEIGHT = 630;
const LIMIT_MS = 20_000;
const MOST_KEPT = 60;
const lane = new Lane(1, 100);
/** Those asked for last, by version and picture: a version never changes. */
const kept = new Map<string, Uint8Array>();

/** The cover of a version, cropped around what is to be seen of it, as JPEG. */
export async function linkPreview(
  version: string,
  cover: { media: string; focus: Focus | null },
): Promise<Failure | Uint8Array> {
  const key = `${version} ${cover.media}`;
  const known = kept.get(key);
  if (known) return known;
  const blob = await findFrozenFile(version, cover.media, "large");
  if (!blob) return fail("not_found");
  const made = await lane.run(key, key, LIMIT_MS, async () => {
    const bytes = new Uint8Array(await new Response(storeOf(blob.store).stream(blob, 0, blob.size)).arrayBuffer());
    const { width = WIDTH, height = HEIGHT } = await sharp(bytes).metadata();
    const scale = Math.max(WIDTH / width, HEIGHT / height);
    const [w, h] = [Math.max(WIDTH, Math.round(width * scale)), Math.max(HEIGHT, Math.round(height * scale))];
    const { x, y } = cover.focus ?? { x: 50, y: 50 };
    const from = (size: number, room: number, at: number) =>
      Math.max(0, Math.min(size - room, Math.round((size * at) / 100 - room / 2)));
    const jpeg = await sharp(bytes)
      .resize(w, h, { fit: "fill" })
      .extract({ left: from(w, WIDTH, x), top: from(h, HEIGHT, y), width: WIDTH, height: HEIGHT })
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: 82 })
      .toBuffer();
    return new Uint8Array(jpeg);
  });
  if (isFailure(made)) return made;
  const bytes = made.ok;
  kept.set(key, bytes);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
  return bytes;
}
