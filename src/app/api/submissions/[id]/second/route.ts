import { maybe, object } from "@/core/text/schema";
import { giveSecond } from "@/server/classes/moderation";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readSecond = shape<{ points: number; levels: (number | null)[]; comment: string }>(
  object({
    points: { type: "number" },
    levels: { type: "array", maxItems: 12, items: maybe({ type: "integer", minimum: 0, maximum: 7 }) },
    comment: { type: "string", maxLength: 4_000 },
  }),
);

/** What a second teacher gives a work of the sample. */
export const PUT = memberRoute({ body: readSecond }, async ({ user, params, body }) => {
  const done = await giveSecond(params.id!, user.id, body);
  return "failed" in done ? done : { saved: true };
});
