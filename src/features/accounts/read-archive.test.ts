import { createHash } from "node:crypto";
import fc from "fast-check";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import { apply } from "@/core/change/apply";
import type { Op } from "@/core/change/change";
import { ARCHIVE_FORMAT, ARCHIVE_NAME, type ArchiveFile, type ArchiveIndex } from "@/core/formats/archive";
import { CLASS_FORMAT } from "@/core/formats/class-archive";
import { type Frozen, toFrozen } from "@/core/formats/frozen";
import { type ZipEntry, zipStream } from "@/core/formats/zip-stream";
import { anyTimeline } from "@/core/testing/any-timeline";
import { canonicalJson } from "@/core/text/canonical-json";
import { readWhen } from "@/core/time/read/read-when";
import { emptyEvent, emptyItem, emptyTimeline, type Timeline } from "@/core/timeline/timeline";
import { bringBack } from "./read-archive";

type Answer = { status?: number; body: unknown };
const refused = (sentence: string, status = 400): Answer => ({ status, body: { failed: "refused", sentence } });

/** The routes that bringing back asks, over timelines that take changes as the core does. */
class Server {
  timelines = new Map<string, Timeline>();
  deleted = new Set<string>();
  media = new Map<string, string>();
  classes: { class: unknown; works: unknown; own: unknown }[] = [];
  /** Answers in place of those of the routes. */
  instead: (method: string, path: string) => Answer | null = () => null;
  private n = 0;

  readonly fetch = async (path: string, init: RequestInit): Promise<Response> => {
    const method = init.method!;
    const said = this.instead(method, path) ?? (await this.answer(method, path, init.body));
    return Response.json(said.body, { status: said.status ?? 200 });
  };

  private async answer(method: string, path: string, raw: unknown): Promise<Answer> {
    const [, , , id = "", what, upload, piece] = path.split("/");
    const body = typeof raw === "string" ? JSON.parse(raw) : raw;
    if (path === "/api/timelines") {
      const made = `t${this.n++}`;
      this.timelines.set(made, emptyTimeline(made));
      return { body: { id: made } };
    }
    if (path === "/api/classes/from-archive") {
      this.classes.push(body);
      return { body: { id: `class${this.classes.length}` } };
    }
    if (method === "PATCH") {
      this.deleted.add(id);
      return { body: { done: true } };
    }
    if (what === "changes" || what === "history") {
      const changes: { ops: Op[] }[] = what === "changes" ? [body] : body.changes;
      for (const { ops } of changes) this.timelines.set(id, apply(this.timelines.get(id)!, ops).timeline);
      return { body: { seq: 1, changes: [] } };
    }
    if (what === "uploads" && !upload) return { body: { upload: `${body.name}`, piece: 1_000, left: 1, of: 1 } };
    if (piece !== undefined) {
      this.media.set(upload!, `${this.media.get(upload!) ?? ""}${await (raw as Blob).text()}`);
      return { body: {} };
    }
    return { body: { media: { id: `new-${upload}`, kind: "picture", name: upload, width: 4, height: 3 } } };
  }

  /** What stands there, but for what was taken away again. */
  left(): Timeline[] {
    return [...this.timelines].filter(([id]) => !this.deleted.has(id)).map(([, t]) => t);
  }
}

let server: Server;
beforeEach(() => {
  server = new Server();
  vi.stubGlobal("fetch", (path: string, init: RequestInit) => server.fetch(path, init));
  vi.stubGlobal("navigator", { onLine: true });
});
afterEach(() => vi.unstubAllGlobals());

const sha = (text: string) => createHash("sha256").update(text).digest("hex");
const fileOf = (path: string, text: string, name?: string): ArchiveFile => ({
  path,
  size: Buffer.byteLength(text),
  sha256: sha(text),
  ...(name ? { name } : {}),
});
const head = (timelines: number, more: object = {}): ZipEntry => [
  "archive.json",
  JSON.stringify({ fastigo: ARCHIVE_NAME, format: ARCHIVE_FORMAT, timelines, ...more }),
];
/** A part of an archive: its index, then its files. */
function part(
  folder: string,
  { id, role, title }: Omit<ArchiveIndex, "files">,
  files: [name: string, text: string, called?: string][],
): ZipEntry[] {
  const index = { id, role, title, files: files.map(([n, text, called]) => fileOf(`${folder}/${n}`, text, called)) };
  return [
    [`${folder}/index.json`, JSON.stringify(index)],
    ...files.map(([n, text]): ZipEntry => [`${folder}/${n}`, text]),
  ];
}
const timelinePart = (n: number, t: Timeline, files: [string, string, string?][] = []) =>
  part(`timelines/${n}`, { id: t.id, role: "owner", title: t.title }, [
    ["timeline.json", canonicalJson(toFrozen(t, true))],
    ...files,
  ]);
