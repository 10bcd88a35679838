import type { ValidateFunction } from "ajv";
import { object } from "@/core/text/schema";
import { leaveSchool, type SchoolRole, setSchoolRole } from "@/server/classes/school";
import { ajv, memberRoute } from "@/server/http/route";

const readRole = ajv.compile(object({ role: { enum: ["administrator", "teacher"] } })) as unknown as ValidateFunction<{
  role: SchoolRole;
}>;

export const PUT = memberRoute({ body: readRole }, async ({ user, params, body }) =>
  setSchoolRole(params.id!, user.id, params.account!, body.role),
);

export const DELETE = memberRoute({}, async ({ user, params }) => leaveSchool(params.id!, user.id, params.account!));
