import { describe, expect, it } from "vitest";
import { toBase64 } from "@/core/text/base64";
import { descriptionFrom } from "@/core/text/write-description";
import { db } from "../db/pool";
import { edit, must, RUBRIC, school } from "../testing/school";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { beginAssignment } from "./begin";
import { findCloseWording, ownPassages, passagesSeen } from "./close-wording";
import { chosenFor, galleryFor, showInGallery } from "./gallery";
import { returnWork, saveMark } from "./marking";
import { drawSample, giveSecond, sampleOf, secondFor, waitingForSecond } from "./moderation";
import { addTeacher } from "./people";
import { beginReviews, review, reviewsBy, reviewsOf } from "./peers";
import { minutesOf, onlyOf, whoDidWhat } from "./shares";
import { findSubmissionRef, maySeeSubmission, namesFor } from "./submission-ref";
import { ownWork, submit, takeSubmissionBack } from "./submit";
import { extend } from "./groups";

withTestDatabase("beside_others");

const current = async (timeline: string) => (await ownWork(timeline))!.submission!.id;
const mark = (points: number) => ({ points, comment: "", comments: [] });

describe("work of others", () => {
  it("is read by those who handed in, not whose own it is; their teacher sees who said what, and how far they agree", async () => {
    const s = await school(3_600, { options: { rubric: RUBRIC } });
    expect(await beginReviews(s.assignment, s.teacher.id, 1, true, 1)).toMatchObject({ failed: "too_few_to_review" });
    const timelines = [s.timeline];
    for (const p of [s.obi, s.wren]) timelines.push(must(await beginAssignment(s.assignment, p.id)).timeline);
    for (const [i, p] of [s.nia, s.obi, s.wren].entries()) must(await submit(timelines[i]!, p.id));
    const ids = await Promise.all(timelines.map(current));
    expect(await beginReviews(s.assignment, s.nia.id, 2, true, 1)).toMatchObject({ failed: "not_found" });
    expect(must(await beginReviews(s.assignment, s.teacher.id, 2, true, 1))).toEqual({ given: 6 });
    const own = await reviewsBy(s.assignment, s.obi.id);
    expect(own.map((r) => r.submission).sort()).toEqual([ids[0], ids[2]].sort());
    expect(own[0]).toMatchObject({ names: "", rubric: RUBRIC, total: 20, done: false });
    // What one was given to read one sees, without names; nobody else of the class does.
    const ref = (await findSubmissionRef(ids[0]!))!;
    expect([await maySeeSubmission(ref, s.obi.id), await namesFor(ref, s.obi.id)]).toEqual([
      true,
      "Names are hidden until it is given back",
    ]);
    expect(await maySeeSubmission(ref, (await makePerson("Stranger")).id)).toBe(false);
    expect(await review(own[0]!.id, s.obi.id, { levels: [], comment: " " })).toMatchObject({ failed: "review_empty" });
    expect(await review(own[0]!.id, s.nia.id, { levels: [0], comment: "x" })).toMatchObject({ failed: "not_found" });
    for (const [who, level, words] of [
      [s.obi, 0, "Clear."],
      [s.wren, 1, "Too short."],
    ] as const) {
      const mine = (await reviewsBy(s.assignment, who.id)).find((r) => r.submission === ids[0])!;
      must(await review(mine.id, who.id, { levels: [level], comment: words }));
    }
    const seen = await reviewsOf(ids[0]!, true);
    expect(seen.said.map((r) => [r.by, r.points, r.comment])).toEqual([
      ["Obi", 20, "Clear."],
      ["Wren", 0, "Too short."],
    ]);
    expect(seen.agreement).toMatchObject({ mean: 10, how: "apart" });
    // The group reads it once its own work is back, without names.
    expect((await ownWork(s.timeline))!.returned).toBeNull();
    must(await saveMark(ids[0]!, s.teacher.id, mark(9)));
    must(await returnWork(ids[0]!, s.teacher.id));
    expect((await ownWork(s.timeline))!.returned!.reviews.map((r) => [r.by, r.comment])).toEqual([
      ["", "Clear."],
      ["", "Too short."],
    ]);
    // Drawn again, what was said stays.
    must(await beginReviews(s.assignment, s.teacher.id, 1, false, 2));
    expect((await reviewsOf(ids[0]!, true)).said).toHaveLength(2);
  });

  it("is shown to the whole class where its teacher chooses it, and no longer once that is taken back", async () => {
    const s = await school();
    must(await submit(s.timeline, s.nia.id));
    const id = await current(s.timeline);
    const ref = (await findSubmissionRef(id))!;
    expect(await maySeeSubmission(ref, s.obi.id)).toBe(false);
    expect(await showInGallery(s.assignment, s.nia.id, [id])).toMatchObject({ failed: "not_found" });
    expect(await showInGallery(s.assignment, s.teacher.id, [id, "none"])).toMatchObject({ failed: "not_found" });
    expect(must(await showInGallery(s.assignment, s.teacher.id, [id, id]))).toEqual({ shown: 1 });
    expect([await maySeeSubmission(ref, s.obi.id), (await galleryFor(s.assignment, s.obi.id))[0]!.names]).toEqual([
      true,
      "Nia",
    ]);
    expect(await maySeeSubmission(ref, (await makePerson("Stranger")).id)).toBe(false);
    expect(await chosenFor(s.assignment)).toEqual([id]);
    must(await showInGallery(s.assignment, s.teacher.id, []));
    expect(await maySeeSubmission(ref, s.obi.id)).toBe(false);
  });

  it("is seen with all that was handed in by whoever has handed in; nothing is taken back then", async () => {
    const s = await school(3_600, { options: { worksShown: "handed_in" } });
    const other = must(await beginAssignment(s.assignment, s.obi.id)).timeline;
    must(await submit(s.timeline, s.nia.id));
    const nias = (await findSubmissionRef(await current(s.timeline)))!;
    const seen = async (who: string) => (await galleryFor(s.assignment, who)).map((g) => g.names);
    expect([await maySeeSubmission(nias, s.obi.id), await seen(s.obi.id)]).toEqual([false, []]);
    expect(await seen(s.nia.id)).toEqual(["Nia"]);
    must(await submit(other, s.obi.id));
    expect([await maySeeSubmission(nias, s.obi.id), await seen(s.obi.id)]).toEqual([true, ["Nia", "Obi"]]);
    expect((await ownWork(other))!.assignment.worksShown).toBe("handed_in");
    expect(await takeSubmissionBack(other, s.obi.id)).toMatchObject({ failed: "too_late_to_take_back" });
    // A stranger sees nothing, nor does somebody who was taken out of the class.
    const stranger = await makePerson("Stranger");
    expect([await maySeeSubmission(nias, stranger.id), await seen(stranger.id)]).toEqual([false, []]);
  });

  it("is seen by the class once the due time has passed, but not by whoever still has time", async () => {
    const s = await school(-60, { options: { worksShown: "due" } });
    must(await submit(s.timeline, s.nia.id));
    const nias = (await findSubmissionRef(await current(s.timeline)))!;
    expect(await maySeeSubmission(nias, s.obi.id)).toBe(true);
    must(await extend(s.assignment, s.teacher.id, [s.obi.id], new Date(Date.now() + 7_200_000).toISOString()));
    expect([await maySeeSubmission(nias, s.obi.id), await galleryFor(s.assignment, s.obi.id)]).toEqual([false, []]);
    const early = await school(3_600, { options: { worksShown: "due" } });
    must(await submit(early.timeline, early.nia.id));
    expect(await galleryFor(early.assignment, early.nia.id)).toEqual([]);
    expect(await galleryFor(early.assignment, early.teacher.id)).toEqual([]);
  });

  it("is shown without names to those who mark without them", async () => {
    const s = await school(3_600, { options: { blind: true } });
    must(await submit(s.timeline, s.nia.id));
    must(await showInGallery(s.assignment, s.teacher.id, [await current(s.timeline)]));
    const names = async (who: string) => (await galleryFor(s.assignment, who)).map((g) => g.names);
    expect([await names(s.teacher.id), await names(s.obi.id)]).toEqual([[""], ["Nia"]]);
  });
});

