/**
 * Loads the demo data into a running server, through the same routes and changes as a person's work. Does nothing when
 * the demo's people are there already. usage: load-demo ADDRESS
 */
import { gunzipSync } from "node:zlib";
import { readFileSync } from "node:fs";
import { join } from "node:path";
import { nanoid } from "nanoid";
import sharp from "sharp";
import type { Op } from "@/core/change/change";
import { toBase64 } from "@/core/text/base64";
import { descriptionFrom } from "@/core/text/write-description";
import { readWhen } from "@/core/time/read/read-when";
import { NO_DAY, startOf, UNDATED, type When } from "@/core/time/when";
import { between } from "@/core/timeline/place";
import { RIVER_MAP } from "./draw-map";
import { PICTURES } from "./draw-pictures";
import { bellWav } from "./make-bell";
import { ASSIGNMENT, CLASS_NAME, SCHOOL_NAME, type DemoGroup, EVENTS, GROUPS, inOwnWords } from "./school";
import { DEMO, type DemoTimeline } from "./world";

const PASSWORD = "over-the-ambrel";
const PEOPLE = {
  // First, and made where an earlier demo had none yet.
  keeper: { displayName: "Keeper", email: "keeper@hollinbank.example" },
  nia: { displayName: "Nia", email: "nia@hollinbank.example" },
  obi: { displayName: "Obi", email: "obi@hollinbank.example" },
  ward: { displayName: "Ms Ward", email: "ward@hollinbank.example" },
};
const CREDIT = "Drawing: Hollin Bank School";
const LICENCE = "CC BY 4.0";

const address = process.argv[2] ?? "http://127.0.0.1:3000";

/** One person at the server: their cookie goes with every request. */
class Visitor {
  private cookie = "";

  async ask<T = Record<string, unknown>>(
    method: string,
    path: string,
    body?: unknown,
  ): Promise<T & { failed?: string }> {
    const raw = body instanceof Uint8Array;
    const response = await fetch(address + path, {
      method,
      headers: { cookie: this.cookie, ...(body === undefined || raw ? {} : { "Content-Type": "application/json" }) },
      ...(body === undefined ? {} : { body: raw ? new Uint8Array(body) : JSON.stringify(body) }),
    });
    const set = response.headers.get("set-cookie");
    if (set) this.cookie = set.split(";")[0]!;
    return (await response.json()) as T & { failed?: string };
  }

  async must<T>(method: string, path: string, body?: unknown): Promise<T> {
    const answer = await this.ask<T & { sentence?: string }>(method, path, body);
    if (answer.failed) throw new Error(`${method} ${path}: ${answer.sentence ?? answer.failed}`);
    return answer;
  }

  /** A timeline as it is sent: packed. */
  async unpack<T>(path: string): Promise<T> {
    const response = await fetch(address + path, { headers: { cookie: this.cookie } });
    if (!response.ok) throw new Error(`GET ${path}: ${response.status}`);
    return JSON.parse(gunzipSync(Buffer.from(await response.arrayBuffer())).toString()) as T;
  }

  async text(path: string): Promise<string> {
    return (await fetch(address + path, { headers: { cookie: this.cookie } })).text();
  }

  async upload(
    timeline: string,
    name: string,
    bytes: Uint8Array,
  ): Promise<{ id: string; kind: "picture" | "video" | "sound"; width: number | null; height: number | null }> {
    const { upload, piece } = await this.must<{ upload: string; piece: number }>(
      "POST",
      `/api/timelines/${timeline}/uploads`,
      { name, size: bytes.length },
    );
    for (let n = 0; n * piece < bytes.length; n++)
      await this.must(
        "PUT",
        `/api/timelines/${timeline}/uploads/${upload}/${n}`,
        bytes.subarray(n * piece, (n + 1) * piece),
      );
    return (
      await this.must<{ media: { id: string; kind: "picture"; width: number | null; height: number | null } }>(
        "POST",
        `/api/timelines/${timeline}/uploads/${upload}`,
      )
    ).media;
  }
}

