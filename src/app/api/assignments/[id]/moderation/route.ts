import { randomInt } from "node:crypto";
import { object } from "@/core/text/schema";
import { drawSample } from "@/server/classes/moderation";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readCount = shape<{ count: number }>(object({ count: { type: "integer", minimum: 1, maximum: 100 } }));

/** Draws the works that a second teacher marks too. */
export const POST = memberRoute({ body: readCount }, async ({ user, params, body }) => {
  const done = await drawSample(params.id!, user.id, body.count, randomInt(2 ** 31));
  return "failed" in done ? done : { drawn: done.drawn };
});
