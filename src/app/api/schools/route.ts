import { object } from "@/core/text/schema";
import { createSchool } from "@/server/classes/school";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readSchool = shape<{
  name: string;
}>(object({ name: { type: "string", maxLength: 1_000 } }));

export const POST = memberRoute({ body: readSchool }, async ({ user, body }) => createSchool(user.id, body.name));
