import type { ValidateFunction } from "ajv";
import { maybe, object } from "@/core/text/schema";
import { giveSecond } from "@/server/classes/moderation";
import { ajv, memberRoute } from "@/server/http/route";

const readSecond = ajv.compile(
  object({
    points: { type: "number" },
    levels: { type: "array", maxItems: 12, items: maybe({ type: "integer", minimum: 0, maximum: 7 }) },
    comment: { type: "string", maxLength: 4_000 },
  }),
) as unknown as ValidateFunction<{ points: number; levels: (number | null)[]; comment: string }>;

/** What a second teacher gives a work of the sample. */
export const PUT = memberRoute({ body: readSecond }, async ({ user, params, body }) => {
  const done = await giveSecond(params.id!, user.id, body);
  return "failed" in done ? done : { saved: true };
});
