import { randomInt } from "node:crypto";
import { object } from "@/core/text/schema";
import { beginReviews } from "@/server/classes/peers";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readWish = shape<{ count: number; blind: boolean }>(
  object({ count: { type: "integer", minimum: 1, maximum: 10 }, blind: { type: "boolean" } }),
);

/** Lets everybody who handed in read work of others, drawn by lot. */
export const POST = memberRoute({ body: readWish }, async ({ user, params, body }) => {
  const done = await beginReviews(params.id!, user.id, body.count, body.blind, randomInt(2 ** 31));
  return "failed" in done ? done : { given: done.given };
});
