// npm run -s fastigo -- COMMAND: bundles the command when its sources changed, then runs it. No build, browser, server or
// database is needed.
import { spawnSync } from "node:child_process";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { bundle, bundleForReaders, ensureDependencies, hashOf, ROOT } from "./lib/machine.mjs";

ensureDependencies(true);
const stamp = join(ROOT, "dist", "fastigo.stamp");
const hash = hashOf([
  "src/cli",
  "src/core",
  "src/paper",
  "src/features/reader",
  "src/threads/make-folder.ts",
  "package-lock.json",
]);
let file = join(ROOT, "dist", "fastigo.mjs");
if (!existsSync(file) || !existsSync(stamp) || readFileSync(stamp, "utf8") !== hash) {
  file = await bundle("src/cli/main.ts", "fastigo");
  writeFileSync(stamp, hash);
}
// A folder holds the scripts that a reader's page loads.
const args = process.argv.slice(2);
const needsScripts = args[0] === "serve" || args.some((a) => a.toLowerCase().endsWith(".zip"));
if (needsScripts && !existsSync(join(ROOT, "public", "reader", "scorm.js"))) await bundleForReaders();
process.exit(
  spawnSync(process.execPath, [file, ...args], { stdio: "inherit", env: { ...process.env, FASTIGO_ROOT: ROOT } })
    .status ?? 1,
);
