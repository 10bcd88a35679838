import sharp from "sharp";
import { describe, expect, it } from "vitest";
import { timelineOfFile } from "@/core/bring-in/whole-timeline";
import { copyTimeline } from "@/core/change/copy-events";
import type { ArchivedClass, ArchivedRow, RestoredWork } from "@/core/formats/class-archive";
import { mediaIn, toFrozen } from "@/core/formats/frozen";
import { readJson } from "@/core/formats/read-json";
import { knowLanguages } from "@/core/testing/languages";
import { canonicalJson } from "@/core/text/canonical-json";
import { readWhen } from "@/core/time/read/read-when";
import { db } from "../db/pool";
import { findFrozenFile } from "../media/find-file";
import { upload } from "../testing/media";
import { edit, must, RUBRIC, school } from "../testing/school";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { findRight } from "../timelines/access";
import { purgeSubmission, purgeTimeline } from "../timelines/purge";
import { findTimeline } from "../timelines/queries";
import { classArchive } from "./archive-class";
import { addClassmate, beginAssignment } from "./begin";
import { findClass, membersOf } from "./class";
import { showInGallery } from "./gallery";
import { extend } from "./groups";
import { overrideGiven, returnWork, saveMark } from "./marking";
import { drawSample, giveSecond } from "./moderation";
import { findSubmission } from "./open-submission";
import { beginReviews, reviewsBy, review } from "./peers";
import { addTeacher } from "./people";
import { checkPractice, givePractice, openPractice } from "./practice";
import { answer, ask, questionsOf } from "./questions";
import { reply } from "./replies";
import { restoreClass } from "./restore-class";
import { slipsAnew } from "./roster";
import { setAside } from "./set-aside";
import { classesTaught } from "./reach";
import { ownWork, submit } from "./submit";

withTestDatabase("class_back");
knowLanguages();

const current = async (timeline: string) => (await ownWork(timeline))!.submission!.id;
const mail = async (id: string) =>
  (await db()<{ email: string }[]>`select email from account where id = ${id}`)[0]!.email;

/** A class in which everything happened that leaves something behind. */
async function aYear() {
  const s = await school(3_600, { options: { rubric: RUBRIC } });
  const colleague = await makePerson("Mr Reed");
  must(await addTeacher(s.klass, s.teacher.id, await mail(colleague.id), "teacher"));
  const png = await sharp({ create: { width: 40, height: 30, channels: 3, background: "#B4481E" } })
    .png()
    .toBuffer();
  const media = must(await upload({ account: s.nia.id, timeline: s.timeline }, png, "ferry.png")).media;
  must(
    await edit(
      s.timeline,
      s.nia.id,
      { kind: "add_event", id: "own", fields: { title: "Rope ferry" } },
      {
        kind: "add_item",
        id: "p",
        fields: { of: "own", list: "media", kind: "picture", media: media.id, text: "Ferry" },
      },
    ),
  );
  must(await ask(s.timeline, s.nia.id, "own", "Is this one right?"));
  must(await answer((await questionsOf(s.timeline))[0]!.id, colleague.id, "Nearly."));
  must(await setAside(s.timeline, s.nia.id, "no-source own", "My grandmother told me."));
  must(await submit(s.timeline, s.nia.id));
  const first = await current(s.timeline);
  const levels = { levels: [1], base: 0 };
  must(
    await saveMark(first, s.teacher.id, {
      points: 12.5,
      comment: "Good.",
      comments: [{ event: "own", text: "When?" }],
      ...levels,
    }),
  );
  must(await overrideGiven(first, s.teacher.id, 0, { result: "right", reason: "It says so in the register." }));
  must(await returnWork(first, s.teacher.id, true));
  must(
    await saveMark(first, colleague.id, {
      points: 13,
      comment: "Good.",
      comments: [],
      reason: "Miscounted.",
      levels: [0],
    }),
  );
  must(await reply(first, s.nia.id, "Thank you."));
  must(await edit(s.timeline, s.nia.id, { kind: "set_event", id: "own", field: "title", value: "The rope ferry" }));
  must(await submit(s.timeline, s.nia.id));
  const both = must(await beginAssignment(s.assignment, s.obi.id)).timeline;
  must(await addClassmate(both, s.obi.id, s.wren.id));
  must(await edit(both, s.wren.id, { kind: "add_event", id: "w", fields: { title: "Weir" } }));
  must(await submit(both, s.obi.id));
  must(await edit(both, s.obi.id, { kind: "set_event", id: "w", field: "title", value: "The weir" }));
  const second = await current(both);
  must(await saveMark(second, s.teacher.id, { points: 8, comment: "", comments: [] }));
  must(await showInGallery(s.assignment, s.teacher.id, [second]));
  must(await drawSample(s.assignment, s.teacher.id, 2, 4));
  must(await giveSecond(second, colleague.id, { points: 9, levels: [0], comment: "By me." }));
  must(await beginReviews(s.assignment, s.teacher.id, 1, true, 3));
  const [own] = await reviewsBy(s.assignment, s.nia.id);
  must(await review(own!.id, s.nia.id, { levels: [0], comment: "Well told." }));
  must(await extend(s.assignment, s.teacher.id, [s.wren.id], new Date(Date.now() + 9_000_000).toISOString()));
  const shown = await makeTimeline(s.teacher.id, "Bells");
  must(
    await edit(
      shown,
      s.teacher.id,
      ...[1604, 1700, 1851].map((y) => ({
        kind: "add_event" as const,
        id: `y${y}`,
        fields: { title: `Bell of ${y}`, when: readWhen(String(y)) },
      })),
    ),
  );
  const practice = must(
    await givePractice(s.klass, s.teacher.id, { timeline: shown, count: 5, parts: true, spans: true }),
  ).id;
  const cards = (await openPractice(practice, s.obi.id))!.cards.map((c) => c.id);
  must(await checkPractice(practice, s.obi.id, cards));
  return { ...s, colleague, both, first, shown };
}

