import "server-only";
import { createHash } from "node:crypto";
import { language } from "@/core/language/spoken";

export const sha256 = (text: string) => `'sha256-${createHash("sha256").update(text).digest("base64")}'`;

const STYLE =
  "body{font:18px/1.5 sans-serif;color:#16323A;max-width:560px;margin:12vh auto;padding:0 24px}h1{font-size:26px}a{color:#0B6E69}label{display:block;margin:0 0 14px}input{display:block;box-sizing:border-box;width:100%;height:42px;padding:0 10px;font:inherit;border:1px solid #6f8a8e;border-radius:6px}button{height:42px;padding:0 18px;font:bold 17px sans-serif;border:0;border-radius:6px;background:#0B6E69;color:#fff;cursor:pointer}";
const ESCAPES: Record<string, string> = { "&": "&amp;", "<": "&lt;", ">": "&gt;", '"': "&quot;" };
/** Text as HTML. */
export const escaped = (text: string) => text.replace(/[&<>"]/g, (c) => ESCAPES[c]!);

interface More {
  /** It stands in a frame of another page: links open outside of it, and only Fastigo's start is no use there. */
  framed?: boolean;
  link?: { to: string; text: string };
  /** One field to fill in, and where what was typed goes. */
  form?: { action: string; label: string; button: string; wrong: boolean };
}

/** A short page that says one thing, for links that lead nowhere any more and for a server that cannot answer now. */
export function plainPage(status: number, title: string, text: string, more: More = {}): Response {
  const target = more.framed ? ' target="_blank" rel="noopener"' : "";
  const links = [
    ...(more.link ? [`<a href="${escaped(more.link.to)}"${target}>${escaped(more.link.text)}</a>`] : []),
    ...(more.framed ? [] : ['<a href="/">Go to the start</a>']),
  ];
  const form = more.form
    ? `<form method="post" action="${escaped(more.form.action)}"><label>${escaped(more.form.label)}<input name="password" type="password" required maxlength="200" autocomplete="off" autofocus${more.form.wrong ? ' aria-invalid="true"' : ""} aria-describedby="said"></label><button>${escaped(more.form.button)}</button></form>`
    : "";
  const html = `<!doctype html><html lang="${language()}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><meta name="robots" content="noindex"><title>${escaped(title)} - Fastigo</title><style>${STYLE}</style></head><body><main><h1>${escaped(title)}</h1><p id="said"${more.form?.wrong ? ' role="alert"' : ""}>${escaped(text)}</p>${form}<p>${links.join(" &middot; ")}</p></main></body></html>`;
  return new Response(html, {
    status,
    headers: {
      "Content-Type": "text/html; charset=utf-8",
      "Content-Security-Policy": `default-src 'none'; style-src ${sha256(STYLE)}${more.form ? "; form-action 'self'" : "; form-action 'none'"}${more.framed ? "" : "; frame-ancestors 'self'"}; base-uri 'none'`,
      "X-Content-Type-Options": "nosniff",
      "Cache-Control": "no-store",
      ...(status === 503 ? { "Retry-After": "10" } : {}),
    },
  });
}
