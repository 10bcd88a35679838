import { createClass } from "@/server/classes/class";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { object } from "@/core/text/schema";

const readClass = shape<{ name: string; zone?: string }>(
  object({ name: { type: "string", maxLength: 1_000 }, zone: { type: "string", maxLength: 60 } }, ["zone"]),
);

export const POST = memberRoute({ body: readClass }, async ({ user, body }) => {
  const made = await createClass(user.id, body.name, body.zone);
  return "failed" in made ? made : { id: made.id };
});
