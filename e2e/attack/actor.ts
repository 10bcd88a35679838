import { Agent, request as httpRequest } from "node:http";
import { connect } from "node:net";
import { gunzipSync } from "node:zlib";
import { nanoid } from "nanoid";
import type { Sql } from "postgres";
import type { Op } from "../../src/core/change/change";
import type { Snapshot } from "../../src/core/formats/snapshot";
import { readWhen } from "../../src/core/time/read/read-when";

export const PASSWORD = "over-the-ambrel";
let number = 0;

export interface Reply {
  status: number;
  headers: Headers;
  text: string;
  bytes: Uint8Array;
  /** Null where the answer is no JSON. */
  json: Record<string, unknown> & { failed?: string; sentence?: string };
}

/**
 * Asks, and once more where the connection had been closed for being idle: an attacker who computes for a minute finds it so. A
 * server that is gone is gone the second time too.
 */
async function fetchAgain(address: string, how: RequestInit): Promise<Response> {
  try {
    return await fetch(address, how);
  } catch (error) {
    const code = ((error as Error).cause as { code?: string } | undefined)?.code;
    if (code !== "UND_ERR_SOCKET") throw error;
    return fetch(address, how);
  }
}

/** Somebody at the server, with cookies of their own and nothing a browser would forbid. */
export class Actor {
  readonly url: string;
  id = "";
  email = "";
  private readonly cookies = new Map<string, string>();

  constructor(url: string) {
    this.url = url;
  }

  get cookie(): string {
    return [...this.cookies].map(([k, v]) => `${k}=${v}`).join("; ");
  }

  /** As the same person at another machine: without what the browser knows. */
  forgetAll(): void {
    this.cookies.clear();
  }

