import "server-only";
import { createHash } from "node:crypto";
import { nanoid } from "nanoid";
import type { MediaKind } from "@/core/timeline/fields";
import { db, type Sql, type Tx } from "../db/pool";
import { type Failure, fail, isFailure, refusal } from "../http/failure";
import { hasRight, requireRight } from "../timelines/access";
import { blankPosition, type PatchableFile } from "./blank-position";
import { keepBlob } from "./blobs";
import { kindOf } from "./kinds";
import { findMedia, finishing, insertMedia, LIMIT_MS, type Media, storePicture } from "./make-media";
import { encodePicture } from "./pictures";
import { type Left, MOST_PICTURE, MOST_VIDEO, noRoom, roomLeft } from "./room";
import { PIECE } from "./stores";

/** A still of a video, as it comes. */
export const MOST_STILL = 2 * PIECE;

export const MOST_PIECES = MOST_VIDEO / PIECE;

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

/** A file that comes from elsewhere, part by part; nobody knows how long it is before its end. */
export class IncomingFile {
  private upload: string | null = null;
  private held: Buffer[] = [];
  private size = 0;
  private n = 0;
  private readonly timeline: string;
  private readonly account: string;
  private readonly name: string;

  constructor(timeline: string, account: string, name: string) {
    this.timeline = timeline;
    this.account = account;
    this.name = name;
  }

  async write(part: Buffer): Promise<void> {
    this.held.push(part);
    this.size += part.length;
    const waiting = this.size - this.n * PIECE;
    if (waiting < PIECE) return;
    let bytes = Buffer.concat(this.held);
    for (; bytes.length >= PIECE; bytes = bytes.subarray(PIECE)) await this.store(bytes.subarray(0, PIECE));
    this.held = [bytes];
  }

  /** Media of what has come. */
  async finish(): Promise<Failure | { media: Media }> {
    if (this.size === 0) return fail("file_empty");
    const rest = Buffer.concat(this.held);
    if (rest.length > 0) await this.store(rest);
    const full = await noRoom(this.timeline, this.account, this.size);
    if (full) {
      await this.discard();
      return full;
    }
    await db()`update upload set size = ${this.size} where id = ${this.upload}`;
    return finishUpload(this.timeline, this.account, this.upload!);
  }

  async discard(): Promise<void> {
    if (this.upload) await db()`delete from upload where id = ${this.upload}`;
  }

  private async store(bytes: Buffer): Promise<void> {
    if (this.upload === null) {
      this.upload = nanoid();
      await db()`
        insert into upload (id, timeline_id, account_id, name, size)
        values (${this.upload}, ${this.timeline}, ${this.account}, ${this.name.slice(0, 200)}, 1)`;
    }
    await db()`insert into upload_piece (upload_id, n, bytes) values (${this.upload}, ${this.n++}, ${bytes})`;
  }
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
  // Of one that is finished, whose answer was lost on its way, nothing is to be sent again.
  const all = Array.from({ length: Math.ceil(u.size / PIECE) }, (_, n) => n);
  if (u.mediaId) return { arrived: all, size: u.size, piece: PIECE };
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
    if (found === "unread") return discard(fail("picture_unread"));
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
