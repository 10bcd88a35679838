import { Unzip, UnzipInflate, UnzipPassThrough } from "fflate";

/** A file of an archive is no larger: of what claims to be, nothing is kept. */
const MOST_FILE = 250 * 1_048_576;

/**
 * The files of a zip (APPNOTE 6.3) one after the other, as they are unpacked, without holding the whole of it. Those whose paths
 * `isWanted` does not let through are passed over; what is broken throws.
 */
export async function* zipEntries(
  file: File,
  isWanted: (path: string) => boolean,
): AsyncGenerator<{ path: string; blob: Blob }> {
  const ready: { path: string; blob: Blob }[] = [];
  const faults: Error[] = [];
  const unzip = new Unzip((entry) => {
    if (!isWanted(entry.name)) return;
    const parts: Uint8Array[] = [];
    let size = 0;
    entry.ondata = (error, chunk, final) => {
      if (error) return void faults.push(error);
      size += chunk.length;
      if (size <= MOST_FILE) parts.push(chunk);
      if (final && size <= MOST_FILE) ready.push({ path: entry.name, blob: new Blob(parts as BlobPart[]) });
    };
    entry.start();
  });
  unzip.register(UnzipInflate);
  unzip.register(UnzipPassThrough);
  const reader = file.stream().getReader();
  for (;;) {
    const { done, value } = await reader.read();
    unzip.push(value ?? new Uint8Array(0), done);
    if (faults[0]) throw faults[0];
    while (ready.length > 0) yield ready.shift()!;
    if (done) return;
  }
}
