import "server-only";
import sharp from "sharp";
import { cropOf } from "@/core/chart/draw/scene";
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
/** Those asked for last, by version, which never changes. */
const kept = new Map<string, Uint8Array>();

/** What a version is shown by: the picture, and what of it is to be seen. */
interface Cover {
  media: string;
  focus: Focus | null;
}

/**
 * What a version is shown by, as JPEG: its cover, cropped around what is to be seen of it, or where it has none its chart, as `drawn` gives
 * it. Both are asked only where it is not known yet.
 */
export async function linkPreview(
  version: string,
  coverOf: () => Promise<Cover | null>,
  drawn: () => Promise<Failure | Uint8Array | null>,
): Promise<Failure | Uint8Array> {
  const known = kept.get(version);
  if (known) return known;
  const made = await lane.run(version, version, LIMIT_MS, async (): Promise<Failure | Uint8Array> => {
    const now = kept.get(version);
    if (now) return now;
    const cover = await coverOf();
    const blob = cover && (await findFrozenFile(version, cover.media, "large"));
    if (!blob) {
      const chart = await drawn();
      if (!chart) return fail("not_found");
      if (!isFailure(chart)) keep(version, chart);
      return chart;
    }
    const bytes = new Uint8Array(await new Response(storeOf(blob.store).stream(blob, 0, blob.size)).arrayBuffer());
    const { width = WIDTH, height = HEIGHT } = await sharp(bytes).metadata();
    // Cut first: a picture that is very long would be larger than anything once it is as wide as this.
    const { x, y } = cropOf({ w: WIDTH, h: HEIGHT, ...(cover.focus ? { focus: cover.focus } : {}) }, width / height);
    const stretch = ([from, share]: [number, number], of: number) => {
      const size = Math.max(1, Math.min(of, Math.round(share * of)));
      return { from: Math.min(of - size, Math.round(from * of)), size };
    };
    const [across, down] = [stretch(x, width), stretch(y, height)];
    const jpeg = await sharp(bytes)
      .extract({ left: across.from, top: down.from, width: across.size, height: down.size })
      .resize(WIDTH, HEIGHT, { fit: "fill" })
      .flatten({ background: "#ffffff" })
      .jpeg({ quality: 82 })
      .toBuffer();
    const picture = new Uint8Array(jpeg);
    keep(version, picture);
    return picture;
  });
  return isFailure(made) ? made : made.ok;
}

function keep(version: string, picture: Uint8Array): void {
  kept.set(version, picture);
  if (kept.size > MOST_KEPT) kept.delete(kept.keys().next().value!);
}