describe("second marking", () => {
  it("is asked of a colleague for a sample, before they see the first mark; then both see both", async () => {
    const s = await school(3_600, { options: { rubric: RUBRIC } });
    must(await submit(s.timeline, s.nia.id));
    const id = await current(s.timeline);
    must(await saveMark(id, s.teacher.id, mark(14)));
    expect(await drawSample(s.assignment, s.teacher.id, 1, 1)).toMatchObject({ failed: "no_second_teacher" });
    const reed = await makePerson("Mr Reed");
    const [row] = await db()<{ email: string }[]>`select email from account where id = ${reed.id}`;
    must(await addTeacher(s.klass, s.teacher.id, row!.email, "teacher"));
    expect(await drawSample(s.assignment, s.nia.id, 1, 1)).toMatchObject({ failed: "not_found" });
    expect(await giveSecond(id, reed.id, { points: 12, levels: [1], comment: "" })).toMatchObject({
      failed: "not_found",
    });
    expect(await secondFor(id, reed.id)).toBeNull();
    expect(must(await drawSample(s.assignment, s.teacher.id, 5, 1))).toEqual({ drawn: 1 });
    expect(await secondFor(id, reed.id)).toEqual({ asked: true, given: [] });
    expect([await waitingForSecond(s.assignment, reed.id), await waitingForSecond(s.assignment, s.teacher.id)]).toEqual(
      [[id], []],
    );
    expect(await secondFor(id, s.teacher.id)).toEqual({ asked: false, given: [] });
    const give = (who: string, points: number) =>
      giveSecond(id, who, { points, levels: [1], comment: "Too few dates." });
    expect(await give(s.teacher.id, 12)).toMatchObject({ failed: "marked_by_you" });
    expect(await give(s.nia.id, 12)).toMatchObject({ failed: "not_found" });
    expect(await give(reed.id, 21)).toMatchObject({ failed: "points_out_of_range" });
    must(await give(reed.id, 12));
    const seen = [{ by: "Mr Reed", points: 12, comment: "Too few dates." }];
    expect(await secondFor(id, reed.id)).toEqual({ asked: false, given: seen });
    expect(await sampleOf(s.assignment)).toMatchObject([{ names: "Nia", first: 14, firstBy: "Ms Ward", given: seen }]);
    // Who comments later is no first marker.
    must(await saveMark(id, reed.id, { ...mark(14), comment: "See the second mark." }));
    expect(await sampleOf(s.assignment)).toMatchObject([{ firstBy: "Ms Ward" }]);
    // Drawn again, what was given stays.
    expect(must(await drawSample(s.assignment, s.teacher.id, 1, 2))).toEqual({ drawn: 1 });
    expect(await secondFor(id, s.teacher.id)).toEqual({ asked: false, given: seen });
  });
});

