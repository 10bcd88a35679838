import { nanoid } from "nanoid";
import { describe, expect, it } from "vitest";
import type { Op } from "@/core/change/change";
import { speakIn } from "@/core/language/spoken";
import { knowLanguages } from "@/core/testing/languages";
import { descriptionFrom } from "@/core/text/write-description";
import { toBase64 } from "@/core/text/base64";
import { readWhen } from "@/core/time/read/read-when";
import { between } from "@/core/timeline/place";
import type { Visibility } from "@/core/timeline/visibility";
import { db } from "../db/pool";
import { isFailure } from "../http/failure";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { takeChange } from "../timelines/take-change";
import { findTimeline } from "../timelines/queries";
import { copyPublished, copyPublishedInto } from "./copy-published";
import { publishedBy } from "./mine";
import { countOpened, writeOpened } from "./opened";
import { hasPass, letIn } from "./pass";
import { canSee, findPublished, type Published } from "./published";
import { publish, type Wishes } from "./publish";
import { decide, reportedPages, reportPage } from "./reports";
import { type Asked, findable, searchPublished } from "./search";
import { chooseWord } from "./short-link";

withTestDatabase("handing_out");
knowLanguages();

const edit = (t: string, author: string, ...ops: Op[]) => takeChange(t, { id: nanoid(), author, base: 0, ops });
const asked = (from = "10.0.0.1", cookie = "") =>
  new Request("http://localhost/", { headers: { "x-fastigo-from": from, cookie } });
const must = <T>(value: T): Exclude<T, { failed: unknown }> => {
  if (isFailure(value)) throw new Error(value.failed);
  return value as never;
};

async function published(wishes: Partial<Wishes> = {}, title = "Crossings", ops: Op[] = []) {
  const nia = await makePerson();
  const t = await makeTimeline(nia.id, title);
  await edit(t, nia.id, { kind: "add_event", id: "e1", fields: { title: "Ferry", when: readWhen("1604") } }, ...ops);
  const done = must(await publish(t, nia.id, { visibility: "link", ...wishes }, true));
  return { nia, t, address: done.publication.address };
}
const at = async (address: string): Promise<Published> => (await findPublished(address))!;
const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();

describe("from when, until when", () => {
  it.each<[string, string | null, string | null, string, boolean]>([
    ["at once and for good", null, null, "open", true],
    ["opened a minute ago", ago(1), null, "open", true],
    ["opens in an hour", ago(-60), null, "not_yet", false],
    ["over since a minute", ago(60), ago(1), "over", false],
    ["until in an hour", null, ago(-60), "open", true],
  ])("%s", async (_, opensAt, closesAt, state, stranger) => {
    const { nia, address } = await published({ opensAt, closesAt });
    const p = await at(address);
    expect(p.state).toBe(state);
    expect(await canSee(p, null)).toBe(stranger);
    expect(await canSee(p, nia.id)).toBe(true);
  });

  it("cannot be over before it opens, and nothing is changed then", async () => {
    const { nia, t, address } = await published({ closesAt: ago(-60) });
    const wrong = await publish(t, nia.id, { visibility: "link", opensAt: ago(-120) }, false);
    expect(wrong).toMatchObject({ failed: "closes_before_it_opens" });
    expect((await at(address)).opensAt).toBeNull();
  });
});