async function zip(...entries: ZipEntry[]): Promise<File> {
  const bytes: Uint8Array[] = [];
  for await (const chunk of zipStream(entries)) bytes.push(chunk);
  return new File(bytes as BlobPart[], "everything.zip");
}
const bring = async (file: File) => {
  const told: [string, number, number][] = [];
  return { ...(await bringBack(file, (...t) => told.push(t))), told };
};
const flood = (title = "The flood"): Timeline => ({
  ...emptyTimeline("was"),
  title,
  events: new Map([["e", { ...emptyEvent("e"), title: "Flood", when: readWhen("14 Nov 1872") }]]),
  items: new Map([
    [
      "m",
      {
        ...emptyItem("m"),
        of: "e",
        list: "media" as const,
        media: "old1",
        kind: "picture" as const,
        caption: "The bridge",
        place: "a0",
      },
    ],
  ]),
});

/** Without what is another's on another server: ids, files, and fields only a server sets. */
const content = (f: Frozen) => {
  const ids = new Map<string, string>();
  const text = canonicalJson({
    ...f,
    basedOn: null,
    events: f.events.map((e) => ({ ...e, given: null })),
    items: f.items.filter((i) => !i.media),
  });
  return text.replaceAll(/"(?:id|of|category|partOf|source|after)":"([^"]*)"/g, (all, id: string) => {
    if (id === "timeline") return all;
    if (!ids.has(id)) ids.set(id, `#${ids.size}`);
    return all.replace(id, ids.get(id)!);
  });
};

describe("an archive that is brought back", () => {
  it("is every timeline as it was, whatever it holds", async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(anyTimeline, { minLength: 1, maxLength: 2 }), async (timelines) => {
        server = new Server();
        const file = await zip(head(timelines.length), ...timelines.flatMap((t, i) => timelinePart(i + 1, t)));
        expect(await bring(file)).toMatchObject({ done: timelines.length, classes: [], problems: [] });
        const now = server.left().map((t) => content(toFrozen(t, true)));
        expect(now).toEqual(timelines.map((t) => content(toFrozen(t, true))));
      }),
      { seed: 41, numRuns: 25 },
    );
  });

  it("has its pictures, under the names they have here; what nobody asks for is passed over", async () => {
    const picture = "x".repeat(2_500);
    const file = await zip(
      head(1),
      ["account.json", "{}"],
      ["../../etc/passwd", "root"],
      ["timelines/1/extra.exe", "MZ"],
      ...timelinePart(1, flood(), [["media/old1", picture, "bridge.png"]]),
    );
    const done = await bring(file);
    expect(done).toMatchObject({ done: 1, problems: [], told: [["The flood", 1, 1]] });
    expect([...server.media]).toEqual([["bridge.png", picture]]);
    const [item] = [...server.left()[0]!.items.values()];
    expect(item).toMatchObject({ media: "new-bridge.png", caption: "The bridge" });
  });

  it("has its history where there is one; where that is not taken, how it stood, and says so", async () => {
    const history = JSON.stringify([
      { at: "2026-01-02T03:04:05Z", author: "Nia", ops: [{ kind: "add_event", id: "e", fields: { title: "Fl" } }] },
      {
        at: "2026-01-02T03:04:06Z",
        author: "Obi",
        ops: [{ kind: "set_event", id: "e", field: "title", value: "Ice" }],
      },
    ]);
    const entries = timelinePart(1, flood(), [["history.json", history]]);
    expect(await bring(await zip(head(1), ...entries))).toMatchObject({ done: 1, problems: [] });
    expect([...server.left()[0]!.events.values()].map((e) => e.title)).toEqual(["Ice"]);
    server = new Server();
    server.instead = (_, path) => (path.endsWith("/history") ? refused("Its history is too long.") : null);
    const told = await bring(await zip(head(1), ...entries));
    expect(told).toMatchObject({ done: 1, problems: [expect.stringMatching(/The flood.*Its history is too long\./)] });
    expect([...server.left()[0]!.events.values()].map((e) => e.title)).toEqual(["Flood"]);
    // What is no history is none.
    for (const odd of ["[]", "{", '[{"at":1}]', '[{"at":"x","author":"y","ops":[null]}]']) {
      server = new Server();
      const done = await bring(await zip(head(1), ...timelinePart(1, flood(), [["history.json", odd]])));
      expect([odd, done.done, done.problems]).toEqual([odd, 1, []]);
      expect([...server.left()[0]!.events.values()].map((e) => e.title)).toEqual(["Flood"]);
    }
  });

  it("leaves nothing behind of a timeline that could not be made whole, and goes on with the next", async () => {
    for (const [where, at] of [
      ["/uploads", "Nothing more fits."],
      ["/changes", "That is too much."],
    ] as const) {
      server = new Server();
      let n = 0;
      server.instead = (method, path) => (method === "POST" && path.endsWith(where) && n++ === 0 ? refused(at) : null);
      const file = await zip(
        head(2),
        ...timelinePart(1, flood("First"), [["media/old1", "png"]]),
        ...timelinePart(2, flood("Second"), [["media/old1", "png"]]),
      );
      const done = await bring(file);
      expect(done).toMatchObject({ done: 1, problems: [expect.stringMatching(`First.*${at}`)] });
      expect(server.left().map((t) => t.title)).toEqual(["Second"]);
    }
  });

  it("takes nothing that is not what its index says", async () => {
    const [index, json] = timelinePart(1, flood()) as [ZipEntry, ZipEntry];
    const altered: ZipEntry = [json[0], String(json[1]).replace("1872", "1873")];
    const longer: ZipEntry = [json[0], `${json[1]} `];
    for (const other of [altered, longer]) {
      server = new Server();
      const done = await bring(await zip(head(1), index, other));
      expect(done).toMatchObject({ done: 0, problems: [expect.stringMatching(/The flood/)] });
      expect(server.timelines.size).toBe(0);
    }
  });
});

