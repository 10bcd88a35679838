// The bench of pasting into the ledger, in a browser that nobody watches meanwhile: what drives it reads along all that is sent, and
// the browser then has no time to draw.
import { spawn } from "node:child_process";
import { mkdtempSync, rmSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { CHROMIUM, CHROMIUM_ARGS } from "./chromium.mjs";
import { freePort } from "./cluster.mjs";

const ROWS = 5_000;
/** From when nobody watches any more until it is pasted, and for how long frames are watched then, ms. */
const UNTIL_PASTED = 2_500;
const WATCHED = 6_000;

/** Pastes into a timeline. Gives how many events it has then, the longest task (50 ms: or less) and all frames over 50 ms. */
export async function pasteUnwatched(address, cookie) {
  const { chromium } = await import("@playwright/test");
  const port = await freePort();
  const own = mkdtempSync(join(tmpdir(), "fastigo-paste-"));
  const args = ["--headless", "--force-prefers-reduced-motion", "--window-size=1280,800", `--user-data-dir=${own}`];
  const child = spawn(CHROMIUM, [...CHROMIUM_ARGS, ...args, `--remote-debugging-port=${port}`, "about:blank"], {
    stdio: "ignore",
  });
  const ended = new Promise((done) => child.once("exit", done));
  /** A look at it; afterwards it is left alone again. */
  const look = async (at) => {
    const browser = await connected(() => chromium.connectOverCDP(`http://127.0.0.1:${port}`));
    const [context] = browser.contexts();
    try {
      return await at(context.pages()[0] ?? (await context.newPage()), context);
    } finally {
      await browser.close();
    }
  };
  try {
    await look(async (page, context) => {
      const [name, value] = cookie.split("=");
      await context.addCookies([{ name, value, url: new URL(address).origin }]);
      await page.goto(address);
      await page.locator("[role=gridcell][data-col=when]").first().waitFor();
      await page.locator("main[data-all-here]").waitFor();
      await page.evaluate(pasteLater, { rows: ROWS, after: UNTIL_PASTED, watched: WATCHED });
    });
    await new Promise((done) => setTimeout(done, UNTIL_PASTED + WATCHED + 1_000));
    return await look((page) => page.waitForFunction(() => globalThis.seen).then((seen) => seen.jsonValue()));
  } finally {
    child.kill("SIGKILL");
    await ended;
    rmSync(own, { recursive: true, force: true });
  }
}

/** A browser that was just begun is not there at once. */
async function connected(connect) {
  for (let tries = 0; ; tries++)
    try {
      return await connect();
    } catch (error) {
      if (tries === 50) throw error;
      await new Promise((done) => setTimeout(done, 200));
    }
}

/** In the page. */
function pasteLater({ rows, after, watched }) {
  const text = Array.from({ length: rows }, (_, i) => `${1000 + (i % 900)}\tEvent ${i}\tTrade`).join("\n");
  const data = new DataTransfer();
  data.setData("text/plain", text);
  setTimeout(() => document.querySelector("[role=gridcell][data-col=when]").focus(), after - 500);
  setTimeout(() => {
    const frames = [];
    let task = 50;
    new PerformanceObserver((list) => {
      for (const e of list.getEntries()) task = Math.max(task, e.duration);
    }).observe({ entryTypes: ["longtask"] });
    const begun = performance.now();
    let last = begun;
    const tick = () => {
      const now = performance.now();
      frames.push(now - last);
      last = now;
      if (now < begun + watched) return requestAnimationFrame(tick);
      const events = Number(document.querySelector("[role=grid]").getAttribute("aria-rowcount")) - 1;
      globalThis.seen = { events, task, frames: frames.filter((ms) => ms > 50) };
    };
    requestAnimationFrame(tick);
    document
      .querySelector("[role=gridcell][data-col=when]")
      .dispatchEvent(new ClipboardEvent("paste", { clipboardData: data, bubbles: true, cancelable: true }));
  }, after);
}
