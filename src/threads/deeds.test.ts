import { createHash } from "node:crypto";
import { gunzipSync } from "node:zlib";
import { describe, expect, it } from "vitest";
import { fromSnapshot, type Snapshot } from "@/core/formats/snapshot";
import { toFrozen } from "@/core/formats/frozen";
import { readWhen } from "@/core/time/read/read-when";
import { ownWork } from "@/server/classes/submit";
import { db } from "@/server/db/pool";
import { isFailure } from "@/server/http/failure";
import { findPublished } from "@/server/publishing/published";
import { findPage } from "@/server/publishing/versions";
import { edit, must, school } from "@/server/testing/school";
import { makePerson, makeTimeline, withTestDatabase } from "@/server/testing/test-database";
import { setDeleted } from "@/server/timelines/create";
import { learnLanguages } from "@/server/language/speaking";
import { findThumbnail, findTimeline, hasThumbnail } from "@/server/timelines/queries";
import * as deeds from "./deeds";
import type { PageOptions } from "./make-page";

withTestDatabase("deeds");
learnLanguages();

const GONE = "none";
const OPTIONS: PageOptions = {
  variant: "page",
  mediaPath: "media",
  note: null,
  listed: false,
  outside: { rule: "ask", sites: [] },
  address: null,
  notes: null,
  published: "1 May 2031",
};

/** A timeline of somebody with two events. */
async function crossings() {
  const nia = await makePerson();
  const id = await makeTimeline(nia.id);
  must(
    await edit(
      id,
      nia.id,
      { kind: "add_event", id: "e1", fields: { title: "Rope ferry", when: readWhen("1604") } },
      { kind: "add_event", id: "e2", fields: { title: "The flood", when: readWhen("1783"), note: "Ask Wren" } },
    ),
  );
  return { nia, id };
}
const stateIn = (packed: Uint8Array | null) => JSON.parse(gunzipSync(packed!).toString()) as Snapshot;
/** Everything that can be told of a state, to compare two. */
const told = (s: Snapshot) => toFrozen(fromSnapshot(s), true);

describe("what a thread does with a timeline", () => {
  it("packs it as it stands, with the number of its last change", async () => {
    const { id } = await crossings();
    const found = (await findTimeline(id))!;
    const packed = stateIn(await deeds.snapshot([id]));
    expect(packed.seq).toBe(found.seq);
    expect(told(packed)).toEqual(toFrozen(found.timeline, true));
    expect(await deeds.snapshot([GONE])).toBeNull();
  });

  it("packs it as it was after any of its changes, and at no other moment", async () => {
    const { nia, id } = await crossings();
    const { seq } = (await findTimeline(id))!;
    const before = stateIn(await deeds.snapshot([id]));
    must(await edit(id, nia.id, { kind: "set_event", id: "e1", field: "title", value: "Chain ferry" }));
    expect(told(stateIn(await deeds.past([id, seq])))).toEqual(told(before));
    expect(stateIn(await deeds.past([id, seq + 1])).seq).toBe(seq + 1);
    expect(await deeds.past([id, seq + 2])).toBeNull();
    expect(await deeds.past([GONE, 1])).toBeNull();
    expect(await deeds.keepPast([id, seq])).toBe(true);
  });

  it("takes a change and says its number, or why not", async () => {
    const { nia, id } = await crossings();
    const { seq } = (await findTimeline(id))!;
    const change = { id: "c9", author: nia.id, base: seq, ops: [{ kind: "delete_event" as const, id: "e2" }] };
    expect(await deeds.takeChange([id, change, seq])).toMatchObject({ seq: seq + 1 });
    const stranger = await makePerson("Wren");
    expect(await deeds.takeChange([id, { ...change, id: "c10", author: stranger.id }, seq])).toMatchObject({
      failed: "not_found",
    });
  });

  it("brings a history back into an empty timeline", async () => {
    const nia = await makePerson();
    const id = await makeTimeline(nia.id);
    const changes = ["Rope ferry", "Chain ferry"].map((title, n) => ({
      at: `2020-05-0${n + 1}T10:00:00.000Z`,
      author: "Nia",
      ops: [{ kind: "add_event" as const, id: `e${n}`, fields: { title } }],
    }));
    expect(isFailure(await deeds.restoreHistory([id, nia.id, changes]))).toBe(false);
    expect([...(await findTimeline(id))!.timeline.events.values()].map((e) => e.title)).toEqual([
      "Rope ferry",
      "Chain ferry",
    ]);
  });

  it("draws it in small once for each state and build", async () => {
    const { nia, id } = await crossings();
    const { svg } = await deeds.thumbnail([id, "one"]);
    expect(svg).toContain("<svg");
    expect([await findThumbnail(id), await hasThumbnail(id, "one"), await hasThumbnail(id, "two")]).toEqual([
      svg,
      true,
      false,
    ]);
    must(await edit(id, nia.id, { kind: "set_event", id: "e1", field: "when", value: readWhen("1500") }));
    expect(await hasThumbnail(id, "one")).toBe(false);
    const again = await deeds.thumbnail([id, "two"]);
    expect(again.svg).not.toBe(svg);
    expect([await hasThumbnail(id, "two"), await findThumbnail(id)]).toEqual([true, again.svg]);
    expect(await deeds.thumbnail([GONE, "one"])).toEqual({ svg: null });
  });

  it("looks at what an assignment asks, and keeps the answer with the state it is of", async () => {
    const { id } = await crossings();
    const asks = [
      { kind: "events" as const, count: 2 },
      { kind: "events" as const, count: 3 },
    ];
    const { checks } = (await deeds.checks([id, asks]))!;
    expect(checks.map((c) => c.met)).toEqual([true, false]);
    const [row] = await db()`select seq, requirements, checks from check_result where timeline_id = ${id}`;
    expect(row).toEqual({ seq: (await findTimeline(id))!.seq, requirements: asks, checks });
    expect(await deeds.checks([GONE, asks])).toBeNull();
  });

  it("says who did what", async () => {
    const { id } = await crossings();
    expect(JSON.stringify(await deeds.whoDid([id]))).toContain("Nia");
    expect(await deeds.whoDid([GONE])).toBeNull();
  });
});

