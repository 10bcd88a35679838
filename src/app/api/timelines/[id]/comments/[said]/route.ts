import { object } from "@/core/text/schema";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { alterComment, deleteComment, MOST_COMMENT, resolveThread } from "@/server/timelines/comments";

const readAltered = shape<{ text: string } | { resolved: boolean }>({
  anyOf: [object({ text: { type: "string", maxLength: MOST_COMMENT } }), object({ resolved: { type: "boolean" } })],
});

/** One's own words otherwise, or a thread that is done with, or open again. */
export const PATCH = memberRoute({ body: readAltered }, async ({ user, params, body }) =>
  "text" in body
    ? alterComment(params.id!, params.said!, user.id, body.text)
    : resolveThread(params.id!, params.said!, user.id, body.resolved),
);

export const DELETE = memberRoute({}, async ({ user, params }) => deleteComment(params.id!, params.said!, user.id));
