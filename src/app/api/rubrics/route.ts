import { RUBRIC_SCHEMA, type Rubric } from "@/core/classes/rubric";
import { object } from "@/core/text/schema";
import { keepRubric, rubricsOf } from "@/server/classes/rubrics";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readRubric = shape<{ rubric: Rubric }>(object({ rubric: RUBRIC_SCHEMA }));

/** The rubrics one has kept. */
export const GET = memberRoute({}, async ({ user }) => ({ rubrics: await rubricsOf(user.id) }));

/** Keeps one, in place of the one of the same name. */
export const POST = memberRoute({ body: readRubric }, async ({ user, body }) => {
  const kept = await keepRubric(user.id, body.rubric);
  return "failed" in kept ? kept : { id: kept.id };
});
