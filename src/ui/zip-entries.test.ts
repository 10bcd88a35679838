import { strToU8, zipSync } from "fflate";
import { describe, expect, it } from "vitest";
import { zipEntries } from "./zip-entries";

const FILES = {
  "archive.json": strToU8('{"fastigo":1}'),
  "timelines/1/media/m": Uint8Array.from({ length: 300_000 }, (_, i) => (i * 7919) % 251),
  "empty.txt": new Uint8Array(0),
  "../outside": strToU8("root"),
};
const file = (bytes: Uint8Array) => new File([bytes as BlobPart], "x.zip");
const same = (a: Uint8Array, b: Uint8Array) => Buffer.compare(a, b) === 0;
async function read(of: File, wanted: (path: string) => boolean = () => true): Promise<[string, Uint8Array][]> {
  const found: [string, Uint8Array][] = [];
  for await (const { path, blob } of zipEntries(of, wanted))
    found.push([path, new Uint8Array(await blob.arrayBuffer())]);
  return found;
}

describe("the files of a zip", () => {
  it("come one after the other as they are, packed or not", async () => {
    for (const level of [0, 6] as const) {
      const found = await read(file(zipSync(FILES, { level })));
      expect([level, found.map(([path]) => path)]).toEqual([level, Object.keys(FILES)]);
      for (const [path, bytes] of found)
        expect([level, path, same(bytes, FILES[path as keyof typeof FILES])]).toEqual([level, path, true]);
    }
  });

  it("whose paths are not wanted are passed over", async () => {
    const found = await read(file(zipSync(FILES)), (path) => /^[\w/.]+$/.test(path) && !path.startsWith(".."));
    expect(found.map(([path]) => path)).toEqual(["archive.json", "timelines/1/media/m", "empty.txt"]);
    expect(await read(file(zipSync(FILES)), () => false)).toEqual([]);
  });

  it("are there as far as the zip goes, where it is cut off; nothing of a file that is not whole", async () => {
    const whole = zipSync(FILES, { level: 6 });
    let most = 0;
    for (let at = 0; at < whole.length; at += Math.max(1, Math.floor(whole.length / 60))) {
      const found = await read(file(whole.subarray(0, at))).catch(() => []);
      for (const [path, bytes] of found)
        expect([at, path, same(bytes, FILES[path as keyof typeof FILES])]).toEqual([at, path, true]);
      most = Math.max(most, found.length);
    }
    expect(most).toBeGreaterThan(0);
  });

  it("are none in a file that is no zip; one that is broken says so", async () => {
    expect(await read(file(strToU8("When,Title\n1604,Ferry")))).toEqual([]);
    expect(await read(file(new Uint8Array(0)))).toEqual([]);
    const broken = zipSync({ a: FILES["timelines/1/media/m"] }, { level: 6 });
    broken.fill(0xff, 40, 400);
    await expect(read(file(broken))).rejects.toThrow();
  });
});
