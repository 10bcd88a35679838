import "server-only";
import { createHash } from "node:crypto";
import { type ReaderPage, renderReaderPage } from "@/features/reader/reader-page";
import type { StoredPage } from "@/server/timelines/publish";

export const BUILD = process.env.FASTIGO_BUILD ?? "unknown";

const sha256 = (text: string) => `'sha256-${createHash("sha256").update(text).digest("base64")}'`;

/** A reader's page ready to be stored and sent, with its ETag and the policy that allows just its own script and style. */
export function makePage(p: Omit<ReaderPage, "chartScript">): StoredPage {
  const { html, style, script } = renderReaderPage({ ...p, chartScript: `/reader/chart.js?${BUILD}` });
  const policy = [
    "default-src 'none'",
    `script-src 'self' ${sha256(script)}`,
    "worker-src 'self'",
    `style-src ${sha256(style)}`,
    "img-src 'self'",
    "media-src 'self'",
    "font-src 'self'",
    "base-uri 'none'",
    "form-action 'none'",
    "frame-ancestors 'self'",
  ].join("; ");
  return { html, etag: `"${createHash("sha256").update(html).digest("hex").slice(0, 32)}"`, policy };
}

/** Sends a page; a browser that has it already gets "not modified". */
export function sendPage(request: Request, page: StoredPage, cache: string): Response {
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

/** A short page that says one thing, for links that lead nowhere any more. */
export function plainPage(status: number, title: string, text: string): Response {
  const style =
    "body{font:18px/1.5 sans-serif;color:#16323A;max-width:560px;margin:12vh auto;padding:0 24px}h1{font-size:26px}a{color:#0B6E69}";
  const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><meta name="robots" content="noindex"><title>${title} - Fastigo</title><style>${style}</style></head><body><main><h1>${title}</h1><p>${text}</p><p><a href="/">Go to the start</a></p></main></body></html>`;
  return new Response(html, {
    status,
    headers: {
      "Content-Type": "text/html; charset=utf-8",
      "Content-Security-Policy": `default-src 'none'; style-src ${sha256(style)}`,
      "X-Content-Type-Options": "nosniff",
      "Cache-Control": "no-store",
    },
  });
}
