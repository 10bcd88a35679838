import type { ArchivedClass, RestoredWork } from "@/core/formats/class-archive";
import { object } from "@/core/text/schema";
import { CLASS_SCHEMA } from "@/server/classes/class-tables";
import { isFailure } from "@/server/http/failure";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { inThread } from "@/threads/in-thread";

/** Thirty students, twenty assignments each with all that was handed in: what one read takes. */
const MOST_CLASS = 60_000_000;
const LIMIT_MS = 300_000;

const ID = { type: "string", minLength: 1, maxLength: 60 };
const pairs = { type: "array", maxItems: 20_000, items: { type: "array", minItems: 2, maxItems: 2, items: ID } };
const readArchived = shape<{ class: ArchivedClass; works: RestoredWork[]; own: [was: string, is: string][] }>(
  object({
    class: CLASS_SCHEMA,
    works: { type: "array", maxItems: 20_000, items: object({ work: ID, timeline: ID, media: pairs }) },
    own: pairs,
  }),
);

/** Makes a class of an archive once more; the timelines of its works were made before, and belong to its groups from then on. */
export const POST = memberRoute({ body: readArchived, mostBody: MOST_CLASS }, async ({ user, body }) => {
  const done = await inThread("restoreClass", [user.id, body.class, body.works, body.own], {
    in: "changes",
    key: user.id,
    what: `changes of ${user.id}`,
    limitMs: LIMIT_MS,
  });
  return isFailure(done) ? done : { ...done };
});
