import { browserPorts, type Ports } from "../store/ports";
import { WORDS } from "@/core/words/editor-local";
import { LOCAL, type LocalTimeline, NOBODY } from "./local-timeline";

/** The outside of an editor whose timeline is kept in this browser alone: nothing is sent, and nobody else is heard. */
export function localPorts(local: LocalTimeline): Ports {
  const browser = browserPorts(NOBODY, LOCAL);
  return {
    ...browser,
    send: async ({ known: _, ...change }) => {
      try {
        return { ok: true, value: await local.take({ ...change, author: NOBODY }) };
      } catch {
        // Full, or not to be written to: the change waits, and is tried again.
        return { ok: false, failed: "no_answer", sentence: WORDS.diskTakesNothing, status: 0 };
      }
    },
    catchUp: async (after) => ({
      ok: true,
      value: { changes: local.after(after), seq: local.last, editors: [], publication: null, work: null },
    }),
    readWhole: async () => ({ ok: true, value: local.snapshot() }),
    listen: () => () => {},
  };
}
