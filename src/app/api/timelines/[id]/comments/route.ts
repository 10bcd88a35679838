import { maybe, object } from "@/core/text/schema";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import {
  COMMENT_FIELDS,
  type CommentField,
  comment,
  commentsOf,
  MOST_COMMENT,
  MOST_WORDS,
} from "@/server/timelines/comments";

const readComment = shape<{
  event: string;
  field?: CommentField;
  words: string;
  thread: string | null;
  text: string;
}>({
  ...object({
    event: { type: "string", maxLength: 40 },
    field: { enum: [...COMMENT_FIELDS] },
    words: { type: "string", maxLength: MOST_WORDS },
    thread: maybe({ type: "string", maxLength: 40 }),
    text: { type: "string", maxLength: MOST_COMMENT },
  }),
  required: ["event", "words", "thread", "text"],
});

/** All that was said about it; from then on it is read. */
export const GET = memberRoute({}, async ({ user, params }) => commentsOf(params.id!, user.id));

/** Says something, or answers. */
export const POST = memberRoute({ body: readComment }, async ({ user, params, body }) =>
  comment(params.id!, user.id, body),
);
