// npm run -s fastigo -- COMMAND: bundles the command when its sources changed, then runs it. No build, browser, server or
// database is needed.
import { spawnSync } from "node:child_process";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { bundle, ensureDependencies, hashOf, ROOT } from "./lib/machine.mjs";

ensureDependencies(true);
const stamp = join(ROOT, "dist", "fastigo.stamp");
const hash = hashOf(["src/cli", "src/core", "package-lock.json"]);
let file = join(ROOT, "dist", "fastigo.mjs");
if (!existsSync(file) || !existsSync(stamp) || readFileSync(stamp, "utf8") !== hash) {
  file = await bundle("src/cli/main.ts", "fastigo");
  writeFileSync(stamp, hash);
}
process.exit(spawnSync(process.execPath, [file, ...process.argv.slice(2)], { stdio: "inherit" }).status ?? 1);