const visitors: Record<string, Visitor> = {};
for (const [key, person] of Object.entries(PEOPLE)) {
  const visitor = new Visitor();
  const answer = await visitor.ask("POST", "/api/account", { ...person, password: PASSWORD });
  if (answer.failed === "email_taken" && key === "keeper") continue;
  if (answer.failed === "email_taken") process.exit(0); // loaded by an earlier start
  if (answer.failed) throw new Error(`The demo's people could not sign up: ${JSON.stringify(answer)}`);
  visitors[key] = visitor;
}

console.log("Loading the demo data ...");
const drawn = async (name: string) =>
  new Uint8Array(await sharp(Buffer.from(PICTURES[name]!)).png({ compressionLevel: 3 }).toBuffer());
const nia = visitors.nia!;
let clientId = 1;

async function load(demo: DemoTimeline): Promise<string> {
  const { id } = await nia.must<{ id: string }>("POST", "/api/timelines", { title: demo.title, subject: demo.subject });
  let seq = 0;
  const change = async (ops: Op[]) => {
    seq = (await nia.must<{ seq: number }>("POST", `/api/timelines/${id}/changes`, { id: nanoid(), base: seq, ops }))
      .seq;
  };
  const categories = new Map(demo.categories.map(([name]) => [name, nanoid(10)]));
  let place: string | null = null;
  await change([
    { kind: "set_timeline", field: "scale", value: demo.scale ?? "balanced" },
    { kind: "set_timeline", field: "look", value: demo.look ?? "slate" },
    { kind: "set_timeline", field: "byline", value: demo.byline ?? "" },
    { kind: "set_timeline", field: "gridlines", value: demo.gridlines ?? false },
    { kind: "set_timeline", field: "marks", value: demo.marks ?? null },
    { kind: "set_timeline", field: "lengths", value: demo.lengths ?? false },
    { kind: "set_timeline", field: "today", value: demo.today ?? false },
    { kind: "set_timeline", field: "timesOn", value: demo.hours ? UNDATED : null },
    ...demo.categories.map(([name, colour, pattern]): Op => {
      place = between(place, null);
      return {
        kind: "add_category",
        id: categories.get(name)!,
        fields: { name, colour: colour as "river", pattern: pattern as "dots", place },
      };
    }),
    { kind: "describe", of: "introduction", update: toBase64(descriptionFrom(demo.introduction, clientId++)) },
  ]);

  const ids = new Map<string, string>();
  let before: string | null = null;
  const ops: Op[] = Object.entries(demo.sources ?? {}).map(([id, { date, ...fields }]) => ({
    kind: "add_source",
    id,
    fields: { ...fields, ...(date ? { date: readWhen(date) } : {}) },
  }));
  for (const e of demo.events) {
    const event = nanoid(10);
    ids.set(e.title, event);
    const when = e.when
      ? readWhen(e.when, demo.hours ? { day: NO_DAY } : {})
      : { ...UNDATED, place: { after: before, key: "a0" } };
    if (when.readAs.kind === "not_understood") throw new Error(`The demo's date "${e.when}" is not understood.`);
    ops.push({
      kind: "add_event",
      id: event,
      fields: {
        title: e.title,
        shortTitle: e.short ?? "",
        when,
        category: e.category ? categories.get(e.category)! : null,
        partOf: e.partOf ? ids.get(e.partOf)! : null,
        emphasis: e.important ?? false,
        sign: e.sign ?? "",
        closeUp: e.closeUp ?? "",
        done: e.done ?? null,
        spot: e.spot ?? null,
        pictureBob: e.pictureBob ?? false,
        onMap: e.onMap ? { x: e.onMap[0], y: e.onMap[1] } : null,
      },
    });
    if (e.text) ops.push({ kind: "describe", of: event, update: toBase64(descriptionFrom(e.text, clientId++)) });
    if (e.source)
      ops.push({
        kind: "add_item",
        id: nanoid(10),
        fields: {
          of: event,
          list: "source",
          place: "a0",
          ...(typeof e.source === "string"
            ? { text: e.source }
            : { source: e.source.of, page: e.source.page ?? "", quote: e.source.quote ?? "" }),
        },
      });
    if (e.link)
      ops.push({ kind: "add_item", id: nanoid(10), fields: { of: event, list: "link", place: "a0", ...e.link } });
    before = event;
  }
  await change(ops);

  const attach = async (
    of: string,
    at: string,
    name: string,
    bytes: Uint8Array,
    text: string,
    credit = CREDIT,
    still: Uint8Array | null = null,
    list: "media" | "map" = "media",
  ) => {
    const media = await nia.upload(id, name, bytes);
    if (still) Object.assign(media, await nia.must("PUT", `/api/timelines/${id}/media/${media.id}/still`, still));
    await change([
      {
        kind: "add_item",
        id: nanoid(10),
        fields: {
          of,
          list,
          place: at,
          media: media.id,
          kind: media.kind,
          width: media.width,
          height: media.height,
          text,
          credit,
          licence: LICENCE,
        },
      },
    ]);
  };
  if (demo.cover)
    await attach("timeline", "a0", `${demo.cover.name}.png`, await drawn(demo.cover.name), demo.cover.shows);
  if (demo.map) {
    const map = new Uint8Array(await sharp(Buffer.from(RIVER_MAP)).png({ compressionLevel: 3 }).toBuffer());
    await attach("timeline", "a0", "ambrel-map.png", map, demo.map.shows, CREDIT, null, "map");
  }
  for (const e of demo.events) {
    const of = ids.get(e.title)!;
    if (e.film)
      await attach(
        of,
        "a0",
        e.film.file,
        new Uint8Array(readFileSync(join(process.cwd(), "scripts", "demo", "media", e.film.file))),
        e.film.title,
        CREDIT,
        await drawn(e.film.still),
      );
    if (e.picture) await attach(of, "a1", `${e.picture.name}.png`, await drawn(e.picture.name), e.picture.shows);
    if (e.elsewhere && process.env.STAND_IN_PLAYER) {
      const { outside, ...found } = await nia.must<{ outside: object; address: string; foundOn: string }>(
        "POST",
        `/api/timelines/${id}/outside`,
        { address: `${process.env.STAND_IN_PLAYER}/films/${e.elsewhere.film}` },
      );
      const still = await nia.upload(id, `${e.elsewhere.still}.png`, await drawn(e.elsewhere.still));
      const { id: media, width, height } = still;
      const fields = { of, list: "media", place: "a3", ...outside, ...found, media, width, height } as const;
      await change([{ kind: "add_item", id: nanoid(10), fields }]);
    }
    if (e.sound) await attach(of, "a2", "bell.wav", bellWav(), e.sound.title, "Sound: Hollin Bank School");
  }
  return id;
}

