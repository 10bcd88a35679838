import { randomInt } from "node:crypto";
import type { ValidateFunction } from "ajv";
import { object } from "@/core/text/schema";
import { beginReviews } from "@/server/classes/peers";
import { ajv, memberRoute } from "@/server/http/route";

const readWish = ajv.compile(
  object({ count: { type: "integer", minimum: 1, maximum: 10 }, blind: { type: "boolean" } }),
) as unknown as ValidateFunction<{ count: number; blind: boolean }>;

/** Lets everybody who handed in read work of others, drawn by lot. */
export const POST = memberRoute({ body: readWish }, async ({ user, params, body }) => {
  const done = await beginReviews(params.id!, user.id, body.count, body.blind, randomInt(2 ** 31));
  return "failed" in done ? done : { given: done.given };
});
