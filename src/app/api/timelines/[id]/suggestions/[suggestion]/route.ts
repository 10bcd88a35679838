import { memberRoute } from "@/server/http/route";
import { takeBackSuggestion } from "@/server/timelines/suggestions";

/** Takes back what one has suggested. */
export const DELETE = memberRoute({}, async ({ user, params }) =>
  takeBackSuggestion(params.id!, params.suggestion!, user.id),
);
