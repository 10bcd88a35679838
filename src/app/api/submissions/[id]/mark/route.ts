import { type MarkInput, saveMark } from "@/server/classes/marking";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { maybe, object } from "@/core/text/schema";

const readMark = shape<MarkInput>(
  object(
    {
      points: { anyOf: [{ type: "number" }, { type: "null" }] },
      comment: { type: "string", maxLength: 10_000 },
      comments: {
        type: "array",
        maxItems: 10_000,
        items: object({ event: { type: "string", maxLength: 40 }, text: { type: "string", maxLength: 4_000 } }),
      },
      levels: { type: "array", maxItems: 12, items: maybe({ type: "integer", minimum: 0, maximum: 7 }) },
      base: { type: "integer", minimum: 0 },
      reason: { type: "string", maxLength: 500 },
    },
    ["levels", "base", "reason"],
  ),
);

export const PUT = memberRoute({ body: readMark, mostBody: 1_000_000 }, async ({ user, params, body }) => {
  const done = await saveMark(params.id!, user.id, body);
  return "failed" in done ? done : { saved: true, version: done.version };
});
