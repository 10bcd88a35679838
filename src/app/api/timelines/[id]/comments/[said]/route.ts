import type { ValidateFunction } from "ajv";
import { object } from "@/core/text/schema";
import { ajv, memberRoute } from "@/server/http/route";
import { alterComment, deleteComment, MOST_COMMENT, resolveThread } from "@/server/timelines/comments";

const readAltered = ajv.compile({
  anyOf: [object({ text: { type: "string", maxLength: MOST_COMMENT } }), object({ resolved: { type: "boolean" } })],
}) as unknown as ValidateFunction<{ text: string } | { resolved: boolean }>;

/** One's own words otherwise, or a thread that is done with, or open again. */
export const PATCH = memberRoute({ body: readAltered }, async ({ user, params, body }) =>
  "text" in body
    ? alterComment(params.id!, params.said!, user.id, body.text)
    : resolveThread(params.id!, params.said!, user.id, body.resolved),
);

export const DELETE = memberRoute({}, async ({ user, params }) => deleteComment(params.id!, params.said!, user.id));
