import { gzipSync } from "node:zlib";
import { afterEach, describe, expect, it, vi } from "vitest";
import { askPacked, askServer } from "./ask-server";

const asked: RequestInit[] = [];
const answering = (answer: () => Response | Promise<Response>) =>
  vi.stubGlobal("fetch", async (_path: string, init: RequestInit) => {
    asked.push(init);
    return answer();
  });
afterEach(() => {
  vi.unstubAllGlobals();
  asked.length = 0;
});
const silent = { ok: false, failed: "no_answer", sentence: expect.stringMatching(/does not answer/) };

describe("what a route is asked", () => {
  it("goes as JSON without what no database keeps, or as the bytes themselves", async () => {
    answering(() => Response.json({ done: true }));
    expect(await askServer("PUT", "/api/x", { title: "Fl\u0000ood\u0007" })).toEqual({
      ok: true,
      value: { done: true },
    });
    expect(asked[0]).toMatchObject({
      method: "PUT",
      body: '{"title":"Flood"}',
      headers: { "Content-Type": "application/json" },
      cache: "no-store",
    });
    expect(asked[0]!.signal).toBeInstanceOf(AbortSignal);
    const bytes = new Blob(["abc"]);
    await askServer("PUT", "/api/x/0", bytes);
    expect([asked[1]!.body, asked[1]!.signal, asked[1]!.headers]).toEqual([bytes, undefined, undefined]);
    await askServer("GET", "/api/x");
    expect(asked[2]!.body).toBeUndefined();
  });
});

describe("what a route answers", () => {
  it("is its value, or a failure of ours with its sentence", async () => {
    answering(() => Response.json({ failed: "teacher_only", sentence: "Only its teacher may." }, { status: 403 }));
    expect(await askServer("POST", "/api/x")).toEqual({
      ok: false,
      failed: "teacher_only",
      sentence: "Only its teacher may.",
      status: 403,
    });
  });

  it.each([
    ["a page of a proxy", () => new Response("<html>", { status: 403 }), 403],
    ["a page of a proxy that says all is well", () => new Response("<html>Sign in to the café", { status: 200 }), 200],
    ["nothing here, said by something in between", () => new Response("", { status: 404 }), 503],
    ["JSON that is not ours", () => Response.json({ error: "no" }, { status: 500 }), 500],
    ["null", () => Response.json(null), 200],
    ["no network", () => Promise.reject(new TypeError("Failed to fetch")), 0],
    ["an answer that breaks off", () => new Response(brokenStream(), { status: 200 }), 200],
  ] as const)("is no answer where it is %s", async (_, answer, status) => {
    answering(answer);
    expect(await askServer("GET", "/api/x")).toEqual({ ...silent, status });
  });
});

function brokenStream(): ReadableStream<Uint8Array> {
  return new ReadableStream({
    start: (c) => {
      c.enqueue(new TextEncoder().encode('{"done":'));
      c.error(new Error("cut"));
    },
  });
}

describe("what comes packed", () => {
  it("is unpacked; what is no gzip, or is cut off, is no answer", async () => {
    const packed = gzipSync(JSON.stringify({ events: [1, 2, 3] }));
    answering(() => new Response(packed));
    expect(await askPacked("/api/x")).toEqual({ ok: true, value: { events: [1, 2, 3] } });
    for (const bytes of [packed.subarray(0, 12), new TextEncoder().encode("<html>"), new Uint8Array(0)]) {
      answering(() => new Response(bytes));
      expect(await askPacked("/api/x")).toEqual({ ...silent, status: 0 });
    }
    answering(() => Response.json({ failed: "not_found", sentence: "There is nothing here." }, { status: 404 }));
    expect(await askPacked("/api/x")).toMatchObject({ failed: "not_found", status: 404 });
    answering(() => new Response("<html>", { status: 502 }));
    expect(await askPacked("/api/x")).toEqual({ ...silent, status: 502 });
  });
});
