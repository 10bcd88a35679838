/**
 * Published pages that everybody sees, answered before the framework has a look: after the check of who may see them, from memory by
 * version. Whatever this does not know (somebody signed in, a password, a page that was never made) is left to the route. Bundled
 * into dist/front.mjs, which scripts/serve.mjs loads.
 */
import "server-only";
import { gzipSync } from "node:zlib";
import { askedLanguage } from "@/core/language/asked-language";
import type { Language } from "@/core/language/spoken";
import { isClean } from "@/core/text/clean";
import { VARIANTS } from "@/features/reader/page-input";
import { publicUrl } from "@/server/http/origin";
import { countOpened } from "@/server/publishing/opened";
import { findPublished, isOpenToAll } from "@/server/publishing/published";
import { findPage } from "@/server/publishing/versions";
import { frameRule, publishedPage } from "./published-page";
import { outsideFor, withFrames, withOrigin } from "./reader-response";

export interface FrontRequest {
  method: string;
  url: string;
  headers: Record<string, string | string[] | undefined>;
}

export interface FrontAnswer {
  status: 200 | 304;
  headers: Record<string, string>;
  body: Buffer | null;
}

interface Kept {
  plain: Buffer;
  packed: Buffer;
  etag: string;
  policy: string;
}

/** So many bytes of pages are kept; those asked for longest ago go. */
const MOST_BYTES = 48_000_000;
const kept = new Map<string, Kept>();
let bytes = 0;

const PATH = /^\/t\/([^/?#]{1,80})(?:\?as=(embed|print))?$/;
const text = (value: string | string[] | undefined) => (Array.isArray(value) ? value.join(", ") : (value ?? ""));

/** In which language whoever asks is answered. */
export function languageOf({ headers }: Pick<FrontRequest, "headers">): Language {
  return askedLanguage(text(headers.cookie), text(headers["accept-language"]));
}

/** The answer to a request for a published page; null: the route answers. */
export async function answerPublished(request: FrontRequest): Promise<FrontAnswer | null> {
  if (request.method !== "GET" && request.method !== "HEAD") return null;
  const found = PATH.exec(request.url);
  // Whoever is signed in may be an editor, or of a class with rules of its own.
  if (!found || text(request.headers.cookie).includes("fastigo_session=")) return null;
  let address: string;
  try {
    address = decodeURIComponent(found[1]!);
  } catch {
    return null;
  }
  if (!isClean(address)) return null;
  const published = await findPublished(address);
  if (!published || !isOpenToAll(published)) return null;
  const variant = VARIANTS.find((v) => v === found[2]) ?? "page";
  const [version, name] = publishedPage(published, await outsideFor(null), variant);
  const origin = publicUrl()?.origin ?? `http://${text(request.headers.host)}`;
  const page = await pageFor(version, name, origin);
  if (!page) return null;
  if (variant !== "print" && !text(request.headers["sec-purpose"]).includes("prefetch"))
    countOpened(published.timeline);
  const headers: Record<string, string> = {
    "Content-Type": "text/html; charset=utf-8",
    "Content-Security-Policy": withFrames(page.policy, frameRule(published, variant)),
    "X-Content-Type-Options": "nosniff",
    "Referrer-Policy": "same-origin",
    "Cache-Control": "no-cache",
    Vary: "Cookie, Accept-Encoding",
    ETag: page.etag,
  };
  if (text(request.headers["if-none-match"]) === page.etag) return { status: 304, headers, body: null };
  const packs = /\bgzip\b/.test(text(request.headers["accept-encoding"]));
  const body = packs ? page.packed : page.plain;
  if (packs) headers["Content-Encoding"] = "gzip";
  headers["Content-Length"] = String(body.length);
  return { status: 200, headers, body: request.method === "HEAD" ? null : body };
}

async function pageFor(version: string, name: string, origin: string): Promise<Kept | null> {
  const key = `${version} ${name} ${origin}`;
  const known = kept.get(key);
  if (known) {
    // Asked for last: it goes last.
    kept.delete(key);
    kept.set(key, known);
    return known;
  }
  const stored = await findPage(version, name);
  if (!stored) return null;
  const plain = Buffer.from(withOrigin(stored.html, origin));
  const page = { plain, packed: gzipSync(plain, { level: 6 }), etag: stored.etag, policy: stored.policy };
  kept.set(key, page);
  bytes += plain.length + page.packed.length;
  for (const [oldest, gone] of kept) {
    if (bytes <= MOST_BYTES || oldest === key) break;
    kept.delete(oldest);
    bytes -= gone.plain.length + gone.packed.length;
  }
  return page;
}
