import { PAPER_SCHEMA } from "@/core/paper/read-wishes";
import type { PaperWishes } from "@/core/paper/sheets";
import { db } from "@/server/db/pool";
import { fail } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { requireRight } from "@/server/timelines/access";
import { inThread } from "@/threads/in-thread";

const readPaperWishes = shape<PaperWishes>(PAPER_SCHEMA);
const LIMIT_MS = 30_000;

/** What is to be said before the timeline is printed so: what has no room, which pictures are coarse, how many sheets it takes. */
export const POST = memberRoute({ body: readPaperWishes }, async ({ user, params, body }) => {
  const timeline = params.id!;
  await requireRight(db(), timeline, user.id, "read");
  const how = { in: "drawings", key: `plan ${user.id}`, what: `plan of ${timeline}`, limitMs: LIMIT_MS } as const;
  const planned = await inThread("planPaper", [{ timeline }, body], how);
  if (!planned) return fail("not_found");
  return "failed" in planned ? planned : { ...planned };
});
