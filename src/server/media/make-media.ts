import "server-only";
import { nanoid } from "nanoid";
import type { Cut, MediaKind } from "@/core/timeline/fields";
import { db, type Sql, type Tx } from "../db/pool";
import { type Failure, fail, isFailure } from "../http/failure";
import { Lane } from "../lane";
import { requireRight } from "../timelines/access";
import { storeBlob } from "./blobs";
import { type EncodedPicture, encodePicture } from "./pictures";
import type { Tones } from "@/core/timeline/fields";
import { noRoom } from "./room";
import { type BlobInfo, storeOf } from "./stores";

export interface Media {
  id: string;
  kind: MediaKind;
  name: string;
  width: number | null;
  height: number | null;
  /** A picture with frames that follow each other. */
  moving: boolean;
  /** Of a picture: the darkest and the lightest that is to be seen of it; null where nobody has looked. */
  tones: Tones | null;
}

/** Files are put together a few at a time: each takes a connection until it is done. */
export const finishing = new Lane(3, 300);

export const LIMIT_MS = 120_000;

/**
 * Stores the still picture of a video, which every drawing shows; one that is there already stays. `anew`: another still, for which
 * the video becomes media once more, over the same bytes; what shows it with the one before is left as it is.
 */
export async function putStill(
  timeline: string,
  account: string,
  media: string,
  bytes: Uint8Array,
  anew = false,
): Promise<Failure | Media> {
  await requireRight(db(), timeline, account, "edit");
  const full = await noRoom(timeline, account, bytes.length);
  if (full) return full;
  const encoded = await encodePicture(bytes);
  if (isFailure(encoded)) return encoded;
  const done = await finishing.run(nanoid(), account, LIMIT_MS, () =>
    db().begin(async (tx): Promise<Failure | Media> => {
      await requireRight(tx, timeline, account, "edit");
      const [video] = await tx<(Omit<Media, "moving" | "tones"> & { madeOf: string | null })[]>`
        select id, kind, name, width, height, made_of from media where id = ${media} and timeline_id = ${timeline} for update`;
      if (!video) return fail("not_found");
      if (video.kind !== "video") return fail("no_video");
      const has = video.width !== null && video.height !== null;
      if (has && !anew) return (await findMedia(tx, media))!;
      const { width, height } = encoded;
      let id = media;
      if (has) {
        id = await insertMedia(tx, timeline, account, { ...video, width, height }, video.madeOf ?? media);
        await tx`
          insert into media_file (media_id, size, hash) select ${id}, size, hash from media_file
          where media_id = ${media} and size = 'whole'`;
      } else await tx`update media set width = ${width}, height = ${height} where id = ${media}`;
      await storePictureFiles(tx, id, encoded);
      return (await findMedia(tx, id))!;
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

/** A picture is cut out of the largest there is of it. */
const LARGEST_FIRST = ["full", "large"];

/**
 * Makes a picture of a part of one that was uploaded, turned if wanted; that one stays as it is, and so does what was cut out of it
 * before, which frozen versions may show. All of it as it lies is that one itself.
 */
export async function cutPicture(
  timeline: string,
  account: string,
  media: string,
  cut: Omit<Cut, "of">,
): Promise<Failure | Media> {
  const sql = db();
  await requireRight(sql, timeline, account, "edit");
  if (cut.turn === 0 && cut.x === 0 && cut.y === 0 && cut.width === 100 && cut.height === 100) {
    const [own] = await sql`select from media where id = ${media} and timeline_id = ${timeline} and kind = 'picture'`;
    return own ? (await findMedia(sql, media))! : fail("not_found");
  }
  const [from] = await sql<{ name: string; hash: string; size: string; type: string; store: BlobInfo["store"] }[]>`
    select m.name, b.hash, b.size, b.type, b.store
    from media m join media_file f on f.media_id = m.id join blob b on b.hash = f.hash
    where m.id = ${media} and m.timeline_id = ${timeline} and m.kind = 'picture' and f.size = any(${LARGEST_FIRST})
    order by array_position(${LARGEST_FIRST}::text[], f.size) limit 1`;
  if (!from) return fail("not_found");
  const blob = { ...from, size: Number(from.size) };
  const done = await finishing.run(nanoid(), account, LIMIT_MS, async () => {
    const bytes = await new Response(storeOf(blob.store).stream(blob, 0, blob.size)).arrayBuffer();
    const encoded = await encodePicture(new Uint8Array(bytes), cut);
    if (isFailure(encoded)) return encoded;
    return db().begin(async (tx): Promise<Failure | Media> => {
      await requireRight(tx, timeline, account, "edit");
      const size = encoded.files.reduce((sum, f) => sum + f.bytes.length, 0);
      const without = await noRoom(timeline, account, size, tx);
      if (without) return without;
      return (await findMedia(tx, await storePicture(tx, timeline, account, from.name, encoded, media)))!;
    });
  });
  return isFailure(done) ? done : done.ok;
}

export async function storePicture(
  tx: Tx,
  timeline: string,
  account: string,
  name: string,
  encoded: EncodedPicture,
  madeOf: string | null = null,
): Promise<string> {
  const { width, height } = encoded;
  const media = await insertMedia(
    tx,
    timeline,
    account,
    { kind: "picture", name, width, height, tones: encoded.tones },
    madeOf,
  );
  await storePictureFiles(tx, media, encoded);
  return media;
}

async function storePictureFiles(tx: Tx, media: string, encoded: EncodedPicture): Promise<void> {
  for (const f of encoded.files) {
    const hash = await storeBlob(tx, f.bytes, "image/webp");
    await tx`insert into media_file (media_id, size, hash, width, height) values (${media}, ${f.size}, ${hash}, ${f.width}, ${f.height})`;
  }
}

export async function insertMedia(
  tx: Tx,
  timeline: string,
  account: string,
  m: Omit<Media, "id" | "moving" | "tones"> & { tones?: Tones | null },
  madeOf: string | null = null,
): Promise<string> {
  const id = nanoid(16);
  await tx`
    insert into media (id, timeline_id, kind, name, width, height, created_by, made_of, tones)
    values (${id}, ${timeline}, ${m.kind}, ${m.name.slice(0, 200)}, ${m.width}, ${m.height}, ${account}, ${madeOf},
      ${m.tones ? tx.json({ ...m.tones }) : null})`;
  return id;
}

export async function findMedia(sql: Sql, id: string): Promise<Media | null> {
  const [row] = await sql<Media[]>`
    select id, kind, name, width, height, tones,
      exists (select from media_file f where f.media_id = m.id and f.size = 'moving') as moving
    from media m where id = ${id}`;
  return row ?? null;
}
