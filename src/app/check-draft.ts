import "server-only";
import type { CheckDraft } from "@/server/classes/marking";
import { isFailure } from "@/server/http/failure";
import { inThread } from "@/work/in-thread";

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
