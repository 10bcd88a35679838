import { Zip, ZipDeflate, ZipPassThrough } from "fflate";

/** A file of a zip: its path, and its bytes at once or as they come. What comes is packed already, and is not packed again. */
export type ZipEntry = [path: string, content: string | Uint8Array | AsyncIterable<Uint8Array>];

/** The same content gives the same zip, to the byte. */
const ALWAYS = "2000-01-01T00:00:00";

/** A zip, piece by piece as its files are read: none of those that come bit by bit is held whole. */
export async function* zipStream(entries: Iterable<ZipEntry> | AsyncIterable<ZipEntry>): AsyncGenerator<Uint8Array> {
  const waiting: Uint8Array[] = [];
  const faults: Error[] = [];
  const zip = new Zip((error, chunk) => (error ? faults.push(error) : waiting.push(chunk)));
  const taken = function* () {
    if (faults[0]) throw faults[0];
    while (waiting.length > 0) yield waiting.shift()!;
  };
  const encoder = new TextEncoder();
  for await (const [path, content] of entries) {
    const whole =
      typeof content === "string" ? encoder.encode(content) : content instanceof Uint8Array ? content : null;
    const file = whole ? new ZipDeflate(path, { level: 6 }) : new ZipPassThrough(path);
    file.mtime = ALWAYS;
    zip.add(file);
    if (whole) file.push(whole, true);
    else {
      for await (const chunk of content as AsyncIterable<Uint8Array>) {
        file.push(chunk);
        yield* taken();
      }
      file.push(new Uint8Array(0), true);
    }
    yield* taken();
  }
  zip.end();
  yield* taken();
}
