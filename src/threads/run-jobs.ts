// What each kind of job does. Drawings and pages are made in threads, under a time limit; the rest is light, and waits for
// the database and the network only.
import { sendScores } from "@/server/lti/services";
import { releaseHeld } from "@/server/classes/marking";
import "server-only";
import { db } from "@/server/db/pool";
import { isFailure } from "@/server/http/failure";
import { TIDYING } from "@/server/jobs/kinds";
import { addJob } from "@/server/jobs/queue";
import { beginRunner, cleanQueue, type Running, type Works } from "@/server/jobs/runner";
import { deliver } from "@/server/mail/outgoing";
import { moveBlobs } from "@/server/media/blobs";
import { addressesOf, checkAddresses, dueAddresses } from "@/server/media/check-addresses";
import { withoutPast } from "@/server/timelines/past";
import { findable } from "@/server/publishing/search";
import { findPage } from "@/server/publishing/versions";
import { hasThumbnail } from "@/server/timelines/queries";
import { sendDigests } from "@/server/accounts/notices";
import { tidy } from "@/server/tidy";
import type { PaperWishes } from "@/core/paper/sheets";
import type { PictureWishes } from "@/paper/picture";
import { writeFile } from "@/server/files/made-files";
import { folderOf } from "./folder-stream";
import { inThread } from "./in-thread";
import type { PageOptions } from "./make-page";

const BUILD = process.env.FASTIGO_BUILD ?? "unknown";
/** For all works of an assignment together. */
const WORDING_MS = 120_000;
/** A page of 20,000 events, drawn for four widths, on a busy machine. */
const PAGE_MS = 45_000;
const DRAWING_MS = 15_000;
/** Thumbnails made in one go of what nobody has looked at yet. */
const THUMBNAILS = 20;
/** Timelines whose past is kept in one go. */
const PASTS = 5;
/** Files moved in one go. */
const FILES = 200;
/** A printout of a long timeline with many pictures. */
const FILE_MS = 240_000;
/** Published pages made findable in one go. */
const FINDABLE = 50;
const AGAIN_MS = 5_000;

/** How something is drawn in a thread: one at a time of a document. */
const drawing = (key: string, what: string) => ({ in: "drawings", key, what, limitMs: DRAWING_MS }) as const;
const made = (done: unknown) => (isFailure(done) ? done : null);

/** Bytes as they come, until somebody stops the job. */
async function* untilStopped(chunks: AsyncGenerator<Uint8Array>, signal: AbortSignal): AsyncGenerator<Uint8Array> {
  for await (const chunk of chunks) {
    if (signal.aborted) throw new Error("It was stopped.");
    yield chunk;
  }
}

const WORKS: Works = {
  thumbnail: async ({ timeline }) => {
    // Asked for again while it was being made.
    if (await hasThumbnail(timeline, BUILD)) return null;
    return made(await inThread("thumbnail", [timeline, BUILD], drawing(timeline, `thumbnail of ${timeline}`)));
  },
  thumbnails: async () => {
    const due = await db()<{ id: string }[]>`
      select t.id from timeline t left join thumbnail h on h.timeline_id = t.id and h.seq = t.seq and h.build = ${BUILD}
      where h.timeline_id is null and t.deleted_at is null
        and t.altered_at between now() - interval '30 days' and now() - interval '1 minute'
      order by t.altered_at desc limit ${THUMBNAILS}`;
    for (const { id } of due) await addJob(db(), "thumbnail", id, { timeline: id });
    return null;
  },
  past_states: async () => {
    for (const { id, seq } of await withoutPast(PASTS)) {
      const how = { in: "reading", key: `past ${id}`, what: `past of ${id}`, limitMs: PAGE_MS } as const;
      const failed = made(await inThread("keepPast", [id, seq], how));
      if (failed) return failed;
    }
    return null;
  },
  close_wording: async ({ assignment }) =>
    made(
      await inThread("wordingOf", [assignment], {
        in: "reading",
        key: `wording ${assignment}`,
        what: `wording of ${assignment}`,
        limitMs: WORDING_MS,
      }),
    ),
  lti_scores: async ({ submission }) => sendScores(submission),
  held_marks: async () => {
    await releaseHeld();
    return null;
  },
  digests: async () => {
    await sendDigests();
    return null;
  },
  reader_page: async ({ version, name, options }) => {
    if (await findPage(version, name)) return null;
    const how = { ...drawing(version, `${version} ${name}`), limitMs: PAGE_MS };
    return made(await inThread("versionPage", [version, name, options as PageOptions, BUILD], how));
  },
  submission_drawing: async ({ submission }) =>
    made(await inThread("drawSubmission", [submission], drawing(submission, `drawing of ${submission}`))),
  made_file: async ({ file, timeline, kind, paper, picture }, { job, report, signal }) => {
    const of = { timeline };
    const how = { in: "drawings", key: `file ${file}`, what: `${kind} of ${timeline}`, limitMs: FILE_MS } as const;
    if (kind === "pdf") return made(await inThread("makePaper", [file, of, paper as PaperWishes, job], how));
    if (kind !== "folder" && kind !== "scorm")
      return made(await inThread("makePicture", [file, of, kind, picture as PictureWishes], how));
    const zip = await folderOf(of, kind === "scorm", how.key, report);
    if (isFailure(zip)) return zip;
    await writeFile(file, untilStopped(zip, signal));
    return null;
  },
  mail: async ({ mail }) => {
    await deliver(mail);
    return null;
  },
  findable: async (_, { signal }) => {
    while (!signal.aborted && (await findable(FINDABLE)) > 0);
    return null;
  },
  prune: async () => {
    await tidy(BUILD);
    await cleanQueue();
    return null;
  },
  move_files: async (_, { signal }) => {
    await moveBlobs(FILES, signal);
    return null;
  },
  addresses: async ({ timeline }, { signal, askedAt, report }) => {
    const addresses = (await addressesOf(timeline)).map((a) => a.address);
    await checkAddresses(addresses, { signal, since: askedAt, report });
    return null;
  },
  published_addresses: async (_, { signal, askedAt, report }) => {
    await checkAddresses(await dueAddresses(), { signal, since: askedAt, report });
    return null;
  },
};

/** Does jobs in this process until it is told to stop, and `stopped`; what is over is removed now, and then once an hour. */
export function beginJobs(stopped: () => void = () => {}): void {
  let running: Running | null = null;
  let stopping = false;
  for (const signal of ["SIGTERM", "SIGINT"] as const)
    process.on(signal, () => {
      stopping = true;
      void Promise.resolve(running?.stop()).finally(stopped);
    });
  const again = async () => {
    try {
      running = await beginRunner(WORKS);
      await addJob(db(), "prune", "regular", {}, { lane: TIDYING });
      await addJob(db(), "findable", "all", {}, { lane: TIDYING });
      await running.ended;
    } catch (error) {
      if (!stopping) console.error("Jobs are not done just now; it is tried again in a few seconds.", error);
    }
    await running?.stop();
    running = null;
    if (!stopping) setTimeout(again, AGAIN_MS);
  };
  void again();
}
