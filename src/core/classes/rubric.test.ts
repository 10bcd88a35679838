import { describe, expect, it } from "vitest";
import { rubricSumText } from "../words/setting";
import { type Chosen, type Rubric, rubricFrom, rubricProblem, rubricSum } from "./rubric";

const levels = (...points: number[]) => points.map((p) => ({ name: `${p}`, text: "", points: p }));
const RUBRIC: Rubric = {
  name: "Crossing",
  criteria: [
    { name: "Dates", weight: 2, levels: levels(4, 3, 2, 0) },
    { name: "Sources", weight: 1, levels: levels(4, 2, 0) },
  ],
};

describe("the sum of a rubric", () => {
  it.each<[Chosen, number, number | null, string]>([
    [[0, 0], 20, 20, "Dates 4 of 4, counted 2 times; Sources 4 of 4. Together 12 of 12, which is 20 of 20."],
    [[1, 1], 20, 13.5, "Dates 3 of 4, counted 2 times; Sources 2 of 4. Together 8 of 12, which is 13.5 of 20."],
    [[1, 1], 12, 8, "Dates 3 of 4, counted 2 times; Sources 2 of 4. Together 8 of 12."],
    [[3, 2], 20, 0, "Dates 0 of 4, counted 2 times; Sources 0 of 4. Together 0 of 12, which is 0 of 20."],
    [[1, null], 20, null, "Dates 3 of 4, counted 2 times. Still open: Sources."],
    [[], 20, null, "Still open: Dates, Sources."],
    // A number that is no level of its criterion is nothing chosen.
    [[9, 0], 20, null, "Sources 4 of 4. Still open: Dates."],
  ])("%j of %d is %s", (chosen, total, points, text) => {
    const sum = rubricSum(RUBRIC, chosen, total);
    expect(sum.points).toBe(points);
    expect(rubricSumText(sum, total)).toBe(text);
  });

  it("is a half point at finest, never under 0 or over the total, and never less for a better level", () => {
    for (let total = 1; total <= 60; total++)
      for (let a = 0; a < 4; a++)
        for (let b = 0; b < 3; b++) {
          const { points } = rubricSum(RUBRIC, [a, b], total);
          expect(points! * 2).toBe(Math.round(points! * 2));
          expect(points).toBeGreaterThanOrEqual(0);
          expect(points).toBeLessThanOrEqual(total);
          if (a > 0) expect(rubricSum(RUBRIC, [a - 1, b], total).points).toBeGreaterThanOrEqual(points!);
        }
  });
});

describe("a rubric", () => {
  it("must tell better from worse, and name what it looks at", () => {
    expect(rubricProblem(RUBRIC)).toBeNull();
    const equal = { ...RUBRIC, criteria: [{ name: "Dates", weight: 1, levels: levels(2, 2) }] };
    expect(rubricProblem(equal)).toEqual({ criterion: "Dates", code: "all_equal" });
    expect(rubricProblem({ ...RUBRIC, criteria: [{ ...RUBRIC.criteria[0]!, name: " " }] })).toMatchObject({
      code: "no_name",
    });
  });

  it("comes back out of its file as it went in; what is none is none, and what is odd is cut", () => {
    const file = { fastigo: "rubric", version: 1, rubric: RUBRIC };
    expect(rubricFrom(JSON.parse(JSON.stringify(file)))).toEqual(RUBRIC);
    for (const other of [null, 3, "x", [], {}, { ...file, version: 2 }, { ...file, rubric: { criteria: [] } }])
      expect(rubricFrom(other)).toBeNull();
    const odd = rubricFrom({
      ...file,
      rubric: {
        name: 4,
        criteria: [{ name: "a".repeat(500), weight: 99, levels: [{ points: -3 }, { points: 1e9 }] }, 7],
      },
    });
    expect(odd).toEqual({
      name: "",
      criteria: [
        {
          name: "a".repeat(120),
          weight: 10,
          levels: [
            { name: "", text: "", points: 0 },
            { name: "", text: "", points: 100 },
          ],
        },
      ],
    });
  });
});
