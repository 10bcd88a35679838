import { useSyncExternalStore } from "react";
import type { DeskSubmission } from "./desk-submission";
import { type MarkSaver, type MarkState, type MarkValues, saverOf } from "./mark-saver";

/** The mark of the open submission: what was typed last, else what is stored; every part of the desk sees the same. */
export function useMark(
  open: DeskSubmission,
  total: number,
): { values: MarkValues; state: MarkState; saver: MarkSaver; change: (part: Partial<MarkValues>) => void } {
  const saver = saverOf(open.id, total);
  const state = useSyncExternalStore(saver.subscribe, saver.getState, saver.getState);
  const stored = {
    points: open.points === null ? "" : String(open.points),
    comment: open.comment,
    comments: open.comments,
    levels: open.levels,
  };
  // Until something is typed, what the page shows is what was seen: a colleague's mark that came in meanwhile too.
  if (saver.typed === null) saver.base = open.version;
  const values = saver.typed ?? stored;
  // What is typed is with the saver at once, which keeps it wherever one goes next.
  return { values, state, saver, change: (part) => saver.set({ ...(saver.typed ?? stored), ...part }) };
}
