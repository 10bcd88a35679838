import { describe, expect, it } from "vitest";
import { db } from "../db/pool";
import { addJob } from "../jobs/queue";
import { makePerson, withTestDatabase } from "../testing/test-database";
import { beginFile, findFile, forgetFiles, KEPT_HOURS, removeFile, setJob, streamFile, writeFile } from "./made-files";

withTestDatabase("made_files");

const begin = (account: string, name = "poster.pdf") =>
  db().begin((tx) => beginFile(tx, { account, timeline: null, name, type: "application/pdf" }));
const bytesOf = (n: number) => Uint8Array.from({ length: n }, (_, i) => (i * 7919 + (i >> 9)) % 256);
async function* inParts(bytes: Uint8Array, by: number): AsyncGenerator<Uint8Array> {
  for (let at = 0; at < bytes.length; at += by) yield bytes.subarray(at, at + by);
}
const read = async (id: string) => Buffer.from(await new Response(streamFile(id)).arrayBuffer());

describe("a file that is made for somebody", () => {
  it("is seen by nobody else, and is whole once it is made: byte for byte, however it comes", async () => {
    const [nia, obi] = [await makePerson("Nia"), await makePerson("Obi")];
    const id = await begin(nia.id);
    expect(await findFile(id, nia.id)).toMatchObject({
      name: "poster.pdf",
      madeAt: null,
      size: 0,
      job: null,
      notices: [],
    });
    expect(await findFile(id, obi.id)).toBeNull();
    for (const [size, by] of [
      [0, 1],
      [1, 1],
      [1_048_575, 400_000],
      [1_048_576, 1_048_576],
      [1_048_577, 300_001],
      [3_500_000, 3_500_000],
    ] as const) {
      const bytes = bytesOf(size);
      await writeFile(id, inParts(bytes, by), ["One label is left out."]);
      expect([size, Buffer.compare(await read(id), bytes)]).toEqual([size, 0]);
      expect(await findFile(id, nia.id)).toMatchObject({
        size,
        notices: ["One label is left out."],
        madeAt: expect.any(Date),
      });
    }
    await removeFile(id, obi.id);
    expect(await findFile(id, nia.id)).not.toBeNull();
    await removeFile(id, nia.id);
    expect([await findFile(id, nia.id), (await read(id)).length]).toEqual([null, 0]);
  });

  it("that broke off is not there, and is written anew from its beginning when its job runs again", async () => {
    const nia = await makePerson();
    const id = await begin(nia.id);
    async function* broken() {
      yield bytesOf(2_500_000);
      throw new Error("killed");
    }
    await expect(writeFile(id, broken())).rejects.toThrow("killed");
    expect(await findFile(id, nia.id)).toMatchObject({ madeAt: null, size: 0 });
    await writeFile(id, [bytesOf(700)]);
    expect(Buffer.compare(await read(id), bytesOf(700))).toBe(0);
  });

  it("says how far its job is", async () => {
    const nia = await makePerson();
    const id = await begin(nia.id);
    const job = await addJob(db(), "submission_drawing", `f${id}`, { submission: "none" });
    await db().begin((tx) => setJob(tx, id, Number(job)));
    expect((await findFile(id, nia.id))!.job).toMatchObject({ state: "waiting", done: 0 });
    await db()`update job set state = 'running', done = 3, total = 9 where id = ${job!}`;
    expect((await findFile(id, nia.id))!.job).toMatchObject({ state: "running", done: 3, total: 9, failed: null });
  });

  it("is one of twelve at most, the oldest goes first; and none is kept longer than is said", async () => {
    const [nia, obi] = [await makePerson("Nia"), await makePerson("Obi")];
    const theirs = await begin(obi.id);
    const made: string[] = [];
    for (let i = 0; i < 14; i++) made.push(await begin(nia.id, `${i}.pdf`));
    const there = await Promise.all(made.map(async (id) => (await findFile(id, nia.id)) !== null));
    expect(there).toEqual([false, false, ...Array.from({ length: 12 }, () => true)]);
    const old = made[5]!;
    await db()`update made_file set at = now() - ${`${KEPT_HOURS} hours 1 minute`}::interval where id = ${old}`;
    await writeFile(old, [bytesOf(10)]);
    await forgetFiles(new Date());
    expect(await findFile(old, nia.id)).toBeNull();
    expect(await db()`select from made_piece where file_id = ${old}`).toHaveLength(0);
    for (const [id, of] of [
      [made[6]!, nia.id],
      [theirs, obi.id],
    ] as const)
      expect(await findFile(id, of)).not.toBeNull();
  });
});
