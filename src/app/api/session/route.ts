import { closeSession, sessionKey } from "@/server/accounts/sessions";
import { signIn } from "@/server/accounts/sign-in";
import { db } from "@/server/db/pool";
import { isFailure } from "@/server/http/failure";
import { openRoute, stringsOf } from "@/server/http/route";

export const POST = openRoute({ body: stringsOf("name", "password") }, async ({ body }) => {
  const done = await signIn(body.name, body.password);
  return isFailure(done) ? done : Response.json({ user: done.user }, { headers: { "Set-Cookie": done.cookie } });
});

export const DELETE = openRoute({}, async ({ request }) => {
  const session = sessionKey(request);
  const { cookie } = await closeSession(request);
  if (session) await db()`select pg_notify('fastigo', ${JSON.stringify({ kind: "signed_out", session })})`;
  return Response.json({ signedOut: true }, { headers: { "Set-Cookie": cookie } });
});