describe("a file that is no archive, or not all of one", () => {
  it("is said to be none, to be of a later Fastigo, or to have broken off", async () => {
    const parts = [...timelinePart(1, flood("First")), ...timelinePart(2, flood("Second"))];
    const whole = new Uint8Array(await (await zip(head(2), ...parts)).arrayBuffer());
    const said = async (file: File) => (await bring(file)).problems;
    const none = await said(new File(["When,Title"], "table.csv"));
    expect(none).toHaveLength(1);
    expect(await said(new File([], "empty.zip"))).toEqual(none);
    expect(await said(await zip(["archive.json", "{}"]))).toEqual(none);
    expect(await said(await zip(...parts))).toEqual(none);
    const [later] = await said(
      await zip(["archive.json", JSON.stringify({ fastigo: ARCHIVE_NAME, format: 99 })], ...parts),
    );
    expect([later === none[0], server.timelines.size]).toEqual([false, 0]);
    // Cut off anywhere: what had come whole is there, nothing else, and that it is not all is said.
    for (let at = 40; at < whole.length; at += 97) {
      server = new Server();
      const done = await bring(new File([whole.subarray(0, at)], "cut.zip"));
      expect([at, done.problems.length]).toEqual([at, done.done < 2 ? 1 : 0]);
      expect([at, server.left().length]).toEqual([at, done.done]);
    }
  });

  it("says nothing of a timeline twice, and never more than was there", async () => {
    const done = await bring(await zip(head(3), ...timelinePart(1, flood("First"))));
    expect(done.problems).toHaveLength(1);
    expect(done).toMatchObject({ done: 1, told: [["First", 1, 3]] });
  });
});

describe("a class that comes back", () => {
  const work = (n: number) =>
    part(`classes/1/works/${n}`, { id: `w${n}`, role: "work", title: `Work ${n}` }, [
      ["timeline.json", canonicalJson(toFrozen(flood(`Work ${n}`)))],
    ]);
  const klass = (json: unknown = { format: CLASS_FORMAT, name: "History 8B" }) =>
    part("classes/1", { id: "k", role: "class", title: "History 8B" }, [["class.json", JSON.stringify(json)]]);
  const own = timelinePart(1, flood("Own"));

  it("comes after its works, of which timelines are made that it is given", async () => {
    const done = await bring(await zip(head(1, { classes: 1 }), ...own, ...work(1), ...work(2), ...klass()));
    expect(done).toMatchObject({ done: 1, problems: [], classes: [{ id: "class1", name: "History 8B" }] });
    expect(server.classes).toEqual([
      {
        class: { format: CLASS_FORMAT, name: "History 8B" },
        works: [
          { work: "w1", timeline: "t1", media: [] },
          { work: "w2", timeline: "t2", media: [] },
        ],
        own: [["was", "t0"]],
      },
    ]);
    expect(server.deleted.size).toBe(0);
  });

  it("that is refused, of a later form, altered or missing leaves none of its works", async () => {
    const [index, json] = klass() as [ZipEntry, ZipEntry];
    const files = {
      refused: await zip(head(1, { classes: 1 }), ...own, ...work(1), ...klass()),
      later: await zip(head(1, { classes: 1 }), ...own, ...work(1), ...klass({ format: "later" })),
      altered: await zip(head(1, { classes: 1 }), ...own, ...work(1), index, [json[0], `${json[1]} `]),
      missing: await zip(head(1, { classes: 1 }), ...own, ...work(1)),
    };
    for (const [why, file] of Object.entries(files)) {
      server = new Server();
      if (why === "refused")
        server.instead = (_, path) => (path.endsWith("/from-archive") ? refused("It is there already.") : null);
      const done = await bring(file);
      expect([why, done.done, done.classes, done.problems.length]).toEqual([why, 1, [], 1]);
      expect([why, server.left().map((t) => t.title)]).toEqual([why, ["Own"]]);
    }
  });

  it("is not made of works of which one could not be", async () => {
    let n = 0;
    server.instead = (_, path) => (path.endsWith("/changes") && n++ === 1 ? refused("That is too much.") : null);
    const done = await bring(await zip(head(0, { classes: 1 }), ...work(1), ...work(2), ...work(3), ...klass()));
    expect(done).toMatchObject({ classes: [], problems: [expect.stringMatching(/Work 2.*That is too much\./)] });
    expect([server.classes, server.left()]).toEqual([[], []]);
  });
});
