import type { RosterEntry } from "@/core/classes/roster";
import { object } from "@/core/text/schema";
import { addRoster, slipsAnew } from "@/server/classes/roster";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";

const readRoster = shape<{ entries: RosterEntry[] }>(
  object({
    entries: {
      type: "array",
      maxItems: 10_000,
      items: object(
        {
          displayName: { type: "string", maxLength: 200 },
          note: { type: "string", maxLength: 200 },
          id: { type: "string", maxLength: 100 },
        },
        ["id"],
      ),
    },
  }),
);

/** Makes an account for everybody of a list; their codes are in the answer, and nowhere else. */
export const POST = memberRoute({ body: readRoster, mostBody: 2_000_000 }, async ({ user, params, body }) => {
  const done = await addRoster(params.id!, user.id, body.entries);
  return "failed" in done ? done : { slips: done.slips, there: done.there };
});

/** New codes for those of a list who have not come in yet. */
export const PUT = memberRoute({}, async ({ user, params }) => {
  const done = await slipsAnew(params.id!, user.id);
  return "failed" in done ? done : { slips: done.slips };
});
