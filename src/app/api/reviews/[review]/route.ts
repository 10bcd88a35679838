import { maybe, object } from "@/core/text/schema";
import { review } from "@/server/classes/peers";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readReview = shape<{ levels: (number | null)[]; comment: string }>(
  object({
    levels: { type: "array", maxItems: 12, items: maybe({ type: "integer", minimum: 0, maximum: 7 }) },
    comment: { type: "string", maxLength: 4_000 },
  }),
);

/** What one thinks of a work one was given to read. */
export const PUT = memberRoute({ body: readReview }, async ({ user, params, body }) => {
  const done = await review(params.review!, user.id, body);
  return "failed" in done ? done : { saved: true };
});
