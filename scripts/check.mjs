// npm run check: types, lint with import direction, dead code, rooms without circles, unit tests of the core. Runs all, then says what failed.
import { spawnSync } from "node:child_process";
import { join } from "node:path";
import { ensureDependencies, ROOT } from "./lib/machine.mjs";

ensureDependencies();
const bin = (name) => join(ROOT, "node_modules", ".bin", name);
const steps = [
  ["types", "tsc", ["--noEmit", "-p", "."]],
  ["lint and format", "biome", ["ci", "."]],
  ["dead code", "knip", []],
  ["rooms", process.execPath, [join(ROOT, "scripts", "house.mjs"), "--check"]],
  ["unit tests", "vitest", ["run", "--project", "core", "--reporter=dot"]],
];
const failed = steps.filter(([name, program, args]) => {
  console.log(`\n== ${name}`);
  return (
    spawnSync(program === process.execPath ? program : bin(program), args, { cwd: ROOT, stdio: "inherit" }).status !== 0
  );
});
console.log(failed.length === 0 ? "\nAll is well." : `\nNot well: ${failed.map(([name]) => name).join(", ")}.`);
process.exit(failed.length === 0 ? 0 : 1);