describe("a password", () => {
  const PASSWORD = "long night flood";

  it("is needed before anything is published behind it, and must not be one everybody tries first", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id);
    for (const [password, failed] of [
      [undefined, "page_password_missing"],
      ["short", "password_short"],
      ["password1", "password_common"],
    ] as const) {
      const wishes: Wishes = { visibility: "password", ...(password ? { password } : {}) };
      expect(await publish(t, nia.id, wishes, true)).toMatchObject({ failed });
    }
    expect(await db()`select from publication where timeline_id = ${t}`).toHaveLength(0);
  });

  it("lets the browser in that gave it, until it is changed; its hash is no password", async () => {
    const { nia, t, address } = await published({ visibility: "password", password: PASSWORD });
    const p = await at(address);
    expect(await canSee(p, null)).toBe(false);
    expect(await letIn(asked(), p, "long night floods")).toMatchObject({ failed: "wrong_page_password" });
    const { cookie } = must(await letIn(asked(), p, ` ${PASSWORD} `));
    const browser = asked("10.0.0.1", cookie.split(";")[0]);
    expect(await hasPass(browser, p)).toBe(true);
    expect(await canSee(p, null, await hasPass(browser, p))).toBe(true);
    const other = await published({ visibility: "password", password: PASSWORD });
    expect(await hasPass(browser, await at(other.address))).toBe(false);
    await publish(t, nia.id, { visibility: "password", password: "another night" }, false);
    expect(await hasPass(browser, p)).toBe(false);
    const [row] = await db()<
      { passwordHash: string }[]
    >`select password_hash from publication where timeline_id = ${t}`;
    expect(row!.passwordHash).toMatch(/^\$argon2id/);
  });

  it("guessed a thousand times at once is looked at only so often, and others still come in", async () => {
    const { address } = await published({ visibility: "password", password: PASSWORD });
    const p = await at(address);
    const tries = await Promise.all(
      Array.from({ length: 1_000 }, (_, i) => letIn(asked("10.9.9.9"), p, `guess number ${i}`)),
    );
    const looked = tries.filter((x) => isFailure(x) && x.failed === "wrong_page_password");
    expect(looked.length).toBeLessThanOrEqual(45);
    expect(tries.filter((x) => isFailure(x) && x.failed === "page_slow_down").length).toBe(1_000 - looked.length);
    expect(isFailure(await letIn(asked("10.9.9.9"), p, PASSWORD))).toBe(true);
    expect(isFailure(await letIn(asked("10.1.1.1"), p, PASSWORD))).toBe(false);
  });
});

describe("a short link", () => {
  it.each<[string, string | null]>([
    ["Over the Ambrel!", "over-the-ambrel"],
    ["Über-Fähre 1604", "uber-fahre-1604"],
    ["../../x", "word_malformed"],
    ["--", "word_malformed"],
    ["洪水", "word_malformed"],
    ["abcdefghjkmn", "word_malformed"],
  ])("%s", async (typed, word) => {
    const { nia, t } = await published();
    const done = await chooseWord(t, nia.id, typed);
    if (isFailure(done)) expect(done.failed).toBe(word);
    else expect(done.publication.word).toBe(word);
  });

  it("leads to its page for ever, also after another was chosen, and to no other's", async () => {
    const one = await published();
    const two = await published();
    must(await chooseWord(one.t, one.nia.id, "ferry-days"));
    must(await chooseWord(one.t, one.nia.id, "ferry-nights"));
    expect(await chooseWord(two.t, two.nia.id, "ferry-days")).toMatchObject({ failed: "word_taken" });
    expect(await chooseWord(one.t, two.nia.id, "mine-now")).toMatchObject({ failed: "not_found" });
    for (const word of ["ferry-days", "Ferry-Nights", one.address]) expect((await at(word)).timeline).toBe(one.t);
    expect((await publishedBy(one.nia.id))[0]!.address).toBe("ferry-nights");
  });

  it("ten words at most lead to one page", async () => {
    const { nia, t } = await published();
    for (let i = 0; i < 10; i++) must(await chooseWord(t, nia.id, `word-${t.slice(0, 6)}-${i}`.toLowerCase()));
    expect(await chooseWord(t, nia.id, "one-too-many")).toMatchObject({ failed: "words_full" });
    expect(await findPublished("one-too-many")).toBeNull();
  });
});

describe("how often it was opened", () => {
  it("is counted a day, and nothing about who", async () => {
    const { nia, t } = await published();
    for (let i = 0; i < 3; i++) countOpened(t);
    countOpened("gone");
    await writeOpened();
    countOpened(t);
    await writeOpened();
    const [own] = await publishedBy(nia.id);
    expect(own!.opened).toBe(4);
    expect(own!.days.slice(-2)).toEqual([0, 4]);
    const columns = await db()`select column_name from information_schema.columns where table_name = 'opened_day'`;
    expect(columns.map((c) => c.columnName).sort()).toEqual(["count", "day", "timeline_id"]);
  });
});

