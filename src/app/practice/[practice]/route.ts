import { language } from "@/core/language/spoken";
import { WORDS } from "@/core/words/pages";
import { readerScripts } from "@/features/reader/reader-scripts";
import { practicePage } from "@/features/reader/practice-page";
import { findUser } from "@/server/accounts/sessions";
import { openPractice } from "@/server/classes/practice";
import { ownAddress } from "@/server/http/origin";
import { plainPage, sha256 } from "@/server/http/plain-page";
import { openRoute } from "@/server/http/route";
import { BUILD } from "../../reader-response";

export const dynamic = "force-dynamic";

/** A practice of a class, for whoever is of it: titles without dates, which the server keeps until an order is checked. */
export const GET = openRoute({ page: true }, async ({ request, params }) => {
  const id = params.practice!;
  const user = await findUser(request);
  if (!user) return Response.redirect(ownAddress(request, `/sign-in?to=/practice/${encodeURIComponent(id)}`), 303);
  const found = await openPractice(id, user.id);
  if (!found) return plainPage(404, WORDS.thereIsNothingHereThat, WORDS.askItsOwnerForA);
  const { html, style } = practicePage({
    title: found.title,
    cards: found.cards,
    post: `/api/practices/${id}/answers`,
    back: `/classes/${found.klass}`,
    script: `${readerScripts(language())}/practice.js?${BUILD}`,
  });
  return new Response(html, {
    headers: {
      "Content-Type": "text/html; charset=utf-8",
      "Content-Security-Policy": [
        "default-src 'none'",
        "script-src 'self'",
        `style-src ${sha256(style)}`,
        "connect-src 'self'",
        "font-src 'self'",
        "img-src 'self'",
        "base-uri 'none'",
        "form-action 'none'",
        "frame-ancestors 'none'",
      ].join("; "),
      "X-Content-Type-Options": "nosniff",
      "Referrer-Policy": "same-origin",
      "Cache-Control": "private, no-store",
    },
  });
});
