import { object } from "@/core/text/schema";
import { addTeacher } from "@/server/classes/people";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readTeacher = shape<{ email: string; role: "teacher" | "assistant" }>(
  object({ email: { type: "string", maxLength: 300 }, role: { enum: ["teacher", "assistant"] } }),
);

/** Takes a colleague into the class. */
export const POST = memberRoute({ body: readTeacher }, async ({ user, params, body }) => {
  const done = await addTeacher(params.id!, user.id, body.email, body.role);
  return "failed" in done ? done : { done: true };
});
