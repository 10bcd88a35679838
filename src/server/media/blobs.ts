import "server-only";
import { createHash } from "node:crypto";
import type { Tx } from "../db/pool";
import { db } from "../db/pool";

/** Files are kept in pieces of this many bytes. */
export const PIECE = 1_048_576;

/** Stores bytes by their SHA-256; the same bytes are stored once. */
export async function storeBlob(tx: Tx, bytes: Uint8Array, type: string): Promise<string> {
  const hash = createHash("sha256").update(bytes).digest("hex");
  const made =
    await tx`insert into blob (hash, size, type) values (${hash}, ${bytes.length}, ${type}) on conflict do nothing returning hash`;
  if (made.length > 0)
    for (let n = 0; n * PIECE < bytes.length; n++)
      await tx`insert into blob_piece (hash, n, bytes) values (${hash}, ${n}, ${Buffer.from(bytes.subarray(n * PIECE, (n + 1) * PIECE))})`;
  return hash;
}

export interface BlobInfo {
  hash: string;
  size: number;
  type: string;
}

/** The bytes [from, to) of a blob, a piece at a time as the reader takes them. */
export function streamBlob(blob: BlobInfo, from: number, to: number): ReadableStream<Uint8Array> {
  let n = Math.floor(from / PIECE);
  return new ReadableStream<Uint8Array>({
    async pull(controller) {
      if (n * PIECE >= to) return controller.close();
      const [row] = await db()<
        { bytes: Uint8Array }[]
      >`select bytes from blob_piece where hash = ${blob.hash} and n = ${n}`;
      if (!row) return controller.error(new Error(`piece ${n} of blob ${blob.hash} is missing`));
      const start = Math.max(0, from - n * PIECE);
      const end = Math.min(row.bytes.length, to - n * PIECE);
      controller.enqueue(new Uint8Array(row.bytes.subarray(start, end)));
      n++;
    },
  });
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
  if (!range || (range[1] === "" && range[2] === "")) return new Response(streamBlob(blob, 0, blob.size), { headers });
  const from = range[1] === "" ? Math.max(0, blob.size - Number(range[2])) : Number(range[1]);
  const to = range[1] === "" || range[2] === "" ? blob.size : Math.min(blob.size, Number(range[2]) + 1);
  if (from >= to)
    return new Response(null, { status: 416, headers: { ...headers, "Content-Range": `bytes */${blob.size}` } });
  return new Response(streamBlob(blob, from, to), {
    status: 206,
    headers: { ...headers, "Content-Range": `bytes ${from}-${to - 1}/${blob.size}` },
  });
}
