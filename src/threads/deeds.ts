// What threads do: everything that takes as long as a document is large. Each reads what it needs from the database itself,
// so that the process that answers people passes on finished texts only.
import "server-only";
import { WORDS as LACKS } from "@/core/words/checks";
import { gzipSync } from "node:zlib";
import { drawThumbnail } from "@/core/chart/draw/draw-thumbnail";
import { toSvg } from "@/core/chart/draw/to-svg";
import type { ArchivedChange } from "@/core/change/history-there";
import type { Change } from "@/core/change/change";
import { type Check, checkRequirements, type Requirement } from "@/core/check/requirements";
import { toFrozen } from "@/core/formats/frozen";
import { toSnapshot } from "@/core/formats/snapshot";
import { exportOf } from "@/server/accounts/account";
import type { DeskSubmission } from "@/features/marking/desk-submission";
import { type NamedShares, whoDidWhat } from "@/server/classes/shares";
import { findCloseWording } from "@/server/classes/close-wording";
import { findSubmission } from "@/server/classes/open-submission";
import { submit as submitNow } from "@/server/classes/submit";
import { db } from "@/server/db/pool";
import type { Failure } from "@/server/http/failure";
import { makeFrozenCopy as makeFrozenCopyNow } from "@/server/timelines/frozen-copy";
import { findVersion, type StoredPage, storePage } from "@/server/publishing/versions";
import { publish as publishNow, type Wishes } from "@/server/publishing/publish";
import { findTimeline } from "@/server/timelines/queries";
import { stateAt } from "@/server/timelines/past";
import { restoreClass as restoreClassNow } from "@/server/classes/restore-class";
import { restoreHistory as restoreNow } from "@/server/timelines/restore-history";
import { takeChange as takeChangeNow, type Taken } from "@/server/timelines/take-change";
import { deskSubmission, drawingsOf } from "./desk-submission";
import { makePage, type PageOptions } from "./make-page";

/** A thread is called with one list of what a deed takes. */
export async function takeChange([timeline, change, known]: [string, Change, number]): Promise<Failure | Taken> {
  return takeChangeNow(timeline, change, known);
}

export async function publish([timeline, by, wishes, fresh]: [string, string, Wishes, boolean]) {
  return publishNow(timeline, by, wishes, fresh);
}

export async function submit([timeline, by]: [string, string]) {
  return submitNow(timeline, by);
}

export async function makeFrozenCopy([timeline, by]: [string, string]) {
  return makeFrozenCopyNow(timeline, by);
}

/** As large as a card shows it, px. */
const THUMBNAIL = { width: 300, height: 132 };

/** The chart in small, as SVG, stored by the number of the last change; null: it cannot be drawn. */
export async function thumbnail([id, build]: [string, string]): Promise<{ svg: string | null }> {
  const found = await findTimeline(id);
  if (!found) return { svg: null };
  let svg: string | null = null;
  try {
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
  const found = await findSubmission(id);
  if (!found) return null;
  await drawingsOf(id, found.frozen);
  return true;
}

/** Who did what in a timeline; null when it is gone. */
export async function whoDid([timeline]: [string]): Promise<NamedShares | null> {
  return whoDidWhat(timeline);
}

/** Looks for close wording among the works of an assignment; null when there is none of that name. */
export async function wordingOf([assignment]: [string]): Promise<{ found: number } | null> {
  const found = await findCloseWording(assignment);
  return found === null ? null : { found };
}

/** A submission for its marking; null when it is not there. */
export async function submission([id]: [string]): Promise<DeskSubmission | null> {
  const found = await findSubmission(id);
  return found && deskSubmission(found);
}

/** The state of requirements, stored by the number of the last change; null when the timeline is gone. */
export async function checks([id, requirements]: [string, Requirement[]]): Promise<{ checks: Check[] } | null> {
  const found = await findTimeline(id);
  if (!found) return null;
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
  return found && makePage({ ...options, frozen: toFrozen(found.timeline) }, build);
}

/** The page of a version, made and stored under a name. */
export async function versionPage([version, name, options, build]: [
  string,
  string,
  PageOptions,
  string,
]): Promise<StoredPage | null> {
  const found = await findVersion(version);
  return found && storePage(version, name, await makePage({ ...options, frozen: found.frozen }, build));
}

/** The changes of an archive, made once more in an empty timeline. */
export async function restoreHistory([timeline, by, changes]: [string, string, ArchivedChange[]]): Promise<
  Failure | { seq: number }
> {
  return restoreNow(timeline, by, changes);
}

/** A class of an archive, made once more of the works that were brought back before. */
export async function restoreClass([by, archived, works, own]: Parameters<typeof restoreClassNow>) {
  return restoreClassNow(by, archived, works, own);
}

/** Everything of a person, as JSON; null when there is no such account. */
export async function everything([account]: [string]): Promise<string | null> {
  return exportOf(account);
}

/** A timeline as JSON, packed with gzip for the editor; null when it is gone. */
export async function snapshot([id]: [string]): Promise<Uint8Array | null> {
  const found = await findTimeline(id);
  return found && gzipSync(JSON.stringify(toSnapshot(found.timeline, found.seq)), { level: 1 });
}

/** A timeline as it was after a change, packed as the editor takes it; null when there is no such moment. */
export async function past([id, seq]: [string, number]): Promise<Uint8Array | null> {
  const found = await stateAt(db(), id, seq);
  return found && gzipSync(JSON.stringify(toSnapshot(found.timeline, found.seq)), { level: 1 });
}

/** Keeps the states of the past that should be kept. */
export async function keepPast([id, seq]: [string, number]): Promise<true> {
  await stateAt(db(), id, seq);
  return true;
}

export { folderParts, guide, linkPicture, makePaper, makePicture, planPaper, textSheets } from "./make-files";
export { accountPart, archiveClass, archiveTimeline } from "./archive-timeline";
