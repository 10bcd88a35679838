import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect, it } from "vitest";
import { doubtsOf } from "./plays-everywhere";

const box = (name: string, ...content: Uint8Array[]): Uint8Array => {
  const size = 8 + content.reduce((n, c) => n + c.length, 0);
  const head = new Uint8Array(8);
  new DataView(head.buffer).setUint32(0, size);
  head.set(new TextEncoder().encode(name), 4);
  return new Uint8Array(Buffer.concat([head, ...content]));
};
/** A sample description with one entry (ISO/IEC 14496-12, 8.5.2). */
const described = (codec: string) =>
  box("stsd", new Uint8Array([0, 0, 0, 0, 0, 0, 0, 1]), box(codec, new Uint8Array(20)));
const film = (...codecs: string[]) => [
  box("ftyp", new Uint8Array(12)),
  box("mdat", new Uint8Array(5_000)),
  box("moov", ...codecs.map((c) => box("trak", described(c)))),
];
const blob = (parts: Uint8Array[]) => new Blob(parts as Uint8Array<ArrayBuffer>[]);

it.each([
  [["avc1", "mp4a"], null],
  [["av01", "Opus"], null],
  [["hvc1", "mp4a"], "HEVC (H.265)"],
  [["mp4a", "hev1"], "HEVC (H.265)"],
  [["apcn"], "ProRes"],
  [["alac"], "Apple Lossless"],
])("a film of %s: %s", async (codecs, named) => {
  const doubt = await doubtsOf(blob(film(...codecs)));
  if (named) expect(doubt).toContain(`This is in ${named}`);
  else expect(doubt).toBe(null);
});

it("looks at what comes before and after, and at nothing that is no film", async () => {
  expect(
    await doubtsOf(blob([box("ftyp"), box("moov", described("hvc1")), box("mdat", new Uint8Array(90))])),
  ).toContain("HEVC");
  expect(await doubtsOf(blob([new TextEncoder().encode("stsd is a word here, and so is hvc1")]))).toBe(null);
  expect(await doubtsOf(blob([new Uint8Array(3)]))).toBe(null);
  expect(await doubtsOf(blob([box("moov", new TextEncoder().encode("stsd"))]))).toBe(null);
});

it("Matroska too", async () => {
  const ebml = new Uint8Array([0x1a, 0x45, 0xdf, 0xa3]);
  expect(await doubtsOf(blob([ebml, new TextEncoder().encode("....V_MPEGH/ISO/HEVC....")]))).toContain("HEVC");
  const own = readFileSync(join(process.cwd(), "scripts", "demo", "media", "spring-flood.webm"));
  expect(await doubtsOf(new Blob([new Uint8Array(own)]))).toBe(null);
});
