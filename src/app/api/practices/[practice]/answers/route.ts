import type { ValidateFunction } from "ajv";
import { object } from "@/core/text/schema";
import { checkPractice } from "@/server/classes/practice";
import { ajv, memberRoute } from "@/server/http/route";

const readOrder = ajv.compile(
  object({ placed: { type: "array", maxItems: 200, items: { type: "string", maxLength: 60 } } }),
) as ValidateFunction<{ placed: string[] }>;

/** Checks an order and tells the dates. */
export const POST = memberRoute({ body: readOrder }, async ({ user, params, body }) =>
  checkPractice(params.practice!, user.id, body.placed),
);
