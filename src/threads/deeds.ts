// What threads do: everything that takes as long as a document is large. Each reads what it needs from the database itself,
// so that the process that answers people passes on finished texts only.
// What a deed is made with is read when the first of its kind is asked for: a thread begins at once, and whoever waits until a change is
// saved does not wait for what draws and makes files.
import "server-only";
import { gzipSync } from "node:zlib";
import type { ArchivedChange } from "@/core/change/history-there";
import type { Change } from "@/core/change/change";
import type { Check, Requirement } from "@/core/check/requirements";
import { toSnapshot } from "@/core/formats/snapshot";
import type { DeskSubmission } from "@/features/marking/desk-submission";
import type { restoreClass as restoreClassNow } from "@/server/classes/restore-class";
import type { NamedShares } from "@/server/classes/shares";
import { db } from "@/server/db/pool";
import type { Failure } from "@/server/http/failure";
import type { Wishes } from "@/server/publishing/publish";
import type { StoredPage } from "@/server/publishing/versions";
import { findTimeline } from "@/server/timelines/queries";
import type { Taken } from "@/server/timelines/take-change";
import type * as archives from "./archive-timeline";
import type * as files from "./make-files";
import type { PageOptions } from "./make-page";

/** A thread is called with one list of what a deed takes. */
export async function takeChange([timeline, change, known]: [string, Change, number]): Promise<Failure | Taken> {
  return (await import("@/server/timelines/take-change")).takeChange(timeline, change, known);
}

export async function publish([timeline, by, wishes, fresh]: [string, string, Wishes, boolean]) {
  return (await import("@/server/publishing/publish")).publish(timeline, by, wishes, fresh);
}

export async function submit([timeline, by]: [string, string]) {
  return (await import("@/server/classes/submit")).submit(timeline, by);
}

export async function makeFrozenCopy([timeline, by]: [string, string]) {
  return (await import("@/server/timelines/frozen-copy")).makeFrozenCopy(timeline, by);
}

/** As large as a card shows it, px. */
const THUMBNAIL = { width: 300, height: 132 };

/** The chart in small, as SVG, stored by the number of the last change; null: it cannot be drawn. */
export async function thumbnail([id, build]: [string, string]): Promise<{ svg: string | null }> {
  const found = await findTimeline(id);
  if (!found) return { svg: null };
  let svg: string | null = null;
  try {
    const [{ drawThumbnail }, { toSvg }] = await Promise.all([
      import("@/core/chart/draw/draw-thumbnail"),
      import("@/core/chart/draw/to-svg"),
    ]);
    const { items } = found.timeline;
    svg = toSvg(drawThumbnail(found.timeline, THUMBNAIL), {
      pictureUrl: (item, size) => {
        const media = items.get(item)?.media;
        return media ? `/api/timelines/${id}/media/${media}/${size}` : null;
      },
      prefix: id,
      label: "",
      ground: true,
    });
  } catch (error) {
    console.error(`Timeline ${id} cannot be drawn.`, error);
  }
  await db()`
    insert into thumbnail (timeline_id, seq, build, svg) values (${id}, ${found.seq}, ${build}, ${svg})
    on conflict (timeline_id) do update set seq = excluded.seq, build = excluded.build, svg = excluded.svg`;
  return { svg };
}

/** The drawings of a submission, alone and beside another, made once; null when it is not there. */
export async function drawSubmission([id]: [string]): Promise<true | null> {
  const { findSubmission } = await import("@/server/classes/open-submission");
  const found = await findSubmission(id);
  if (!found) return null;
  const { drawingsOf } = await import("./desk-submission");
  await drawingsOf(id, found.frozen);
  return true;
}

/** Who did what in a timeline; null when it is gone. */
export async function whoDid([timeline]: [string]): Promise<NamedShares | null> {
  return (await import("@/server/classes/shares")).whoDidWhat(timeline);
}

/** Looks for close wording among the works of an assignment; null when there is none of that name. */
export async function wordingOf([assignment]: [string]): Promise<{ found: number } | null> {
  const { findCloseWording } = await import("@/server/classes/close-wording");
  const found = await findCloseWording(assignment);
  return found === null ? null : { found };
}

/** A submission for its marking; null when it is not there. */
export async function submission([id]: [string]): Promise<DeskSubmission | null> {
  const { findSubmission } = await import("@/server/classes/open-submission");
  const found = await findSubmission(id);
  return found && (await import("./desk-submission")).deskSubmission(found);
}

