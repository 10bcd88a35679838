// Files that are made for somebody in a thread: what stands on paper, pictures, and what a folder holds beside its media.
import "server-only";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import sharp from "sharp";
import { languageLike } from "@/core/language/asked-language";
import { speakIn } from "@/core/language/spoken";
import { makeGuidePdf } from "@/paper/guide-pdf";
import type { Line } from "@/core/paper/lines";
import { makeSheets } from "@/paper/text-document";
import { dayText } from "@/core/time/zoned";
import { type Frozen, timelineFromFrozen, toFrozen } from "@/core/formats/frozen";
import { styleOf } from "@/core/looks/style";
import type { PaperWishes } from "@/core/paper/sheets";
import { db } from "@/server/db/pool";
import { writeFile } from "@/server/files/made-files";
import { findDraftFile, findFrozenFile } from "@/server/media/find-file";
import { endingOf } from "@/server/media/kinds";
import { storeOf } from "@/server/media/stores";
import { findVersion } from "@/server/publishing/versions";
import { findTimeline } from "@/server/timelines/queries";
import { makePdf, type Planned, planPaper as planNow } from "@/paper/make-pdf";
import { drawPicture, type PictureWishes } from "@/paper/picture";
import { drawSvg } from "@/paper/svg-file";
import { type FolderEntry, folderEntries } from "./make-folder";

/** What a file is made of: a timeline as it stands, or a version of it. */
export type Of = { timeline: string } | { version: string; timeline: string };

const root = () => process.env.FASTIGO_ROOT ?? process.cwd();
const today = () => dayText(new Date(), "UTC");

/** What is made of a timeline speaks the language it is written in. */
const inItsLanguage = <T>(frozen: Frozen, make: () => T): T => speakIn(languageLike(frozen.language), make);

async function frozenOf(of: Of): Promise<Frozen | null> {
  if ("version" in of) return (await findVersion(of.version))?.frozen ?? null;
  const found = await findTimeline(of.timeline);
  return found && toFrozen(found.timeline);
}

/** The bytes of a picture, the largest there is of it. */
async function bytesOf(of: Of, media: string): Promise<Buffer | null> {
  const blob =
    "version" in of ? await findFrozenFile(of.version, media, "full") : await findDraftFile(of.timeline, media, "full");
  // Of a video its still is what is drawn.
  const still =
    blob?.type.startsWith("video/") || blob?.type.startsWith("audio/")
      ? "version" in of
        ? await findFrozenFile(of.version, media, "large")
        : await findDraftFile(of.timeline, media, "large")
      : blob;
  if (!still?.type.startsWith("image/")) return null;
  return Buffer.from(await new Response(storeOf(still.store).stream(still, 0, still.size)).arrayBuffer());
}

/** A picture no wider than it is needed, in a form that documents hold. */
async function pictureFor(of: Of, media: string, widthPx: number): Promise<Uint8Array | null> {
  const bytes = await bytesOf(of, media);
  if (!bytes) return null;
  const image = sharp(bytes, { limitInputPixels: 120_000_000 }).rotate();
  const { hasAlpha } = await image.metadata();
  const sized = image.resize({ width: Math.max(40, widthPx), withoutEnlargement: true });
  return new Uint8Array(hasAlpha ? await sized.png().toBuffer() : await sized.jpeg({ quality: 86 }).toBuffer());
}

/** What is to be said before something is printed. */
export async function planPaper([of, wishes]: [Of, PaperWishes]): Promise<Planned | null> {
  const frozen = await frozenOf(of);
  return frozen && planNow(frozen, wishes);
}

/** A PDF, written into a file that was begun; how far it is stands with its job. */
export async function makePaper([file, of, wishes, job]: [string, Of, PaperWishes, number]): Promise<true | null> {
  const frozen = await frozenOf(of);
  if (!frozen) return null;
  const { bytes, notices } = await inItsLanguage(frozen, () =>
    makePdf(frozen, wishes, {
      day: today(),
      picture: (media, width) => pictureFor(of, media, width),
      report: async (done, total) =>
        void (await db()`update job set done = ${done}, total = ${total} where id = ${job}`),
    }),
  );
  await writeFile(file, [bytes], notices);
  return true;
}

/** The chart as PNG or SVG, written into a file that was begun. */
export async function makePicture([file, of, kind, wishes]: [string, Of, "png" | "svg", PictureWishes]): Promise<
  true | null
