import { memberRoute } from "@/server/http/route";
import { removeEditor } from "@/server/timelines/invite";

export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await removeEditor(params.id!, user.id, params.account!);
  return "failed" in done ? done : { removed: true };
});