describe("the pages a thread makes", () => {
  const sha = (text: string) => `'sha256-${createHash("sha256").update(text).digest("base64")}'`;

  it("are the draft as readers will see it, without what only editors see", async () => {
    const { id } = await crossings();
    const page = (await deeds.draftPage([id, OPTIONS, "build"]))!;
    expect(page.html).toContain("Rope ferry");
    expect(page.html).not.toContain("Ask Wren");
    expect(await deeds.draftPage([id, OPTIONS, "build"])).toEqual(page);
    expect(await deeds.draftPage([GONE, OPTIONS, "build"])).toBeNull();
  });

  it("allow their own style and scripts and nobody else's", async () => {
    const { id } = await crossings();
    const { html, policy } = (await deeds.draftPage([id, OPTIONS, "build"]))!;
    const style = html.match(/<style>([\s\S]*?)<\/style>/)![1]!;
    expect(policy).toContain(`style-src ${sha(style)}`);
    const inline = [...html.matchAll(/<script>([\s\S]*?)<\/script>/g)].map((m) => m[1]!);
    expect(inline.length).toBeGreaterThan(0);
    for (const script of inline) expect(policy).toContain(sha(script));
    expect(policy).not.toMatch(/unsafe|\*/);
    // Notes alone are asked for from the page.
    expect(policy).not.toContain("connect-src");
    const preview = (await deeds.draftPage([id, { ...OPTIONS, notes: `/api/timelines/${id}/notes` }, "build"]))!;
    expect(preview.policy).toContain("connect-src 'self'");
  });

  it("speak the language the timeline is written in", async () => {
    const { nia, id } = await crossings();
    const inEnglish = (await deeds.draftPage([id, OPTIONS, "build"]))!;
    must(await edit(id, nia.id, { kind: "set_timeline", field: "language", value: "de" }));
    const inGerman = (await deeds.draftPage([id, OPTIONS, "build"]))!;
    expect(inEnglish.html).toContain('<html lang="en"');
    expect(inGerman.html).toContain('<html lang="de"');
    expect(inGerman.etag).not.toBe(inEnglish.etag);
  });

  it("are stored under a name, by version", async () => {
    const { nia, id } = await crossings();
    const done = must(await deeds.publish([id, nia.id, { visibility: "link" }, true]));
    const { version } = (await findPublished(done.publication.address))!;
    expect(await findPage(version, "page")).toBeNull();
    const page = await deeds.versionPage([version, "page", OPTIONS, "build"]);
    expect(await findPage(version, "page")).toEqual(page);
    // What readers see is what was published, whatever was written since.
    must(await edit(id, nia.id, { kind: "set_event", id: "e1", field: "title", value: "Chain ferry" }));
    expect((await deeds.versionPage([version, "later", OPTIONS, "build"]))!.html).toContain("Rope ferry");
    expect(await deeds.versionPage([GONE, "page", OPTIONS, "build"])).toBeNull();
  });
});

describe("what is handed out and in", () => {
  it("is a copy that stays as it is", async () => {
    const { nia, id } = await crossings();
    const { copy } = must(await deeds.makeFrozenCopy([id, nia.id]));
    expect(copy.address).toMatch(/^[a-z0-9]+$/);
    expect(await deeds.makeFrozenCopy([id, (await makePerson("Wren")).id])).toMatchObject({ failed: "not_found" });
  });

  it("is drawn once, alone and beside another, and shown to whoever marks it", async () => {
    const { timeline, nia, assignment } = await school();
    must(await edit(timeline, nia.id, { kind: "add_event", id: "e1", fields: { title: "Ferry & <b>rope</b>" } }));
    must(await deeds.submit([timeline, nia.id]));
    const submission = (await ownWork(timeline))!.submission!;
    expect(await deeds.drawSubmission([submission.id])).toBe(true);
    const drawn = await db()`select * from submission_drawing where submission_id = ${submission.id} order by kind`;
    expect(drawn.map((d) => d.kind)).toEqual(["alone", "beside"]);
    const desk = (await deeds.submission([submission.id]))!;
    expect(desk).toMatchObject({ id: submission.id, assignment, members: ["Nia"], before: null });
    expect(desk.events.map((e) => e.title)).toContain("Ferry & <b>rope</b>");
    expect(desk.drawing).not.toContain("<b>");
    expect(desk.drawing).toContain("Ferry &amp; &lt;b&gt;rope");
    expect([await deeds.drawSubmission([GONE]), await deeds.submission([GONE])]).toEqual([null, null]);
    expect(await deeds.wordingOf([assignment])).toEqual({ found: 0 });
    expect(await deeds.wordingOf([GONE])).toBeNull();
  });

  it("is everything of a person, as JSON", async () => {
    const { nia, id } = await crossings();
    const all = JSON.parse((await deeds.everything([nia.id]))!) as { account: { email: string } };
    expect(all.account.email).toBe(nia.email);
    expect(JSON.stringify(all)).toContain("Ask Wren");
    expect(JSON.stringify(all)).not.toContain("over-the-ambrel");
    expect(await deeds.everything(["00000000-0000-0000-0000-000000000000"])).toBeNull();
    must(await setDeleted(id, nia.id, true));
    expect(await deeds.everything([nia.id])).toContain(nia.email);
  });
});
