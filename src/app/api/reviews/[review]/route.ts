import type { ValidateFunction } from "ajv";
import { maybe, object } from "@/core/text/schema";
import { review } from "@/server/classes/peers";
import { ajv, memberRoute } from "@/server/http/route";

const readReview = ajv.compile(
  object({
    levels: { type: "array", maxItems: 12, items: maybe({ type: "integer", minimum: 0, maximum: 7 }) },
    comment: { type: "string", maxLength: 4_000 },
  }),
) as unknown as ValidateFunction<{ levels: (number | null)[]; comment: string }>;

/** What one thinks of a work one was given to read. */
export const PUT = memberRoute({ body: readReview }, async ({ user, params, body }) => {
  const done = await review(params.review!, user.id, body);
  return "failed" in done ? done : { saved: true };
});
