import { MADE_SCHEMA } from "@/core/paper/read-wishes";
import { type PaperWishes, USUAL_WISHES } from "@/core/paper/sheets";
import { db } from "@/server/db/pool";
import { beginFile, findFile, setJob } from "@/server/files/made-files";
import { memberRoute } from "@/server/http/route";
import { shape } from "@/server/http/shape";
import type { MadeKind } from "@/server/jobs/kinds";
import { addJob } from "@/server/jobs/queue";
import { requireRight } from "@/server/timelines/access";
import { titleOf } from "@/server/timelines/queries";
import type { PictureWishes } from "@/paper/picture";

const readMade = shape<{
  kind: MadeKind;
  paper?: PaperWishes | null;
  picture?: PictureWishes | null;
}>(MADE_SCHEMA);

const FILES: Record<MadeKind, [ending: string, type: string]> = {
  pdf: [".pdf", "application/pdf"],
  png: [".png", "image/png"],
  svg: [".svg", "image/svg+xml"],
  folder: [".zip", "application/zip"],
  scorm: ["-scorm.zip", "application/zip"],
};
const USUAL_PICTURE: PictureWishes = { width: 1_600, height: 900, scale: 2, transparent: false, view: "" };

/** Has a file made of the timeline as it stands, by a job; answers at once with its number. */
export const POST = memberRoute({ body: readMade }, async ({ user, params, body }) => {
  const timeline = params.id!;
  const { kind } = body;
  const [ending, type] = FILES[kind];
  const id = await db().begin(async (tx) => {
    await requireRight(tx, timeline, user.id, "read");
    const title = (await titleOf(timeline)).replaceAll(/[^\p{L}\p{N} _-]/gu, "").trim() || "timeline";
    const file = await beginFile(tx, { account: user.id, timeline, name: `${title}${ending}`, type });
    const job = await addJob(
      tx,
      "made_file",
      file,
      { file, timeline, kind, paper: body.paper ?? USUAL_WISHES, picture: body.picture ?? USUAL_PICTURE },
      { by: user.id, lane: `files ${user.id}`, soon: true },
    );
    await setJob(tx, file, job);
    return file;
  });
  return { file: await findFile(id, user.id) };
});
