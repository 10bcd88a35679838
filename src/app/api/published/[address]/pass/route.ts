import { sentenceOf } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { readBytes } from "@/server/http/read-body";
import { openRoute } from "@/server/http/route";
import { letIn } from "@/server/publishing/pass";
import { findPublished } from "@/server/publishing/published";
import { notShown } from "../../../../published-page";

/** A form with one password is no longer. */
const MOST_FORM = 4_000;

/** Takes the password of a published page, as its form sends it, and leads back to the page. */
export const POST = openRoute({ page: true }, async ({ request, params }) => {
  const address = params.address!;
  const published = await findPublished(address);
  if (published?.state !== "open" || published.visibility !== "password") return notShown(published, address, "page");
  const body = await readBytes(request, MOST_FORM);
  if ("failed" in body) return body;
  const password = new URLSearchParams(new TextDecoder().decode(body.bytes)).get("password") ?? "";
  const done = await letIn(request, published, password);
  if ("failed" in done) {
    const page = notShown(published, address, "page", sentenceOf(done));
    return done.failed === "page_slow_down" ? new Response(page.body, { status: 429, headers: page.headers }) : page;
  }
  return new Response(null, {
    status: 303,
    headers: {
      Location: ownAddress(request, `/t/${published.address}`).href,
      "Set-Cookie": done.cookie,
      "Cache-Control": "no-store",
    },
  });
});
