import { leavingOf, stay } from "@/server/accounts/account";
import { memberRoute } from "@/server/http/route";

/** What goes with the account of whoever asks, what stays, and when. */
export const GET = memberRoute({}, async ({ user }) => {
  const { deleteAt, ...leaving } = await leavingOf(user.id);
  return { leaving: { ...leaving, deleteAt: deleteAt?.toISOString() ?? null } };
});

/** They have changed their mind. */
export const DELETE = memberRoute({}, async ({ user }) => {
  await stay(user.id);
  return { stays: true };
});
