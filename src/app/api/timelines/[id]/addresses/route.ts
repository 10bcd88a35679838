import { db } from "@/server/db/pool";
import { memberRoute } from "@/server/http/route";
import { ADDRESS_LANES } from "@/server/jobs/kinds";
import { addJob, lastJob, stopJob } from "@/server/jobs/queue";
import { addressesOf } from "@/server/media/check-addresses";
import { requireRight } from "@/server/timelines/access";

/** The web addresses a timeline names, what each came to, and how far the asking is. */
async function state(timeline: string) {
  // The job first: who reads that it has ended asks no more, so the addresses have to be as they were after it.
  const job = await lastJob("addresses", timeline);
  return { addresses: await addressesOf(timeline), job };
}

export const GET = memberRoute({}, async ({ user, params }) => {
  await requireRight(db(), params.id!, user.id, "edit");
  return state(params.id!);
});

/** Begins to ask them; while it is being done, this does nothing more. */
export const POST = memberRoute({}, async ({ user, params }) => {
  const timeline = params.id!;
  await db().begin(async (tx) => {
    await requireRight(tx, timeline, user.id, "edit");
    await tx`select from timeline where id = ${timeline} for update`;
    const [busy] = await tx`
      select from job where kind = 'addresses' and about = ${timeline} and state in ('waiting', 'running') limit 1`;
    // Not in the lane of this person's drawings, which would wait for it.
    const lane = ADDRESS_LANES[timeline.charCodeAt(0) % ADDRESS_LANES.length]!;
    if (!busy) await addJob(tx, "addresses", timeline, { timeline }, { by: user.id, lane });
  });
  return state(timeline);
});

/** Stops the asking; what has answered is kept. */
export const DELETE = memberRoute({}, async ({ user, params }) => {
  const timeline = params.id!;
  await db().begin(async (tx) => {
    await requireRight(tx, timeline, user.id, "edit");
    const job = await lastJob("addresses", timeline);
    if (job) await stopJob(job.id, tx);
  });
  return state(timeline);
});
