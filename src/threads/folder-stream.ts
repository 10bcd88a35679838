// A folder as a zip, as it is sent or stored: its page and data come from a thread, its media bit by bit from where files are kept.
import "server-only";
import { type ZipEntry, zipStream } from "@/core/formats/zip-stream";
import { type Failure, fail, isFailure } from "@/server/http/failure";
import { findDraftFile, findFrozenFile } from "@/server/media/find-file";
import type { BlobInfo } from "@/server/media/stores";
import { storeOf } from "@/server/media/stores";
import { inThread } from "./in-thread";
import type { Of } from "./make-files";

const LIMIT_MS = 60_000;
/** The zip, or why there is none. `report` is told how many files are done. */
export async function folderOf(
  of: Of,
  scorm: boolean,
  key: string,
  report: (done: number, total: number) => Promise<void> = async () => {},
): Promise<Failure | AsyncGenerator<Uint8Array>> {
  const what = `folder of ${"version" in of ? of.version : of.timeline}`;
  const parts = await inThread("folderParts", [of, scorm], { in: "drawings", key, what, limitMs: LIMIT_MS });
  if (!parts) return fail("not_found");
  if (isFailure(parts)) return parts;
  const { entries, media } = parts;
  return zipStream(all());

  async function* all(): AsyncGenerator<ZipEntry> {
    for (const [path, content] of entries) yield [path, content];
    for (const [n, { id, sizes }] of media.entries()) {
      for (const [size, path] of sizes) {
        const blob = await find(id, size);
        if (blob) yield [path, bytesOf(blob)];
      }
      await report(n + 1, media.length);
    }
  }

  function find(id: string, size: string): Promise<BlobInfo | null> {
    return "version" in of ? findFrozenFile(of.version, id, size) : findDraftFile(of.timeline, id, size);
  }
}

export async function* bytesOf(blob: BlobInfo): AsyncGenerator<Uint8Array> {
  const reader = storeOf(blob.store).stream(blob, 0, blob.size).getReader();
  try {
    for (;;) {
      const { done, value } = await reader.read();
      if (done) return;
      yield value;
    }
  } finally {
    await reader.cancel().catch(() => {});
  }
}

/** As a body of an answer, read as fast as whoever asked takes it. */
export function asBody(chunks: AsyncGenerator<Uint8Array>): ReadableStream<Uint8Array> {
  return new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { done, value } = await chunks.next();
      if (done) controller.close();
      else controller.enqueue(value);
    },
    async cancel() {
      await chunks.return(undefined);
    },
  });
}
