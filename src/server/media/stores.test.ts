import { createHash } from "node:crypto";
import sharp from "sharp";
import { afterAll, afterEach, beforeAll, describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { fail, isFailure } from "../http/failure";
import { must } from "../testing/school";
import { type S3StandIn, startS3StandIn } from "../testing/s3-stand-in";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { blobResponse, moveBlobs } from "./blobs";
import { collectMedia } from "./collect";
import { PIECE } from "./stores";
import { findDraftFile } from "./find-file";
import { beginUpload, finishUpload, putPiece } from "./uploads";

withTestDatabase("stores");

let store: S3StandIn;
beforeAll(async () => {
  store = await startS3StandIn();
});
afterAll(() => store.stop());
const keepIn = (where: "s3" | "database") => Object.assign(process.env, store.env, { MEDIA_STORE: where });
afterEach(() => {
  store.down = false;
  for (const name of Object.keys(store.env)) delete process.env[name];
});

async function begun(bytes: Uint8Array, name = "file") {
  const nia = await makePerson();
  const timeline = await makeTimeline(nia.id);
  const { upload } = must(await beginUpload(timeline, nia.id, name, bytes.length));
  for (let n = 0; n * PIECE < bytes.length; n++)
    await putPiece(timeline, nia.id, upload, n, bytes.subarray(n * PIECE, (n + 1) * PIECE));
  return { timeline, finish: () => finishUpload(timeline, nia.id, upload) };
}
async function uploaded(bytes: Uint8Array) {
  const { timeline, finish } = await begun(bytes);
  return { timeline, media: must(await finish()).media };
}

const PNG = () =>
  sharp({ create: { width: 300, height: 200, channels: 3, background: { r: 11, g: 110, b: (seed += 7) % 256 } } })
    .png()
    .toBuffer();
let seed = 0;
/** A sound of two pieces and a half, its content unlike any other's. */
function sound(): Uint8Array {
  seed += 1;
  const bytes = Uint8Array.from({ length: 2.5 * PIECE }, (_, i) => (i * 7919 + seed * 31) % 251);
  bytes.set([0x49, 0x44, 0x33, 4, 0, 0, 0, 0, 0, 0, 0xff, 0xfb, 0x90, 0x64]);
  return bytes;
}
async function read(timeline: string, media: string, size = "whole", range?: string) {
  const blob = (await findDraftFile(timeline, media, size))!;
  const request = new Request("http://localhost/", range ? { headers: { Range: range } } : {});
  const response = blobResponse(request, blob, "");
  return { status: response.status, store: blob.store, bytes: Buffer.from(await response.arrayBuffer()) };
}
const same = (a: Uint8Array, b: Uint8Array) =>
  createHash("sha256").update(a).digest("hex") === createHash("sha256").update(b).digest("hex");
const now = () => new Date(Date.now() + 2 * 3_600_000);

describe("files in a store that speaks S3", () => {
  it("are put there under their hash, signed with their content, and not into the database", async () => {
    keepIn("s3");
    const bytes = sound();
    const { timeline, media } = await uploaded(bytes);
    const hash = createHash("sha256").update(bytes).digest("hex");
    expect(same(store.objects.get(`media/${hash}`)!.bytes, bytes)).toBe(true);
    expect(await db()`select from blob_piece where hash = ${hash}`).toHaveLength(0);
    expect(await db()`select from blob_loose`).toHaveLength(0);
    const whole = await read(timeline, media.id);
    expect([whole.status, whole.store, same(whole.bytes, bytes)]).toEqual([200, "s3", true]);
    const part = await read(timeline, media.id, "whole", `bytes=${PIECE - 10}-${PIECE + 9}`);
    expect([part.status, same(part.bytes, bytes.subarray(PIECE - 10, PIECE + 10))]).toEqual([206, true]);
    expect(store.refused).toEqual([]);
  });

  it("are pictures in all their sizes", async () => {
    keepIn("s3");
    const { timeline, media } = await uploaded(await PNG());
    for (const size of ["small", "medium", "large"]) {
      const { bytes, store: where } = await read(timeline, media.id, size);
      expect([(await sharp(bytes).metadata()).format, where]).toEqual(["webp", "s3"]);
    }
  });

  it("are refused there with a wrong key; what was uploaded is kept, and finished when all is right again", async () => {
    const bytes = sound();
    const { finish } = await begun(bytes);
    const forgetClient = () => delete (globalThis as { fastigoS3?: unknown }).fastigoS3;
    keepIn("s3");
    process.env.S3_SECRET_KEY = "another secret";
    forgetClient();
    await expect(finish()).rejects.toMatchObject({ failure: fail("no_store") });
    expect(store.refused.splice(0)).toEqual(["a signature that is not right"]);
    expect(store.objects.has(`media/${createHash("sha256").update(bytes).digest("hex")}`)).toBe(false);
    forgetClient();
    keepIn("s3");
    store.down = true;
    await expect(finish()).rejects.toMatchObject({ failure: fail("no_store") });
    store.down = false;
    expect(isFailure(await finish())).toBe(false);
    expect(await db()`select hash from blob_loose`).toHaveLength(0);
  });

  it("whose transaction is taken back are removed by and by", async () => {
    keepIn("s3");
    const hash = createHash("sha256").update("nobody's").digest("hex");
    // As a process leaves it that ends between the store and the database.
    store.objects.set(`media/${hash}`, { bytes: Buffer.from("nobody's"), type: "audio/mpeg" });
    await db()`insert into blob_loose (hash) values (${hash})`;
    await collectMedia();
    expect(store.objects.has(`media/${hash}`)).toBe(true);
    await collectMedia(now());
    expect(store.objects.has(`media/${hash}`)).toBe(false);
  });

  it("go when nothing shows them any more, and stay where another timeline does", async () => {
    keepIn("s3");
    const bytes = sound();
    const [one, other] = [await uploaded(bytes), await uploaded(bytes)];
    const key = `media/${createHash("sha256").update(bytes).digest("hex")}`;
    await db()`delete from media where id = ${one.media.id}`;
    await collectMedia(now());
    expect(store.objects.has(key)).toBe(true);
    await db()`delete from media where id = ${other.media.id}`;
    await collectMedia(now());
    expect(store.objects.has(key)).toBe(false);
  });
});

describe("when where files are kept is changed", () => {
  const never = new AbortController().signal;
  it("they are moved there and back, and read from wherever they are", async () => {
    const bytes = sound();
    const { timeline, media } = await uploaded(bytes);
    expect((await read(timeline, media.id)).store).toBe("database");
    keepIn("s3");
    expect(await moveBlobs(1_000, never)).toBeGreaterThan(0);
    const there = await read(timeline, media.id);
    expect([there.store, same(there.bytes, bytes)]).toEqual(["s3", true]);
    expect(await db()`select from blob_piece`).toHaveLength(0);
    keepIn("database");
    await moveBlobs(1_000, never);
    const back = await read(timeline, media.id);
    expect([back.store, same(back.bytes, bytes)]).toEqual(["database", true]);
    expect(await moveBlobs(1_000, never)).toBe(0);
    await collectMedia(now());
    expect(store.objects.size).toBe(0);
  });

  it("who is in the middle of reading one reads it to its end", async () => {
    const bytes = sound();
    const { timeline, media } = await uploaded(bytes);
    const blob = (await findDraftFile(timeline, media.id, "whole"))!;
    const reader = blobResponse(new Request("http://localhost/"), blob, "").body!.getReader();
    const parts = [(await reader.read()).value!];
    keepIn("s3");
    await moveBlobs(1_000, never);
    for (;;) {
      const { done, value } = await reader.read();
      if (done) break;
      parts.push(value);
    }
    expect(same(Buffer.concat(parts), bytes)).toBe(true);
  });
});