/** As it lies in a file. */
const inFile = async (klass: string, teacher: string) =>
  JSON.parse(JSON.stringify(await classArchive(klass, teacher))) as ArchivedClass;

/** Everything of a class under names instead of ids, so that two can be compared. */
function told(a: ArchivedClass) {
  const { rows } = a;
  const name = new Map(a.people.map((p) => [p.id, p.name.replace(" (from an archive)", "")]));
  const ids = new Map<string, string>(name);
  const call = (list: ArchivedRow[] | undefined, as: (r: ArchivedRow) => unknown) => {
    for (const r of list ?? []) ids.set(String(r.id), String(as(r)));
  };
  call(rows.assignment, (r) => `assignment ${r.title}`);
  call(rows.givenEvent, (r) => `given ${r.title}`);
  call(rows.practice, (r) => `practice ${r.title}`);
  for (const g of rows.groupWork!) {
    const who = rows.groupMember!.filter((m) => m.groupId === g.id).map((m) => ids.get(String(m.accountId)));
    ids.set(String(g.id), `group of ${who.sort().join()}`);
    ids.set(String(g.timelineId), `work of ${who.sort().join()}`);
  }
  call(rows.version, (r) => `version ${r.hash}`);
  call(rows.submission, (r) => `submission ${r.hash}`);
  call(rows.peerReview, (r) => `review by ${ids.get(String(r.accountId))}`);
  const said = (v: unknown): unknown =>
    typeof v === "string" ? (ids.get(v) ?? v) : Array.isArray(v) ? v.map(said) : v;
  const without = new Set(["seq", "model"]);
  const all = Object.entries(rows).map(([table, list]) => [
    table,
    list
      .map((r) =>
        canonicalJson(
          Object.fromEntries(
            Object.entries(r)
              .filter(([k]) => !without.has(k))
              .map(([k, v]) => [k, said(v)]),
          ),
        ),
      )
      .sort(),
  ]);
  return {
    ...a,
    teacher: ids.get(a.teacher),
    people: [...new Set(name.values())].sort(),
    members: a.members
      .map((m) => ({ ...m, id: ids.get(m.id) }))
      .sort((x, y) => String(x.id).localeCompare(String(y.id))),
    works: a.works.map((w) => ids.get(w.timeline)).sort(),
    given: a.given.map((g) => canonicalJson({ ...g, timeline: ids.get(g.timeline), given: ids.get(g.given) })).sort(),
    rows: Object.fromEntries(all),
  };
}

/** What a browser does with the works of an archive: a timeline of each, with its files. */
async function worksBack(
  archived: ArchivedClass,
  drafts: ReadonlyMap<string, string>,
  files: ReadonlyMap<string, Uint8Array>,
  by: string,
) {
  const works: RestoredWork[] = [];
  for (const { timeline: work } of archived.works) {
    const read = readJson(drafts.get(work)!);
    if ("problem" in read) throw new Error(read.problem);
    const timeline = await makeTimeline(by, "");
    const media = new Map<string, string>();
    for (const m of mediaIn(read.frozen))
      media.set(m, must(await upload({ account: by, timeline }, files.get(m)!, "ferry.png")).media.id);
    must(
      await edit(
        timeline,
        by,
        ...copyTimeline(timelineOfFile(read.frozen, 1), read.frozen.title, (m) => media.get(m) ?? null),
      ),
    );
    works.push({ work, timeline, media: [...media] });
  }
  return works;
}

async function takenAway() {
  const s = await aYear();
  const archived = await inFile(s.klass, s.teacher.id);
  const drafts = new Map<string, string>();
  for (const { timeline } of archived.works)
    drafts.set(timeline, canonicalJson(toFrozen((await findTimeline(timeline))!.timeline)));
  const files = new Map<string, Uint8Array>();
  for (const { id, bytes } of await db()<{ id: string; bytes: Uint8Array }[]>`
    select f.media_id as id, string_agg(p.bytes, ''::bytea order by p.n) as bytes from media_file f join blob_piece p on p.hash = f.hash
    where f.size = 'large' group by f.media_id`)
    files.set(id, bytes);
  return { s, archived, drafts, files };
}

