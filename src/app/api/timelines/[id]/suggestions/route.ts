import { object } from "@/core/text/schema";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { readSuggestion } from "@/server/timelines/own-event-schema";
import { decideSuggestions, suggest, suggestionsOf } from "@/server/timelines/suggestions";

const readDecision = shape<{ ids: string[]; accept: boolean }>(
  object({
    ids: { type: "array", minItems: 1, maxItems: 500, items: { type: "string", maxLength: 40 } },
    accept: { type: "boolean" },
  }),
);

/** What waits to be accepted; `event`: how that one stands now. */
export const GET = memberRoute({}, async ({ request, user, params }) =>
  suggestionsOf(params.id!, user.id, new URL(request.url).searchParams.get("event")),
);

/** Suggests a change of an event, or a new one. */
export const POST = memberRoute({ body: readSuggestion }, async ({ user, params, body }) =>
  suggest(params.id!, user.id, body),
);

/** Accepts some, or refuses them. */
export const PUT = memberRoute({ body: readDecision }, async ({ user, params, body }) =>
  decideSuggestions(params.id!, body.ids, user.id, body.accept),
);
