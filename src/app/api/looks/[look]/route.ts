import { memberRoute } from "@/server/http/route";
import { deleteLook } from "@/server/looks/saved-looks";

/** Deletes a look one has saved. */
export const DELETE = memberRoute({}, async ({ user, params }) => deleteLook(user.id, params.look!));
