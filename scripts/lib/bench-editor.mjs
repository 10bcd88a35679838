// The bench of the editor, in a real browser, on a real server.
import { pasteUnwatched } from "./bench-paste.mjs";
import { CHROMIUM, CHROMIUM_ARGS } from "./chromium.mjs";
import { say } from "./say.mjs";

const p95 = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length * 0.95)];
const KEYS = 60;

/** Measures writing in the ledger and reports its ratios. `make`: a timeline of so many events; gives its address. */
export async function benchEditor(report, base, cookie, make, table) {
  const { chromium } = await import("@playwright/test");
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
  try {
    const context = await browser.newContext({ viewport: { width: 1_280, height: 800 }, reducedMotion: "reduce" });
    const [name, value] = cookie.split("=");
    await context.addCookies([{ name, value, url: base }]);
    const open = async (path) => {
      const page = await context.newPage();
      page.on("pageerror", (e) => say(`     the page failed: ${e.message}`));
      const begun = performance.now();
      await page.goto(base + path);
      const cell = page.locator("[role=gridcell][data-col=title]").first();
      await cell.click({ position: { x: 12, y: 12 } });
      await page.keyboard.press("F2");
      await page.keyboard.type("x");
      await page.locator("[role=gridcell] input:focus").waitFor();
      return { page, ms: performance.now() - begun };
    };

    say("\nWriting in the ledger (a real browser)");
    const typing = {};
    for (const n of [100, 10_000]) {
      const { page } = await open(await make(n));
      // Until the chart has been laid out for the first time.
      await page.waitForTimeout(3_000);
      await page.evaluate(() => {
        window.times = [];
        document.addEventListener(
          "keydown",
          () => {
            const at = performance.now();
            requestAnimationFrame(() => setTimeout(() => window.times.push(performance.now() - at)));
          },
          true,
        );
      });
      for (let i = 0; i < KEYS; i++) {
        await page.keyboard.press("abcdefgh"[i % 8]);
        // Now and then one rests, and what was written is kept.
        await page.waitForTimeout(i % 12 === 11 ? 600 : 60);
      }
      typing[n] = p95(await page.evaluate(() => window.times));
      await page.close();
    }
    report(
      "keystroke to paint in a cell: 10,000 rows / 100",
      typing[10_000] / typing[100],
      2,
      `${typing[10_000].toFixed(1)} ms against ${typing[100].toFixed(1)} ms`,
    );
    report("keystroke to paint at 10,000 rows, the slowest twentieth / 50 ms", typing[10_000] / 50, 1, "");

    const address = await make(1_000);
    await (await open(address)).page.close();
    const opened = await open(address);
    report("opening 1,000 events to the first edit / 1.5 s", opened.ms / 1_500, 1, `${opened.ms.toFixed(0)} ms`);

    const pasted = await pasteUnwatched(base + (await make(20)), cookie);
    const longest = Math.max(50, ...pasted.frames);
    report(
      "pasting 5,000 rows, the longest frame / 100 ms",
      longest / 100,
      1,
      `${longest.toFixed(0)} ms, the longest task ${pasted.task.toFixed(0)} ms, ${pasted.events} events then`,
    );
    if (pasted.frames.length > 0) say(`       frames over 50 ms: ${pasted.frames.map((t) => t.toFixed(0)).join(", ")}`);
    const { page } = await open(await make(20));
    const file = await bringInFile(page, table);
    report("a file of 10,000 rows to its finished preview / 3 s", file.ms / 3_000, 1, `${file.ms.toFixed(0)} ms`);
    // Without a graphics card frames wait for each other's painting; what holds the page up is its longest task.
    report(
      "meanwhile, the longest task of the page / 100 ms",
      file.task / 100,
      1,
      `${file.task.toFixed(0)} ms, the longest frame ${file.longest.toFixed(0)} ms`,
    );
  } finally {
    await browser.close();
  }
}

/** How long a file takes from being chosen until everything of it is shown, and the longest frame meanwhile, ms. */
async function bringInFile(page, table) {
  await page.getByRole("button", { name: "Bring in", exact: true }).click();
  await page.getByLabel("Choose a file").waitFor({ state: "attached" });
  // The file lies in the page before anything is measured: how the browser is driven is no part of it.
  await page.evaluate((text) => {
    const files = new DataTransfer();
    files.items.add(new File([text], "rows.csv", { type: "text/csv" }));
    globalThis.chosen = files.files;
  }, table);
  await page.waitForTimeout(1_000);
  await page.evaluate(() => {
    globalThis.longest = 0;
    // Tasks below 50 ms are not told of.
    globalThis.task = 50;
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) globalThis.task = Math.max(globalThis.task, e.duration);
    }).observe({ entryTypes: ["longtask"] });
    let last = performance.now();
    const tick = () => {
      const now = performance.now();
      globalThis.longest = Math.max(globalThis.longest, now - last);
      last = now;
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
    const seen = new MutationObserver(() => {
      if (!document.querySelector("[role=dialog] table")) return;
      globalThis.finished = performance.now();
      seen.disconnect();
    });
    seen.observe(document.body, { childList: true, subtree: true });
    const input = document.querySelector("[role=dialog] input[type=file]");
    setTimeout(() => {
      globalThis.begun = performance.now();
      input.files = globalThis.chosen;
      input.dispatchEvent(new Event("change", { bubbles: true }));
    });
  });
  await page.waitForFunction(() => globalThis.finished);
  return page.evaluate(() => ({
    ms: globalThis.finished - globalThis.begun,
    longest: globalThis.longest,
    task: globalThis.task,
  }));
}