const made = new Map<string, string>();
// The first of them last, so that it stands first among the timelines of the one who made it.
for (const demo of [...DEMO].reverse()) made.set(demo.key, await load(demo));
const ambrel = made.get("ambrel")!;
const { token } = await nia.must<{ token: string }>("POST", `/api/timelines/${ambrel}/invitation`, { renew: false });
await visitors.obi!.must("POST", `/api/join/${token}`);
// The first of them last, so that it stands first among what is published.
for (const demo of [...DEMO].reverse())
  if (demo.publish)
    await nia.must("PUT", `/api/timelines/${made.get(demo.key)}/publication`, {
      visibility: demo.publish,
      fresh: true,
      ...(demo.word ? { copies: true, embedSites: ["*"] } : {}),
    });
for (const demo of DEMO)
  if (demo.word) await nia.must("PUT", `/api/timelines/${made.get(demo.key)}/publication/word`, { word: demo.word });

// The school: the teacher's class, five groups at every stage, one marked and returned.
const ward = visitors.ward!;
const { id: klass } = await ward.must<{ id: string }>("POST", "/api/classes", { name: CLASS_NAME });
const { id: school } = await ward.must<{ id: string }>("POST", "/api/schools", { name: SCHOOL_NAME });
await ward.must("PATCH", `/api/classes/${klass}`, { school });
const code = (await ward.text(`/classes/${klass}`)).match(/data-testid="join-code">([A-Z0-9]+)</)?.[1];
if (!code) throw new Error("The class shows no join code.");
for (const key of ["nia", "obi"] as const) await visitors[key]!.must("POST", "/api/classes/join-as-me", { code });
const due = new Date(Date.now() + 9 * 86_400_000);
due.setUTCHours(16, 0, 0, 0);
const { id: assignment } = await ward.must<{ id: string }>("POST", "/api/assignments", {
  ...ASSIGNMENT,
  class: klass,
  period: readWhen(ASSIGNMENT.period),
  given: ASSIGNMENT.given.map((g) => ({ ...g, when: readWhen(g.when) })),
  dueAt: due.toISOString(),
});

