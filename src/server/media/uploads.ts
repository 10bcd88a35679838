import "server-only";
import { createHash } from "node:crypto";
import { nanoid } from "nanoid";
import type { MediaKind } from "@/core/timeline/fields";
import { MOST } from "@/core/change/limits";
import { db, type Sql, type Tx } from "../db/pool";
import { type Failure, fail, isFailure, refusal } from "../http/failure";
import { Lane } from "../lane";
import { hasRight, requireRight } from "../timelines/access";
import { blankPosition, type PatchableFile } from "./blank-position";
import { keepBlob, storeBlob } from "./blobs";
import { kindOf } from "./kinds";
import { encodePicture, type EncodedPicture } from "./pictures";
import { type BlobInfo, PIECE } from "./stores";

export const MOST_PICTURE = 20 * PIECE;
export const MOST_VIDEO = 200 * PIECE;
/** A still of a video, as it comes. */
export const MOST_STILL = 2 * PIECE;
export const MOST_PIECES = MOST_VIDEO / PIECE;

export interface Media {
  id: string;
  kind: MediaKind;
  name: string;
  width: number | null;
  height: number | null;
}

/** How much room a timeline and a person have for files, bytes. */
function room(): { timeline: number; person: number } {
  const own = (name: string) => (process.env[name] ? Number(process.env[name]) * PIECE : null);
  return {
    timeline: own("TIMELINE_FILES_MB") ?? MOST.timelineFiles.most,
    person: own("PERSON_FILES_MB") ?? MOST.personFiles.most,
  };
}

export interface Left {
  /** Bytes that are left for files, of how many; the smaller of what the timeline and the person have. */
  left: number;
  of: number;
}

/** How much room is left, what is being uploaded counted too. */
export async function roomLeft(
  timeline: string,
  account: string,
  sql: Sql = db(),
): Promise<Left & { of: number; whose: "timeline" | "person" }> {
  const [used] = await sql<{ timeline: string; person: string }[]>`
    select
      (select coalesce(sum(b.size), 0) from media m join media_file f on f.media_id = m.id join blob b on b.hash = f.hash where m.timeline_id = ${timeline})
        + (select coalesce(sum(size), 0) from upload where timeline_id = ${timeline} and media_id is null) as timeline,
      (select coalesce(sum(b.size), 0) from media m join media_file f on f.media_id = m.id join blob b on b.hash = f.hash where m.created_by = ${account})
        + (select coalesce(sum(size), 0) from upload where account_id = ${account} and media_id is null) as person`;
  const has = room();
  const left = { timeline: has.timeline - Number(used!.timeline), person: has.person - Number(used!.person) };
  const whose = left.timeline <= left.person ? "timeline" : "person";
  return { left: Math.max(0, left[whose]), of: has[whose], whose };
}

const megabytes = (bytes: number) => `${Math.floor(bytes / PIECE).toLocaleString("en")} MB`;

/** The sentence for a file that has no room; null when it has. */
export async function noRoom(
  timeline: string,
  account: string,
  size: number,
  sql: Sql = db(),
): Promise<Failure | null> {
  const { left, of, whose } = await roomLeft(timeline, account, sql);
  if (size <= left) return null;
  return fail(
    whose === "timeline" ? "quota_timeline" : "quota_person",
    `This file has ${megabytes(size + PIECE - 1)}; ${megabytes(left)} of ${megabytes(of)} are left. Delete some files, or take a smaller one.`,
  );
}

/** Begins an upload; the file comes in pieces of `piece` bytes, in any order. Says how much room is left after it. */
export async function beginUpload(
  timeline: string,
  account: string,
  name: string,
  size: number,
): Promise<Failure | ({ upload: string; piece: number } & Left)> {
  if (size <= 0) return fail("file_empty");
  if (size > MOST_VIDEO) return fail("video_large");
  const id = nanoid();
  return db()
    .begin(async (tx): Promise<Failure | ({ upload: string; piece: number } & Left)> => {
      await requireRight(tx, timeline, account, "edit");
      // One at a time of a person, so that many at once do not each find the room that is left for one.
      await tx`select pg_advisory_xact_lock(hashtext(${`files of ${account}`}))`;
      const full = await noRoom(timeline, account, size, tx);
      if (full) return full;
      await tx`insert into upload (id, timeline_id, account_id, name, size) values (${id}, ${timeline}, ${account}, ${name.slice(0, 200)}, ${size})`;
      const { left, of } = await roomLeft(timeline, account, tx);
      return { upload: id, piece: PIECE, left, of };
    })
    .catch(refusal);
}

