import "server-only";

/** Reads and overwrites parts of a file that is not in memory as a whole. */
export interface PatchableFile {
  size: number;
  read(offset: number, length: number): Promise<Uint8Array>;
  write(offset: number, bytes: Uint8Array): Promise<void>;
}

/** Boxes that hold user data: phones write the position into them (ISO/IEC 14496-12, 8.10; QuickTime "©xyz"). */
const USER_DATA = new Set(["udta", "meta", "loci", "uuid"]);
const CONTAINERS = new Set(["moov", "trak", "moof", "traf"]);
const FREE = new Uint8Array([0x66, 0x72, 0x65, 0x65]);
/** A film of four hours cut into parts of two seconds stays below; nothing a camera or an editor writes has more. */
export const MOST_BOXES = 50_000;

/**
 * Turns the user data of an MP4 or MOV file into free space filled with noughts; all offsets stay as they were. It goes through
 * the file from front to back once. Gives how many boxes it blanked; null when the file is cut into more boxes than are read.
 */
export async function blankPosition(file: PatchableFile): Promise<number | null> {
  const count = { boxes: 0, blanked: 0 };
  return (await walk(file, 0, file.size, 0, count)) ? count.blanked : null;
}

async function walk(
  file: PatchableFile,
  from: number,
  to: number,
  depth: number,
  count: { boxes: number; blanked: number },
): Promise<boolean> {
  let at = from;
  while (at + 8 <= to) {
    if (++count.boxes > MOST_BOXES) return false;
    const head = await file.read(at, 16);
    const view = new DataView(head.buffer, head.byteOffset, head.byteLength);
    let size = view.getUint32(0);
    const type = String.fromCharCode(...head.subarray(4, 8));
    let headSize = 8;
    if (size === 1 && head.length >= 16) {
      size = Number(view.getBigUint64(8));
      headSize = 16;
    } else if (size === 0) size = to - at;
    if (size < headSize || at + size > to) break;
    // A movie's own "meta" holds words about it; the one inside "moov/trak/mdia" never occurs.
    if (USER_DATA.has(type) && (depth > 0 || type !== "uuid")) {
      await file.write(at + 4, FREE);
      const zeros = new Uint8Array(65_536);
      for (let p = at + headSize; p < at + size; p += zeros.length)
        await file.write(p, zeros.subarray(0, Math.min(zeros.length, at + size - p)));
      count.blanked++;
    } else if (CONTAINERS.has(type) && depth < 4) {
      if (!(await walk(file, at + headSize, at + size, depth + 1, count))) return false;
    }
    at += size;
  }
  return true;
}
