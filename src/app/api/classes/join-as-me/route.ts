import { mayTryFrom, succeeded } from "@/server/accounts/tried";
import { joinAsMe } from "@/server/classes/join-class";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { stringsOf } from "@/server/http/shape";

export const POST = memberRoute({ body: stringsOf("code") }, async ({ request, user, body }) => {
  if (!(await mayTryFrom("code", request))) return fail("too_often");
  const done = await joinAsMe(user.id, body.code);
  if ("failed" in done) return done;
  await succeeded("code", request);
  return { class: done.class };
});
