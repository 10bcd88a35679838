import { createHash } from "node:crypto";
import { nanoid } from "nanoid";
import { describe, expect, it } from "vitest";
import type { Op } from "@/core/change/change";
import { canonicalJson } from "@/core/text/canonical-json";
import { db } from "../db/pool";
import { isFailure } from "../http/failure";
import { collectMedia } from "../media/collect";
import { makePerson, makeTimeline, withTestDatabase } from "../testing/test-database";
import { setDeleted } from "../timelines/create";
import { freeze } from "../timelines/freeze";
import { canSee, findPublished } from "./published";
import { findVersion, findPage, storePage } from "./versions";
import { publish, takeBack } from "./publish";
import { takeChange } from "../timelines/take-change";

withTestDatabase("publish");

const edit = (t: string, author: string, ...ops: Op[]) => takeChange(t, { id: nanoid(), author, base: 0, ops });

async function published(visibility: "only_me" | "link" | "everybody" = "link") {
  const nia = await makePerson();
  const t = await makeTimeline(nia.id);
  await edit(t, nia.id, { kind: "add_event", id: "e1", fields: { title: "Ferry" } });
  const done = await publish(t, nia.id, { visibility: visibility }, true);
  if (isFailure(done)) throw new Error(done.failed);
  return { nia, t, address: done.publication.address };
}

describe("publishing", () => {
  it("shows what was published until the changes are published too, at the same address", async () => {
    const { nia, t, address } = await published();
    const before = (await findPublished(address))!;
    await edit(t, nia.id, { kind: "set_event", id: "e1", field: "title", value: "Rope ferry" });
    expect((await findVersion((await findPublished(address))!.version))!.frozen.events[0]!.title).toBe("Ferry");
    const again = await publish(t, nia.id, { visibility: "link" }, false);
    if (isFailure(again)) throw new Error(again.failed);
    expect(again.publication).toMatchObject({ address, laterChanges: 1 });
    expect((await findPublished(address))!.version).toBe(before.version);
    const fresh = await publish(t, nia.id, { visibility: "link" }, true);
    if (isFailure(fresh)) throw new Error(fresh.failed);
    expect(fresh.publication).toMatchObject({ address, laterChanges: 0 });
    expect((await findVersion((await findPublished(address))!.version))!.frozen.events[0]!.title).toBe("Rope ferry");
  });

  it.each<["only_me" | "link" | "everybody", boolean, boolean]>([
    ["only_me", false, false],
    ["link", true, true],
    ["everybody", true, true],
  ])("%s: nobody %s, a stranger %s, its owner always", async (visibility, nobody, stranger) => {
    const { nia, address } = await published(visibility);
    const p = (await findPublished(address))!;
    expect(await canSee(p, null)).toBe(nobody);
    expect(await canSee(p, (await makePerson()).id)).toBe(stranger);
    expect(await canSee(p, nia.id)).toBe(true);
  });

  it("can be taken back, and is gone with its timeline", async () => {
    const { nia, t, address } = await published();
    await takeBack(t, nia.id);
    expect(await canSee((await findPublished(address))!, nia.id)).toBe(false);
    await publish(t, nia.id, { visibility: "link" }, true);
    expect((await findPublished(address))!.state).toBe("open");
    await setDeleted(t, nia.id, true);
    expect((await findPublished(address))!.state).toBe("taken_back");
  });

  it("is its owner's alone", async () => {
    const { t } = await published();
    expect(await publish(t, (await makePerson()).id, { visibility: "everybody" }, true)).toMatchObject({
      failed: "not_found",
    });
    expect(await takeBack(t, (await makePerson()).id)).toMatchObject({ failed: "not_found" });
  });

  it("refuses to publish nothing", async () => {
    const nia = await makePerson();
    expect(await publish(await makeTimeline(nia.id, ""), nia.id, { visibility: "link" }, true)).toMatchObject({
      failed: "nothing_to_publish",
    });
  });

  it("is kept once a version and build, and of two made at once the first", async () => {
    const { address } = await published();
    const { version } = (await findPublished(address))!;
    const page = (n: number) => ({ html: "<p>", etag: `"${n}"`, policy: "" });
    expect(await findPage(version, "b1")).toBeNull();
    expect((await storePage(version, "b1", page(1))).etag).toBe('"1"');
    expect((await storePage(version, "b1", page(2))).etag).toBe('"1"');
    expect((await storePage(version, "b2", page(3))).etag).toBe('"3"');
  });
});

describe("a frozen version", () => {
  it("has the hash of its bytes and cannot be altered or deleted, whatever happens to the draft", async () => {
    const { nia, t, address } = await published();
    const { version } = (await findPublished(address))!;
    const read = async () =>
      (await db()<{ json: string; hash: string }[]>`select json, hash from version where id = ${version}`)[0]!;
    const before = await read();
    expect(createHash("sha256").update(before.json).digest("hex")).toBe(before.hash);
    expect(canonicalJson(JSON.parse(before.json))).toBe(before.json);
    await edit(t, nia.id, { kind: "delete_event", id: "e1" });
    await setDeleted(t, nia.id, true);
    await expect(db()`update version set json = '{}' where id = ${version}`).rejects.toThrow("never altered");
    await expect(db()`delete from version where id = ${version}`).rejects.toThrow("never altered");
    expect(await read()).toEqual(before);
  });

  it("keeps its media from being collected; media nobody mentions go after a week", async () => {
    const nia = await makePerson();
    const t = await makeTimeline(nia.id);
    for (const id of ["kept", "loose"]) {
      await db()`insert into blob (hash, size, type) values (${`h-${id}`}, 1, 'image/webp')`;
      await db()`insert into media (id, timeline_id, kind, name, created_by, created_at) values (${id}, ${t}, 'picture', '', ${nia.id}, now() - interval '8 days')`;
      await db()`insert into media_file (media_id, size, hash) values (${id}, 'small', ${`h-${id}`})`;
    }
    await edit(t, nia.id, {
      kind: "add_item",
      id: "i1",
      fields: { of: "timeline", list: "media", media: "kept", kind: "picture" },
    });
    await db().begin((tx) => freeze(tx, t, nia.id, "frozen_copy"));
    // Even gone from the draft's rows, what is frozen stays.
    await db()`delete from item where timeline_id = ${t}`;
    expect(await collectMedia()).toEqual({ media: 1, blobs: 1 });
    expect((await db()`select id from media where timeline_id = ${t}`).map((r) => r.id)).toEqual(["kept"]);
  });
});
