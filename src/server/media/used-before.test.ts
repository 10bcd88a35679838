import sharp from "sharp";
import { expect, it } from "vitest";
import { db } from "../db/pool";
import { isFailure } from "../http/failure";
import { edit, must } from "../testing/school";
import { start, upload } from "../testing/media";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { takeAgain } from "../timelines/copy-into";
import { cutPicture } from "./make-media";
import { usedBefore } from "./used-before";
import { deleteUpload } from "../timelines/delete-upload";
import { publish } from "../publishing/publish";

withTestDatabase("used_before");

const picture = (background: string) =>
  sharp({ create: { width: 40, height: 30, channels: 3, background } })
    .png()
    .toBuffer();

async function added(of: { account: string; timeline: string }, background: string, name: string, said: object = {}) {
  const { media } = must(await upload(of, await picture(background), name));
  await edit(of.timeline, of.account, {
    kind: "add_item",
    id: `i-${media.id}`,
    fields: { of: "e", list: "media", kind: "picture", media: media.id, ...said },
  });
  return media.id;
}

async function withEvent() {
  const of = await start();
  await edit(of.timeline, of.account, { kind: "add_event", id: "e", fields: { title: "Flood" } });
  return of;
}

it("what one has uploaded is found by words, day and timeline, each once, with what shows it", async () => {
  const of = await withEvent();
  await db()`update timeline set title = 'The crossing' where id = ${of.timeline}`;
  const quay = await added(of, "#ff0000", "quay.png", { caption: "The east quay", credit: "Ambrel Post" });
  await added(of, "#00ff00", "bridge_1.png");
  const found = async (words: string) => (await usedBefore(of.account, words, 0)).found.map((f) => f.name);
  expect(await found("")).toEqual(["bridge_1.png", "quay.png"]);
  expect(await found("east QUAY")).toEqual(["quay.png"]);
  expect(await found("crossing bridge")).toEqual(["bridge_1.png"]);
  expect(await found("flood")).toHaveLength(2);
  expect(await found(new Date().toISOString().slice(0, 10))).toHaveLength(2);
  expect(await found("1999-01-01")).toEqual([]);
  // Signs that mean something to the database are looked for as they stand.
  expect(await found("bridge_")).toEqual(["bridge_1.png"]);
  expect(await found("qua_")).toEqual([]);
  expect(await found("%")).toEqual([]);
  // A part that is cut out of one is not one more.
  must(await cutPicture(of.timeline, of.account, quay, { x: 0, y: 0, width: 50, height: 50, turn: 0 }));
  expect((await usedBefore(of.account, "", 0)).found).toHaveLength(2);
  expect((await usedBefore(of.account, "quay", 0)).found[0]).toMatchObject({
    media: quay,
    events: ["Flood"],
    caption: "The east quay",
    timelineTitle: "The crossing",
  });
  // Nobody else finds it, and neither do I where I may no longer edit.
  expect((await usedBefore((await makePerson()).id, "", 0)).found).toEqual([]);
  await db()`delete from editor where timeline_id = ${of.timeline}`;
  expect(await found("")).toEqual([]);
});

it("it is used again in another timeline without its bytes being stored again, by who may edit both", async () => {
  const of = await withEvent();
  const quay = await added(of, "#0000ff", "quay.png");
  const other = await makeTimeline(of.account);
  const blobs = async () => (await db()<{ n: number }[]>`select count(*)::int as n from blob`)[0]!.n;
  const before = await blobs();
  const again = must(await takeAgain(of.timeline, other, quay, of.account));
  expect(again.media).toMatchObject({ kind: "picture", width: 40, height: 30, name: "quay.png" });
  expect(again.media.id).not.toBe(quay);
  expect(await blobs()).toBe(before);
  // Once more in the same timeline it is the same.
  expect(must(await takeAgain(of.timeline, of.timeline, quay, of.account)).media.id).toBe(quay);
  const stranger = await start();
  for (const [from, to, by] of [
    [of.timeline, stranger.timeline, stranger.account],
    [of.timeline, stranger.timeline, of.account],
    [stranger.timeline, of.timeline, of.account],
  ] as const)
    expect(await takeAgain(from, to, quay, by)).toMatchObject({ failed: "not_found" });
  expect(isFailure(await takeAgain(of.timeline, other, "none", of.account))).toBe(true);
  // The list has it once, though two timelines hold it.
  expect((await usedBefore(of.account, "", 0)).found).toHaveLength(1);
});

