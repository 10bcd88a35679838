import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect } from "@playwright/test";
import { atOnce } from "../scripts/lib/at-once.mjs";
import { serverUrl } from "./harness/people";
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
