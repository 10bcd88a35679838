import { randomInt } from "node:crypto";
import type { ValidateFunction } from "ajv";
import { object } from "@/core/text/schema";
import { drawSample } from "@/server/classes/moderation";
import { ajv, memberRoute } from "@/server/http/route";

const readCount = ajv.compile(
  object({ count: { type: "integer", minimum: 1, maximum: 100 } }),
) as unknown as ValidateFunction<{ count: number }>;

/** Draws the works that a second teacher marks too. */
export const POST = memberRoute({ body: readCount }, async ({ user, params, body }) => {
  const done = await drawSample(params.id!, user.id, body.count, randomInt(2 ** 31));
  return "failed" in done ? done : { drawn: done.drawn };
});
