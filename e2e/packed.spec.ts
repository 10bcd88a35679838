import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect } from "@playwright/test";
import { atOnce } from "../scripts/lib/at-once.mjs";
import { newPerson, newTimeline, saved, serverUrl, visitor, writeLines } from "./harness/people";
import { test } from "./harness/test";

test("all that a page loads comes packed, to be kept for good and read at once, and is what was built", async ({
  page,
  request,
}) => {
  const seen: string[] = [];
  const type = new Set<string | undefined>();
  page.on("response", (r) => {
    if (r.url().includes("/fonts/")) type.add(r.headers()["cache-control"]);
    if (/\/_next\/static\/.+\.(js|css)$/.test(r.url())) seen.push(r.url());
  });
  await page.goto(`${serverUrl()}/sign-in`, { waitUntil: "networkidle" });
  expect(seen.length).toBeGreaterThan(5);
  expect([...type]).toEqual(["public, max-age=604800"]);
  for (const [accepts, encoding] of [
    ["gzip, br", "br"],
    ["gzip", "gzip"],
    ["identity", undefined],
  ] as const)
    for (const url of new Set(seen)) {
      const answer = await request.get(url, { headers: { "accept-encoding": accepts } });
      expect([url, answer.status(), answer.headers()["content-encoding"]]).toEqual([url, 200, encoding]);
      expect(answer.headers()["cache-control"]).toContain("immutable");
      const built = join(import.meta.dirname, "..", ".next", new URL(url).pathname.replace("/_next/", ""));
      const body = await answer.body();
      expect(body.equals(readFileSync(built))).toBe(true);
      // A browser is told to read for good what is run as soon as it is there.
      if (url.endsWith(".js")) expect(atOnce(body.toString()) === body.toString()).toBe(true);
    }
});

test("what readers load, and what another language says, comes packed too, to be kept for good", async ({
  browser,
}) => {
  const nia = await newPerson(browser, "Nia");
  const editor = await newTimeline(nia.page, "Crossings");
  // As many as are laid out in a worker.
  await writeLines(
    nia.page,
    Array.from({ length: 40 }, (_, i) => `${1604 + 5 * i} Crossing ${i}`),
  );
  await saved(nia.page);
  const made = await nia.page.request.put(`/api${new URL(editor).pathname}/publication`, {
    data: { visibility: "link", fresh: true },
  });
  const { publication } = (await made.json()) as { publication: { address: string } };
  const reader = await visitor(browser);
  const seen = new Map<string, Record<string, string>>();
  reader.on("response", (r) => {
    const { pathname, search } = new URL(r.url());
    if (/^\/(reader|words)\//.test(pathname)) seen.set(pathname + search, r.headers());
  });
  // A browser's tools do not tell of what begins a worker: it is asked for once more.
  const worker = reader.waitForEvent("worker");
  await reader.goto(`/t/${publication.address}#chart`);
  await expect(reader.locator(".chart-live").getByRole("button", { name: /, event 1 of/ })).toBeVisible();
  const begins = new URL((await worker).url());
  const again = await reader.request.get(begins.href, { headers: { "accept-encoding": "br" } });
  seen.set(begins.pathname + begins.search, again.headers());
  await reader.request.put("/api/language", { data: { language: "de" } });
  await reader.goto("/sign-in");
  await expect(reader.getByRole("heading", { level: 1 })).toHaveText("Anmelden");
  expect([...seen.keys()].map((path) => path.split("?")[0]).sort()).toEqual([
    "/reader/chart-worker.js",
    "/reader/chart.js",
    "/words/de.js",
  ]);
  for (const [path, headers] of seen)
    expect([path, headers["content-encoding"], headers["cache-control"]]).toEqual([
      expect.stringMatching(/\?[0-9a-f]{16}$/),
      "br",
      "public, max-age=31536000, immutable",
    ]);
});
