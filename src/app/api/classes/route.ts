import type { ValidateFunction } from "ajv";
import { createClass } from "@/server/classes/class";
import { ajv, memberRoute } from "@/server/http/route";
import { object } from "@/core/text/schema";

const readClass = ajv.compile(
  object({ name: { type: "string", maxLength: 1_000 }, zone: { type: "string", maxLength: 60 } }, ["zone"]),
) as unknown as ValidateFunction<{ name: string; zone?: string }>;

export const POST = memberRoute({ body: readClass }, async ({ user, body }) => {
  const made = await createClass(user.id, body.name, body.zone);
  return "failed" in made ? made : { id: made.id };
});
