import "server-only";
import { createHash } from "node:crypto";
import { nanoid } from "nanoid";
import type { MediaKind } from "@/core/timeline/timeline";
import { db, type Tx } from "../db/pool";
import { type Failure, fail, isFailure } from "../http/failure";
import { findRole } from "../timelines/access";
import { blankPosition, type PatchableFile } from "./blank-position";
import { type BlobInfo, PIECE, storeBlob } from "./blobs";
import { kindOf } from "./kinds";
import { encodePicture } from "./pictures";

export const MOST_PICTURE = 20 * PIECE;
export const MOST_VIDEO = 200 * PIECE;

export interface Media {
  id: string;
  kind: MediaKind;
  name: string;
  width: number | null;
  height: number | null;
}

/** Begins an upload; the file comes in pieces of `piece` bytes, in any order. */
export async function beginUpload(
  timeline: string,
  account: string,
  name: string,
  size: number,
): Promise<Failure | { upload: string; piece: number }> {
  if (!(await findRole(db(), timeline, account))) return fail("not_found");
  if (size <= 0) return fail("file_empty");
  if (size > MOST_VIDEO) return fail("video_large");
  const id = nanoid();
  await db()`insert into upload (id, timeline_id, account_id, name, size) values (${id}, ${timeline}, ${account}, ${name.slice(0, 200)}, ${size})`;
  return { upload: id, piece: PIECE };
}

interface Upload {
  id: string;
  name: string;
  size: number;
  mediaId: string | null;
}

async function findUpload(timeline: string, account: string, upload: string): Promise<Upload | null> {
  const [row] = await db()<(Omit<Upload, "size"> & { size: string })[]>`
    select u.id, u.name, u.size, u.media_id from upload u
    join editor e on e.timeline_id = u.timeline_id and e.account_id = u.account_id
    where u.id = ${upload} and u.timeline_id = ${timeline} and u.account_id = ${account}`;
  return row ? { ...row, size: Number(row.size) } : null;
}

/** Which pieces have arrived, so that a broken upload is taken up again. */
export async function arrivedPieces(
  timeline: string,
  account: string,
  upload: string,
): Promise<Failure | { arrived: number[]; size: number; piece: number }> {
  const u = await findUpload(timeline, account, upload);
  if (!u) return fail("not_found");
  const rows = await db()<{ n: number }[]>`select n from upload_piece where upload_id = ${upload} order by n`;
  return { arrived: rows.map((r) => r.n), size: u.size, piece: PIECE };
}

/** Stores one piece; a piece cut off on its way has the wrong size and is refused. */
export async function putPiece(
  timeline: string,
  account: string,
  upload: string,
  n: number,
  bytes: Uint8Array,
): Promise<Failure | { stored: number }> {
  const u = await findUpload(timeline, account, upload);
  if (!u || !Number.isInteger(n) || n < 0 || n * PIECE >= u.size) return fail("not_found");
  if (bytes.length !== Math.min(PIECE, u.size - n * PIECE)) return fail("piece_size");
  await db()`
    insert into upload_piece (upload_id, n, bytes) values (${upload}, ${n}, ${Buffer.from(bytes)})
    on conflict (upload_id, n) do update set bytes = excluded.bytes`;
  return { stored: n };
}

/** Puts the pieces together and makes media of them. Asked again, it answers with the same media. */
export async function finishUpload(
  timeline: string,
  account: string,
  upload: string,
): Promise<Failure | { media: Media }> {
  const u = await findUpload(timeline, account, upload);
  if (!u) return fail("not_found");
  if (u.mediaId) return { media: (await findMedia(u.mediaId))! };
  const [have] = await db()<{ n: number }[]>`select count(*)::int as n from upload_piece where upload_id = ${upload}`;
  if (have!.n < Math.ceil(u.size / PIECE)) return fail("piece_missing");
  const [first] = await db()<
    { bytes: Uint8Array }[]
  >`select bytes from upload_piece where upload_id = ${upload} and n = 0`;
  const found = await kindOf(first!.bytes);
  if (!found) return discard(upload, fail("file_kind"));
  if (found.kind === "picture") {
    if (u.size > MOST_PICTURE) return discard(upload, fail("picture_large"));
    const rows = await db()<
      { bytes: Uint8Array }[]
    >`select bytes from upload_piece where upload_id = ${upload} order by n`;
    const media = await makePicture(timeline, account, u.name, Buffer.concat(rows.map((r) => r.bytes)));
    if (isFailure(media)) return discard(upload, media);
    await db()`update upload set media_id = ${media.id} where id = ${upload}`;
    await db()`delete from upload_piece where upload_id = ${upload}`;
    return { media };
  }
  if (/mp4|quicktime|m4a/.test(found.type)) await blankPosition(piecesAsFile(upload, u.size));
  const hash = createHash("sha256");
  for (let n = 0; n * PIECE < u.size; n++) {
    const [piece] = await db()<
      { bytes: Uint8Array }[]
    >`select bytes from upload_piece where upload_id = ${upload} and n = ${n}`;
    hash.update(piece!.bytes);
  }
  const digest = hash.digest("hex");
  const id = await db().begin(async (tx) => {
    const made =
      await tx`insert into blob (hash, size, type) values (${digest}, ${u.size}, ${found.type}) on conflict do nothing returning hash`;
    if (made.length > 0)
      await tx`insert into blob_piece (hash, n, bytes) select ${digest}, n, bytes from upload_piece where upload_id = ${upload}`;
    const media = await insertMedia(tx, timeline, account, {
      kind: found.kind,
      name: u.name,
      width: null,
      height: null,
    });
    await tx`insert into media_file (media_id, size, hash) values (${media}, 'whole', ${digest})`;
    await tx`update upload set media_id = ${media} where id = ${upload}`;
    await tx`delete from upload_piece where upload_id = ${upload}`;
    return media;
  });
  return { media: (await findMedia(id))! };
}

