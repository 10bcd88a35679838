import "server-only";
import { Readable } from "node:stream";
import { buffer } from "node:stream/consumers";
import type { GetObjectCommandOutput, S3Client } from "@aws-sdk/client-s3";
import { db, type Tx } from "../db/pool";

/** Files are kept in pieces of this many bytes. */
export const PIECE = 1_048_576;

/** A file by its SHA-256, in hexadecimal. */
export interface BlobInfo {
  hash: string;
  size: number;
  type: string;
  store: StoreName;
}
export type StoreName = "database" | "s3";

/** Where the bytes of files are. A file is never altered: its name is its hash. */
export interface MediaStore {
  /** Keeps the pieces of a file; putting the same again does no harm. */
  put(tx: Tx, blob: BlobInfo, pieces: AsyncIterable<Uint8Array>): Promise<void>;
  /** The bytes [from, to), as the reader takes them. */
  stream(blob: BlobInfo, from: number, to: number): ReadableStream<Uint8Array>;
  /** Removes a file, or nothing where there is none. Of the database this goes with the row. */
  remove(hash: string): Promise<void>;
}

/** Where new files go. */
export function configuredStore(): StoreName {
  return process.env.MEDIA_STORE === "s3" ? "s3" : "database";
}

export function storeOf(name: StoreName): MediaStore {
  return name === "s3" ? s3Store() : DATABASE;
}

/** COPY's binary form (PostgreSQL, "COPY", File Formats): 19 bytes of header, then of a row its count of fields and the field's length. */
const FIELD_LENGTH_AT = 21;
const FIELD_AT = 25;

/**
 * A piece of a file, or nothing where there is none. What a query answers comes as text, and bytes in it as digits; what is copied out comes
 * as it is, in half the time.
 */
async function pieceOf(hash: string, n: number): Promise<Buffer | undefined> {
  // COPY takes no parameters: these two can hold nothing but digits.
  if (!/^[0-9a-f]{64}$/.test(hash) || !Number.isSafeInteger(n)) throw new Error(`no piece is called ${hash}, ${n}`);
  const rows = `select bytes from blob_piece where hash = '${hash}' and n = ${n}`;
  // A connection that copies refuses whatever else is asked on it: in a transaction it is nobody else's.
  const copied = await db().begin("read only", async (tx) =>
    buffer(await tx.unsafe(`copy (${rows}) to stdout (format binary)`).readable()),
  );
  // Without a row there is nothing behind the header but the end's two bytes.
  if (copied.length < FIELD_AT) return undefined;
  return copied.subarray(FIELD_AT, FIELD_AT + copied.readInt32BE(FIELD_LENGTH_AT));
}

/** In PostgreSQL, a row a piece, so that a range of a video is read without the rest. */
const DATABASE: MediaStore = {
  async put(tx, blob, pieces) {
    let n = 0;
    for await (const bytes of pieces)
      await tx`
        insert into blob_piece (hash, n, bytes) values (${blob.hash}, ${n++}, ${Buffer.from(bytes)}) on conflict do nothing`;
  },
  stream(blob, from, to) {
    let n = Math.floor(from / PIECE);
    let moved: ReadableStreamDefaultReader<Uint8Array> | null = null;
    // The next piece is read while one is on its way.
    const ahead = new CountQueuingStrategy({ highWaterMark: 2 });
    return new ReadableStream<Uint8Array>(
      {
        async pull(controller) {
          if (moved) {
            const { done, value } = await moved.read();
            return done ? controller.close() : controller.enqueue(value);
          }
          if (n * PIECE >= to) return controller.close();
          const bytes = await pieceOf(blob.hash, n);
          if (!bytes) {
            // Moved while it is being read: the rest is where it is now.
            const [now] = await db()<{ store: StoreName }[]>`select store from blob where hash = ${blob.hash}`;
            if (!now || now.store === "database")
              return controller.error(new Error(`piece ${n} of blob ${blob.hash} is missing`));
            moved = storeOf(now.store)
              .stream(blob, Math.max(from, n * PIECE), to)
              .getReader();
            const { done, value } = await moved.read();
            return done ? controller.close() : controller.enqueue(value);
          }
          const start = Math.max(0, from - n * PIECE);
          const end = Math.min(bytes.length, to - n * PIECE);
          controller.enqueue(bytes.subarray(start, end));
          n++;
        },
        async cancel() {
          await moved?.cancel();
        },
      },
      ahead,
    );
  },
  async remove() {},
};

const holder = globalThis as { fastigoS3?: Promise<S3Client> };

/** Loaded when it is needed: most who run Fastigo keep files in the database. */
function client(): Promise<S3Client> {
  holder.fastigoS3 ??= import("@aws-sdk/client-s3").then(
    ({ S3Client }) =>
      new S3Client({
        endpoint: process.env.S3_ENDPOINT!,
        region: process.env.S3_REGION ?? "us-east-1",
        credentials: { accessKeyId: process.env.S3_ACCESS_KEY!, secretAccessKey: process.env.S3_SECRET_KEY! },
        forcePathStyle: true,
        // Stores other than the first one do not all know the later checksums.
        requestChecksumCalculation: "WHEN_REQUIRED",
        responseChecksumValidation: "WHEN_REQUIRED",
      }),
  );
  return holder.fastigoS3;
}

/** Any store that speaks S3, an object a file under its hash. */
function s3Store(): MediaStore {
  const at = (hash: string) => ({ Bucket: process.env.S3_BUCKET!, Key: `media/${hash}` });
  return {
    async put(_, blob, pieces) {
      const { PutObjectCommand } = await import("@aws-sdk/client-s3");
      const put = new PutObjectCommand({
        ...at(blob.hash),
        Body: Readable.from(pieces),
        ContentLength: blob.size,
        ContentType: blob.type,
      });
      // The name is the hash: signed with the request, it lets the store refuse other bytes.
      put.middlewareStack.add(
        (next) => (args) => {
          (args.request as { headers: Record<string, string> }).headers["x-amz-content-sha256"] = blob.hash;
          return next(args);
        },
        { step: "build", name: "hashOfContent" },
      );
      await (await client()).send(put);
    },
    stream(blob, from, to) {
      let reader: ReadableStreamDefaultReader<Uint8Array> | null = null;
      return new ReadableStream<Uint8Array>({
        async pull(controller) {
          reader ??= (await opened(blob, from, to)).getReader();
          const { done, value } = await reader.read();
          if (done) controller.close();
          else controller.enqueue(value);
        },
        async cancel() {
          await reader?.cancel();
        },
      });
    },
    async remove(hash) {
      const { DeleteObjectCommand } = await import("@aws-sdk/client-s3");
      await (await client()).send(new DeleteObjectCommand(at(hash)));
    },
  };

  async function opened(blob: BlobInfo, from: number, to: number): Promise<ReadableStream<Uint8Array>> {
    const { GetObjectCommand } = await import("@aws-sdk/client-s3");
    const got: GetObjectCommandOutput = await (await client()).send(
      new GetObjectCommand({ ...at(blob.hash), Range: `bytes=${from}-${to - 1}` }),
    );
    return got.Body!.transformToWebStream() as ReadableStream<Uint8Array>;
  }
}