describe("the search", () => {
  const ALL: Asked = { words: "", subject: "", period: null, pictures: false, order: "newest", page: 0 };
  const titles = async (a: Partial<Asked>) => (await searchPublished({ ...ALL, ...a })).found.map((f) => f.title);
  const day = (year: number) => Math.round(year * 365.2425);

  it("finds by words in the timeline's language, subject, period and pictures, what everybody may see alone", async () => {
    await db()`delete from publication`;
    const text = toBase64(descriptionFrom(["The ferrymen were rowing all night."], 1));
    const everybody = { visibility: "everybody" as Visibility };
    await published(everybody, "Bridges of the Ambrel", [
      { kind: "set_timeline", field: "subject", value: "Rivers" },
      { kind: "describe", of: "e1", update: text },
    ]);
    await published(everybody, "Die Brücken", [
      { kind: "set_timeline", field: "language", value: "de" },
      { kind: "add_event", id: "e2", fields: { title: "Häuser am Fluss", when: readWhen("1900 - 1950") } },
    ]);
    const behind = await published({ visibility: "link" }, "Bridges behind a link");
    const later = await published({ ...everybody, opensAt: ago(-60) }, "Bridges of tomorrow");
    const back = await published(everybody, "Bridges taken back");
    await db()`update publication set taken_back_at = now() where timeline_id = ${back.t}`;
    const shut = await published(everybody, "Bridges in the bin");
    await db()`update timeline set deleted_at = now() where id = ${shut.t}`;
    expect(behind.address).not.toBe(later.address);

    expect((await titles({})).sort()).toEqual(["Bridges of the Ambrel", "Die Brücken"]);
    expect(await titles({ words: "bridge" })).toEqual(["Bridges of the Ambrel"]);
    expect(await titles({ words: "row" })).toEqual(["Bridges of the Ambrel"]);
    expect(await titles({ words: "haus" })).toEqual(["Die Brücken"]);
    expect(await titles({ words: '"; drop table publication' })).toEqual([]);
    expect(await titles({ subject: "rivers" })).toEqual(["Bridges of the Ambrel"]);
    expect(await titles({ pictures: true })).toEqual([]);
    for (const [from, to, found] of [
      [1500, 1603, []],
      [1600, 1700, ["Bridges of the Ambrel", "Die Brücken"]],
      [1700, 1800, ["Die Brücken"]],
      [1952, 2000, []],
    ] as const)
      expect((await titles({ period: { from: day(from), to: day(to) - 1 } })).sort()).toEqual([...found]);
    expect(await titles({ period: { from: day(1940), to: Number.POSITIVE_INFINITY } })).toEqual(["Die Brücken"]);
  });

  it("gives pages in the order that was asked for, and counts", async () => {
    await db()`delete from publication`;
    const made = [];
    for (let i = 0; i < 23; i++) made.push(await published({ visibility: "everybody" }, `Weir ${i}`));
    for (const [i, { t }] of made.entries())
      await db()`
        update publication set opened = ${i % 7}, published_at = now() - ${`${i} hours`}::interval where timeline_id = ${t}`;
    const first = await searchPublished(ALL);
    expect(first.count).toBe(23);
    expect(first.found.map((f) => f.title)).toEqual(Array.from({ length: 20 }, (_, i) => `Weir ${i}`));
    expect((await searchPublished({ ...ALL, page: 1 })).found.map((f) => f.title)).toEqual([
      "Weir 20",
      "Weir 21",
      "Weir 22",
    ]);
    expect((await searchPublished({ ...ALL, order: "most_read" })).found[0]!.title).toBe("Weir 6");
  });

  it("what was published before anything was found is made findable", async () => {
    const { t } = await published({ visibility: "everybody" }, "Older than the search");
    await db()`update publication set words = null, days = null where timeline_id = ${t}`;
    expect(await titles({ words: "older" })).toEqual([]);
    expect(await findable(10)).toBe(1);
    expect(await titles({ words: "older" })).toEqual(["Older than the search"]);
  });
});

