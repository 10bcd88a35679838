import "server-only";
import { closeAllStreams } from "./live/hub";
import { collectMedia } from "./media/collect";

const DAY_MS = 86_400_000;

/** Ends open streams when the process is told to stop, and tidies media up once a day. */
export function begin(): void {
  for (const signal of ["SIGTERM", "SIGINT"] as const) process.on(signal, closeAllStreams);
  const tidy = () =>
    collectMedia().catch((error: unknown) =>
      console.error("Tidying media up failed; it is tried again tomorrow.", error),
    );
  void tidy();
  setInterval(tidy, DAY_MS).unref();
}
