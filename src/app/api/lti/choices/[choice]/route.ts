import { language } from "@/core/language/spoken";
import { WORDS } from "@/core/words/platform";
import { isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { escaped } from "@/server/http/plain-page";
import { memberRoute } from "@/server/http/route";
import { choose } from "@/server/lti/choose";
import { LAUNCH_PATH } from "../../lti-cookie";

/** A choice goes back to the platform: by a form that its teacher presses, since it leaves Fastigo. */
export const POST = memberRoute({ page: true }, async ({ request, user, params }) => {
  const form = new URLSearchParams((await request.text()).slice(0, 2_000));
  const done = await choose(
    params.choice!,
    user.id,
    form.get("assignment") ?? "",
    ownAddress(request, LAUNCH_PATH).href,
  );
  if (isFailure(done)) return done;
  const html = `<!doctype html><html lang="${language()}"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width,initial-scale=1"><title>${escaped(WORDS.back(done.platform))}</title></head><body><main><h1>${escaped(WORDS.chosen)}</h1><form method="post" action="${escaped(done.to)}"><input type="hidden" name="JWT" value="${escaped(done.token)}"><button>${escaped(WORDS.back(done.platform))}</button></form></main></body></html>`;
  return new Response(html, {
    headers: {
      "Content-Type": "text/html; charset=utf-8",
      "Content-Security-Policy": `default-src 'none'; form-action ${new URL(done.to).origin}; base-uri 'none'; frame-ancestors 'none'`,
      "Cache-Control": "no-store",
    },
  });
});
