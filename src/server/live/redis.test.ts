import { type ChildProcess, spawn, spawnSync } from "node:child_process";
import { once } from "node:events";
import { createServer } from "node:net";
import type { AddressInfo } from "node:net";
import { afterAll, afterEach, beforeAll, describe, expect, it, vi } from "vitest";
import { db } from "../db/pool";
import { withTestDatabase } from "../testing/test-database";
import { isHere } from "./notify";
import { endRedis, listenToRedis, tellByRedis } from "./redis";

withTestDatabase("redis");

let port = 0;
let server: ChildProcess | null = null;

/** Debian's redis-server, on loopback, keeping nothing. */
async function start(): Promise<void> {
  server = spawn(
    "redis-server",
    ["--port", String(port), "--bind", "127.0.0.1", "--save", "", "--appendonly", "no", "--daemonize", "no"],
    { stdio: ["ignore", "pipe", "ignore"] },
  );
  for await (const line of server.stdout!) if (String(line).includes("Ready to accept connections")) return;
  throw new Error("redis-server has not begun.");
}
async function stop(): Promise<void> {
  if (!server) return;
  const gone = once(server, "exit");
  server.kill("SIGKILL");
  await gone;
  server = null;
}

beforeAll(async () => {
  if (!isThere) return;
  const probe = createServer().listen(0, "127.0.0.1");
  await once(probe, "listening");
  port = (probe.address() as AddressInfo).port;
  probe.close();
  await start();
  process.env.REDIS_URL = `redis://127.0.0.1:${port}`;
  vi.spyOn(console, "error").mockImplementation(() => {});
});
const ears: { end: () => void }[] = [];
afterEach(() => {
  for (const e of ears.splice(0)) e.end();
});
afterAll(async () => {
  endRedis();
  delete process.env.REDIS_URL;
  await stop();
});

/** What a process hears, one after the other. */
function listener() {
  const heard: string[] = [];
  let wake = () => {};
  const redis = listenToRedis((payload) => {
    heard.push(payload);
    wake();
  })!;
  ears.push(redis);
  const until = async (fits: (all: string[]) => boolean) => {
    while (!fits(heard))
      await new Promise<void>((resolve) => {
        wake = resolve;
      });
  };
  return { heard, until };
}
/** Tells the same again until it is heard: a connection takes its time. */
async function telling(payload: string, heard: string[]): Promise<void> {
  while (!heard.includes(payload)) {
    await tellByRedis(payload);
    await new Promise((resolve) => setImmediate(resolve));
  }
}

/** `npm test` installs it where it can. */
const isThere = spawnSync("redis-server", ["--version"]).status === 0;

describe.skipIf(!isThere)("who is where, by Redis", () => {
  it("goes to every process that listens, each payload as it was", async () => {
    const [one, other] = [listener(), listener()];
    await Promise.all([telling("begin", one.heard), telling("begin", other.heard)]);
    const from = one.heard.length;
    const payload = JSON.stringify({ kind: "here", timeline: "t", name: "Nía – 日本" });
    expect(await tellByRedis(payload)).toBe(true);
    await Promise.all([one.until((all) => all.includes(payload)), other.until((all) => all.includes(payload))]);
    expect(one.heard.slice(from).filter((p) => p !== "begin")).toEqual([payload]);
  });

  it("goes by Redis and not by the database, which hears nothing of it", async () => {
    const one = listener();
    await telling("begin", one.heard);
    const byDatabase: string[] = [];
    const { unlisten } = await db().listen("fastigo", (p) => byDatabase.push(p));
    await isHere("t1", { tab: "a", n: 0, account: "nia", name: "Nia", where: null });
    await one.until((all) => all.some((p) => p.includes('"timeline":"t1"')));
    // What comes after it by the database has come, and nothing before.
    const after = new Promise<void>((resolve) => {
      void db().listen("after", () => resolve());
    });
    await db()`select pg_notify('after', '')`;
    await after;
    expect(byDatabase).toEqual([]);
    await unlisten();
  });

  it("goes by the database while Redis is away, and by Redis again once it is back", async () => {
    const one = listener();
    await telling("begin", one.heard);
    const byDatabase: string[] = [];
    let woken = () => {};
    const { unlisten } = await db().listen("fastigo", (p) => {
      byDatabase.push(p);
      woken();
    });
    await stop();
    // Until the connection has noticed, what is told is lost, as presence may be: it is said again.
    while (byDatabase.length === 0) {
      await isHere("t2", { tab: "a", n: 0, account: "nia", name: "Nia", where: null });
      await Promise.race([
        new Promise<void>((resolve) => {
          woken = resolve;
        }),
        new Promise((resolve) => setImmediate(resolve)),
      ]);
    }
    expect(byDatabase[0]).toContain('"timeline":"t2"');
    await unlisten();
    await start();
    await telling("back", one.heard);
    expect(one.heard).toContain("back");
  });

  it("is not set: nothing is told by it, and nothing listens", async () => {
    const set = process.env.REDIS_URL;
    delete process.env.REDIS_URL;
    expect([await tellByRedis("x"), listenToRedis(() => {})]).toEqual([false, null]);
    process.env.REDIS_URL = set;
  });
});
