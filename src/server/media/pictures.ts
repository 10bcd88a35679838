import "server-only";
import sharp from "sharp";
import { type Failure, fail } from "../http/failure";

/** Longest edges, px. "small" stands on the chart and in lists, "medium" in the read view, "large" opens. */
export const PICTURE_SIZES = { small: 240, medium: 1_000, large: 2_000 } as const;
export type PictureSize = keyof typeof PICTURE_SIZES;
export const MOST_PIXELS = 100_000_000;

export interface EncodedPicture {
  width: number;
  height: number;
  files: { size: PictureSize; bytes: Buffer; width: number; height: number }[];
}

sharp.cache(false);

/** Re-encodes a picture upright in a few sizes, without position and camera data. */
export async function encodePicture(bytes: Uint8Array): Promise<Failure | EncodedPicture> {
  try {
    const files: EncodedPicture["files"] = [];
    for (const size of ["large", "medium", "small"] as const) {
      const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "error" })
        .rotate()
        .resize({ width: PICTURE_SIZES[size], height: PICTURE_SIZES[size], fit: "inside", withoutEnlargement: true })
        .webp({ quality: 82, effort: 3 })
        .toBuffer({ resolveWithObject: true });
      files.push({ size, bytes: data, width: info.width, height: info.height });
    }
    return { width: files[0]!.width, height: files[0]!.height, files };
  } catch (error) {
    return fail(/pixel limit|exceeds/i.test(String(error)) ? "picture_pixels" : "picture_broken");
  }
}
