import "server-only";
import { createHash } from "node:crypto";
import { db, type Tx } from "../db/pool";
import { fail, Refused } from "../http/failure";
import { type BlobInfo, configuredStore, PIECE, storeOf } from "./stores";

/** Stores bytes by their SHA-256; the same bytes are stored once. */
export async function storeBlob(tx: Tx, bytes: Uint8Array, type: string): Promise<string> {
  const hash = createHash("sha256").update(bytes).digest("hex");
  await keepBlob(tx, { hash, size: bytes.length, type }, async function* () {
    for (let at = 0; at < bytes.length; at += PIECE) yield bytes.subarray(at, at + PIECE);
  });
  return hash;
}

/** Keeps a file where files are kept, in pieces of `PIECE` bytes but the last, unless it is there already. */
export async function keepBlob(
  tx: Tx,
  blob: Omit<BlobInfo, "store">,
  pieces: () => AsyncIterable<Uint8Array>,
): Promise<void> {
  const store = configuredStore();
  const made = await tx`
    insert into blob (hash, size, type, store) values (${blob.hash}, ${blob.size}, ${blob.type}, ${store})
    on conflict do nothing returning hash`;
  if (made.length === 0) return;
  if (store !== "database") await noteLoose(blob.hash);
  try {
    await storeOf(store).put(tx, { ...blob, store }, pieces());
  } catch (error) {
    if (store === "database") throw error;
    console.error("The store of files cannot be reached.", error);
    throw new Refused(fail("no_store"));
  }
  // Gone with the transaction where that is taken back: the note stays then, and the file is removed by it.
  await tx`delete from blob_loose where hash = ${blob.hash}`;
}

/** Written down on its own, before the file is anywhere: whatever happens then, it is found. */
async function noteLoose(hash: string): Promise<void> {
  await db()`insert into blob_loose (hash) values (${hash}) on conflict (hash) do update set at = now()`;
}

/**
 * Answers a request for a file: whole, a range (RFC 9110, 14), or "not modified". The file cannot run anything in
 * the application's name, whatever it holds.
 */
export function blobResponse(request: Request, blob: BlobInfo, cache: string): Response {
  const headers: Record<string, string> = {
    "Content-Type": blob.type,
    "X-Content-Type-Options": "nosniff",
    "Content-Security-Policy": "default-src 'none'; sandbox",
    "Cross-Origin-Resource-Policy": "same-origin",
    "Accept-Ranges": "bytes",
    ETag: `"${blob.hash}"`,
    "Cache-Control": cache,
  };
  if (request.headers.get("if-none-match") === headers.ETag) return new Response(null, { status: 304, headers });
  const range = request.headers.get("range")?.match(/^bytes=(\d*)-(\d*)$/);
  if (!range || (range[1] === "" && range[2] === "")) return new Response(bytesOf(blob, 0, blob.size), { headers });
  const from = range[1] === "" ? Math.max(0, blob.size - Number(range[2])) : Number(range[1]);
  const to = range[1] === "" || range[2] === "" ? blob.size : Math.min(blob.size, Number(range[2]) + 1);
  if (from >= to)
    return new Response(null, { status: 416, headers: { ...headers, "Content-Range": `bytes */${blob.size}` } });
  return new Response(bytesOf(blob, from, to), {
    status: 206,
    headers: { ...headers, "Content-Range": `bytes ${from}-${to - 1}/${blob.size}` },
  });
}

const bytesOf = (blob: BlobInfo, from: number, to: number) => storeOf(blob.store).stream(blob, from, to);

/** So long an upload to the outside store may take. */
const LOOSE_MS = 3_600_000;

/** Removes from the outside store what no row names; gives how many files. */
export async function removeLoose(now: Date, most: number): Promise<number> {
  // Without the store's address nothing can be removed there; the notes stay for when it is known again.
  if (!process.env.S3_ENDPOINT) return 0;
  const before = new Date(now.getTime() - LOOSE_MS);
  let removed = 0;
  for (; removed < most; removed++) {
    const one = await db().begin(async (tx) => {
      // Held while it is removed: whoever keeps the same file anew waits, and puts it there again.
      const [loose] = await tx<{ hash: string }[]>`
        select hash from blob_loose where at < ${before} limit 1 for update skip locked`;
      if (!loose) return false;
      const [named] = await tx`select from blob where hash = ${loose.hash} and store = 's3'`;
      if (!named) await storeOf("s3").remove(loose.hash);
      await tx`delete from blob_loose where hash = ${loose.hash}`;
      return true;
    });
    if (!one) break;
  }
  return removed;
}

/** Moves files that lie elsewhere to where files are kept now; gives how many there were, at most so many. */
export async function moveBlobs(most: number, signal: AbortSignal): Promise<number> {
  const store = configuredStore();
  const rows = await db()<(Omit<BlobInfo, "size"> & { size: string })[]>`
    select hash, size, type, store from blob where store <> ${store} limit ${most}`;
  let moved = 0;
  for (const row of rows) {
    if (signal.aborted) break;
    const blob = { ...row, size: Number(row.size) };
    if (store !== "database") await noteLoose(blob.hash);
    await db().begin(async (tx) => {
      const [there] = await tx`select from blob where hash = ${blob.hash} and store = ${blob.store} for update`;
      if (!there) return;
      await storeOf(store).put(tx, { ...blob, store }, inPieces(bytesOf(blob, 0, blob.size)));
      await tx`update blob set store = ${store} where hash = ${blob.hash}`;
      if (store === "database") await tx`insert into blob_loose (hash) values (${blob.hash}) on conflict do nothing`;
      else {
        await tx`delete from blob_piece where hash = ${blob.hash}`;
        await tx`delete from blob_loose where hash = ${blob.hash}`;
      }
    });
    moved++;
  }
  return moved;
}

/** The same bytes in pieces of `PIECE`, the last one shorter. */
async function* inPieces(stream: ReadableStream<Uint8Array>): AsyncIterable<Uint8Array> {
  let held: Uint8Array[] = [];
  let length = 0;
  for await (const part of stream) {
    held.push(part);
    length += part.length;
    while (length >= PIECE) {
      const all = Buffer.concat(held);
      yield all.subarray(0, PIECE);
      held = [all.subarray(PIECE)];
      length -= PIECE;
    }
  }
  if (length > 0) yield Buffer.concat(held);
}
