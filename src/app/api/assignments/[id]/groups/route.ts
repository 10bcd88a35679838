import { object } from "@/core/text/schema";
import { makeGroups } from "@/server/classes/groups";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const id = { type: "string", maxLength: 40 };
const readGroups = shape<{ groups: string[][] }>(
  object({ groups: { type: "array", maxItems: 200, items: { type: "array", maxItems: 60, items: id } } }),
);

/** Makes groups of those who have not begun. */
export const POST = memberRoute({ body: readGroups }, async ({ user, params, body }) => {
  const done = await makeGroups(params.id!, user.id, body.groups);
  return "failed" in done ? done : { made: done.made };
});
