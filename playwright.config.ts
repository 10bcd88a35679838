import { defineConfig } from "@playwright/test";
import { CHROMIUM, CHROMIUM_ARGS } from "./scripts/lib/chromium.mjs";

export default defineConfig({
  testDir: "e2e",
  testMatch: "*.spec.ts",
  timeout: 300_000,
  expect: { timeout: 40_000 },
  fullyParallel: false,
  workers: Number(process.env.E2E_WORKERS ?? 3),
  // A journey of a browser on a shared machine is tried once more; what passes only then is named at the end of the run.
  retries: 1,
  forbidOnly: true,
  reporter: [["list"], ["json"]],
  globalSetup: "./e2e/harness/global-setup.ts",
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: CHROMIUM, args: CHROMIUM_ARGS },
    actionTimeout: 40_000,
    trace: "off",
    contextOptions: { reducedMotion: "reduce" },
  },
});
