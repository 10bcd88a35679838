import { mayTryFrom } from "@/server/accounts/tried";
import { fail } from "@/server/http/failure";
import { openRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { REASONS, type Reason, reportPage } from "@/server/publishing/reports";
import { seenAt } from "../../../../published-page";

const readReport = shape<{ reason: Reason; words: string }>({
  type: "object",
  properties: { reason: { enum: [...REASONS] }, words: { type: "string", maxLength: 2_000 } },
  required: ["reason", "words"],
  additionalProperties: false,
});

/** Tells those who keep this site what is wrong with a page; by whoever sees it, signed in or not. */
export const POST = openRoute({ body: readReport }, async ({ request, params, body }) => {
  const published = await seenAt(request, params.address!);
  if (!published) return fail("not_found");
  if (!(await mayTryFrom("report", request))) return fail("too_often");
  const done = await reportPage(published, body.reason, body.words);
  return "failed" in done ? done : { ...done };
});
