import { object } from "@/core/text/schema";
import { mayTryFrom } from "@/server/accounts/tried";
import { addSchoolTeacher, type SchoolRole, withdrawInvitation } from "@/server/classes/school";
import { fail } from "@/server/http/failure";
import { ownAddress } from "@/server/http/origin";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readTeacher = shape<{ email: string; role: SchoolRole }>(
  object({ email: { type: "string", maxLength: 1_000 }, role: { enum: ["administrator", "teacher"] } }),
);
const readEmail = shape<{
  email: string;
}>(object({ email: { type: "string", maxLength: 1_000 } }));

export const POST = memberRoute({ body: readTeacher }, async ({ request, user, params, body }) => {
  // It may write to somebody.
  if (!(await mayTryFrom("mail", request, user.id))) return fail("too_often");
  return addSchoolTeacher(
    params.id!,
    user.id,
    body.email,
    body.role,
    (token) => ownAddress(request, `/schools/join/${token}`).href,
  );
});

export const DELETE = memberRoute({ body: readEmail }, async ({ user, params, body }) =>
  withdrawInvitation(params.id!, user.id, body.email),
);
