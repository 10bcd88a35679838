import { chooseNotices, dismissNotices, NOTICE_KINDS, type NoticeKind } from "@/server/accounts/notices";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

/** The notices have been read. */
export const DELETE = memberRoute({}, async ({ user }) => {
  await dismissNotices(user.id);
  return { read: true };
});

const readChoice = shape<{ kind: NoticeKind; here: boolean; byMail: boolean }>({
  type: "object",
  properties: { kind: { enum: [...NOTICE_KINDS] }, here: { type: "boolean" }, byMail: { type: "boolean" } },
  required: ["kind", "here", "byMail"],
  additionalProperties: false,
});

/** How one kind of notice is told from now on. */
export const PUT = memberRoute({ body: readChoice }, async ({ user, body }) => {
  await chooseNotices(user.id, body.kind, body.here, body.byMail);
  return { chosen: true };
});