> {
  const frozen = await frozenOf(of);
  if (!frozen) return null;
  const picture = async (media: string) => {
    const bytes = await pictureFor(of, media, 700 * (kind === "png" ? wishes.scale : 2));
    return bytes && { bytes, type: bytes[0] === 0x89 ? "image/png" : "image/jpeg" };
  };
  const made =
    kind === "png"
      ? await drawPicture(frozen, wishes, picture)
      : new TextEncoder().encode(
          await inItsLanguage(frozen, () => drawSvg(frozen, { ...wishes, root: root() }, picture)),
        );
  await writeFile(file, [made]);
  return true;
}

/** As large as those want it who show a link with a picture (the Open Graph protocol), px. */
const LINK_PICTURE = { width: 1_200, height: 630 };

/** The chart of a version as the picture that stands where somebody posts its link, JPEG. */
export async function linkPicture([version, timeline]: [string, string]): Promise<Uint8Array | null> {
  const of = { version, timeline };
  const frozen = await frozenOf(of);
  if (!frozen) return null;
  const picture = async (media: string) => {
    const bytes = await pictureFor(of, media, 500);
    return bytes && { bytes, type: bytes[0] === 0x89 ? "image/png" : "image/jpeg" };
  };
  const wishes = { ...LINK_PICTURE, scale: 1, transparent: false, view: frozen.firstView ?? "" };
  const { paper } = styleOf(timelineFromFrozen(frozen));
  const png = await drawPicture(frozen, wishes, picture);
  const jpeg = await sharp(png)
    .resize({ ...LINK_PICTURE, fit: "contain", background: paper })
    .flatten({ background: paper })
    .jpeg({ quality: 84 })
    .toBuffer();
  return new Uint8Array(jpeg);
}

/** A media file of a folder: its sizes, and where each lies. */
interface FolderMedia {
  id: string;
  sizes: [size: string, path: string][];
}
/** The sizes a page asks for, by kind. What there is only whole stands in the place of each. */
const FOLDER_SIZES: Record<string, readonly string[]> = {
  picture: ["small", "medium", "large", "moving"],
  video: ["small", "medium", "whole"],
  sound: ["whole"],
};

/** What a folder holds but the bytes of its media: its page and data, and which files those are. */
export async function folderParts([of, scorm]: [Of, boolean]): Promise<{
  entries: FolderEntry[];
  media: FolderMedia[];
} | null> {
  const frozen = await frozenOf(of);
  if (!frozen) return null;
  const shown = new Map(frozen.items.flatMap((i) => (i.media ? [[i.media, i.kind ?? "picture"] as const] : [])));
  const moves = new Set(frozen.items.flatMap((i) => (i.media && i.moving ? [i.media] : [])));
  const media: FolderMedia[] = [];
  const endings: Record<string, string> = {};
  for (const [id, kind] of shown) {
    const sizes: FolderMedia["sizes"] = [];
    for (const size of FOLDER_SIZES[kind] ?? FOLDER_SIZES.picture!) {
      // Of what stands still the page asks for no moving one.
      if (size === "moving" && !moves.has(id)) continue;
      const blob = await ("version" in of
        ? findFrozenFile(of.version, id, size)
        : findDraftFile(of.timeline, id, size));
      // A video has no picture where no still was made of it.
      if (!blob || (kind === "video" && size !== "whole" && !blob.type.startsWith("image/"))) continue;
      const ending = endingOf(blob.type);
      endings[`${id}/${size}`] = ending;
      sizes.push([size, `media/${id}/${size}${ending}`]);
    }
    media.push({ id, sizes });
  }
  const around = { root: root(), day: today(), scorm, endings };
  return { entries: await inItsLanguage(frozen, () => folderEntries(frozen, around)), media };
}

/** Sheets of text as a PDF, each beginning on a page of its own. */
export async function textSheets([title, sheets]: [string, readonly (readonly Line[])[]]): Promise<Uint8Array> {
  return makeSheets(title, sheets);
}

/** The guide as a PDF, with the pictures that ship with it. */
export async function guide(_: []): Promise<Uint8Array> {
  return makeGuidePdf((name) => {
    try {
      return new Uint8Array(readFileSync(join(root(), "docs", "screenshots", `${name}.png`)));
    } catch {
      return null;
    }
  });
}
