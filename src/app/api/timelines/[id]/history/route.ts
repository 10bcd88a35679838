import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { findRole } from "@/server/timelines/access";
import { historyOf } from "@/server/timelines/queries";

export const GET = memberRoute({}, async ({ request, user, params }) => {
  if (!(await findRole(db(), params.id!, user.id))) return fail("not_found");
  const before = Number(new URL(request.url).searchParams.get("before") ?? 2_147_483_647);
  if (!Number.isInteger(before)) return fail("invalid");
  return { rows: await historyOf(params.id!, before, 100) };
});
