import { object } from "@/core/text/schema";
import { checkPractice } from "@/server/classes/practice";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readOrder = shape<{ placed: string[] }>(
  object({ placed: { type: "array", maxItems: 200, items: { type: "string", maxLength: 60 } } }),
);

/** Checks an order and tells the dates. */
export const POST = memberRoute({ body: readOrder }, async ({ user, params, body }) =>
  checkPractice(params.practice!, user.id, body.placed),
);
