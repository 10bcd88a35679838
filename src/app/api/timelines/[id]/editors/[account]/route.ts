import type { ValidateFunction } from "ajv";
import { object } from "@/core/text/schema";
import { ajv, memberRoute } from "@/server/http/route";
import { type Person, removeEditor, setRole } from "@/server/timelines/invite";

const readRole = ajv.compile(
  object({ role: { enum: ["reader", "commenter", "editor", "owner"] } }),
) as unknown as ValidateFunction<{ role: Person["role"] }>;

/** Makes somebody something else in it; "owner" passes it on. */
export const PUT = memberRoute({ body: readRole }, async ({ user, params, body }) =>
  setRole(params.id!, user.id, params.account!, body.role),
);

/** Takes the right of somebody away, or leaves. */
export const DELETE = memberRoute({}, async ({ user, params }) => removeEditor(params.id!, user.id, params.account!));