/** The state of requirements, stored by the number of the last change; null when the timeline is gone. */
export async function checks([id, requirements]: [string, Requirement[]]): Promise<{ checks: Check[] } | null> {
  const found = await findTimeline(id);
  if (!found) return null;
  const [{ checkRequirements }, { WORDS: LACKS }] = await Promise.all([
    import("@/core/check/requirements"),
    import("@/core/words/checks"),
  ]);
  const made = checkRequirements(found.timeline, requirements, LACKS);
  await db()`
    insert into check_result (timeline_id, seq, requirements, checks)
    values (${id}, ${found.seq}, ${db().json(requirements as never)}, ${db().json(made as never)})
    on conflict (timeline_id) do update
    set seq = excluded.seq, requirements = excluded.requirements, checks = excluded.checks`;
  return { checks: made };
}

/** The draft as its reader will see it; null when it is gone. */
export async function draftPage([id, options, build]: [string, PageOptions, string]): Promise<StoredPage | null> {
  const found = await findTimeline(id);
  if (!found) return null;
  const [{ makePage }, { toFrozen }] = await Promise.all([import("./make-page"), import("@/core/formats/frozen")]);
  return makePage({ ...options, frozen: toFrozen(found.timeline) }, build);
}

/** The page of a version, made and stored under a name. */
export async function versionPage([version, name, options, build]: [
  string,
  string,
  PageOptions,
  string,
]): Promise<StoredPage | null> {
  const { findVersion, storePage } = await import("@/server/publishing/versions");
  const found = await findVersion(version);
  if (!found) return null;
  const { makePage } = await import("./make-page");
  return storePage(version, name, await makePage({ ...options, frozen: found.frozen }, build));
}

/** The changes of an archive, made once more in an empty timeline. */
export async function restoreHistory([timeline, by, changes]: [string, string, ArchivedChange[]]): Promise<
  Failure | { seq: number }
> {
  return (await import("@/server/timelines/restore-history")).restoreHistory(timeline, by, changes);
}

/** A class of an archive, made once more of the works that were brought back before. */
export async function restoreClass([by, archived, works, own]: Parameters<typeof restoreClassNow>) {
  return (await import("@/server/classes/restore-class")).restoreClass(by, archived, works, own);
}

/** Everything of a person, as JSON; null when there is no such account. */
export async function everything([account]: [string]): Promise<string | null> {
  return (await import("@/server/accounts/account")).exportOf(account);
}

/** A timeline as JSON, packed with gzip for the editor; null when it is gone. */
export async function snapshot([id]: [string]): Promise<Uint8Array | null> {
  const found = await findTimeline(id);
  return found && gzipSync(JSON.stringify(toSnapshot(found.timeline, found.seq)), { level: 1 });
}

/** A timeline as it was after a change, packed as the editor takes it; null when there is no such moment. */
export async function past([id, seq]: [string, number]): Promise<Uint8Array | null> {
  const { stateAt } = await import("@/server/timelines/past");
  const found = await stateAt(db(), id, seq);
  return found && gzipSync(JSON.stringify(toSnapshot(found.timeline, found.seq)), { level: 1 });
}

/** Keeps the states of the past that should be kept. */
export async function keepPast([id, seq]: [string, number]): Promise<true> {
  await (await import("@/server/timelines/past")).stateAt(db(), id, seq);
  return true;
}

const makeFiles = () => import("./make-files");
export const folderParts: typeof files.folderParts = async (of) => (await makeFiles()).folderParts(of);
export const guide: typeof files.guide = async (of) => (await makeFiles()).guide(of);
export const linkPicture: typeof files.linkPicture = async (of) => (await makeFiles()).linkPicture(of);
export const makePaper: typeof files.makePaper = async (of) => (await makeFiles()).makePaper(of);
export const makePicture: typeof files.makePicture = async (of) => (await makeFiles()).makePicture(of);
export const planPaper: typeof files.planPaper = async (of) => (await makeFiles()).planPaper(of);
export const textSheets: typeof files.textSheets = async (of) => (await makeFiles()).textSheets(of);

const toArchive = () => import("./archive-timeline");
export const accountPart: typeof archives.accountPart = async (of) => (await toArchive()).accountPart(of);
export const archiveClass: typeof archives.archiveClass = async (of) => (await toArchive()).archiveClass(of);
export const archiveTimeline: typeof archives.archiveTimeline = async (of) => (await toArchive()).archiveTimeline(of);
