import { defineConfig } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "./scripts/lib/chromium.mjs";
import { ONE_THREAD } from "./scripts/lib/memory.mjs";

/**
 * V8 makes code quicker that runs for long, and starts anew with each page: a journey's pages are gone before that pays. Without it
 * their processes do a tenth less; what is measured (`npm run bench`) has it. And it finds the place of a call in a script, which the
 * harness is told of all that a page fetches, by reading the function anew, in each page: kept from the first reading, a page costs a
 * twentieth less.
 */
const SHORT_LIVED = `--js-flags=--no-maglev,--no-opt,--no-enable-lazy-source-positions,${ONE_THREAD}`;

export default defineConfig({
  testDir: "e2e",
  testMatch: "*.spec.ts",
  // A machine that others use too may be three times as slow as at other hours; what does not come at all is found all the same.
  timeout: 600_000,
  expect: { timeout: 90_000 },
  fullyParallel: false,
  // Two for each of two processors: a journey waits now and then, for the database or for a file that is made.
  workers: Number(process.env.E2E_WORKERS ?? 4),
  // A journey of a browser on a shared machine is tried again, twice at most; what passes only then is named at the end of the run.
  retries: 2,
  forbidOnly: true,
  reporter: [["list"], ["json"]],
  globalSetup: "./e2e/harness/global-setup.ts",
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: CHROMIUM, args: [...CHROMIUM_ARGS, SHORT_LIVED] },
    actionTimeout: 90_000,
    trace: "off",
    contextOptions: { reducedMotion: "reduce" },
  },
});
