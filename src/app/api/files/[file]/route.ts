import { fail } from "@/server/http/failure";
import { findFile, removeFile } from "@/server/files/made-files";
import { memberRoute } from "@/server/http/route";
import { stopJob } from "@/server/jobs/queue";

/** How far a file is that is made for whoever asks. */
export const GET = memberRoute({}, async ({ user, params }) => {
  const file = await findFile(params.file!, user.id);
  return file ? { file } : fail("not_found");
});

/** Stops its making, and removes it. */
export const DELETE = memberRoute({}, async ({ user, params }) => {
  const file = await findFile(params.file!, user.id);
  if (!file) return fail("not_found");
  if (file.job) await stopJob(file.job.id);
  await removeFile(file.id, user.id);
  return { removed: true };
});
