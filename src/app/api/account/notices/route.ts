import type { ValidateFunction } from "ajv";
import { chooseNotices, dismissNotices, NOTICE_KINDS, type NoticeKind } from "@/server/accounts/notices";
import { ajv, memberRoute } from "@/server/http/route";

/** The notices have been read. */
export const DELETE = memberRoute({}, async ({ user }) => {
  await dismissNotices(user.id);
  return { read: true };
});

const readChoice = ajv.compile({
  type: "object",
  properties: { kind: { enum: [...NOTICE_KINDS] }, here: { type: "boolean" }, byMail: { type: "boolean" } },
  required: ["kind", "here", "byMail"],
  additionalProperties: false,
}) as ValidateFunction<{ kind: NoticeKind; here: boolean; byMail: boolean }>;

/** How one kind of notice is told from now on. */
export const PUT = memberRoute({ body: readChoice }, async ({ user, body }) => {
  await chooseNotices(user.id, body.kind, body.here, body.byMail);
  return { chosen: true };
});