interface Upload {
  id: string;
  name: string;
  size: number;
  mediaId: string | null;
}

/** An upload of one's own; `lock` keeps it as it is until the transaction ends. */
async function findUpload(
  timeline: string,
  account: string,
  upload: string,
  sql: Sql = db(),
  lock: "" | "for share of u" | "for update of u" = "",
): Promise<Upload | null> {
  if (!(await hasRight(sql, timeline, account, "edit"))) return null;
  const [row] = await sql<(Omit<Upload, "size"> & { size: string })[]>`
    select u.id, u.name, u.size, u.media_id from upload u
    where u.id = ${upload} and u.timeline_id = ${timeline} and u.account_id = ${account} ${sql.unsafe(lock)}`;
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

/** Stores one piece; one cut off on its way has the wrong size and is refused, and so is one of an upload that is finished. */
export async function putPiece(
  timeline: string,
  account: string,
  upload: string,
  n: number,
  bytes: Uint8Array,
): Promise<Failure | { stored: number }> {
  return db().begin(async (tx) => {
    const u = await findUpload(timeline, account, upload, tx, "for share of u");
    if (!u || u.mediaId || !Number.isInteger(n) || n < 0 || n * PIECE >= u.size) return fail("not_found");
    if (bytes.length !== Math.min(PIECE, u.size - n * PIECE)) return fail("piece_size");
    await tx`
      insert into upload_piece (upload_id, n, bytes) values (${upload}, ${n}, ${Buffer.from(bytes)})
      on conflict (upload_id, n) do update set bytes = excluded.bytes`;
    return { stored: n };
  });
}

/** Files are put together a few at a time: each takes a connection until it is done. */
const finishing = new Lane(3, 300);
const LIMIT_MS = 120_000;

/** Puts the pieces together and makes media of them. Asked again, it answers with the same media. */
export async function finishUpload(
  timeline: string,
  account: string,
  upload: string,
): Promise<Failure | { media: Media }> {
  const done = await finishing.run(upload, upload, LIMIT_MS, () => finishNow(timeline, account, upload));
  return isFailure(done) ? done : done.ok;
}

/**
 * One transaction, in which the upload is locked: no piece can be exchanged between the look at it and its storing, and asked
 * for many times at once it is done once.
 */
async function finishNow(timeline: string, account: string, upload: string): Promise<Failure | { media: Media }> {
  return db().begin(async (tx): Promise<Failure | { media: Media }> => {
    const u = await findUpload(timeline, account, upload, tx, "for update of u");
    if (!u) return fail("not_found");
    if (u.mediaId) return { media: (await findMedia(tx, u.mediaId))! };
    const [have] = await tx<{ n: number }[]>`select count(*)::int as n from upload_piece where upload_id = ${upload}`;
    if (have!.n < Math.ceil(u.size / PIECE)) return fail("piece_missing");
    // What cannot be used is not kept either.
    const discard = async (why: Failure) => {
      await tx`delete from upload where id = ${upload}`;
      return why;
    };
    const [first] = await tx<
      { bytes: Uint8Array }[]
    >`select bytes from upload_piece where upload_id = ${upload} and n = 0`;
    const found = await kindOf(first!.bytes);
    if (!found) return discard(fail("file_kind"));
    let id: string;
    if (found.kind === "picture") {
      if (u.size > MOST_PICTURE) return discard(fail("picture_large"));
      const rows = await tx<
        { bytes: Uint8Array }[]
      >`select bytes from upload_piece where upload_id = ${upload} order by n`;
      const encoded = await encodePicture(Buffer.concat(rows.map((r) => r.bytes)));
      if (isFailure(encoded)) return discard(encoded);
      id = await storePicture(tx, timeline, account, u.name, encoded);
    } else {
      const pieces = new PiecesAsFile(tx, upload, u.size);
      if (/mp4|quicktime|m4a/.test(found.type) && (await blankPosition(pieces)) === null)
        return discard(fail("video_boxes"));
      await pieces.flush();
      id = await storeFile(tx, timeline, account, u, found);
    }
    await tx`update upload set media_id = ${id} where id = ${upload}`;
    await tx`delete from upload_piece where upload_id = ${upload}`;
    return { media: (await findMedia(tx, id))! };
  });
}

async function storeFile(
  tx: Tx,
  timeline: string,
  account: string,
  u: Upload,
  found: { kind: MediaKind; type: string },
): Promise<string> {
  const pieces = async function* () {
    for (let n = 0; n * PIECE < u.size; n++) {
      const [piece] = await tx<
        { bytes: Uint8Array }[]
      >`select bytes from upload_piece where upload_id = ${u.id} and n = ${n}`;
      yield piece!.bytes;
    }
  };
  const hash = createHash("sha256");
  for await (const bytes of pieces()) hash.update(bytes);
  const digest = hash.digest("hex");
  await keepBlob(tx, { hash: digest, size: u.size, type: found.type }, pieces);
  const media = await insertMedia(tx, timeline, account, { kind: found.kind, name: u.name, width: null, height: null });
  await tx`insert into media_file (media_id, size, hash) values (${media}, 'whole', ${digest})`;
  return media;
}

/** Stores the still picture of a video, which every drawing shows; one that is there already stays. Gives its size, px. */
export async function putStill(
  timeline: string,
  account: string,
  media: string,
  bytes: Uint8Array,
): Promise<Failure | { width: number; height: number }> {
  await requireRight(db(), timeline, account, "edit");
  const full = await noRoom(timeline, account, bytes.length);
  if (full) return full;
  const encoded = await encodePicture(bytes);
  if (isFailure(encoded)) return encoded;
  const done = await finishing.run(nanoid(), account, LIMIT_MS, () =>
    db().begin(async (tx): Promise<Failure | { width: number; height: number }> => {
      await requireRight(tx, timeline, account, "edit");
      const [video] = await tx<{ kind: MediaKind; width: number | null; height: number | null }[]>`
        select kind, width, height from media where id = ${media} and timeline_id = ${timeline} for update`;
      if (!video) return fail("not_found");
      if (video.kind !== "video") return fail("no_video");
      if (video.width !== null && video.height !== null) return { width: video.width, height: video.height };
      await storePictureFiles(tx, media, encoded);
      await tx`update media set width = ${encoded.width}, height = ${encoded.height} where id = ${media}`;
      return { width: encoded.width, height: encoded.height };
    }),
  );
  return isFailure(done) ? done : done.ok;
}

/** Re-encodes and stores a picture as media of a timeline. */
export async function makePicture(
  timeline: string,
  account: string,
  name: string,
  bytes: Uint8Array,
): Promise<Failure | Media> {
  const full = await noRoom(timeline, account, bytes.length);
  if (full) return full;
  const encoded = await encodePicture(bytes);
  if (isFailure(encoded)) return encoded;
  // In the lane of uploads: each may need a second connection, and a few of them never take them all.
  const done = await finishing.run(nanoid(), account, LIMIT_MS, () =>
    db().begin(async (tx) => (await findMedia(tx, await storePicture(tx, timeline, account, name, encoded)))!),
  );
  return isFailure(done) ? done : done.ok;
}

async function storePicture(
  tx: Tx,
  timeline: string,
  account: string,
  name: string,
  encoded: EncodedPicture,
): Promise<string> {
  const media = await insertMedia(tx, timeline, account, {
    kind: "picture",
    name,
    width: encoded.width,
    height: encoded.height,
  });
  await storePictureFiles(tx, media, encoded);
  return media;
}

async function storePictureFiles(tx: Tx, media: string, encoded: EncodedPicture): Promise<void> {
  for (const f of encoded.files) {
    const hash = await storeBlob(tx, f.bytes, "image/webp");
    await tx`insert into media_file (media_id, size, hash, width, height) values (${media}, ${f.size}, ${hash}, ${f.width}, ${f.height})`;
  }
}

async function insertMedia(tx: Tx, timeline: string, account: string, m: Omit<Media, "id">): Promise<string> {
  const id = nanoid(16);
  await tx`
    insert into media (id, timeline_id, kind, name, width, height, created_by)
    values (${id}, ${timeline}, ${m.kind}, ${m.name.slice(0, 200)}, ${m.width}, ${m.height}, ${account})`;
  return id;
}

async function findMedia(sql: Sql, id: string): Promise<Media | null> {
  const [row] = await sql<Media[]>`select id, kind, name, width, height from media where id = ${id}`;
  return row ?? null;
}

/** A file of a timeline's media, for its editors. */
export async function findDraftFile(timeline: string, media: string, size: string): Promise<BlobInfo | null> {
  const [row] = await db()<(Omit<BlobInfo, "size"> & { size: string })[]>`
    select b.hash, b.size, b.type, b.store from media m join media_file f on f.media_id = m.id join blob b on b.hash = f.hash
    where m.id = ${media} and m.timeline_id = ${timeline} and f.size in (${size}, 'whole')
    order by f.size = 'whole' limit 1`;
  return row ? { ...row, size: Number(row.size) } : null;
}

/** A file of media that a frozen version shows; what the draft holds beside it is not reached this way. */
export async function findFrozenFile(version: string, media: string, size: string): Promise<BlobInfo | null> {
  const [row] = await db()<(Omit<BlobInfo, "size"> & { size: string })[]>`
    select b.hash, b.size, b.type, b.store from version_media v join media_file f on f.media_id = v.media_id join blob b on b.hash = f.hash
    where v.version_id = ${version} and v.media_id = ${media} and f.size in (${size}, 'whole')
    order by f.size = 'whole' limit 1`;
  return row ? { ...row, size: Number(row.size) } : null;
}

/** The pieces of an upload as one file. One piece is held at a time, so that a walk from front to back reads each once. */
class PiecesAsFile implements PatchableFile {
  readonly size: number;
  private readonly tx: Tx;
  private readonly upload: string;
  private held: { n: number; bytes: Buffer; changed: boolean } | null = null;

  constructor(tx: Tx, upload: string, size: number) {
    this.tx = tx;
    this.upload = upload;
    this.size = size;
  }

  async read(offset: number, length: number): Promise<Uint8Array> {
    const end = Math.min(this.size, offset + length);
    const parts: Uint8Array[] = [];
    for (let at = offset; at < end; ) {
      const { n, bytes } = await this.hold(at);
      const part = Buffer.from(bytes.subarray(at - n * PIECE, Math.min(bytes.length, end - n * PIECE)));
      parts.push(part);
      at += part.length;
    }
    return parts.length === 1 ? parts[0]! : Buffer.concat(parts);
  }

  async write(offset: number, bytes: Uint8Array): Promise<void> {
    for (let done = 0; done < bytes.length; ) {
      const at = offset + done;
      const held = await this.hold(at);
      const count = Math.min(bytes.length - done, held.bytes.length - (at - held.n * PIECE));
      held.bytes.set(bytes.subarray(done, done + count), at - held.n * PIECE);
      held.changed = true;
      done += count;
    }
  }

  /** Stores what was changed in the piece that is held. */
  async flush(): Promise<void> {
    const { held } = this;
    if (!held?.changed) return;
    await this.tx`update upload_piece set bytes = ${held.bytes} where upload_id = ${this.upload} and n = ${held.n}`;
    held.changed = false;
  }

  private async hold(offset: number): Promise<{ n: number; bytes: Buffer; changed: boolean }> {
    const n = Math.floor(offset / PIECE);
    if (this.held?.n === n) return this.held;
    await this.flush();
    const [row] = await this.tx<
      { bytes: Uint8Array }[]
    >`select bytes from upload_piece where upload_id = ${this.upload} and n = ${n}`;
    this.held = { n, bytes: Buffer.from(row!.bytes), changed: false };
    return this.held;
  }
}
