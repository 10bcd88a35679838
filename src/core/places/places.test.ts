import fc from "fast-check";
import { readFileSync } from "node:fs";
import { describe, expect, it } from "vitest";
import { coordinatesText, readCoordinates } from "./coordinates";
import { gatherPoints } from "./gather";
import { nearestTown, plainName, readGazetteer, searchTowns, townsWithin } from "./gazetteer";

describe("the gazetteer", () => {
  const all = readGazetteer(readFileSync("data/gazetteer.txt", "utf8"));
  const country = new Intl.DisplayNames("en", { type: "region" });
  const found = (text: string, most = 5) =>
    searchTowns(all, text, most, (c) => country.of(c) ?? c).map((f) => `${f.town.name}, ${f.town.country}`);

  it.each<[string, string]>([
    ["London", "London, GB"],
    ["londinium", "London, GB"],
    ["London, Canada", "London, CA"],
    ["London, CA", "London, CA"],
    ["munchen", "Munich, DE"],
    ["München", "Munich, DE"],
    ["Constantinople", "Istanbul, TR"],
    ["Danzig", "Gdańsk, PL"],
    ["Leningr", "Saint Petersburg, RU"],
    ["SYRACUSE, Italy", "Siracusa, IT"],
    ["são paulo", "São Paulo, BR"],
  ])("“%s” is %s", (text, first) => expect(found(text)[0]).toBe(first));

  it("what it lacks gives nothing, and one letter is too few", () => {
    for (const text of ["", "x", "12 Mill Lane", "Ambrelford", "London, Atlantis", ",,,"])
      expect(found(text)).toEqual([]);
  });

  it.each<[string, string | undefined]>([
    ["12 Mill Lane, Bristol", "Bristol, GB"],
    ["12 Mill Lane, Bristol, United Kingdom", "Bristol, GB"],
    ["the old mill near Bristol", "Bristol, GB"],
    ["somewhere in old Danzig", "Gdańsk, PL"],
    ["Ambrelford", undefined],
    ["the ford below the church", undefined],
    ["", undefined],
  ])("within “%s” the town is %s", (text, first) => {
    const [town] = townsWithin(all, text, 3, (c) => country.of(c) ?? c);
    expect(town && `${town.town.name}, ${town.town.country}`).toBe(first);
  });

  it("the nearest town to a point is that town itself, and how far it is goes around the earth", () => {
    for (const town of all.towns.filter((_, i) => i % 4_001 === 0)) {
      const near = nearestTown(all, town)!;
      expect(near.km).toBeLessThan(0.01);
    }
    // A degree of latitude is 111.2 km; across the 180th meridian it is not far.
    const one = [{ name: "A", others: [], country: "GB", lat: 0, lon: 179.5, people: 1 }];
    expect(nearestTown({ ...all, towns: one }, { lat: 1, lon: 179.5 })!.km).toBeCloseTo(111.19, 1);
    expect(nearestTown({ ...all, towns: one }, { lat: 0, lon: -179.5 })!.km).toBeCloseTo(111.19, 1);
    expect(nearestTown({ ...all, towns: [] }, { lat: 0, lon: 0 })).toBe(null);
  });

  it("whole names come before begun ones, and large towns before small", () => {
    const [first, ...rest] = searchTowns(all, "York", 20, (c) => c);
    expect(first!.town.name).toBe("York");
    const begun = rest.filter((f) => plainName(f.by) !== "york").map((f) => f.town.people);
    expect(begun.length).toBeGreaterThan(0);
  });

  it("each of its towns is found by each of its names", () => {
    for (const town of all.towns.filter((_, i) => i % 997 === 0 || i < 40))
      for (const name of [town.name, ...town.others])
        expect([name, searchTowns(all, `${name}, ${town.country}`, 50, (c) => c).some((f) => f.town === town)]).toEqual(
          [name, true],
        );
  });
});

it.each<[string, ReturnType<typeof readCoordinates>]>([
  ["51.5, -0.125", { lat: 51.5, lon: -0.125 }],
  ["51.5 -0.125", { lat: 51.5, lon: -0.125 }],
  ["51.5; 0", { lat: 51.5, lon: 0 }],
  ["51°30'N 0°7'30\"W", { lat: 51.5, lon: -0.125 }],
  ["33° 51′ 31″ S, 151° 12′ 40″ E", { lat: -33.85861, lon: 151.21111 }],
  ["48.137 N, 11.575 O", { lat: 48.137, lon: 11.575 }],
  ["95, 10", "latitude"],
  ["10, 181", "longitude"],
  ["91°0'N 0°0'E", "latitude"],
  ["Ambrelford", null],
  ["51.5", null],
  ["", null],
])("coordinates “%s”", (text, point) => expect(readCoordinates(text)).toEqual(point));

it("coordinates that are written are read again", () =>
  fc.assert(
    fc.property(
      fc.integer({ min: -9_000_000, max: 9_000_000 }),
      fc.integer({ min: -18_000_000, max: 18_000_000 }),
      (a, b) => {
        const point = { lat: a / 100_000, lon: b / 100_000 };
        expect(readCoordinates(coordinatesText(point))).toEqual({ lat: point.lat + 0, lon: point.lon + 0 });
      },
    ),
  ));

it("every point is in exactly one mark, near what began it; far ones stand alone", () =>
  fc.assert(
    fc.property(
      fc.array(fc.record({ x: fc.integer({ min: -500, max: 2_000 }), y: fc.integer({ min: -500, max: 1_000 }) }), {
        maxLength: 120,
      }),
      fc.integer({ min: 4, max: 80 }),
      (points, near) => {
        const marks = gatherPoints(points, near);
        expect(marks.flatMap((m) => m.of).toSorted((a, b) => a - b)).toEqual(points.map((_, i) => i));
        for (const m of marks) {
          const first = points[m.of[0]!]!;
          for (const i of m.of)
            expect(Math.hypot(points[i]!.x - first.x, points[i]!.y - first.y)).toBeLessThanOrEqual(near);
        }
        // What began two marks does not lie nearer than that.
        const firsts = marks.map((m) => points[m.of[0]!]!);
        for (const [i, a] of firsts.entries())
          for (const b of firsts.slice(i + 1)) expect(Math.hypot(a.x - b.x, a.y - b.y)).toBeGreaterThan(near);
      },
    ),
  ));
