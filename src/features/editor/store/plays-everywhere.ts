import { WORDS } from "@/core/words/upload-queue";

/** Codecs that only some browsers play, by the names files give them (ISO/IEC 14496-15 and the register of mp4ra.org). */
const RARE: Record<string, string> = {
  hvc1: "HEVC (H.265)",
  hev1: "HEVC (H.265)",
  dvh1: "HEVC with Dolby Vision",
  dvhe: "HEVC with Dolby Vision",
  apch: "ProRes",
  apcn: "ProRes",
  ap4h: "ProRes",
  mp4v: "MPEG-4 Part 2",
  mjp2: "Motion JPEG 2000",
  jpeg: "Motion JPEG",
  alac: "Apple Lossless",
  "ac-3": "Dolby Digital",
  "ec-3": "Dolby Digital Plus",
};
/** The box that says what a file holds is read up to so many bytes. */
const MOST_MOOV = 16_000_000;
const HEAD = 65_536;

/** What speaks against sending a video or sound: a codec that will not play everywhere. Read from the file, before anything is sent. */
export async function doubtsOf(file: Blob): Promise<string | null> {
  const codec = (await codecsOfMp4(file)).map((c) => RARE[c]).find(Boolean) ?? (await rareInMatroska(file));
  return codec ? WORDS.notEverywhere(codec) : null;
}

const textAt = (v: DataView, at: number) => String.fromCharCode(...[0, 1, 2, 3].map((i) => v.getUint8(at + i)));

/** The sample entries of an MP4 or QuickTime file (ISO/IEC 14496-12, 8.5.2); none of another kind of file. */
async function codecsOfMp4(file: Blob): Promise<string[]> {
  for (let at = 0, n = 0; at + 8 <= file.size && n < 200; n++) {
    const head = new DataView(await file.slice(at, at + 16).arrayBuffer());
    const short = head.getUint32(0);
    const size =
      short === 1 && head.byteLength >= 16 ? Number(head.getBigUint64(8)) : short === 0 ? file.size - at : short;
    if (textAt(head, 4) === "moov")
      return sampleEntries(await file.slice(at, at + Math.min(size, MOST_MOOV)).arrayBuffer());
    if (size < 8) return [];
    at += size;
  }
  return [];
}

function sampleEntries(moov: ArrayBuffer): string[] {
  const v = new DataView(moov);
  const found: string[] = [];
  // "stsd", its version and flags, the number of entries; then the first entry: its size and its name.
  for (let at = 8; at + 20 <= v.byteLength; at++) if (v.getUint32(at) === 0x73747364) found.push(textAt(v, at + 16));
  return found;
}

/** Matroska and WebM name their codecs within their first bytes (matroska.org, "Codec Mappings"). */
async function rareInMatroska(file: Blob): Promise<string | null> {
  const head = new Uint8Array(await file.slice(0, HEAD).arrayBuffer());
  if (head[0] !== 0x1a || head[1] !== 0x45 || head[2] !== 0xdf || head[3] !== 0xa3) return null;
  return new TextDecoder("latin1").decode(head).includes("V_MPEGH/ISO/HEVC") ? "HEVC (H.265)" : null;
}