/** As on another server: nothing of it is here. */
async function emptied(): Promise<string> {
  await db()`truncate account, class, timeline, blob, job cascade`;
  return (await makePerson("Ms Ward")).id;
}

describe("a class out of an archive", () => {
  it("is the same on a server that knew nothing of it: receipts, marks and names; its students have accounts of their own", async () => {
    const { s, archived, drafts, files } = await takenAway();
    expect(await classesTaught(db(), s.teacher.id)).toEqual([{ id: s.klass, name: "History 8B" }]);
    expect(await classArchive(s.klass, s.nia.id)).toBeNull();
    for (const [table, rows] of Object.entries(archived.rows))
      expect([table, rows.length > 0 || ["assignmentPicture", "markVoice"].includes(table)]).toEqual([table, true]);
    const ward = await emptied();
    const works = await worksBack(archived, drafts, files, ward);
    const shown = await makeTimeline(ward, "Bells");
    const { id, students } = must(await restoreClass(ward, archived, works, [[s.shown, shown]]));
    expect(students).toBe(3);
    const again = await inFile(id, ward);
    expect(
      told({
        ...again,
        rows: { ...again.rows, practice: again.rows.practice!.map((p) => ({ ...p, timelineId: s.shown })) },
      }),
    ).toEqual(told(archived));
    expect((await findClass(id))!.fromArchiveAt).not.toBeNull();
    // Whoever brought it teaches it, and writes in none of its works.
    for (const w of works) expect(await findRight(db(), w.timeline, ward)).toBe("comment");
    const members = await membersOf(id);
    expect(members.map((m) => [m.displayName, m.waits])).toEqual([
      ["Nia", true],
      ["Obi", true],
      ["Wren", true],
    ]);
    expect(must(await slipsAnew(id, ward)).slips).toHaveLength(3);
    const nia = members[0]!.id;
    const work = (await ownWork(works.find((w) => w.media.length > 0)!.timeline))!;
    expect(await findRight(db(), works.find((w) => w.media.length > 0)!.timeline, nia)).toBe("own");
    // What was handed in first is beside what was handed in then, and both have their picture.
    const open = (await findSubmission(work.submission!.id))!;
    expect(open).toMatchObject({ editedSince: false, members: ["Nia"], before: { points: 13 } });
    const [called] = mediaIn(open.frozen);
    expect(await findFrozenFile(open.versionId, called!, "large")).not.toBeNull();
    const other = works.find((w) => w.media.length === 0)!.timeline;
    expect((await findSubmission(await current(other)))!.editedSince).toBe(true);
    // The year goes on: what came back to be improved can be marked.
    must(await saveMark(open.id, ward, { points: 15, comment: "", comments: [] }));
    must(await returnWork(open.id, ward));
    // And it ends: nothing of those who are named stays.
    for (const r of again.rows.submission!) await db().begin((tx) => purgeSubmission(tx, String(r.id)));
    for (const w of works) await db().begin((tx) => purgeTimeline(tx, w.timeline));
    expect(await db()`select display_name from account where display_name like '%archive%'`).toEqual([]);
  });

  it("that was altered, or asks for what is another's, is refused whole", async () => {
    const { archived, drafts, files } = await takenAway();
    const ward = await emptied();
    const works = await worksBack(archived, drafts, files, ward);
    const altered = (table: string, change: object) => ({
      ...archived,
      rows: { ...archived.rows, [table]: archived.rows[table]!.map((r) => ({ ...r, ...change })) },
    });
    const later = JSON.stringify({ ...JSON.parse(String(archived.rows.submission![0]!.content)), total: 1_000 });
    for (const wrong of [
      altered("submission", { content: later }),
      altered("submission", { hash: "0".repeat(64) }),
      altered("version", { json: String(archived.rows.version![0]!.json).replace("ferry", "fairy") }),
      altered("version", { hash: "0".repeat(64) }),
      { ...archived, members: [...archived.members, archived.members[0]!] },
    ])
      expect(await restoreClass(ward, wrong, works, [])).toMatchObject({ failed: "altered_archive" });
    const zoe = await makePerson("Zoe");
    expect(await restoreClass(zoe.id, archived, works, [])).toMatchObject({ failed: "not_found" });
    expect(await db()`select from class`).toHaveLength(0);
    expect(await db()`select from account where made_in_class is not null`).toHaveLength(0);
    // What belongs to a group already is not given away twice.
    must(await restoreClass(ward, archived, works, []));
    expect(await restoreClass(ward, archived, works, [])).toMatchObject({ failed: "not_found" });
    expect(await db()`select from class`).toHaveLength(1);
  });
});
