import { returnAll } from "@/server/classes/marking";
import { memberRoute } from "@/server/http/route";

export const POST = memberRoute({}, async ({ user, params }) => {
  const done = await returnAll(params.id!, user.id);
  return "failed" in done ? done : { returned: done.returned };
});
