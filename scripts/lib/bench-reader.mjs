// The bench of published pages and of looks, in a real browser, on a real server.
import { CHROMIUM, CHROMIUM_ARGS } from "./chromium.mjs";
import { say } from "./say.mjs";

const middle = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)];
const p95 = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length * 0.95)];
const RUNS = 7;

/** Some of the shelf's drawings, put before events of a timeline. */
const DRAWINGS = ["castle", "bridge", "ship", "mill", "school"];

/** `ask` asks the server as the person of the bench; `events` gives made-up events. */
export async function benchReader(report, base, cookie, ask, events) {
  const { chromium } = await import("@playwright/test");
  const browser = await chromium.launch({ executablePath: CHROMIUM, args: CHROMIUM_ARGS });
  try {
    const made = async (n, pictured) => {
      const { id } = await ask("POST", "/api/timelines", { title: "Bench", subject: "" });
      const list = events(n);
      const ops = list.map((e) => ({
        kind: "add_event",
        id: e.id,
        fields: { title: e.title, when: e.when, tags: ["river"] },
      }));
      if (pictured) {
        const media = [];
        for (const picture of DRAWINGS) {
          const found = await ask("POST", `/api/timelines/${id}/pictures/found`, { picture }).catch(() => null);
          if (found) media.push(found.media);
        }
        for (const [i, e] of list.entries()) {
          const m = media[i % media.length];
          ops.push({
            kind: "add_item",
            id: `m${i}`,
            fields: {
              of: e.id,
              list: "media",
              media: m.id,
              kind: "picture",
              width: m.width,
              height: m.height,
              text: "A drawing",
              credit: "Hollin Bank School",
              place: `a${i}`,
            },
          });
        }
      }
      await ask("POST", `/api/timelines/${id}/changes`, { id: "start", base: 0, ops });
      const { publication } = await ask("PUT", `/api/timelines/${id}/publication`, { visibility: "link", fresh: true });
      return { editor: `${base}/timelines/${id}`, page: `${base}/t/${publication.address}` };
    };
    /** A first visit: until something is painted, ms; how far things moved; and how many bytes of script came. */
    const visit = async (address, settle) => {
      const context = await browser.newContext({ viewport: { width: 1_280, height: 800 }, reducedMotion: "reduce" });
      const page = await context.newPage();
      const session = await context.newCDPSession(page);
      await session.send("Network.enable");
      const scripts = new Set();
      let bytes = 0;
      session.on("Network.responseReceived", (e) => {
        if (e.type === "Script" || /\.js(\?|$)/.test(e.response.url)) scripts.add(e.requestId);
      });
      session.on("Network.loadingFinished", (e) => {
        if (scripts.has(e.requestId)) bytes += e.encodedDataLength;
      });
      await page.addInitScript(() => {
        window.moved = 0;
        new PerformanceObserver((list) => {
          for (const e of list.getEntries()) if (!e.hadRecentInput) window.moved += e.value;
        }).observe({ type: "layout-shift", buffered: true });
      });
      await page.goto(address);
      if (settle) await page.locator(settle).first().waitFor();
      await page.waitForTimeout(700);
      const paint = await page.evaluate(
        () => performance.getEntriesByName("first-contentful-paint")[0]?.startTime ?? Number.NaN,
      );
      const moved = await page.evaluate(() => window.moved);
      // What stands in the page itself counts too.
      const own = await page.evaluate(async () => {
        const text = [...document.scripts]
          .filter((s) => !s.src && !s.type)
          .map((s) => s.textContent)
          .join("");
        const stream = new Blob([text]).stream().pipeThrough(new CompressionStream("gzip"));
        return (await new Response(stream).arrayBuffer()).byteLength;
      });
      await context.close();
      return { paint, moved, bytes: bytes + own };
    };

    say("\nPublished pages (a first visit, a real browser)");
    const [few, many] = [await made(10, true), await made(500, true)];
    const paints = async ({ page }) => {
      await visit(`${page}#read`);
      const runs = [];
      for (let i = 0; i < RUNS; i++) runs.push((await visit(`${page}#read`)).paint);
      return middle(runs);
    };
    const [a, b] = [await paints(few), await paints(many)];
    report(
      "first paint of 500 events with pictures / of 10",
      b / a,
      1.5,
      `${b.toFixed(0)} ms against ${a.toFixed(0)} ms`,
    );
    const read = await visit(`${many.page}#read`);
    const chart = await visit(`${few.page}#chart`, ".chart-live canvas");
    const first = await visit(few.page);
    report("what moves while a page is read / 0.01", read.moved / 0.01, 1, read.moved.toFixed(4));
    report("what moves at the first visit of a chart / 0.01", chart.moved / 0.01, 1, chart.moved.toFixed(4));
    report(
      "script of a published page at first / 80 kB",
      first.bytes / 80_000,
      1,
      `${(first.bytes / 1_000).toFixed(1)} kB; with the movable chart, without its worker, ${(chart.bytes / 1_000).toFixed(1)} kB`,
    );

    say("\nThe index of 10,000 events");
    const large = await made(10_000, false);
    {
      const context = await browser.newContext({ viewport: { width: 1_280, height: 800 } });
      const page = await context.newPage();
      await page.goto(`${large.page}#index`);
      const field = page.locator("#index input[type=search]");
      await field.waitFor({ timeout: 60_000 });
      // Until what is searched has been read.
      await page.waitForTimeout(4_000);
      await page.evaluate(() => {
        window.times = [];
        document.querySelector("#index input[type=search]").addEventListener(
          "input",
          () => {
            const at = performance.now();
            setTimeout(() => window.times.push(performance.now() - at));
          },
          { capture: true },
        );
      });
      await field.click();
      for (let i = 0; i < 4; i++) {
        await page.keyboard.type("mill ", { delay: 120 });
        await field.fill("");
      }
      const times = await page.evaluate(() => window.times);
      report(
        "searching 10,000 events, a letter, the slowest twentieth / 50 ms",
        p95(times) / 50,
        1,
        `${p95(times).toFixed(1)} ms`,
      );
      await context.close();
    }

    say("\nLooks");
    const thousand = await made(1_000, false);
    const context = await browser.newContext({ viewport: { width: 1_280, height: 800 }, reducedMotion: "reduce" });
    const [name, value] = cookie.split("=");
    await context.addCookies([{ name, value, url: base }]);
    const page = await context.newPage();
    await page.goto(thousand.editor);
    await page.getByRole("button", { name: "Look", exact: true }).click();
    await page.getByRole("radio", { name: "Slate" }).waitFor();
    await page.waitForTimeout(2_500);
    const switched = [];
    for (const look of ["Oak", "Iron", "Brick", "Glass", "Plaster", "Slate", "Oak", "Iron", "Copper", "Slate"])
      switched.push(
        await page.evaluate(
          (wanted) =>
            new Promise((done) => {
              const box = document.querySelector("[data-testid=chart]");
              const before = box.style.background;
              const card = [...document.querySelectorAll("label")].find((l) => l.textContent.trim().endsWith(wanted));
              const begun = performance.now();
              card.querySelector("input").click();
              const look = () =>
                box.style.background !== before
                  ? requestAnimationFrame(() => done(performance.now() - begun))
                  : setTimeout(look, 1);
              look();
            }),
          look,
        ),
      );
    report(
      "another look at 1,000 events, painted / 100 ms",
      middle(switched.slice(1)) / 100,
      1,
      `${middle(switched.slice(1)).toFixed(0)} ms, the slowest ${Math.max(...switched).toFixed(0)} ms`,
    );
    await context.close();
  } finally {
    await browser.close();
  }
}
