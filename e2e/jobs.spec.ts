import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { expect, type Page } from "@playwright/test";
import { test } from "./harness/test";
import { newPerson, newTimeline } from "./harness/people";
import { startServer, type TestServer } from "./harness/server";

/** A small site: paths that begin with /gone answer 404, and /held waits until it is let go. */
let site: Server;
let server: TestServer;
let at: (path: string) => string;
const asked: string[] = [];
let letGo: (() => void)[] = [];
test.beforeAll(async () => {
  site = createServer((request, response) => {
    asked.push(request.url!);
    const answer = () => response.writeHead(request.url!.startsWith("/gone") ? 404 : 200).end("A page.");
    if (request.url!.startsWith("/held")) letGo.push(answer);
    else answer();
  });
  await new Promise<void>((resolve) => site.listen(0, "127.0.0.1", resolve));
  const host = `127.0.0.1:${(site.address() as AddressInfo).port}`;
  at = (path) => `http://${host}${path}`;
  server = await startServer("e2e_jobs", { PRIVATE_PICTURE_HOSTS: host });
});
test.afterAll(async () => {
  site.closeAllConnections();
  site.close();
  await server.stop();
});

/** One event with a source for each address, by its sheet. */
async function withSources(page: Page, paths: string[]): Promise<void> {
  const id = page.url().split("/").at(-1)!;
  const answer = await page.request.post(`${server.url}/api/timelines/${id}/changes`, {
    headers: { Origin: server.url },
    data: {
      id: `sources-${paths.length}`,
      base: 0,
      known: 0,
      ops: [
        { kind: "add_event", id: "ferry", fields: { title: "Rope ferry" } },
        // The last one is a source of the timeline, which the event names.
        ...paths.flatMap((path, n): object[] => {
          const item = { kind: "add_item", id: `s${n}` };
          const own = { of: "ferry", list: "source" };
          if (n < paths.length - 1) return [{ ...item, fields: { ...own, text: `Page ${n}`, address: at(path) } }];
          const record = { kind: "web", title: `Page ${n}`, address: at(path) };
          return [
            { kind: "add_source", id: "record", fields: record },
            { ...item, fields: { ...own, source: "record" } },
          ];
        }),
      ],
    },
  });
  expect(answer.status()).toBe(200);
  await page.reload();
  await page.getByRole("button", { name: "About", exact: true }).click();
}

test("the addresses of sources are asked on request: how far it is, and which show nothing any more", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia", server.url);
  await newTimeline(page, "Crossings");
  await withSources(page, ["/one", "/gone", "/two"]);
  const part = page.getByRole("region", { name: "Web addresses" });
  await expect(part.getByRole("status")).toHaveText("3 addresses have not been asked yet.");
  await part.getByRole("button", { name: "Ask whether they answer" }).click();
  await expect(part.getByRole("progressbar", { name: "Addresses asked" })).toBeVisible();
  await expect(part.getByRole("status")).toHaveText("1 of 3 did not show a page.");
  const fault = part.getByRole("listitem");
  await expect(fault).toContainText(at("/gone"));
  await expect(fault).toContainText("Nothing is there any more");
  await fault.getByRole("button", { name: "Rope ferry" }).click();
  await expect(page.getByRole("complementary").getByRole("textbox", { name: "Title", exact: true })).toHaveValue(
    "Rope ferry",
  );
});

test("asking is stopped by whoever began it, and what has answered is kept", async ({ browser }) => {
  const { page } = await newPerson(browser, "Nia", server.url);
  await newTimeline(page, "Bells");
  await withSources(page, ["/a", "/held/stopped", "/b"]);
  const part = page.getByRole("region", { name: "Web addresses" });
  await part.getByRole("button", { name: "Ask whether they answer" }).click();
  await expect(part.getByRole("status")).toHaveText("2 of 3 asked");
  await part.getByRole("button", { name: "Stop" }).click();
  await expect(part.getByRole("status")).toHaveText("All 2 that were asked answer. 1 not asked yet.");
});

test("the server is killed half way through a job: the next one goes on, and asks nobody twice", async ({
  browser,
}) => {
  const { page } = await newPerson(browser, "Nia", server.url);
  await newTimeline(page, "Ferries");
  await withSources(page, ["/first", "/gone/second", "/held/third", "/last"]);
  const part = page.getByRole("region", { name: "Web addresses" });
  await part.getByRole("button", { name: "Ask whether they answer" }).click();
  await expect.poll(() => asked.includes("/held/third")).toBe(true);
  await server.kill();
  await expect(page.getByRole("alert").first()).toContainText("does not answer");
  letGo = [];
  await server.restart();
  await expect.poll(() => letGo.length).toBe(1);
  for (const go of letGo.splice(0)) go();
  await page.reload();
  await page.getByRole("button", { name: "About", exact: true }).click();
  await expect(part.getByRole("status")).toHaveText("1 of 4 did not show a page.");
  const ofThis = asked.filter((path) => ["/first", "/gone/second", "/held/third", "/last"].includes(path));
  expect(ofThis.filter((p) => p !== "/held/third").sort()).toEqual(["/first", "/gone/second", "/last"]);
});
