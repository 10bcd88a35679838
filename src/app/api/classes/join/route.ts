import { joinNew } from "@/server/classes/join-class";
import { isFailure } from "@/server/http/failure";
import { openRoute, stringsOf } from "@/server/http/route";

/** A new student, by the class's code. */
export const POST = openRoute({ body: stringsOf("code", "displayName", "password") }, async ({ body }) => {
  const done = await joinNew(body);
  return isFailure(done)
    ? done
    : Response.json(
        { user: done.user, signInName: done.signInName, class: done.class },
        { headers: { "Set-Cookie": done.cookie } },
      );
});
