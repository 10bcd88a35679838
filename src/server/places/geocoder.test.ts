import { afterEach, describe, expect, it } from "vitest";
import { knowLanguages } from "@/core/testing/languages";
import { speakIn } from "@/core/language/spoken";
import { geocoder } from "./geocoder";

const LANGUAGES = knowLanguages();
afterEach(() => {
  delete process.env.GEOCODER;
});
const search = (words: string) => geocoder().search(words);

describe("what knows where places lie", () => {
  it("finds a town by any of its names, and says which town and country that is", async () => {
    const [vienna] = await search("Vienna");
    expect(vienna).toMatchObject({ name: "Vienna", more: expect.stringContaining("Austria") });
    const [same] = await search("Wien");
    expect([same!.lat, same!.lon]).toEqual([vienna!.lat, vienna!.lon]);
    expect(same!.name).toBe("Wien");
    expect(Math.abs(vienna!.lat - 48.2) + Math.abs(vienna!.lon - 16.4)).toBeLessThan(0.5);
    expect((await search("Springfield")).length).toBeGreaterThan(1);
    expect((await search("Paris")).length).toBeLessThanOrEqual(8);
  });

  it("finds the town within what was written, and nothing where none is", async () => {
    const found = await search("St Stephen's cathedral, Vienna");
    expect(found[0]).toMatchObject({ within: true });
    expect(found.length).toBeLessThanOrEqual(3);
    for (const words of ["", "   ", "Ambrelford ferry stage", "%", "x".repeat(5_000)])
      expect([words.slice(0, 9), await search(words)]).toEqual([words.slice(0, 9), []]);
  });

  it("says a country in the language one is spoken to", async () => {
    const said = await Promise.all(LANGUAGES.map((l) => speakIn(l, async () => (await search("Vienna"))[0]!.more)));
    for (const [i, name] of ["Austria", "Österreich", "Austria"].entries()) expect(said[i]).toContain(name);
  });

  it("names what lies nearest, with how far it is; also over the line where days change, and at a pole", async () => {
    const [vienna] = await search("Vienna");
    const here = await geocoder().nearest(vienna!);
    expect(here).toMatchObject({ lat: vienna!.lat, km: expect.any(Number) });
    expect(here!.km).toBeLessThan(1);
    const [east, west] = [
      await geocoder().nearest({ lat: -17, lon: 179.999 }),
      await geocoder().nearest({ lat: -17, lon: -179.999 }),
    ];
    expect(east!.name).toBe(west!.name);
    const pole = await geocoder().nearest({ lat: 90, lon: 0 });
    if (pole) expect(pole.km).toBeGreaterThan(500);
  });

  it("is what the configuration calls, and says what there is where that is none", () => {
    process.env.GEOCODER = "none";
    expect(() => geocoder()).toThrow(/GEOCODER is "none".*gazetteer/);
  });
});