  async ask(method: string, path: string, body?: unknown, headers: Record<string, string> = {}): Promise<Reply> {
    const raw = body instanceof Uint8Array || typeof body === "string";
    const response = await fetchAgain(this.url + path, {
      method,
      redirect: "manual",
      headers: {
        cookie: this.cookie,
        // Packing and unpacking is not what is asked about.
        "Accept-Encoding": "identity",
        ...(body === undefined || raw ? {} : { "Content-Type": "application/json" }),
        ...headers,
      },
      ...(body === undefined ? {} : { body: raw ? (body as string) : JSON.stringify(body) }),
    });
    for (const line of response.headers.getSetCookie()) {
      const [name, value] = line.split(";")[0]!.split("=") as [string, string];
      if (value) this.cookies.set(name, value);
      else this.cookies.delete(name);
    }
    const bytes = new Uint8Array(await response.arrayBuffer());
    const text = Buffer.from(bytes).toString();
    let json: Reply["json"] = {};
    try {
      // Else a page, a file or a packed timeline.
      if (/^\s*[[{]/.test(text)) json = JSON.parse(text) as Reply["json"];
    } catch {
      // Began like it.
    }
    return { status: response.status, headers: response.headers, text, bytes, json };
  }

  async must<T>(method: string, path: string, body?: unknown): Promise<T> {
    const reply = await this.ask(method, path, body);
    if (reply.status >= 400) throw new Error(`${method} ${path}: ${reply.status} ${reply.text.slice(0, 300)}`);
    return reply.json as T;
  }

  async timeline(title = "Crossings"): Promise<string> {
    return (await this.must<{ id: string }>("POST", "/api/timelines", { title, subject: "" })).id;
  }

  change(timeline: string, ops: readonly (Op | object)[]): Promise<Reply> {
    return this.ask("POST", `/api/timelines/${timeline}/changes`, { id: nanoid(), base: 0, known: 2_147_483_647, ops });
  }

  async snapshot(timeline: string): Promise<Snapshot> {
    const reply = await this.ask("GET", `/api/timelines/${timeline}`);
    if (reply.status !== 200) throw new Error(`the timeline answered ${reply.status}`);
    return JSON.parse(gunzipSync(reply.bytes).toString()) as Snapshot;
  }

  /** Sends a file in pieces; gives the upload. */
  async send(timeline: string, bytes: Uint8Array): Promise<string> {
    const begun = await this.must<{ upload: string; piece: number }>("POST", `/api/timelines/${timeline}/uploads`, {
      name: "file",
      size: bytes.length,
    });
    for (let n = 0; n * begun.piece < bytes.length; n++)
      await this.must(
        "PUT",
        `/api/timelines/${timeline}/uploads/${begun.upload}/${n}`,
        bytes.subarray(n * begun.piece, (n + 1) * begun.piece),
      );
    return begun.upload;
  }
}

export async function signUp(url: string, name: string): Promise<Actor> {
  const actor = new Actor(url);
  actor.email = `${name.toLowerCase()}-${process.pid}-${Date.now()}-${number++}@hollinbank.example`;
  const made = await actor.must<{ user: { id: string } }>("POST", "/api/account", {
    displayName: name,
    email: actor.email,
    password: PASSWORD,
  });
  actor.id = made.user.id;
  return actor;
}

export interface School {
  teacher: Actor;
  klass: string;
  code: string;
  assignment: string;
  /** Joined by the code, without e-mail. */
  pupil(name: string): Promise<Actor & { signInName: string }>;
}

/** An assignment with one given event, whose right date is 14 November 1872. */
export function assignmentBody(klass: string) {
  return {
    class: klass,
    title: "Crossing project",
    instructions: "",
    period: readWhen(""),
    requirements: [{ kind: "events", count: 2 }],
    given: [{ title: "The flood", when: readWhen("14 Nov 1872"), locked: false }],
    total: 20,
    dueAt: new Date(Date.now() + 86_400_000).toISOString(),
  };
}

/** A class with an assignment that has one given event, whose right date is 14 November 1872. */
export async function school(url: string): Promise<School> {
  const teacher = await signUp(url, "Ward");
  const { id: klass } = await teacher.must<{ id: string }>("POST", "/api/classes", { name: "History 8B" });
  const page = (await teacher.ask("GET", `/classes/${klass}`)).text;
  const code = page.match(/data-testid="join-code">([A-Z0-9]+)</)![1]!;
  const { id: assignment } = await teacher.must<{ id: string }>("POST", "/api/assignments", assignmentBody(klass));
  const pupil = async (name: string) => {
    const actor = new Actor(url);
    const made = await actor.must<{ user: { id: string }; signInName: string }>("POST", "/api/classes/join", {
      code,
      displayName: name,
      password: PASSWORD,
    });
    actor.id = made.user.id;
    return Object.assign(actor, { signInName: made.signInName });
  };
  return { teacher, klass, code, assignment, pupil };
}

const staying = new Agent({ keepAlive: true });

/** Asks for a path just as it is written, with an empty object for a body; gives the status, 0 where there is none. */
export function asIs(url: string, method: string, path: string, cookie: string): Promise<number> {
  const { hostname, port } = new URL(url);
  const once = (again: boolean) =>
    new Promise<number>((resolve) => {
      const headers = { cookie, "Content-Type": "application/json", "Content-Length": 2 };
      const request = httpRequest({ hostname, port, method, path, headers, agent: staying, timeout: 15_000 });
      request.on("response", (response) => {
        response.resume();
        response.on("close", () => resolve(response.statusCode ?? 0));
      });
      request.on("timeout", () => request.destroy());
      // A connection that was closed meanwhile says nothing of the question.
      request.on("error", () => (again && request.reusedSocket ? once(false).then(resolve) : resolve(0)));
      request.end("{}");
    });
  return once(true);
}

/** Sends raw lines to the server, and gives the first of the answer; for what no client would send. */
export function raw(url: string, lines: string): Promise<string> {
  const { hostname, port } = new URL(url);
  return new Promise((resolve) => {
    let answer = "";
    const socket = connect(Number(port), hostname === "localhost" ? "127.0.0.1" : hostname, () => socket.write(lines));
    socket.setTimeout(15_000, () => socket.destroy());
    socket.on("data", (d) => {
      answer += d.toString();
      if (answer.includes("\r\n\r\n")) socket.end();
    });
    socket.on("error", () => {});
    socket.on("close", () => resolve(answer));
  });
}

/**
 * Streams a body without a length until it has sent `most` bytes or is cut off. Gives how much went out, and the status
 * (0: cut off without one).
 */
export function flood(
  url: string,
  path: string,
  most: number,
  headers: Record<string, string> = {},
): Promise<{ sent: number; status: number }> {
  const { hostname, port } = new URL(url);
  return new Promise((resolve) => {
    let sent = 0;
    let status = 0;
    let over = false;
    const part = Buffer.alloc(1_048_576, 0x20);
    const request = httpRequest(
      {
        hostname: hostname === "localhost" ? "127.0.0.1" : hostname,
        port,
        path,
        method: path.includes("/uploads/") ? "PUT" : "POST",
        headers: { "Content-Type": "application/json", ...headers },
      },
      (response) => {
        status = response.statusCode ?? 0;
        response.resume();
        end();
      },
    );
    const end = () => {
      if (over) return;
      over = true;
      request.destroy();
      resolve({ sent, status });
    };
    request.on("error", end);
    request.on("close", end);
    request.setTimeout(20_000, end);
    const more = () => {
      while (!over && sent < most) {
        sent += part.length;
        if (!request.write(part)) return request.once("drain", more);
      }
      if (!over) request.end();
    };
    more();
  });
}

/** Asks for a small answer over and over while something else is done; gives the longest anybody had to wait, ms. */
export async function waitOfOthers<T>(url: string, during: () => Promise<T>): Promise<{ longest: number; result: T }> {
  let longest = 0;
  let over = false;
  const asking = (async () => {
    while (!over) {
      const begun = performance.now();
      await fetch(`${url}/api/health`).then((r) => r.text());
      longest = Math.max(longest, performance.now() - begun);
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
  })();
  const result = await during().finally(() => {
    over = true;
  });
  await asking;
  return { longest: Math.round(longest), result };
}

/** Events straight into the database, as an older version may have left them. */
export async function seedEvents(
  sql: Sql,
  timeline: string,
  count: number,
  partOf: (i: number) => string | null = () => null,
): Promise<void> {
  const rows = Array.from({ length: count }, (_, i) => ({
    timeline_id: timeline,
    id: `s${i}`,
    title: `Event number ${i}`,
    short_title: "",
    when: sql.json(
      readWhen(
        partOf(i) || partOf(1) ? `${1000 + (i % 900)} - 1950` : `${1 + (i % 28)} Mar ${1200 + (i % 700)}`,
      ) as never,
    ),
    category: null,
    part_of: partOf(i),
    emphasis: false,
    by_hand: "",
  }));
  for (let i = 0; i < rows.length; i += 2_000) await sql`insert into event ${sql(rows.slice(i, i + 2_000) as never)}`;
  // What was worked out before does not know of them.
  await sql`delete from thumbnail where timeline_id = ${timeline}`;
  await sql`delete from check_result where timeline_id = ${timeline}`;
}
