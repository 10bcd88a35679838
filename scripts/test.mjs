// npm test: everything, on a database cluster that is made for it and removed. Ends with one line that adds up all runners.
// usage: npm test [-- unit|e2e [names of files]]
import { execFile, spawn } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { startCluster } from "./lib/cluster.mjs";
import { ensureBuilt, ensureDependencies, ensurePackages, hasProgram, onPath, ROOT } from "./lib/machine.mjs";
import { IN_TESTS } from "./lib/memory.mjs";
import { run, say } from "./lib/say.mjs";

// English in a mirror is spoken only where tests are done.
process.env.MIRROR = "1";

/** The compiler is done before there is much to tidy up: a tenth more memory, and a fifth less of the processor. */
const SELDOM = { GOGC: "400" };

const only = process.argv[2];
const totals = { passed: 0, failed: 0, skipped: 0 };
/** What failed, what passed only when it was tried again, and servers that ended by themselves: named at the end. */
const named = { failed: [], again: [], falls: [] };

/** Runs a command to its end and gives its status. */
function go(command, args, env) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: ROOT,
      stdio: ["ignore", "inherit", "inherit"],
      env: { ...process.env, ...env },
    });
    child.once("error", () => resolve(1));
    child.once("exit", (code) => resolve(code ?? 1));
  });
}

/** Runs a command to its end and gives its status and what it said. */
function saidBy(command, args) {
  return new Promise((resolve) => {
    execFile(command, args, { cwd: ROOT, maxBuffer: 64 << 20, env: { ...process.env, ...SELDOM } }, (error, out, err) =>
      resolve({ status: error ? 1 : 0, said: out + err }),
    );
  });
}

/** Counts what a runner wrote; a runner that broke off counts as one failure at least. */
function count(file, status, read) {
  let failed = 0;
  try {
    const part = read(JSON.parse(readFileSync(file, "utf8")));
    totals.passed += part.passed;
    totals.skipped += part.skipped;
    failed = part.failed;
    named.failed.push(...part.names);
    named.again.push(...(part.again ?? []));
  } catch {
    failed = 1;
  }
  if (status !== 0 && failed === 0)
    named.failed.push(`a runner ended with ${status} though none of its tests failed: see above`);
  totals.failed += status !== 0 && failed === 0 ? 1 : failed;
}

/** Every journey of a report of Playwright that ended so. */
function journeys(suites, status) {
  return suites.flatMap((s) => [
    ...(s.specs ?? []).filter((x) => x.tests.some((t) => t.status === status)).map((x) => `${x.file}: ${x.title}`),
    ...journeys(s.suites ?? [], status),
  ]);
}

await run(async () => {
  ensureDependencies();
  const { CHROMIUM_PACKAGE, chromium } = await import("./lib/chromium.mjs");
  if (only !== "unit")
    ensurePackages(
      [CHROMIUM_PACKAGE],
      () => hasProgram(chromium()),
      "Or set CHROMIUM to the path of a Chromium you have.",
    );
  // What reads our PDFs back, for the tests that do; where it cannot be had they say so and are left out.
  try {
    ensurePackages(["poppler-utils"], () => onPath("pdftotext"));
  } catch {
    say("poppler-utils is not here and cannot be installed: the tests that read PDFs back are left out.");
  }
  // What carries who is where, where that is set.
  try {
    ensurePackages(["redis-server"], () => onPath("redis-server"));
  } catch {
    say("redis-server is not here and cannot be installed: the tests with it are left out.");
  }
  const reports = mkdtempSync(join(tmpdir(), "fastigo-reports-"));
  const cluster = await startCluster({ temporary: true });
  let ended = false;
  const end = () => {
    if (ended) return;
    ended = true;
    cluster.stop();
    rmSync(reports, { recursive: true, force: true });
  };
  for (const signal of ["SIGINT", "SIGTERM"])
    process.on(signal, () => {
      end();
      process.exit(1);
    });
  try {
    const bin = (name) => join(ROOT, "node_modules", ".bin", name);
    if (only !== "e2e") {
      // Beside the tests of the server, which wait for the database more than they compute.
      const looked = [
        ["the types", bin("tsc"), ["--noEmit", "--checkers", "2", "-p", "tsconfig.tests.json"]],
        ["the rooms", process.execPath, [join(ROOT, "scripts", "house.mjs"), "--check"]],
      ].map(async ([what, command, args]) => ({ what, ...(await saidBy(command, args)) }));
      const file = join(reports, "vitest.json");
      const tested = go(
        bin("vitest"),
        ["run", "--reporter=dot", "--reporter=json", `--outputFile.json=${file}`, ...process.argv.slice(3)],
        { TEST_CLUSTER: cluster.urlOf("{name}"), NODE_ENV: "test" },
      );
      // So is what the journeys need.
      if (only !== "unit") await ensureBuilt().catch(() => {});
      for (const { what, status, said } of await Promise.all(looked)) {
        if (status === 0) totals.passed++;
        else {
          say(said);
          totals.failed++;
          named.failed.push(what);
        }
      }
      const status = await tested;
      count(file, status, (r) => ({
        passed: r.numPassedTests,
        failed:
          r.numFailedTests +
          r.testResults.filter((t) => t.status === "failed" && t.assertionResults.length === 0).length,
        skipped: r.numPendingTests + r.numTodoTests,
        names: r.testResults.flatMap((t) =>
          t.status === "failed" && t.assertionResults.length === 0
            ? [t.name]
            : t.assertionResults.filter((a) => a.status === "failed").map((a) => `${t.name}: ${a.fullName}`),
        ),
      }));
    }
    if (only !== "unit") {
      const build = await ensureBuilt();
      const file = join(reports, "playwright.json");
      const falls = join(reports, "falls");
      writeFileSync(falls, "");
      // What it begins for the journeys is begun as it was.
      const playwright = [...IN_TESTS, join(ROOT, "node_modules", "@playwright", "test", "cli.js"), "test"];
      const status = await go(process.execPath, [...playwright, ...process.argv.slice(3)], {
        TEST_CLUSTER: cluster.urlOf("{name}"),
        FASTIGO_BUILD: build,
        PLAYWRIGHT_JSON_OUTPUT_NAME: file,
        FASTIGO_FALLS: falls,
      });
      named.falls.push(...readFileSync(falls, "utf8").split("\n").filter(Boolean));
      count(file, status, (r) => ({
        passed: r.stats.expected + r.stats.flaky,
        failed: r.stats.unexpected + r.errors.length,
        skipped: r.stats.skipped,
        names: [...journeys(r.suites, "unexpected"), ...r.errors.map((e) => e.message ?? "an error outside the tests")],
        again: journeys(r.suites, "flaky"),
      }));
    }
  } finally {
    end();
  }
  for (const name of named.failed) say(`Failed: ${name}`);
  for (const fall of named.falls) say(`Seen: ${fall}`);
  for (const name of named.again) say(`Passed only when it was tried again: ${name}`);
  say(`\n${totals.passed} passed, ${totals.failed} failed${totals.skipped > 0 ? `, ${totals.skipped} skipped` : ""}`);
  process.exit(totals.failed > 0 || totals.passed === 0 ? 1 : 0);
});
