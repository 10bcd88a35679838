// Everything of somebody as a zip, as it is sent: data from threads, media bit by bit from where files are kept.
import "server-only";
import { ARCHIVE_FORMAT, ARCHIVE_NAME, type ArchiveHead } from "@/core/formats/archive";
import { type ZipEntry, zipStream } from "@/core/formats/zip-stream";
import { archiveReadme } from "@/core/words/folder";
import { timelinesIn } from "@/server/accounts/account";
import { type Failure, fail, isFailure } from "@/server/http/failure";
import { findDraftFile } from "@/server/media/find-file";
import { classesTaught } from "@/server/classes/reach";
import { db } from "@/server/db/pool";
import type { ArchivePart } from "./archive-timeline";
import { bytesOf } from "./folder-stream";
import { inThread } from "./in-thread";

const LIMIT_MS = 60_000;

/** The zip, or why there is none. */
export async function archiveOf(account: string): Promise<Failure | AsyncGenerator<Uint8Array>> {
  const how = { in: "drawings", key: account, what: `everything of ${account}`, limitMs: LIMIT_MS } as const;
  const own = await inThread("accountPart", [account], how);
  if (own === null) return fail("not_found");
  if (isFailure(own)) return own;
  const timelines = await timelinesIn(account);
  const classes = await classesTaught(db(), account);
  const head: ArchiveHead = {
    fastigo: ARCHIVE_NAME,
    format: ARCHIVE_FORMAT,
    timelines: timelines.length,
    ...(classes.length > 0 ? { classes: classes.length } : {}),
  };
  return zipStream(all());

  async function* all(): AsyncGenerator<ZipEntry> {
    yield ["archive.json", `${JSON.stringify(head)}\n`];
    yield ["account.json", own as string];
    yield ["README.txt", archiveReadme()];
    for (const [n, { id, role }] of timelines.entries()) {
      const part = await inThread("archiveTimeline", [id, role, n + 1], how);
      // Deleted while the rest was being sent.
      if (!part) continue;
      if (isFailure(part)) throw new Error(part.failed);
      yield* entriesOf(part);
    }
    for (const [n, { id }] of classes.entries()) {
      const parts = await inThread("archiveClass", [id, account, n + 1], how);
      if (!parts) continue;
      if (isFailure(parts)) throw new Error(parts.failed);
      for (const part of parts) yield* entriesOf(part);
    }
  }
}

async function* entriesOf({ texts, media }: ArchivePart): AsyncGenerator<ZipEntry> {
  for (const [path, text] of texts) yield [path, text];
  for (const [timeline, id, path, size] of media) {
    const blob = await findDraftFile(timeline, id, size);
    if (blob) yield [path, bytesOf(blob)];
  }
}
