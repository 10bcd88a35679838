// Keeps a process going: starts it again when it ends or no longer answers, after a pause that grows.
import { spawn } from "node:child_process";
import { say } from "./say.mjs";

const FIRST_PAUSE_MS = 500;
const LONGEST_PAUSE_MS = 30_000;
/** Ended so often in a row, without having been well for a while in between, it is given up. */
const MOST_IN_A_ROW = 6;
const WELL_MS = 60_000;
const LOOK_MS = 10_000;
const PATIENCE_MS = 15_000;
const MOST_UNANSWERED = 3;

/**
 * `begin` gives [program, args, options]; `address` is asked whether it is well. `onLast` is called with a sentence when it is
 * given up. Gives `stop`, which ends it for good.
 */
export function watch({
  begin,
  address,
  onLast,
  lookMs = LOOK_MS,
  patienceMs = PATIENCE_MS,
  firstPauseMs = FIRST_PAUSE_MS,
}) {
  let child = null;
  let ending = false;
  let inARow = 0;
  let begunAt = 0;
  let unanswered = 0;
  let timer = null;

  const start = () => {
    begunAt = Date.now();
    unanswered = 0;
    child = spawn(...begin());
    child.once("exit", (code, signal) => {
      child = null;
      if (ending) return;
      if (Date.now() - begunAt > WELL_MS) inARow = 0;
      inARow++;
      const how = signal ? `was ended by ${signal}` : `ended with status ${code}`;
      if (inARow >= MOST_IN_A_ROW)
        return onLast(
          `The application ${how}, the ${inARow}th time in a row, and is not started again. Its messages are above; the data is safe. Mend the cause, then: npm start`,
        );
      const pause = Math.min(LONGEST_PAUSE_MS, firstPauseMs * 2 ** (inARow - 1));
      say(`The application ${how}. It is started again in ${pause / 1000} s.`);
      timer = setTimeout(start, pause);
    });
  };
  const look = setInterval(async () => {
    const asked = child;
    // It is left its time to begin.
    if (!asked || Date.now() - begunAt < patienceMs) return;
    try {
      const answer = await fetch(address, { signal: AbortSignal.timeout(patienceMs) });
      // That the database does not answer is not mended by a new start.
      if (answer.status > 0) unanswered = 0;
    } catch {
      unanswered++;
    }
    if (unanswered >= MOST_UNANSWERED && child === asked) {
      say("The application does not answer any more.");
      unanswered = 0;
      asked.kill("SIGKILL");
    }
  }, lookMs);
  start();
  return {
    get child() {
      return child;
    },
    stop(signal, then) {
      ending = true;
      clearInterval(look);
      clearTimeout(timer);
      if (!child) return then();
      child.once("exit", then);
      child.kill(signal);
      const running = child;
      setTimeout(() => running.kill("SIGKILL"), 5_000).unref();
    },
  };
}
