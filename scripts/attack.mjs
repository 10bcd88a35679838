// npm run attack: everything that is known to have stopped, read or cheated this program or ones like it, tried against an
// instance of its own; prints a table. usage: npm run attack -- [words of a name]
import { spawn } from "node:child_process";
import { existsSync, mkdtempSync, readFileSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { startCluster } from "./lib/cluster.mjs";
import { ensureBuilt, ensureDependencies, ensurePackages, hasProgram, ROOT } from "./lib/machine.mjs";
import { run, say } from "./lib/say.mjs";

await run(async () => {
  ensureDependencies();
  const { CHROMIUM_PACKAGE, chromium } = await import("./lib/chromium.mjs");
  ensurePackages(
    [CHROMIUM_PACKAGE],
    () => hasProgram(chromium()),
    "Or set CHROMIUM to the path of a Chromium you have.",
  );
  const build = await ensureBuilt();
  const folder = mkdtempSync(join(tmpdir(), "fastigo-attack-"));
  const cluster = await startCluster({ temporary: true });
  const table = join(folder, "table");
  const only = process.argv.slice(2);
  const go = (env, names) =>
    new Promise((resolve) => {
      const child = spawn(
        join(ROOT, "node_modules", ".bin", "playwright"),
        ["test", "e2e/attack.spec.ts", "--reporter=line", ...(names.length > 0 ? ["-g", names.join(" ")] : [])],
        {
          cwd: ROOT,
          stdio: ["ignore", "inherit", "inherit"],
          env: {
            ...process.env,
            TEST_CLUSTER: cluster.urlOf("{name}"),
            FASTIGO_BUILD: build,
            ATTACK: "full",
            ATTACK_TABLE: table,
            ...env,
          },
        },
      );
      child.once("error", () => resolve(1));
      child.once("exit", (code) => resolve(code ?? 1));
    });
  let status = 1;
  try {
    status = await go({}, only);
    // Once more with the limits everybody has: how slow guessing becomes.
    if (only.length === 0) status = (await go({ ATTACK_RATES: "1" }, ["one password at many accounts"])) || status;
  } finally {
    cluster.stop();
  }
  const rows = existsSync(table)
    ? readFileSync(table, "utf8")
        .trim()
        .split("\n")
        .map((l) => JSON.parse(l))
    : [];
  rmSync(folder, { recursive: true, force: true });
  say("");
  for (const r of rows)
    say(
      `${r.held ? "held " : "BROKE"}  ${String(Math.round(r.s)).padStart(4)} s  ${r.name}\n               ${r.figure}`,
    );
  const broke = rows.filter((r) => !r.held).length;
  say(`\n${rows.length - broke} held, ${broke} broke`);
  process.exit(broke > 0 || rows.length === 0 ? 1 : status);
});
