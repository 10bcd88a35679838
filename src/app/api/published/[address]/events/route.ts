import { fail, isFailure } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";
import { copyPublishedInto } from "@/server/publishing/copy-published";
import { seenAt } from "../../../../published-page";

/** Copies the events of what is published into a timeline that whoever asks may edit, where its author permits it. */
export const POST = memberRoute({ body: stringsOf("to") }, async ({ request, params, user, body }) => {
  const published = await seenAt(request, params.address!);
  if (!published) return fail("not_found");
  const done = await copyPublishedInto(
    published,
    body.to,
    user.id,
    ownAddress(request, `/t/${published.address}`).href,
  );
  return isFailure(done) ? done : { ...done };
});
