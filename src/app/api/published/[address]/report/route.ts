import type { ValidateFunction } from "ajv";
import { mayTryFrom } from "@/server/accounts/tried";
import { fail } from "@/server/http/failure";
import { ajv, openRoute } from "@/server/http/route";
import { REASONS, type Reason, reportPage } from "@/server/publishing/reports";
import { seenAt } from "../../../../published-page";

const readReport = ajv.compile({
  type: "object",
  properties: { reason: { enum: [...REASONS] }, words: { type: "string", maxLength: 2_000 } },
  required: ["reason", "words"],
  additionalProperties: false,
}) as ValidateFunction<{ reason: Reason; words: string }>;

/** Tells those who keep this site what is wrong with a page; by whoever sees it, signed in or not. */
export const POST = openRoute({ body: readReport }, async ({ request, params, body }) => {
  const published = await seenAt(request, params.address!);
  if (!published) return fail("not_found");
  if (!(await mayTryFrom("report", request))) return fail("too_often");
  const done = await reportPage(published, body.reason, body.words);
  return "failed" in done ? done : { ...done };
});
