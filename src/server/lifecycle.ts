import "server-only";
import { closeAllStreams } from "./live/hub";

/** Ends open streams when the process is told to stop. */
export function begin(): void {
  for (const signal of ["SIGTERM", "SIGINT"] as const) process.on(signal, closeAllStreams);
}