it("an upload is deleted for good: out of every timeline, out of what can be put back, and its bytes", async () => {
  const of = await withEvent();
  const quay = await added(of, "#123456", "quay.png");
  const part = must(await cutPicture(of.timeline, of.account, quay, { x: 0, y: 0, width: 50, height: 50, turn: 0 }));
  await edit(of.timeline, of.account, { kind: "set_item", id: `i-${quay}`, field: "media", value: part.id });
  const other = await makeTimeline(of.account);
  const again = must(await takeAgain(of.timeline, other, quay, of.account));
  const fields = { of: "timeline", list: "media", kind: "picture", media: again.media.id } as const;
  await edit(other, of.account, { kind: "add_item", id: "cover", fields });
  await edit(other, of.account, { kind: "delete_item", id: "cover" });
  // A timeline that lies in the bin comes back without it.
  const binned = await makeTimeline(of.account);
  const there = must(await takeAgain(of.timeline, binned, quay, of.account)).media.id;
  await edit(binned, of.account, { kind: "add_item", id: "cover", fields: { ...fields, media: there } });
  await db()`update timeline set deleted_at = now() where id = ${binned}`;
  const hashes = await db()<{ hash: string }[]>`
    select distinct hash from media_file where media_id = any(${[quay, part.id, again.media.id]})`;
  expect(hashes.length).toBeGreaterThan(1);
  const stranger = await start();
  expect(await deleteUpload(of.timeline, quay, stranger.account)).toMatchObject({ failed: "not_found" });
  expect(must(await deleteUpload(of.timeline, quay, of.account))).toEqual({ entries: 2, frozen: [] });
  const [bin] = await db()`select deleted_at is null as back from timeline where id = ${binned}`;
  expect(bin).toEqual({ back: false });
  const left = async (table: string, column: string, ids: string[]) =>
    (await db()<{ n: number }[]>`select count(*)::int as n from ${db()(table)} where ${db()(column)} = any(${ids})`)[0]!
      .n;
  const ids = [quay, part.id, again.media.id, there];
  expect([await left("media", "id", ids), await left("item", "media", ids)]).toEqual([0, 0]);
  expect(
    await left(
      "blob",
      "hash",
      hashes.map((h) => h.hash),
    ),
  ).toBe(0);
  const [log] = await db()<{ n: number }[]>`
    select count(*)::int as n from change where ops::text like ${`%"${quay}"%`} or was::text like ${`%"${quay}"%`}
      or ops::text like ${`%"${part.id}"%`}`;
  expect(log!.n).toBe(0);
  expect((await usedBefore(of.account, "", 0)).found).toEqual([]);
  // Undo in a browser that had it open is told so.
  expect(await edit(of.timeline, of.account, { kind: "restore_item", id: `i-${quay}` })).toMatchObject({
    failed: "no_such_media",
  });
  expect(await deleteUpload(of.timeline, quay, of.account)).toMatchObject({ failed: "not_found" });
});

it("what a published version shows is kept for that alone, and it is said", async () => {
  const of = await withEvent();
  await db()`update timeline set title = 'The crossing' where id = ${of.timeline}`;
  const quay = await added(of, "#654321", "quay.png");
  must(await publish(of.timeline, of.account, { visibility: "link" }, true));
  expect(must(await deleteUpload(of.timeline, quay, of.account))).toEqual({ entries: 1, frozen: ["The crossing"] });
  expect((await usedBefore(of.account, "", 0)).found).toEqual([]);
  const [media] = await db()`select put_away from media where id = ${quay}`;
  expect(media).toEqual({ putAway: true });
  const [item] = await db()`select media from item where timeline_id = ${of.timeline}`;
  expect(item).toEqual({ media: null });
});
