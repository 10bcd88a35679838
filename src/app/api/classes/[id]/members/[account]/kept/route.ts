import { object } from "@/core/text/schema";
import { forgetPupil, keptOfPupil } from "@/server/classes/pupil";
import { isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readForget = shape<{
  account: boolean;
}>(object({ account: { type: "boolean" } }));

/** All a class keeps of a student, as a file for whoever asks for it: the student, their parents, the school. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const kept = await keptOfPupil(params.id!, user.id, params.account!);
  if (isFailure(kept)) return kept;
  return new Response(JSON.stringify(kept, null, 2), {
    headers: {
      "Content-Type": "application/json; charset=utf-8",
      "Content-Disposition": 'attachment; filename="fastigo-kept-of-a-student.json"',
      "Cache-Control": "no-store",
      "X-Content-Type-Options": "nosniff",
    },
  });
});

/** Destroys it. */
export const DELETE = memberRoute({ body: readForget }, async ({ user, params, body }) =>
  forgetPupil(params.id!, user.id, params.account!, body.account),
);