describe("copy as mine", () => {
  it("copies what is published, not the draft, says whose it was, and only where that is permitted", async () => {
    const text = toBase64(descriptionFrom(["Rowed by Hal."], 1));
    const { nia, t, address } = await published({}, "Crossings", [
      { kind: "describe", of: "e1", update: text },
      { kind: "set_timeline", field: "byline", value: "Nia of 8B" },
      { kind: "set_event", id: "e1", field: "note", value: "ask the archive" },
    ]);
    await edit(t, nia.id, { kind: "add_event", id: "e2", fields: { title: "Only in the draft" } });
    const obi = await makePerson("Obi");
    expect(await copyPublished(await at(address), obi.id)).toMatchObject({ failed: "copies_not_allowed" });
    await publish(t, nia.id, { visibility: "link", copies: true }, false);
    const seen = await at(address);
    const { id } = must(await speakIn("de", () => copyPublished(seen, obi.id)));
    const { timeline } = (await findTimeline(id))!;
    // It stays in its own language, whoever copies it.
    expect(timeline.language).toBe("en");
    expect([...timeline.events.values()].map((e) => [e.title, e.note])).toEqual([["Ferry", ""]]);
    expect(timeline.basedOn).toMatchObject({ title: "Crossings", byline: "Nia of 8B", address: `/t/${address}` });
    expect([...timeline.events.values()][0]!.description.length).toBeGreaterThan(0);
    // A browser cannot take that away.
    const { readChange } = await import("../timelines/change-schema");
    const op = { kind: "set_timeline", field: "basedOn", value: null };
    expect(readChange({ id: "c1", base: 0, known: 0, ops: [op] })).toBe(false);
  });
});

describe("events of a published timeline", () => {
  it("come into a timeline one may edit, name where they came from, and only where copies are permitted", async () => {
    const { nia, t, address } = await published({}, "Crossings", [
      { kind: "set_timeline", field: "byline", value: "Nia of 8B" },
      { kind: "set_event", id: "e1", field: "note", value: "ask the archive" },
      { kind: "add_item", id: "i1", fields: { of: "e1", list: "source", text: "Toll book", place: "a5" } },
    ]);
    const obi = await makePerson("Obi");
    const own = await makeTimeline(obi.id, "Mine");
    const web = `https://fastigo.example/t/${address}`;
    expect(await copyPublishedInto(await at(address), own, obi.id, web)).toMatchObject({
      failed: "copies_not_allowed",
    });
    await publish(t, nia.id, { visibility: "link", copies: true }, false);
    // Into what is somebody else's nothing comes.
    expect(await copyPublishedInto(await at(address), t, obi.id, web)).toHaveProperty("failed");
    expect(must(await copyPublishedInto(await at(address), own, obi.id, web))).toMatchObject({
      copied: 1,
      title: "Crossings",
    });
    const { timeline } = (await findTimeline(own))!;
    expect(timeline.title).toBe("Mine");
    expect([...timeline.events.values()].map((e) => [e.title, e.note])).toEqual([["Ferry", ""]]);
    const sources = [...timeline.items.values()].sort((a, b) => (a.place < b.place ? -1 : 1));
    expect(sources.map((i) => [i.list, i.text, i.address])).toEqual([
      ["source", "Toll book", ""],
      ["source", "Crossings. Nia of 8B", web],
    ]);
    // Another one can be written behind it.
    expect(between(sources[1]!.place, null) > sources[1]!.place).toBe(true);
    expect(timeline.basedOn).toMatchObject({ title: "Crossings", address: `/t/${address}` });
  });
});

describe("what is reported", () => {
  it("waits for those who keep the site, who hide it: nobody but its editors sees it then", async () => {
    await db()`delete from publication`;
    const { nia, t, address } = await published({ visibility: "everybody" });
    expect(await reportPage(await at(address), "private", "  ")).toMatchObject({ failed: "report_empty" });
    must(await reportPage(await at(address), "private", "It names a child."));
    expect((await reportedPages()).waiting.map((r) => [r.timeline, r.reports[0]!.words])).toEqual([
      [t, "It names a child."],
    ]);
    const ward = await makePerson("Ward");
    expect(await decide(t, ward.id, true)).toMatchObject({ failed: "operator_only" });
    await db()`update account set operator = true where id = ${ward.id}`;
    must(await decide(t, ward.id, true));
    const p = await at(address);
    expect([p.state, await canSee(p, null), await canSee(p, nia.id)]).toEqual(["hidden", false, true]);
    // Its author publishes again, and it stays hidden.
    await publish(t, nia.id, { visibility: "everybody" }, true);
    expect((await at(address)).state).toBe("hidden");
    expect(await reportedPages()).toMatchObject({ waiting: [], hidden: [{ timeline: t }] });
    must(await decide(t, ward.id, false));
    expect((await at(address)).state).toBe("open");
  });
});
