import { readFileSync } from "node:fs";
import { join } from "node:path";
import { expect } from "@playwright/test";
import { serverUrl } from "./harness/people";
import { test } from "./harness/test";

test("all that a page loads comes packed, to be kept for good, and is what was built", async ({ page, request }) => {
  const seen: string[] = [];
  page.on("response", (r) => {
    if (/\/_next\/static\/.+\.(js|css)$/.test(r.url())) seen.push(r.url());
  });
  await page.goto(`${serverUrl()}/sign-in`, { waitUntil: "networkidle" });
  expect(seen.length).toBeGreaterThan(5);
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
      expect((await answer.body()).equals(readFileSync(built))).toBe(true);
    }
});
