import { memberRoute } from "@/server/http/route";
import { closeFrozenCopy } from "@/server/timelines/frozen-copy";

export const DELETE = memberRoute({}, async ({ user, params }) => {
  const done = await closeFrozenCopy(params.id!, user.id, params.address!);
  return "failed" in done ? done : { closed: true };
});
