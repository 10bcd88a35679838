import "server-only";
import { createHash } from "node:crypto";
import { ORIGIN_PLACE } from "@/features/reader/reader-page";
import { type Variant, VARIANTS } from "@/features/reader/page-input";
import { OWN_FRAMES } from "@/threads/own-frames";
import { type Failure, isFailure } from "@/server/http/failure";
import { outsideRule } from "@/server/classes/outside";
import { playerSites } from "@/server/media/players";
import { ownAddress } from "@/server/http/origin";
import { escaped } from "@/server/http/plain-page";
import { findPage, type StoredPage } from "@/server/publishing/versions";
import { db } from "@/server/db/pool";
import { addJob, doneJob } from "@/server/jobs/queue";
import { inThread } from "@/threads/in-thread";
import type { PageOptions } from "@/threads/make-page";

export const BUILD = process.env.FASTIGO_BUILD ?? "unknown";
/** A page of 20,000 events, drawn for four widths, on a busy machine. */
const LIMIT_MS = 45_000;

/** Which variant of a page is asked for: `?as=print`, `?as=embed`, else the page itself. */
export function variantOf(request: Request): Variant {
  const asked = new URL(request.url).searchParams.get("as");
  return VARIANTS.find((v) => v === asked) ?? "page";
}

/** How players of other sites are shown to somebody: the rule for them, and what is allowed here. */
export async function outsideFor(account: string | null): Promise<PageOptions["outside"]> {
  return { rule: await outsideRule(account), sites: playerSites() };
}

/** The name a page is stored under, of this build: its door, the variant, and how players of other sites are shown. */
export function pageName(
  door: "" | "listed" | "copy" | "submission",
  variant: Variant,
  { rule, sites }: PageOptions["outside"],
): string {
  const allowed =
    sites.length === 0 ? "" : createHash("sha256").update(JSON.stringify(sites)).digest("hex").slice(0, 8);
  return [BUILD, door, variant === "page" ? "" : variant, rule === "always" ? "" : rule, allowed]
    .filter(Boolean)
    .join("-");
}

/** The stored page of a version; where it is not there yet, the job that makes it is waited for. */
export async function pageOfVersion(
  version: string,
  name: string,
  options: PageOptions,
): Promise<StoredPage | Failure> {
  const known = await findPage(version, name);
  if (known) return known;
  const failed = await doneJob(
    "reader_page",
    `${version} ${name}`,
    { version, name, options },
    { lane: version, limitMs: LIMIT_MS },
  );
  return failed ?? (await findPage(version, name)) ?? { failed: "not_found" };
}

/** Has the page of a version made before anybody asks for it. */
export async function preparePage(version: string, name: string, options: PageOptions): Promise<void> {
  await addJob(db(), "reader_page", `${version} ${name}`, { version, name, options }, { lane: version });
}

/** The page of a draft, for one of its editors. */
export async function pageOfDraft(timeline: string, by: string, options: PageOptions): Promise<StoredPage | Failure> {
  const made = await inThread("draftPage", [timeline, options, BUILD], {
    in: "drawings",
    key: by,
    what: `draft ${timeline}`,
    limitMs: LIMIT_MS,
  });
  return made ?? { failed: "not_found" };
}

/** A page's policy with another rule for who may show it in a frame. */
export const withFrames = (policy: string, frames: string): string => policy.replace(OWN_FRAMES, frames);

/** A stored page that knows its own address, in its head only: what somebody wrote into an event stays as they wrote it. */
export function withOrigin(html: string, origin: string): string {
  const head = html.indexOf("<style>");
  return html.slice(0, head).replaceAll(ORIGIN_PLACE, () => escaped(origin)) + html.slice(head);
}

/** Sends a page; a browser that has it already gets "not modified". `frames`: the rule for who may show it in one, where it has another. */
export function sendPage(
  request: Request,
  page: StoredPage | Failure,
  cache: string,
  frames = OWN_FRAMES,
): Response | Failure {
  if (isFailure(page)) return page;
  const headers: Record<string, string> = {
    "Content-Type": "text/html; charset=utf-8",
    "Content-Security-Policy": withFrames(page.policy, frames),
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "same-origin",
    "Cache-Control": cache,
    Vary: "Cookie",
    ETag: page.etag,
  };
  if (request.headers.get("if-none-match") === page.etag) return new Response(null, { status: 304, headers });
  // Next compresses on the way out; it takes no Content-Encoding of ours.
  return new Response(withOrigin(page.html, ownAddress(request, "/").origin), { headers });
}
