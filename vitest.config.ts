import { defineConfig } from "vitest/config";
import { BaseSequencer, type TestSpecification } from "vitest/node";
import { IN_TESTS } from "./scripts/lib/memory.mjs";

const alias = {
  "@": new URL("./src", import.meta.url).pathname,
  "server-only": new URL("./scripts/lib/empty.mjs", import.meta.url).pathname,
};

/** Modules are loaded once for all files of a worker: what a file changes of the process is put back after it. */
const together = { isolate: false, setupFiles: ["./scripts/lib/put-back.ts"] };

/** What takes longest, which nothing else would be there to run beside at the end; a file's size says little of that. */
const LONG = /\/(any-table|chart-data-element|fuzz-readers|jobs|out-and-in|paper|roles-by-lot|room)\.test\.ts$/;

class LongFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const sorted = await super.sort(files);
    return [...sorted.filter((f) => LONG.test(f.moduleId)), ...sorted.filter((f) => !LONG.test(f.moduleId))];
  }
}

// "core" needs nothing; "server" needs the database that scripts/test.mjs starts.
export default defineConfig({
  test: {
    // Three at a time, on two processors too: tests of the server wait for the database, and for a while of their own, as often as they
    // compute.
    maxWorkers: 3,
    execArgv: IN_TESTS,
    sequence: { sequencer: LongFirst },
    projects: [
      {
        resolve: { alias },
        test: {
          name: "server",
          ...together,
          // First, because they leave room for what is built meanwhile.
          sequence: { groupOrder: 0 },
          globalSetup: ["./src/server/testing/template.ts"],
          include: ["src/server/**/*.test.ts", "src/threads/**/*.test.ts"],
          testTimeout: 180_000,
          hookTimeout: 180_000,
        },
      },
      {
        resolve: { alias },
        test: {
          name: "core",
          ...together,
          sequence: { groupOrder: 1 },
          // Machines are shared: a slow one is no failure.
          testTimeout: 120_000,
          include: [
            "src/core/**/*.test.ts",
            "src/features/**/*.test.ts",
            "src/ui/**/*.test.ts",
            "src/cli/**/*.test.ts",
            "src/paper/**/*.test.ts",
            "src/app/**/*.test.ts",
            "scripts/**/*.test.ts",
          ],
        },
      },
    ],
  },
});
