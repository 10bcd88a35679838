import "server-only";
import { crc32, deflateSync } from "node:zlib";
import { isFailure } from "../http/failure";
import { PIECE } from "../media/stores";
import { beginUpload, finishUpload, putPiece } from "../media/uploads";
import { makePerson, makeTimeline } from "./test-database";

export async function start() {
  const nia = await makePerson();
  return { account: nia.id, timeline: await makeTimeline(nia.id) };
}

export async function upload(of: { account: string; timeline: string }, bytes: Uint8Array, name = "file") {
  const begun = await beginUpload(of.timeline, of.account, name, bytes.length);
  if (isFailure(begun)) return begun;
  for (let n = 0; n * PIECE < bytes.length; n++)
    await putPiece(of.timeline, of.account, begun.upload, n, bytes.subarray(n * PIECE, (n + 1) * PIECE));
  return finishUpload(of.timeline, of.account, begun.upload);
}

export const noise = (n: number) => Uint8Array.from({ length: n }, (_, i) => (i * 7919) % 251);
/** The least that is recognised as WebM, filled up. */
export function webm(size: number): Uint8Array {
  const bytes = noise(size);
  bytes.set([
    0x1a, 0x45, 0xdf, 0xa3, 0x9f, 0x42, 0x86, 0x81, 0x01, 0x42, 0xf7, 0x81, 0x01, 0x42, 0xf2, 0x81, 0x04, 0x42, 0xf3,
    0x81, 0x08, 0x42, 0x82, 0x84, 0x77, 0x65, 0x62, 0x6d,
  ]);
  return bytes;
}

/** A black picture with a bit a pixel: made quickly, however large it is. */
export function blackPng(width: number, height: number): Uint8Array {
  const chunk = (type: string, data: Buffer) => {
    const body = Buffer.concat([Buffer.from(type, "latin1"), data]);
    const [length, sum] = [Buffer.alloc(4), Buffer.alloc(4)];
    length.writeUInt32BE(data.length);
    sum.writeUInt32BE(crc32(body));
    return Buffer.concat([length, body, sum]);
  };
  const head = Buffer.alloc(13);
  head.writeUInt32BE(width, 0);
  head.writeUInt32BE(height, 4);
  head[8] = 1;
  const lines = Buffer.alloc(height * (1 + Math.ceil(width / 8)));
  return Buffer.concat([
    Buffer.from([0x89, 0x50, 0x4e, 0x47, 0x0d, 0x0a, 0x1a, 0x0a]),
    chunk("IHDR", head),
    chunk("IDAT", deflateSync(lines, { level: 1 })),
    chunk("IEND", Buffer.alloc(0)),
  ]);
}
