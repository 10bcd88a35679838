import { readFileSync } from "node:fs";
import { expect } from "@playwright/test";
import { test } from "./harness/test";
import { chartButton, invited, newPerson, newTimeline, saved, writeLines } from "./harness/people";
import { startServer, type TestServer } from "./harness/server";

let server: TestServer;
test.beforeAll(async () => {
  server = await startServer("e2e_processes", { WEB: "2" });
});
test.afterAll(() => server.stop());

/** The processes that serve, which the first one tends. */
function serving(): number[] {
  const pid = server.pid();
  const children = readFileSync(`/proc/${pid}/task/${pid}/children`, "utf8");
  return children.trim().split(/\s+/).filter(Boolean).map(Number);
}

test("two processes serve one timeline: what one is told the other knows, and either may end at any time", async ({
  browser,
}) => {
  await expect.poll(() => serving().length).toBe(2);
  const nia = await newPerson(browser, "Nia", server.url);
  const address = await newTimeline(nia.page, "Crossings");
  const obi = await invited(browser, nia.page, address, "Obi", server.url);
  for (let round = 0; round < 4; round++) {
    const [from, to] = round % 2 === 0 ? [nia.page, obi.page] : [obi.page, nia.page];
    await writeLines(from, [`${1600 + round} Crossing ${round}`]);
    await expect(chartButton(to, new RegExp(`, Crossing ${round},`))).toBeVisible();
    // Whoever was asked a moment ago may be gone now.
    const pids = serving();
    if (round < 2) process.kill(pids[round % pids.length]!, "SIGKILL");
    await expect.poll(() => serving().length).toBe(2);
  }
  for (const page of [nia.page, obi.page]) await saved(page);
  await nia.page.reload();
  for (let round = 0; round < 4; round++)
    await expect(chartButton(nia.page, new RegExp(`, Crossing ${round},`))).toBeVisible();
});
