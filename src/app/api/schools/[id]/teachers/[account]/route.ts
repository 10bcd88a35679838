import { object } from "@/core/text/schema";
import { leaveSchool, type SchoolRole, setSchoolRole } from "@/server/classes/school";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readRole = shape<{
  role: SchoolRole;
}>(object({ role: { enum: ["administrator", "teacher"] } }));

export const PUT = memberRoute({ body: readRole }, async ({ user, params, body }) =>
  setSchoolRole(params.id!, user.id, params.account!, body.role),
);

export const DELETE = memberRoute({}, async ({ user, params }) => leaveSchool(params.id!, user.id, params.account!));
