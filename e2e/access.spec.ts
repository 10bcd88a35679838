import { readdirSync, readFileSync } from "node:fs";
import { join, relative } from "node:path";
import { type APIRequestContext, type APIResponse, expect, request as playwrightRequest, test } from "@playwright/test";
import sharp from "sharp";
import { ACCESS, type Answer } from "./access-table";
import { newEmail, PASSWORD, serverUrl } from "./harness/people";

const APP = join(import.meta.dirname, "..", "src", "app");

/** Every page and every method of every route below src/app. */
function routeTree(folder = APP): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const path = join(folder, entry.name);
    if (entry.isDirectory()) return routeTree(path);
    const route = `/${relative(APP, folder)}`.replace(/^\/$/, "/");
    if (entry.name === "page.tsx") return [`PAGE ${route}`];
    if (entry.name === "route.ts")
      return [
        ...readFileSync(path, "utf8").matchAll(
          /export (?:const|async function|function) (GET|POST|PUT|PATCH|DELETE|HEAD|OPTIONS)\b/g,
        ),
      ].map((m) => `${m[1]} ${route}`);
    return [];
  });
}

test("every route and page stands in the access table, and nothing else does", () => {
  expect(routeTree().sort()).toEqual(Object.keys(ACCESS).sort());
});

async function person(name: string): Promise<APIRequestContext & { id: string }> {
  const context = await playwrightRequest.newContext({ baseURL: serverUrl() });
  const made = await context.post("/api/account", {
    data: { displayName: name, email: newEmail(name), password: PASSWORD },
  });
  return Object.assign(context, { id: ((await made.json()) as { user: { id: string } }).user.id });
}

function answerOf(response: APIResponse): Answer | number {
  const status = response.status();
  if (status === 401 || (status >= 300 && status < 400 && /\/sign-in/.test(response.headers().location ?? "")))
    return "sign in";
  if (status === 404) return "nothing";
  if (status === 403) return "not yours";
  return status < 300 ? "yes" : status;
}