/** What cannot be used is not kept either. */
async function discard(upload: string, why: Failure): Promise<Failure> {
  await db()`delete from upload where id = ${upload}`;
  return why;
}

/** Re-encodes and stores a picture as media of a timeline. */
export async function makePicture(
  timeline: string,
  account: string,
  name: string,
  bytes: Uint8Array,
): Promise<Failure | Media> {
  const encoded = await encodePicture(bytes);
  if (isFailure(encoded)) return encoded;
  const id = await db().begin(async (tx) => {
    const media = await insertMedia(tx, timeline, account, {
      kind: "picture",
      name,
      width: encoded.width,
      height: encoded.height,
    });
    for (const f of encoded.files) {
      const hash = await storeBlob(tx, f.bytes, "image/webp");
      await tx`insert into media_file (media_id, size, hash, width, height) values (${media}, ${f.size}, ${hash}, ${f.width}, ${f.height})`;
    }
    return media;
  });
  return (await findMedia(id))!;
}

async function insertMedia(tx: Tx, timeline: string, account: string, m: Omit<Media, "id">): Promise<string> {
  const id = nanoid(16);
  await tx`
    insert into media (id, timeline_id, kind, name, width, height, created_by)
    values (${id}, ${timeline}, ${m.kind}, ${m.name.slice(0, 200)}, ${m.width}, ${m.height}, ${account})`;
  return id;
}

async function findMedia(id: string): Promise<Media | null> {
  const [row] = await db()<Media[]>`select id, kind, name, width, height from media where id = ${id}`;
  return row ?? null;
}

/** A file of a timeline's media, for its editors. */
export async function findDraftFile(timeline: string, media: string, size: string): Promise<BlobInfo | null> {
  const [row] = await db()<(Omit<BlobInfo, "size"> & { size: string })[]>`
    select b.hash, b.size, b.type from media m join media_file f on f.media_id = m.id join blob b on b.hash = f.hash
    where m.id = ${media} and m.timeline_id = ${timeline} and f.size in (${size}, 'whole')`;
  return row ? { ...row, size: Number(row.size) } : null;
}

/** A file of media that a frozen version shows; what the draft holds beside it is not reached this way. */
export async function findFrozenFile(version: string, media: string, size: string): Promise<BlobInfo | null> {
  const [row] = await db()<(Omit<BlobInfo, "size"> & { size: string })[]>`
    select b.hash, b.size, b.type from version_media v join media_file f on f.media_id = v.media_id join blob b on b.hash = f.hash
    where v.version_id = ${version} and v.media_id = ${media} and f.size in (${size}, 'whole')`;
  return row ? { ...row, size: Number(row.size) } : null;
}

function piecesAsFile(upload: string, size: number): PatchableFile {
  const piece = async (n: number) =>
    (await db()<{ bytes: Uint8Array }[]>`select bytes from upload_piece where upload_id = ${upload} and n = ${n}`)[0]!
      .bytes;
  return {
    size,
    async read(offset, length) {
      const end = Math.min(size, offset + length);
      const parts: Uint8Array[] = [];
      for (let at = offset; at < end; ) {
        const n = Math.floor(at / PIECE);
        const bytes = await piece(n);
        const part = bytes.subarray(at - n * PIECE, Math.min(bytes.length, end - n * PIECE));
        parts.push(part);
        at += part.length;
      }
      return Buffer.concat(parts);
    },
    async write(offset, bytes) {
      for (let done = 0; done < bytes.length; ) {
        const at = offset + done;
        const n = Math.floor(at / PIECE);
        const old = Buffer.from(await piece(n));
        const count = Math.min(bytes.length - done, old.length - (at - n * PIECE));
        old.set(bytes.subarray(done, done + count), at - n * PIECE);
        await db()`update upload_piece set bytes = ${old} where upload_id = ${upload} and n = ${n}`;
        done += count;
      }
    },
  };
}
