import { afterEach, describe, expect, it, vi } from "vitest";
import { openSession } from "../accounts/sessions";
import { db } from "../db/pool";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { fail, Refused } from "./failure";
import { memberRoute, openRoute } from "./route";
import { shape } from "./shape";

withTestDatabase("route");
afterEach(() => {
  delete process.env.PUBLIC_URL;
  vi.restoreAllMocks();
});

const ADDRESS = "http://fastigo.example/api/x";
const readWord = shape<{ word: string }>({
  type: "object",
  properties: { word: { type: "string", maxLength: 20 } },
  required: ["word"],
  additionalProperties: false,
});

type Route = ReturnType<typeof openRoute>;
async function ask(route: Route, init: RequestInit & { at?: string; params?: Record<string, string> } = {}) {
  const { at = ADDRESS, params, ...rest } = init;
  const request = new Request(at, { ...rest, headers: { host: "fastigo.example", ...rest.headers } });
  const response = await route(request, { params: Promise.resolve(params) });
  const text = await response.text();
  return { status: response.status, text, json: text.startsWith("{") ? JSON.parse(text) : null, response };
}
async function cookieOf(person: { id: string }): Promise<string> {
  const { cookies } = await openSession(db(), person.id);
  return cookies.map((c) => c.split(";")[0]).join("; ");
}
const post = (body: string, headers: Record<string, string> = {}) => ({ method: "POST", body, headers });
const echo = openRoute({ body: readWord }, async ({ body }) => ({ said: body.word }));

describe("a route", () => {
  it("gives what it read, and is kept by nobody on the way", async () => {
    const { status, json, response } = await ask(echo, post('{"word":"ferry"}'));
    expect([status, json]).toEqual([200, { said: "ferry" }]);
    expect(response.headers.get("cache-control")).toBe("no-store");
  });

  it.each<[string, string, number, string]>([
    ["no JSON at all", "word", 400, "bad_json"],
    ["a body that broke off", '{"word":', 400, "bad_json"],
    ["another shape", '{"word":1}', 400, "invalid"],
    ["a field too many", '{"word":"a","admin":true}', 400, "invalid"],
    ["a text too long", JSON.stringify({ word: "a".repeat(21) }), 400, "invalid"],
    ["control characters", '{"word":"a\\u0000b"}', 400, "bad_characters"],
    ["more than fits", JSON.stringify({ word: "a".repeat(300_000) }), 413, "too_large"],
  ])("refuses %s with a sentence", async (_, body, status, failed) => {
    const answer = await ask(echo, post(body));
    expect([answer.status, answer.json.failed]).toEqual([status, failed]);
    expect(answer.json.sentence).toMatch(/^[A-Z][^.]+[.:]/);
  });

  it.each<[string, Record<string, string>, number]>([
    ["its own page", { origin: "http://fastigo.example" }, 200],
    ["no browser", {}, 200],
    ["another site", { origin: "http://elsewhere.example" }, 403],
    ["a site that hides itself", { origin: "null" }, 403],
    ["another site's form", { "sec-fetch-site": "cross-site" }, 403],
  ])("asked to alter something by %s", async (_, headers, status) => {
    expect((await ask(echo, post('{"word":"a"}', headers))).status).toBe(status);
  });

  it("behind a public address takes changes from that one only", async () => {
    process.env.PUBLIC_URL = "https://timelines.school.example";
    expect((await ask(echo, post('{"word":"a"}', { origin: "https://timelines.school.example" }))).status).toBe(200);
    expect((await ask(echo, post('{"word":"a"}', { origin: "http://fastigo.example" }))).status).toBe(403);
  });

  it("refuses addresses that no address of Fastigo is", async () => {
    const plain = openRoute({}, async () => ({ ok: true }));
    expect((await ask(plain, { at: `${ADDRESS}?q=${"a".repeat(201)}` })).json.failed).toBe("bad_address");
    expect((await ask(plain, { at: `${ADDRESS}?q=%00` })).json.failed).toBe("bad_address");
    expect((await ask(plain, { params: { id: "a\u0007" } })).json.failed).toBe("bad_address");
    expect((await ask(plain, { params: { id: "abc" } })).status).toBe(200);
  });

  it("for members knows who asks, and turns everybody else away before it looks at what they sent", async () => {
    const seen: string[] = [];
    const route = memberRoute({ body: readWord }, async ({ user }) => {
      seen.push(user.id);
      return { ok: true };
    });
    expect((await ask(route, post("no JSON"))).json.failed).toBe("sign_in_first");
    expect((await ask(route, post('{"word":"a"}', { cookie: "session=forged" }))).status).toBe(401);
    const nia = await makePerson();
    const cookie = await cookieOf(nia);
    expect((await ask(route, post('{"word":"a"}', { cookie }))).status).toBe(200);
    expect(seen).toEqual([nia.id]);
  });

  it("answers what a deed refuses, thrown or given, with its own status", async () => {
    const given = openRoute({}, async () => fail("owner_only"));
    const thrown = openRoute({}, async () => {
      throw new Refused(fail("not_found"));
    });
    expect((await ask(given)).status).toBe(403);
    expect((await ask(thrown)).json.failed).toBe("not_found");
  });

  it.each<[string, string | undefined, number, string]>([
    ["a fault of ours", undefined, 500, "broken"],
    ["a database that is away", "ECONNREFUSED", 503, "no_database"],
    ["a database that is shutting down", "57P01", 503, "no_database"],
    ["too many connections", "53300", 503, "no_database"],
    ["a full disk", "53100", 507, "disk_full"],
  ])("says what %s is to the one who asked, and no more", async (_, code, status, failed) => {
    vi.spyOn(console, "error").mockImplementation(() => {});
    const route = openRoute({}, async () => {
      throw Object.assign(new Error("password=secret"), { code });
    });
    const answer = await ask(route);
    expect([answer.status, answer.json.failed]).toEqual([status, failed]);
    expect(answer.text).not.toContain("secret");
  });

  it("that answers with pages answers failures with a page, and asks browsers to come back when it is busy", async () => {
    const page = openRoute({ page: true }, async () => fail("busy"));
    const { status, text, response } = await ask(page);
    expect(status).toBe(503);
    expect(response.headers.get("content-type")).toContain("text/html");
    expect(response.headers.get("retry-after")).toBe("10");
    expect(text).toContain("<h1>This page cannot be shown just now</h1>");
  });

  it("passes on a response that is made already", async () => {
    const route = openRoute({}, async () => new Response("plain", { status: 202 }));
    expect([(await ask(route)).status, (await ask(route)).text]).toEqual([202, "plain"]);
  });
});
