import "server-only";
import type { ReaderPage } from "@/features/reader/reader-page";
import { type Failure, isFailure } from "@/server/http/failure";
import { findPage, type StoredPage } from "@/server/timelines/publish";
import { inThread } from "@/threads/in-thread";

export const BUILD = process.env.FASTIGO_BUILD ?? "unknown";
/** A page of 20,000 events, drawn for four widths, on a busy machine. */
const LIMIT_MS = 45_000;

const making = new Map<string, Promise<StoredPage | null | Failure>>();

/** The stored page of a version; made in a thread when it is not there yet, once however many ask. */
export async function pageOfVersion(
  version: string,
  name: string,
  options: Omit<ReaderPage, "chartScript" | "frozen">,
): Promise<StoredPage | Failure> {
  const known = await findPage(version, name);
  if (known) return known;
  const key = `${version} ${name}`;
  let made = making.get(key);
  if (!made) {
    made = inThread("versionPage", [version, name, options, BUILD], {
      in: "drawings",
      key: version,
      what: key,
      limitMs: LIMIT_MS,
    }).finally(() => making.delete(key));
    making.set(key, made);
  }
  return (await made) ?? { failed: "not_found" };
}

/** The page of a draft, for one of its editors. */
export async function pageOfDraft(
  timeline: string,
  by: string,
  options: Omit<ReaderPage, "chartScript" | "frozen">,
): Promise<StoredPage | Failure> {
  const made = await inThread("draftPage", [timeline, options, BUILD], {
    in: "drawings",
    key: by,
    what: `draft ${timeline}`,
    limitMs: LIMIT_MS,
  });
  return made ?? { failed: "not_found" };
}

/** Sends a page; a browser that has it already gets "not modified". */
export function sendPage(request: Request, page: StoredPage | Failure, cache: string): Response | Failure {
  if (isFailure(page)) return page;
  const headers: Record<string, string> = {
    "Content-Type": "text/html; charset=utf-8",
    "Content-Security-Policy": page.policy,
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "same-origin",
    "Cache-Control": cache,
    Vary: "Cookie",
    ETag: page.etag,
  };
  if (request.headers.get("if-none-match") === page.etag) return new Response(null, { status: 304, headers });
  // Next compresses on the way out; it takes no Content-Encoding of ours.
  return new Response(page.html, { headers });
}
