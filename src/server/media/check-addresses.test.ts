import { createServer, type Server } from "node:http";
import type { AddressInfo } from "node:net";
import { afterAll, afterEach, beforeAll, describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { withTestDatabase } from "../testing/test-database";
import { askAddress, checkAddresses } from "./check-addresses";

withTestDatabase("addresses");

/** A small site: each path answers with the status it names; /to/... leads on. */
let site: Server;
let host = "";
const asked: { path: string; at: number }[] = [];
beforeAll(async () => {
  site = createServer((request, response) => {
    const path = request.url ?? "";
    asked.push({ path, at: performance.now() });
    if (path.startsWith("/to/")) response.writeHead(302, { Location: path.slice(3) }).end();
    else if (path === "/inside") response.writeHead(302, { Location: "http://127.0.0.1:1/x" }).end();
    else if (path === "/held")
      return; // never answers
    else if (path === "/round") response.writeHead(302, { Location: "/round" }).end();
    else if (path === "/broken") request.socket.destroy();
    else response.writeHead(Number(path.slice(1)) || 200).end("x".repeat(100_000));
  });
  await new Promise<void>((resolve) => site.listen(0, "127.0.0.1", resolve));
  host = `127.0.0.1:${(site.address() as AddressInfo).port}`;
  process.env.PRIVATE_PICTURE_HOSTS = host;
});
afterAll(() => {
  delete process.env.PRIVATE_PICTURE_HOSTS;
  site.closeAllConnections();
  site.close();
});
afterEach(() => asked.splice(0));
const at = (path: string) => `http://${host}${path}`;
const quiet = { signal: new AbortController().signal, since: new Date(Date.now() + 60_000), pauseMs: 0 };

describe("an address that is asked", () => {
  it.each([
    ["/200", "answers", 200],
    ["/to/200", "answers", 200],
    ["/404", "gone", 404],
    ["/410", "gone", 410],
    ["/403", "refuses", 403],
    ["/500", "refuses", 500],
    ["/round", "refuses", null],
    ["/broken", "silent", null],
    ["/to/404", "gone", 404],
  ])("%s: %s", async (path, state, status) => expect(await askAddress(at(path))).toEqual({ state, status }));

  it("in a private network is not asked, also where another leads there", async () => {
    expect(await askAddress("http://10.1.2.3/")).toEqual({ state: "private", status: null });
    expect(await askAddress(at("/inside"))).toEqual({ state: "private", status: null });
  });
});

describe("many addresses", () => {
  it("are each stored when they answer, and how many is told", async () => {
    const reports: [number, number][] = [];
    const addresses = ["/200", "/404", "/500"].map(at);
    await checkAddresses(addresses, { ...quiet, report: async (...r) => void reports.push(r) });
    expect(reports).toEqual([
      [0, 3],
      [1, 3],
      [2, 3],
      [3, 3],
    ]);
    const rows = await db()`select state from address_check where address = any(${addresses}) order by address`;
    expect(rows.map((r) => r.state)).toEqual(["answers", "gone", "refuses"]);
  });

  it("of one host are asked one after another, with a pause between", async () => {
    const pauseMs = 120;
    await checkAddresses([at("/200"), at("/201"), at("/202")], { ...quiet, pauseMs, report: async () => {} });
    expect(asked.map((a) => a.path)).toEqual(["/200", "/201", "/202"]);
    for (const [n, a] of asked.entries()) if (n > 0) expect(a.at - asked[n - 1]!.at).toBeGreaterThan(pauseMs * 0.9);
  });

  it("that were asked since it was begun are left alone, so that a second start asks the rest", async () => {
    const since = new Date(Date.now() - 1_000);
    await checkAddresses([at("/203"), at("/204")], { ...quiet, since, report: async () => {} });
    const reports: number[] = [];
    await checkAddresses([at("/203"), at("/204"), at("/205")], {
      ...quiet,
      since,
      report: async (done) => void reports.push(done),
    });
    expect(asked.map((a) => a.path)).toEqual(["/203", "/204", "/205"]);
    expect(reports).toEqual([2, 3]);
  });

  it("end at once when it is stopped while one does not answer; that one counts as not asked", async () => {
    const stop = new AbortController();
    const done = checkAddresses([at("/held")], { ...quiet, signal: stop.signal, report: async () => {} });
    await expect.poll(() => asked.length).toBe(1);
    stop.abort();
    await done;
    expect(await db()`select from address_check where address = ${at("/held")}`).toHaveLength(0);
  });

  it("end when it is stopped; what answered stays", async () => {
    const stop = new AbortController();
    await checkAddresses([at("/206"), at("/207"), at("/208")], {
      ...quiet,
      pauseMs: 60_000,
      signal: stop.signal,
      report: async (done) => {
        if (done === 1) stop.abort();
      },
    });
    expect(asked.map((a) => a.path)).toEqual(["/206"]);
    const rows = await db()`select address from address_check where address = ${at("/206")}`;
    expect(rows).toHaveLength(1);
  });
});