test("each is answered as the table says, to nobody, a stranger, an editor and the owner", async () => {
  const [stranger, editor, owner] = [await person("Stranger"), await person("Editor"), await person("Owner")];
  const nobody = await playwrightRequest.newContext({ baseURL: serverUrl() });
  const json = async <T>(response: APIResponse): Promise<T> => (await response.json()) as T;

  /** A timeline of the owner's with everything a route may name. */
  async function setUp() {
    const { id } = await json<{ id: string }>(
      await owner.post("/api/timelines", { data: { title: "Crossings", subject: "" } }),
    );
    const png = await sharp({ create: { width: 20, height: 20, channels: 3, background: "#0B6E69" } })
      .png()
      .toBuffer();
    const send = async () => {
      const { upload } = await json<{ upload: string }>(
        await owner.post(`/api/timelines/${id}/uploads`, { data: { name: "a.png", size: png.length } }),
      );
      await owner.put(`/api/timelines/${id}/uploads/${upload}/0`, {
        data: png,
        headers: { "Content-Type": "application/octet-stream" },
      });
      return upload;
    };
    const { media } = await json<{ media: { id: string } }>(
      await owner.post(`/api/timelines/${id}/uploads/${await send()}`),
    );
    await owner.post(`/api/timelines/${id}/changes`, {
      data: {
        id: "c1",
        base: 1,
        ops: [
          { kind: "add_item", id: "i1", fields: { of: "timeline", list: "media", media: media.id, kind: "picture" } },
        ],
      },
    });
    const { publication } = await json<{ publication: { address: string } }>(
      await owner.put(`/api/timelines/${id}/publication`, { data: { visibility: "link", fresh: true } }),
    );
    const { token } = await json<{ token: string }>(
      await owner.post(`/api/timelines/${id}/invitation`, { data: { renew: false } }),
    );
    await editor.post(`/api/join/${token}`);
    return { id, media: media.id, address: publication.address, token, upload: await send(), png };
  }

  const wrong: string[] = [];
  for (const [name, row] of Object.entries(ACCESS)) {
    for (const [i, who] of [nobody, stranger, editor, owner].entries()) {
      const actor = ["nobody", "stranger", "editor", "owner"][i]!;
      const s = await setUp();
      const [method, path] = name.split(" ") as [string, string];
      const url = path
        .replace(
          "/api/timelines/[id]/editors/[account]",
          `/api/timelines/${s.id}/editors/${actor === "editor" ? owner.id : editor.id}`,
        )
        .replace("[id]", s.id)
        .replace("[address]", s.address)
        .replace("[token]", s.token)
        .replace("[media]", s.media)
        .replace("[upload]", s.upload)
        .replace("[piece]", "0")
        .replace("[size]", "small");
      if (name === "GET /api/live") {
        // A stream does not end: its head is enough.
        const stop = new AbortController();
        const cookie = (await who.storageState()).cookies.map((c) => `${c.name}=${c.value}`).join("; ");
        const response = await fetch(serverUrl() + url, { headers: { cookie }, signal: stop.signal });
        stop.abort();
        const got = response.status === 401 ? "sign in" : response.ok ? "yes" : response.status;
        if (got !== row[i]) wrong.push(`${name} as ${actor}: ${got}, not ${row[i]}`);
        continue;
      }
      const bodies: Record<string, unknown> = {
        "POST /api/account": { displayName: "New", email: newEmail("new"), password: PASSWORD },
        "POST /api/timelines": { title: "t", subject: "" },
        "PATCH /api/timelines/[id]": { deleted: true },
        "POST /api/timelines/[id]/changes": { id: "c9", base: 0, ops: [{ kind: "add_event", id: "e1", fields: {} }] },
        "POST /api/timelines/[id]/invitation": { renew: false },
        "PUT /api/timelines/[id]/publication": { visibility: "link", fresh: true },
        "POST /api/timelines/[id]/uploads": { name: "b.png", size: 10 },
        "POST /api/timelines/[id]/pictures": { address: `${process.env.E2E_PICTURE_SITE}/ferry.png` },
      };
      let asking: Pick<APIRequestContext, "fetch"> = who;
      const body = bodies[name];
      if (name === "POST /api/session" || name === "DELETE /api/session" || name === "POST /api/account") {
        // These alter who one is: asked with a context of their own.
        asking = await playwrightRequest.newContext({ baseURL: serverUrl() });
      }
      if (name === "POST /api/session") {
        const email = newEmail("session");
        await asking.fetch("/api/account", { method: "POST", data: { displayName: "S", email, password: PASSWORD } });
        bodies[name] = { name: email, password: PASSWORD };
      }
      const response = await asking.fetch(url, {
        method: method === "PAGE" ? "GET" : method,
        maxRedirects: 0,
        ...(name.startsWith("PUT") && path.endsWith("[piece]")
          ? { data: s.png, headers: { "Content-Type": "application/octet-stream" } }
          : (bodies[name] ?? body)
            ? { data: bodies[name] ?? body }
            : {}),
      });
      const got = answerOf(response);
      if (got !== row[i]) wrong.push(`${name} as ${actor}: ${got}, not ${row[i]}`);
    }
  }
  expect(wrong).toEqual([]);
});

test("a request from another site is refused, whatever cookie comes with it", async () => {
  const nia = await person("Nia");
  for (const origin of ["https://elsewhere.example", "null", "http://localhost:1"]) {
    const response = await nia.post("/api/timelines", {
      data: { title: "x", subject: "" },
      headers: { Origin: origin },
    });
    expect([origin, response.status()]).toEqual([origin, 403]);
  }
  expect(
    (
      await nia.post("/api/timelines", { data: { title: "x", subject: "" }, headers: { Origin: serverUrl() } })
    ).status(),
  ).toBe(200);
});

test("what only its editors may see has no back door", async () => {
  const [nia, stranger] = [await person("Nia"), await person("Stranger")];
  const { id } = (await (await nia.post("/api/timelines", { data: { title: "x", subject: "" } })).json()) as {
    id: string;
  };
  const { publication } = (await (
    await nia.put(`/api/timelines/${id}/publication`, { data: { visibility: "only_me", fresh: true } })
  ).json()) as { publication: { address: string } };
  expect((await stranger.get(`/t/${publication.address}`)).status()).toBe(404);
  expect((await nia.get(`/t/${publication.address}`)).status()).toBe(200);
});
