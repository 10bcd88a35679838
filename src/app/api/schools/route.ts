import type { ValidateFunction } from "ajv";
import { object } from "@/core/text/schema";
import { createSchool } from "@/server/classes/school";
import { ajv, memberRoute } from "@/server/http/route";

const readSchool = ajv.compile(object({ name: { type: "string", maxLength: 1_000 } })) as unknown as ValidateFunction<{
  name: string;
}>;

export const POST = memberRoute({ body: readSchool }, async ({ user, body }) => createSchool(user.id, body.name));
