import "server-only";
import { db } from "../db/pool";
import { type Failure, fail, refusal } from "../http/failure";
import { workChanged } from "../live/notify";
import { requireRight } from "../timelines/access";

const MOST_ASIDE = 500;

/** The findings of a timeline that were looked at and set aside, with the reasons, by their keys. */
export async function asideOf(timeline: string): Promise<Record<string, string>> {
  const rows = await db()<{ finding: string; reason: string }[]>`
    select finding, reason from set_aside where timeline_id = ${timeline} order by at`;
  return Object.fromEntries(rows.map((r) => [r.finding, r.reason]));
}

/** Sets a finding aside with a reason, which the teacher reads; with null it is a finding again. Its editors only. */
export async function setAside(
  timeline: string,
  by: string,
  finding: string,
  reason: string | null,
): Promise<Failure | { saved: true }> {
  const words = reason?.trim() ?? "";
  if (reason !== null && (words === "" || words.length > 500)) return fail("reason_missing");
  const done = await db()
    .begin(async (tx): Promise<Failure | null> => {
      await requireRight(tx, timeline, by, "edit");
      if (reason === null) await tx`delete from set_aside where timeline_id = ${timeline} and finding = ${finding}`;
      else {
        const [many] = await tx<
          { n: number }[]
        >`select count(*)::int as n from set_aside where timeline_id = ${timeline}`;
        if (many!.n >= MOST_ASIDE) return fail("too_much");
        await tx`
          insert into set_aside (timeline_id, finding, reason, account_id) values (${timeline}, ${finding}, ${words}, ${by})
          on conflict (timeline_id, finding) do update set reason = excluded.reason, account_id = excluded.account_id, at = now()`;
      }
      return null;
    })
    .catch(refusal);
  if (done) return done;
  await workChanged(timeline);
  return { saved: true };
}
