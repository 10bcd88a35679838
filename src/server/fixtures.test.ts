import { createHash } from "node:crypto";
import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import postgres from "postgres";
import { afterAll, describe, expect, it } from "vitest";
import { apply } from "@/core/change/apply";
import type { ConfirmedChange } from "@/core/change/change";
import { drawChart } from "@/core/chart/draw/draw-chart";
import { canonicalJson } from "@/core/text/canonical-json";
import { type Frozen, timelineFromFrozen, toFrozen } from "@/core/formats/frozen";
import { readJson } from "@/core/formats/read-json";
import { emptyTimeline } from "@/core/timeline/timeline";
import { migrate } from "../../db/migrate.mjs";
import { signIn } from "./accounts/sign-in";
import { findClassRole, membersOf } from "./classes/class";
import { workOf } from "./classes/home";
import { groupsOf } from "./classes/marking";
import { findSubmission } from "./classes/open-submission";
import { closeDb, db } from "./db/pool";
import { isFailure } from "./http/failure";
import { findRight } from "./timelines/access";
import { canSee, findPublished } from "./publishing/published";
import { findTimeline } from "./timelines/queries";
import { changesAfter } from "./timelines/queries";

const FIXTURES = join(import.meta.dirname, "..", "..", "fixtures");
const files = (folder: string) => readdirSync(join(FIXTURES, folder)).sort();

/** Every frozen format there has been is read and drawn for ever. */
describe.each(files("frozen"))("a frozen timeline as %s", (file) => {
  const text = readFileSync(join(FIXTURES, "frozen", file), "utf8");

  it("is read, drawn and written again with everything that was in it", () => {
    const frozen = JSON.parse(text) as Frozen;
    const timeline = timelineFromFrozen(frozen);
    expect([...timeline.events.values()].map((e) => e.title)).toEqual(frozen.events.map((e) => e.title));
    expect(drawChart(timeline, { width: 900, height: 400 }).shapes.length).toBeGreaterThan(5);
    const read = readJson(text);
    if ("problem" in read) throw new Error(read.problem);
    const again = JSON.parse(canonicalJson(toFrozen(timelineFromFrozen(read.frozen))));
    // What it did not have then has its usual value now; all else is as it was.
    for (const [key, value] of Object.entries(frozen))
      if (key !== "events" && key !== "introduction") expect({ [key]: again[key] }).toMatchObject({ [key]: value });
    expect(again.events.map((e: { when: unknown }) => e.when)).toEqual(frozen.events.map((e) => e.when));
  });
});

/** A database as it was at a migration, with people's work in it, becomes today's and is all there. */
describe.each(files("database"))("a database of %s", (file) => {
  afterAll(closeDb);

  it("is brought to today's shape, and everything in it is read", async () => {
    const cluster = process.env.TEST_CLUSTER!;
    const name = `fixture_${file.replace(/\D/g, "")}`;
    const admin = postgres(cluster.replace("{name}", "postgres"), { max: 1, onnotice: () => {} });
    await admin.unsafe(`drop database if exists ${name}`);
    await admin.unsafe(`create database ${name}`);
    await admin.end();
    const url = cluster.replace("{name}", name);
    const load = postgres(url, { max: 1, onnotice: () => {} });
    await load.unsafe(readFileSync(join(FIXTURES, "database", file), "utf8"));
    await load.end();
    const applied = await migrate(url);
    // Nothing that was applied then is applied again, or was altered since.
    expect(applied.every((m) => m.slice(0, 4) > file.slice(0, 4))).toBe(true);
    process.env.DATABASE_URL = url;

    const nia = await signIn("nia@hollinbank.example", "over-the-ambrel");
    if (isFailure(nia)) throw new Error(nia.failed);
    const [teacher] = await db()<{ id: string }[]>`select id from account where email = 'ward@hollinbank.example'`;
    const [group] = await db()<{ timeline: string; assignment: string; klass: string }[]>`
      select g.timeline_id as timeline, a.id as assignment, a.class_id as klass
      from group_work g join assignment a on a.id = g.assignment_id`;
    const { timeline: id, assignment, klass } = group!;

    // The timeline, and the log that leads to it.
    const { timeline, seq } = (await findTimeline(id))!;
    expect([...timeline.events.values()].find((e) => e.id === "ferry")).toMatchObject({
      title: "Rope ferry licensed",
      emphasis: true,
      when: { edtf: "1604" },
    });
    const log: ConfirmedChange[] = await changesAfter(db(), id, 0);
    expect(log.at(-1)!.seq).toBe(seq);
    const replayed = log.reduce((t, c) => apply(t, c.ops).timeline, emptyTimeline(id));
    expect(canonicalJson(toFrozen(replayed))).toBe(canonicalJson(toFrozen(timeline)));

    // Rights, class, what was handed in and its mark.
    expect([await findRight(db(), id, nia.user.id), await findRight(db(), id, teacher!.id)]).toEqual([
      "own",
      "comment",
    ]);
    expect(await findClassRole(db(), klass, teacher!.id)).toBe("teacher");
    expect((await membersOf(klass)).map((m) => m.displayName).sort()).toEqual(["Nia", "Wren"]);
    const [work] = await workOf(nia.user.id);
    expect(work).toMatchObject({ title: "Crossing project", timeline: id });
    const rows = await groupsOf(assignment, async () => []);
    const submission = (await findSubmission(rows.find((r) => r.submission)!.submission!))!;
    const marked = submission.before ?? submission;
    expect(marked).toMatchObject({ points: 17, comment: "Clear.", comments: { ferry: "Which roll?" } });
    expect(submission.content.given.map((g) => g.title)).toEqual(["The bell is recast", "The viaduct opens"]);

    // Whatever was frozen is what it was, byte for byte, and what was published can be seen.
    const versions = await db()<{ json: string; hash: string }[]>`select json, hash from version`;
    expect(versions.length).toBeGreaterThanOrEqual(3);
    for (const v of versions) expect(createHash("sha256").update(v.json).digest("hex")).toBe(v.hash);
    const [publication] = await db()<{ address: string }[]>`select address from publication`;
    expect(await canSee((await findPublished(publication!.address))!, null)).toBe(true);
  });
});
