// Runs before each file of tests: what the file changes of the process is as before when the next one begins.
import { afterAll, vi } from "vitest";

const before = { ...process.env };

afterAll(() => {
  for (const name of Object.keys(process.env)) if (!(name in before)) delete process.env[name];
  Object.assign(process.env, before);
  vi.useRealTimers();
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});
