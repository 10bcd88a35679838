import { object } from "@/core/text/schema";
import { givePractice, type PracticeChoice } from "@/server/classes/practice";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readChoice = shape<PracticeChoice>(
  object(
    {
      timeline: { type: "string", maxLength: 40 },
      count: { type: "integer", minimum: 3, maximum: 200 },
      parts: { type: "boolean" },
      spans: { type: "boolean" },
      dueAt: { type: "string", maxLength: 40 },
    },
    ["dueAt"],
  ),
);

/** Gives a practice to the class. */
export const POST = memberRoute({ body: readChoice }, async ({ user, params, body }) =>
  givePractice(params.id!, user.id, body),
);
