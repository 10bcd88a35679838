import "server-only";
import { createHash } from "node:crypto";

export const sha256 = (text: string) => `'sha256-${createHash("sha256").update(text).digest("base64")}'`;

const STYLE =
  "body{font:18px/1.5 sans-serif;color:#16323A;max-width:560px;margin:12vh auto;padding:0 24px}h1{font-size:26px}a{color:#0B6E69}";
const ESCAPES: Record<string, string> = { "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" };
/** Text as HTML. */
export const escaped = (text: string) => text.replace(/[&<>"]/g, (c) => ESCAPES[c]!);

/** A short page that says one thing, for links that lead nowhere any more and for a server that cannot answer now. */
export function plainPage(status: number, title: string, text: string): Response {
  const html = `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><meta name="robots" content="noindex"><title>${escaped(title)} - Fastigo</title><style>${STYLE}</style></head><body><main><h1>${escaped(title)}</h1><p>${escaped(text)}</p><p><a href="/">Go to the start</a></p></main></body></html>`;
  return new Response(html, {
    status,
    headers: {
      "Content-Type": "text/html; charset=utf-8",
      "Content-Security-Policy": `default-src 'none'; style-src ${sha256(STYLE)}`,
      "X-Content-Type-Options": "nosniff",
      "Cache-Control": "no-store",
      ...(status === 503 ? { "Retry-After": "10" } : {}),
    },
  });
}
