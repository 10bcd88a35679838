import "server-only";
import sharp, { type Metadata, type Sharp } from "sharp";
import type { Cut, Tones } from "@/core/timeline/fields";
import { type Failure, fail } from "../http/failure";

/**
 * Longest edges, px. "small" stands on the chart and in lists, "medium" in the read view, "large" opens. "full" is kept of what has
 * more: posters are printed and parts are cut out of it.
 */
export const PICTURE_SIZES = { full: 6_000, large: 2_000, medium: 1_000, small: 240 } as const;
export type PictureSize = keyof typeof PICTURE_SIZES | "moving";
export const MOST_PIXELS = 100_000_000;
/** A moving picture has at most so many pixels, its frames taken together; of a longer one the first is kept. */
const MOST_MOVING = 60_000_000;
/** An SVG drawing is painted so large, px of its longest edge. */
const DRAWING_EDGE = 2_000;
/** A drawing may be made to take for ever; so long is painted at most. */
const LONGEST_S = 30;
/** The density librsvg counts in, dots an inch, and the most sharp takes. */
const DRAWING_DPI = 72;
const MOST_DPI = 2_400;

export interface EncodedPicture {
  width: number;
  height: number;
  /** It has frames that follow each other; a file "moving" has them all, the others the first. */
  moving: boolean;
  /** The darkest and the lightest that is to be seen of it. */
  tones: Tones;
  files: { size: PictureSize; bytes: Buffer; width: number; height: number }[];
}

sharp.cache(false);
// Several pictures are encoded at a time; one that takes every core would keep everybody else waiting.
sharp.concurrency(1);

/**
 * Re-encodes a picture upright in a few sizes, without position and camera data. `cut`: only that part of it, turned. A drawing
 * (SVG) is painted by librsvg, which runs no scripts and, given bytes alone, follows no reference to anything outside of them.
 */
export async function encodePicture(
  bytes: Uint8Array,
  cut: Omit<Cut, "of"> | null = null,
): Promise<Failure | EncodedPicture> {
  try {
    const known = await sharp(bytes, { limitInputPixels: MOST_PIXELS }).metadata();
    const drawing = known.format === "svg";
    const edge = Math.max(known.width ?? 1, known.height ?? 1);
    const density = drawing ? Math.max(1, Math.min(MOST_DPI, (DRAWING_DPI * DRAWING_EDGE) / edge)) : undefined;
    const open = () => sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "error", density });
    const whole = cut ? await cutOut(open(), cut) : open().rotate();
    const files: EncodedPicture["files"] = [];
    const sizes = edge > PICTURE_SIZES.large && !drawing ? (["full", "large"] as const) : (["large"] as const);
    for (const size of [...sizes, "medium", "small"] as const) {
      const { data, info } = await whole
        .clone()
        .timeout({ seconds: LONGEST_S })
        .resize({ width: PICTURE_SIZES[size], height: PICTURE_SIZES[size], fit: "inside", withoutEnlargement: true })
        // More effort on a large one takes three times as long for one byte in fifty.
        .webp({ quality: 82, effort: size === "full" ? 1 : 3 })
        .toBuffer({ resolveWithObject: true });
      files.push({ size, bytes: data, width: info.width, height: info.height });
    }
    // A part of a large picture may be no larger than "large" is.
    if (files.length === 4 && files[0]!.width === files[1]!.width) files.shift();
    const moving = cut ? null : await movingOf(bytes, known);
    if (moving) files.push(moving);
    return {
      width: files[0]!.width,
      height: files[0]!.height,
      moving: moving !== null,
      tones: await tonesOf(files.at(moving ? -2 : -1)!.bytes),
      files,
    };
  } catch (error) {
    return fail(/pixel limit|exceeds/i.test(String(error)) ? "picture_pixels" : "picture_broken");
  }
}

/** Half as many as this are passed over at either end: dust is nothing that words stand on. */
const DUST = 0.002;

/** The darkest and the lightest pixel of a picture, on white where it is not opaque, by luminance (WCAG 2.2). */
export async function tonesOf(bytes: Uint8Array): Promise<Tones> {
  const { data, info } = await sharp(bytes)
    .flatten({ background: "#ffffff" })
    .toColourspace("srgb")
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  const linear = Float64Array.from({ length: 256 }, (_, v) =>
    v / 255 <= 0.04045 ? v / 255 / 12.92 : ((v / 255 + 0.055) / 1.055) ** 2.4,
  );
  const n = info.width * info.height;
  const at = (i: number, c: number) => data[i * info.channels + Math.min(c, info.channels - 1)]!;
  const light = Float64Array.from(
    { length: n },
    (_, i) => 0.2126 * linear[at(i, 0)]! + 0.7152 * linear[at(i, 1)]! + 0.0722 * linear[at(i, 2)]!,
  );
  const order = Uint32Array.from({ length: n }, (_, i) => i).sort((a, b) => light[a]! - light[b]!);
  const hex = (i: number) => `#${[0, 1, 2].map((c) => at(i, c).toString(16).padStart(2, "0")).join("")}`;
  const dust = Math.floor(n * DUST);
  return { dark: hex(order[dust]!), light: hex(order[n - 1 - dust]!) };
}

/** A part of an upright picture: turned first, then cut; shares of its turned width and height in percent. */
async function cutOut(picture: Sharp, cut: Omit<Cut, "of">): Promise<Sharp> {
  // In two steps: sharp would turn after it has cut.
  const upright = await picture.rotate().png({ compressionLevel: 0 }).toBuffer();
  const { data, info } = await sharp(upright)
    .rotate(cut.turn)
    .png({ compressionLevel: 0 })
    .toBuffer({ resolveWithObject: true });
  const px = (share: number, of: number) => Math.min(of, Math.max(0, Math.round((share * of) / 100)));
  const [left, top] = [
    Math.min(px(cut.x, info.width), info.width - 1),
    Math.min(px(cut.y, info.height), info.height - 1),
  ];
  return sharp(data).extract({
    left,
    top,
    width: Math.max(1, Math.min(px(cut.width, info.width), info.width - left)),
    height: Math.max(1, Math.min(px(cut.height, info.height), info.height - top)),
  });
}

/** Longest edge of what a picture is chosen by, px. */
const PREVIEW = 480;

/** A picture in small, to be chosen by. */
export async function previewOf(bytes: Uint8Array): Promise<Uint8Array> {
  const small = await sharp(bytes, { limitInputPixels: MOST_PIXELS })
    .rotate()
    .resize({ width: PREVIEW, height: PREVIEW, fit: "inside", withoutEnlargement: true })
    .webp({ quality: 78, effort: 2 })
    .timeout({ seconds: LONGEST_S })
    .toBuffer();
  return new Uint8Array(small);
}

async function movingOf(bytes: Uint8Array, known: Metadata): Promise<EncodedPicture["files"][number] | null> {
  const frames = known.pages ?? 1;
  if (frames < 2 || !["gif", "webp"].includes(known.format ?? "")) return null;
  if (frames * (known.width ?? 0) * (known.pageHeight ?? known.height ?? 0) > MOST_MOVING) return null;
  const { data, info } = await sharp(bytes, { limitInputPixels: MOST_PIXELS, failOn: "error", animated: true })
    .resize({ width: PICTURE_SIZES.medium, height: PICTURE_SIZES.medium, fit: "inside", withoutEnlargement: true })
    .webp({ quality: 78, effort: 2 })
    .toBuffer({ resolveWithObject: true });
  return { size: "moving", bytes: data, width: info.width, height: info.pageHeight ?? info.height };
}
