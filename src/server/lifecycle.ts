import "server-only";
import { closeAllStreams } from "./live/hub";
import { tidy } from "./tidy";

const HOUR_MS = 3_600_000;

/** Ends open streams when the process is told to stop, and tidies up once an hour. */
export function begin(): void {
  for (const signal of ["SIGTERM", "SIGINT"] as const) process.on(signal, closeAllStreams);
  const run = () =>
    tidy(process.env.FASTIGO_BUILD ?? "unknown").catch((error: unknown) =>
      console.error("Tidying up failed; it is tried again in an hour.", error),
    );
  void run();
  setInterval(run, HOUR_MS).unref();
}