/** Everybody of the class who is known here, by name. */
const pupils = new Map<string, Visitor>();

async function loadGroup(group: DemoGroup): Promise<void> {
  const students: { visitor: Visitor; id: string }[] = [];
  for (const displayName of group.members) {
    const visitor = new Visitor();
    const { user } = await visitor.must<{ user: { id: string } }>("POST", "/api/classes/join", {
      code,
      displayName,
      password: PASSWORD,
    });
    students.push({ visitor, id: user.id });
    pupils.set(displayName, visitor);
  }
  if (group.stage === "nothing") return;
  const first = students[0]!.visitor;
  const { timeline } = await first.must<{ timeline: string }>("POST", `/api/assignments/${assignment}/group`);
  for (const mate of students.slice(1))
    await first.must("POST", `/api/timelines/${timeline}/classmates`, { account: mate.id });
  const { timeline: begun } = await first.unpack<{
    timeline: { events: { id: string; title: string; when: { place?: { after: string | null; key: string } } }[] };
  }>(`/api/timelines/${timeline}`);
  const names = [...new Set(EVENTS.map((e) => e.category))];
  const looks = [
    ["verdigris", "solid"],
    ["copper", "slanted"],
    ["river", "waves"],
    ["plum", "dots"],
  ] as const;
  const categories = new Map(names.map((n) => [n, nanoid(10)]));
  const change = async (who: number, ops: Op[]) =>
    ops.length > 0 &&
    students[who % students.length]!.visitor.must("POST", `/api/timelines/${timeline}/changes`, {
      id: nanoid(),
      base: 0,
      ops,
    });
  await change(
    0,
    names.map(
      (name, i): Op => ({
        kind: "add_category",
        id: categories.get(name)!,
        fields: { name, colour: looks[i]![0], pattern: looks[i]![1], place: `a${i}` },
      }),
    ),
  );
  let sources = group.sources;
  const source = (of: string, text: string): Op[] =>
    sources-- > 0 ? [{ kind: "add_item", id: nanoid(10), fields: { of, list: "source", place: "a0", text } }] : [];
  for (const [i, e] of EVENTS.slice(0, group.events).entries()) {
    const id = nanoid(10);
    // Everyone in the group writes some of it.
    await change(i, [
      {
        kind: "add_event",
        id,
        fields: { title: e.line[1], when: readWhen(e.line[0]), category: categories.get(e.category)! },
      },
      { kind: "describe", of: id, update: toBase64(descriptionFrom([inOwnWords(group, i)], clientId++)) },
      ...source(id, e.source),
    ]);
    if (i < group.pictures) {
      const media = await first.upload(timeline, `${e.picture}.png`, await drawn(e.picture));
      await change(0, [
        {
          kind: "add_item",
          id: nanoid(10),
          fields: {
            of: id,
            list: "media",
            place: "a0",
            media: media.id,
            kind: media.kind,
            width: media.width,
            height: media.height,
            text: e.line[1],
            credit: CREDIT,
            licence: LICENCE,
          },
        },
      ]);
    }
  }
  for (const [i, g] of ASSIGNMENT.given.entries()) {
    const event = begun.events.find((e) => e.title === g.title)!;
    const place = event.when.place;
    await change(i, [
      ...(group.answers[i]
        ? [
            {
              kind: "set_event" as const,
              id: event.id,
              field: "when" as const,
              value: { ...readWhen(group.answers[i]), ...(place ? { place } : {}) },
            },
          ]
        : []),
      ...source(event.id, "Flood stone survey"),
    ]);
  }
  if (group.stage === "working") {
    await first.must("POST", `/api/timelines/${timeline}/questions`, {
      event: "",
      text: "The toll book ends in 1702. Is that when they stopped paying in salt, or only when the book was full?",
    });
    return;
  }
  await first.must("POST", `/api/timelines/${timeline}/submission`);
  if (group.stage !== "returned" && group.stage !== "again") return;
  const { work } = await first.must<{ work: { submission: { id: string } } }>(
    "GET",
    `/api/timelines/${timeline}/changes?after=0`,
  );
  const { timeline: now } = await first.unpack<{ timeline: { events: { id: string; title: string }[] } }>(
    `/api/timelines/${timeline}`,
  );
  const flood = now.events.find((e) => e.title === "The long night flood")!;
  if (group.stage === "again") {
    await ward.must("PUT", `/api/submissions/${work.submission.id}/mark`, {
      points: 10,
      levels: [2, 1, 2],
      comment: "Good so far. Two of the crossings have no end: when did they stop?",
      comments: [{ event: flood.id, text: "Who counted the forty-one?" }],
    });
    await ward.must("PUT", `/api/submissions/${work.submission.id}/return`, { toImprove: true });
    // What they wrote after it came back.
    await change(1, [
      { kind: "add_event", id: nanoid(10), fields: { title: "Timber bridge taken down", when: readWhen("1815") } },
      { kind: "set_event", id: flood.id, field: "shortTitle", value: "Flood night" },
      { kind: "set_event", id: flood.id, field: "when", value: readWhen("14 - 15 Nov 1872") },
    ]);
    await first.must("POST", `/api/timelines/${timeline}/submission`);
    return;
  }
  await ward.must("PUT", `/api/submissions/${work.submission.id}/mark`, {
    points: 17.5,
    levels: [1, 0, 1],
    comment: "Clear, and in your own words. Say how you know the ferry's year.",
    comments: [{ event: flood.id, text: "The best of them: you weighed what the Post says." }],
  });
  await ward.must("POST", `/api/submissions/${work.submission.id}/return`);
  await ward.must("PUT", `/api/assignments/${assignment}/gallery`, { submissions: [work.submission.id] });
  await first.must("POST", `/api/submissions/${work.submission.id}/replies`, {
    text: "The year of the ferry is in County roll 12, leaf 7. Shall we add the leaf?",
  });
  await first.must("PUT", `/api/timelines/${timeline}/publication`, { visibility: "school", fresh: true });
}

for (const group of GROUPS) await loadGroup(group);

// A practice of the published timeline, which some have done: the earlier the event, the better they know it.
const { id: practice } = await ward.must<{ id: string }>("POST", `/api/classes/${klass}/practices`, {
  timeline: ambrel,
  count: 8,
  parts: false,
  spans: true,
});
const { timeline: known } = await nia.unpack<{ timeline: { events: { id: string; when: When }[] } }>(
  `/api/timelines/${ambrel}`,
);
const began = new Map(known.events.map((e) => [e.id, startOf(e.when)?.day ?? 0]));
const cards = JSON.parse(
  (await ward.text(`/practice/${practice}`)).match(/id="practice-task">(.*?)<\/script>/s)?.[1] ?? "{}",
) as { cards: { id: string }[] };
const inOrder = cards.cards.map((c) => c.id).sort((a, b) => began.get(a)! - began.get(b)!);
for (const [n, name] of ["Wren", "Caspian", "Junia"].entries()) {
  // So many at the end are the other way round.
  const placed = [...inOrder.slice(0, 8 - 2 * n), ...inOrder.slice(8 - 2 * n).reverse()];
  await pupils.get(name)?.must("POST", `/api/practices/${practice}/answers`, { placed });
}
