import { LOOK_CLASS, LOOK_NAME, LOOK_SCHEMA, type LookFile } from "@/core/looks/look-file";
import { object } from "@/core/text/schema";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import { classesTaught } from "@/server/classes/reach";
import { db } from "@/server/db/pool";
import { looksFor, saveLook } from "@/server/looks/saved-looks";

const readSave = shape<{
  name: string;
  look: LookFile;
  class: string | null;
}>(object({ name: LOOK_NAME, look: LOOK_SCHEMA, class: LOOK_CLASS }));

/** The looks one has saved, or a class of one's has; and the classes one may save one for. */
export const GET = memberRoute({}, async ({ user }) => ({
  looks: await looksFor(user.id),
  classes: await classesTaught(db(), user.id),
}));

/** Keeps a look for other timelines. */
export const POST = memberRoute({ body: readSave }, async ({ user, body }) =>
  saveLook(user.id, { name: body.name, look: body.look, klass: body.class }),
);
