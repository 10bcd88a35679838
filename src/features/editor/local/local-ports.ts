import { browserPorts, type Ports } from "../store/ports";
import { LOCAL, type LocalTimeline, NOBODY } from "./local-timeline";

/** The outside of an editor whose timeline is kept in this browser alone: nothing is sent, and nobody else is heard. */
export function localPorts(local: LocalTimeline): Ports {
  const browser = browserPorts(NOBODY, LOCAL);
  return {
    ...browser,
    send: async ({ known: _, ...change }) => ({ ok: true, value: await local.take({ ...change, author: NOBODY }) }),
    catchUp: async (after) => ({
      ok: true,
      value: { changes: local.after(after), seq: local.last, editors: [], publication: null, work: null },
    }),
    readWhole: async () => ({ ok: true, value: local.snapshot() }),
    listen: () => () => {},
  };
}
