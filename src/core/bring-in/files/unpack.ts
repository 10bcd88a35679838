import { Unzip, UnzipInflate, UnzipPassThrough } from "fflate";
import { WORDS } from "../../words/bring-in";
import { MOST_PACKED, MOST_UNPACKED } from "./limits";

/** More files do not lie in a spreadsheet. */
const MOST_FILES = 2_000;
/** So much is unpacked between two counts: at most a thousand times as much can come out of it. */
const PIECE = 16_384;

/** What cannot be brought in, in a sentence. */
export class NotReadable extends Error {}

/**
 * Unpacks those files of a ZIP (APPNOTE 6.3) whose names `wanted` lets through. What comes out is counted while it comes, whatever
 * the file says of its size: one that unpacks to gigabytes is stopped at the limit. `most`: bytes it may have packed. Throws `NotReadable`.
 */
export function unpack(
  packed: Uint8Array,
  wanted: (name: string) => boolean,
  most = MOST_PACKED,
): Map<string, Uint8Array> {
  if (packed.length > most) throw new NotReadable(WORDS.tooLarge);
  const found = new Map<string, Uint8Array[]>();
  let [files, bytes] = [0, 0];
  let over: NotReadable | null = null;
  const unzip = new Unzip((file) => {
    if (++files > MOST_FILES) throw (over = new NotReadable(WORDS.tooMuchInside));
    if (!wanted(file.name)) return;
    const parts: Uint8Array[] = [];
    found.set(file.name, parts);
    file.ondata = (error, data) => {
      // What is thrown here comes back as a fault of the file's.
      if (error) throw over ?? error;
      bytes += data.length;
      if (bytes > MOST_UNPACKED) throw (over = new NotReadable(WORDS.tooMuchInside));
      parts.push(data);
    };
    file.start();
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  try {
    for (let at = 0; at < packed.length; at += PIECE)
      unzip.push(packed.subarray(at, at + PIECE), at + PIECE >= packed.length);
  } catch (e) {
    throw over ?? (e instanceof NotReadable ? e : new NotReadable(WORDS.brokenFile));
  }
  return new Map([...found].map(([name, parts]) => [name, joined(parts)]));
}

function joined(parts: readonly Uint8Array[]): Uint8Array {
  const all = new Uint8Array(parts.reduce((n, p) => n + p.length, 0));
  let at = 0;
  for (const p of parts) {
    all.set(p, at);
    at += p.length;
  }
  return all;
}
