import "server-only";
import type { DeskSubmission } from "@/features/marking/desk-submission";
import type { CheckDraft } from "@/server/classes/marking";
import type { NamedShares } from "@/server/classes/shares";
import { isFailure } from "@/server/http/failure";
import { inThread } from "@/threads/in-thread";

const LIMIT_MS = 10_000;

/** Checks a draft in a thread; null when it takes too long or cannot be done. */
export const checkDraft: CheckDraft = async (timeline, requirements) => {
  try {
    const done = await inThread("checks", [timeline, requirements], {
      in: "reading",
      key: timeline,
      what: `checks of ${timeline}`,
      limitMs: LIMIT_MS,
    });
    return done === null || isFailure(done) ? null : done.checks;
  } catch (error) {
    console.error(error);
    return null;
  }
};

/** Who did what, worked out in a thread; null when that cannot be done. */
export async function whoDid(timeline: string): Promise<NamedShares | null> {
  const done = await inThread("whoDid", [timeline], {
    in: "reading",
    key: `who ${timeline}`,
    what: `who did what in ${timeline}`,
    limitMs: LIMIT_MS,
  });
  return done === null || isFailure(done) ? null : done;
}

/** A submission with all that was handed in, read in a thread; null when that cannot be done. */
export async function openSubmission(id: string, by: string): Promise<DeskSubmission | null> {
  const done = await inThread("submission", [id], {
    in: "reading",
    key: by,
    what: `submission ${id}`,
    limitMs: LIMIT_MS,
  });
  return done === null || isFailure(done) ? null : done;
}
