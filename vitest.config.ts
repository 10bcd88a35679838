import { defineConfig } from "vitest/config";

const alias = {
  "@": new URL("./src", import.meta.url).pathname,
  "server-only": new URL("./scripts/lib/empty.mjs", import.meta.url).pathname,
};

// "core" needs nothing; "server" needs the database that scripts/test.mjs starts.
export default defineConfig({
  test: {
    // Two at a time, on small machines too: tests of the server wait for the database more than they compute.
    maxWorkers: 2,
    projects: [
      {
        resolve: { alias },
        test: {
          name: "core",
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
      {
        resolve: { alias },
        test: {
          name: "server",
          include: ["src/server/**/*.test.ts"],
          testTimeout: 180_000,
          hookTimeout: 180_000,
        },
      },
    ],
  },
});
