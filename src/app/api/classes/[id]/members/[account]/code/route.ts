import { issueOneTimeCode } from "@/server/classes/join-class";
import { memberRoute } from "@/server/http/route";

/** A one-time code for a student who has lost the password. */
export const POST = memberRoute({}, async ({ user, params }) => {
  const made = await issueOneTimeCode(params.id!, user.id, params.account!);
  return "failed" in made ? made : { code: made.code };
});
