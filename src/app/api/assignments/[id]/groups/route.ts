import type { ValidateFunction } from "ajv";
import { object } from "@/core/text/schema";
import { makeGroups } from "@/server/classes/groups";
import { ajv, memberRoute } from "@/server/http/route";

const id = { type: "string", maxLength: 40 };
const readGroups = ajv.compile(
  object({ groups: { type: "array", maxItems: 200, items: { type: "array", maxItems: 60, items: id } } }),
) as unknown as ValidateFunction<{ groups: string[][] }>;

/** Makes groups of those who have not begun. */
export const POST = memberRoute({ body: readGroups }, async ({ user, params, body }) => {
  const done = await makeGroups(params.id!, user.id, body.groups);
  return "failed" in done ? done : { made: done.made };
});