describe("close wording", () => {
  it("is found among works, texts and quotations; a group sees its own passage, the teacher both sides", async () => {
    const copied = "the river rose and by ten the quay was under water";
    const s = await school(3_600, {
      options: { texts: [{ title: "Post", text: `In the night ${copied}, says the Post.` }] },
    });
    const other = must(await beginAssignment(s.assignment, s.obi.id)).timeline;
    const write = async (timeline: string, who: string, id: string, words: string) => {
      must(await edit(timeline, who, { kind: "add_event", id, fields: { title: "Flood" } }));
      must(
        await edit(timeline, who, {
          kind: "describe",
          of: id,
          update: toBase64(descriptionFrom([words], id.length + 7)),
        }),
      );
    };
    await write(s.timeline, s.nia.id, "ea", `They say ${copied} for days.`);
    await write(other, s.obi.id, "ebb", `Then ${copied} again, “${copied}”.`);
    expect(await findCloseWording(s.assignment)).toBe(4);
    expect(must(await ownPassages(s.timeline, s.nia.id)).passages).toEqual([
      { event: "ea", passage: copied, words: 11 },
    ]);
    expect(await ownPassages(s.timeline, s.obi.id)).toMatchObject({ failed: "not_found" });
    const seen = await passagesSeen(s.timeline);
    expect(seen.map((p) => [p.kind, p.otherNames, p.otherTitle])).toEqual(
      expect.arrayContaining([
        ["classmate", "Obi", "Flood"],
        ["text", "", ""],
      ]),
    );
    // Put into other words, it is found no more.
    must(await edit(s.timeline, s.nia.id, { kind: "delete_event", id: "ea" }));
    await findCloseWording(s.assignment);
    expect(must(await ownPassages(s.timeline, s.nia.id)).passages).toEqual([]);
    expect(await findCloseWording("none")).toBeNull();
  });

  it("has it counted who wrote what, for each of the group", async () => {
    const s = await school();
    must(await edit(s.timeline, s.nia.id, { kind: "add_event", id: "ea", fields: { title: "Flood" } }));
    must(
      await edit(s.timeline, s.nia.id, {
        kind: "describe",
        of: "ea",
        update: toBase64(descriptionFrom(["It rained for three days."], 9)),
      }),
    );
    const all = (await whoDidWhat(s.timeline))!;
    const nia = all.people.find((p) => p.author === s.nia.id)!;
    expect(nia).toMatchObject({ wordsThere: 5, sittings: 1 });
    expect([all.names[s.nia.id], all.titles.ea]).toEqual(["Nia", "Flood"]);
    expect(onlyOf(all, s.obi.id)).toMatchObject({ people: [], atOnce: [], names: {} });
    expect(await minutesOf([s.timeline])).toEqual({ [s.timeline]: expect.any(Number) });
    expect(await whoDidWhat("none")).toBeNull();
  });
});
