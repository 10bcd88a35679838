import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { describe, expect, it } from "vitest";
import { watch } from "./watch.mjs";

const node = (code: string): [string, string[], object] => [process.execPath, ["-e", code], { stdio: "ignore" }];

describe("the watcher", () => {
  it("starts a process again when it ends, and gives it up with a last word when it never lives", async () => {
    let begun = 0;
    const last = await new Promise<string>((resolve) => {
      watch({
        address: "http://127.0.0.1:1/",
        begin: () => {
          begun++;
          return node("process.exit(7)");
        },
        onLast: resolve,
        firstPauseMs: 1,
      });
    });
    expect(begun).toBe(6);
    expect(last).toMatch(/ended with status 7, the 6th time in a row, and is not started again.*npm start$/);
  });

  it("starts it again after a kill, and ends it for good when it is told to", async () => {
    const pids: number[] = [];
    const watched = watch({
      address: "http://127.0.0.1:1/",
      begin: () => node("setInterval(() => {}, 1000)"),
      onLast: (sentence) => {
        throw new Error(sentence);
      },
      firstPauseMs: 1,
    });
    const next = async () => {
      while (watched.child?.pid === undefined || pids.includes(watched.child.pid))
        await new Promise((r) => setImmediate(r));
      pids.push(watched.child.pid);
    };
    await next();
    process.kill(pids[0]!, "SIGKILL");
    await next();
    await new Promise<void>((resolve) => watched.stop("SIGTERM", resolve));
    expect(watched.child?.pid).toBeUndefined();
    expect(new Set(pids).size).toBe(2);
  });

  it("kills what hangs and starts it again", async () => {
    // Answers nobody.
    const silent = createServer(() => {});
    await new Promise<void>((resolve) => silent.listen(0, "127.0.0.1", resolve));
    let begun = 0;
    await new Promise<void>((resolve) => {
      const watched = watch({
        address: `http://127.0.0.1:${(silent.address() as AddressInfo).port}/`,
        begin: () => {
          if (++begun === 2) queueMicrotask(() => watched.stop("SIGKILL", resolve));
          return node("setInterval(() => {}, 1000)");
        },
        onLast: () => {},
        firstPauseMs: 1,
        lookMs: 20,
        patienceMs: 30,
      });
    });
    expect(begun).toBe(2);
    silent.closeAllConnections();
    silent.close();
  });
});
