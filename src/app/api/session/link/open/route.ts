import { signInByLink } from "@/server/accounts/mail-keys";
import { browserOf, withCookies } from "@/server/accounts/sessions";
import { mayTryFrom } from "@/server/accounts/tried";
import { fail, isFailure } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readOpening = shape<{ key: string; code?: string }>({
  type: "object",
  properties: { key: { type: "string", maxLength: 100 }, code: { type: "string", maxLength: 40 } },
  required: ["key"],
  additionalProperties: false,
});

/** Signs in by a link from a letter. */
export const POST = openRoute({ body: readOpening }, async ({ request, body }) => {
  if (!(await mayTryFrom("code", request))) return fail("too_often");
  const done = await signInByLink(body.key, body.code, browserOf(request));
  return isFailure(done) ? done : withCookies({ user: done.user }, done);
});
