import { object } from "@/core/text/schema";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { type Person, removeEditor, setRole } from "@/server/timelines/invite";

const readRole = shape<{ role: Person["role"] }>(
  object({ role: { enum: ["reader", "commenter", "editor", "owner"] } }),
);

/** Makes somebody something else in it; "owner" passes it on. */
export const PUT = memberRoute({ body: readRole }, async ({ user, params, body }) =>
  setRole(params.id!, user.id, params.account!, body.role),
);

/** Takes the right of somebody away, or leaves. */
export const DELETE = memberRoute({}, async ({ user, params }) => removeEditor(params.id!, user.id, params.account!));
