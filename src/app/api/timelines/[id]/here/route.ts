import { PLACES, type Where } from "@/core/presence/present";
import { maybe, object } from "@/core/text/schema";
import { db } from "@/server/db/pool";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { isHere } from "@/server/live/notify";
import { requireRight } from "@/server/timelines/access";

const readHere = shape<{ tab: string; n: number; where: Where | null }>(
  object({
    tab: { type: "string", minLength: 1, maxLength: 24 },
    n: { type: "integer", minimum: 0, maximum: 1_000_000_000 },
    where: maybe({
      ...object({
        at: { enum: [...PLACES] },
        event: maybe({ type: "string", maxLength: 40 }),
        field: { type: "string", maxLength: 60 },
        follows: maybe({ type: "string", maxLength: 40 }),
        caret: { type: "string", maxLength: 200 },
      }),
      required: ["at", "event", "field", "follows"],
    }),
  }),
);

/** Says to those who have it open where in it one is; null: one's page is closed. Nothing of it is stored. */
export const POST = memberRoute({ body: readHere, mostBody: 1_000 }, async ({ user, params, body }) => {
  await requireRight(db(), params.id!, user.id, "read");
  await isHere(params.id!, { ...body, account: user.id, name: user.displayName });
  return { heard: true };
});
