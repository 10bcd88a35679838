import { listOf, recordOf, textOf } from "../text/loose";
import { object } from "../text/schema";

/** A step of a criterion. Points are whole or halves. */
export interface Level {
  name: string;
  text: string;
  points: number;
}

/** What is looked at, in steps, the best first. `weight`: how often it counts. */
export interface Criterion {
  name: string;
  weight: number;
  levels: Level[];
}

export interface Rubric {
  name: string;
  criteria: Criterion[];
}

export const MOST_CRITERIA = 12;
export const MOST_LEVELS = 8;

const line = (maxLength: number, minLength = 0) => ({ type: "string", minLength, maxLength });
export const RUBRIC_SCHEMA = object({
  name: line(120),
  criteria: {
    type: "array",
    minItems: 1,
    maxItems: MOST_CRITERIA,
    items: object({
      name: line(120, 1),
      weight: { type: "integer", minimum: 1, maximum: 10 },
      levels: {
        type: "array",
        minItems: 2,
        maxItems: MOST_LEVELS,
        items: object({
          name: line(60),
          text: line(600),
          points: { type: "number", minimum: 0, maximum: 100, multipleOf: 0.5 },
        }),
      },
    }),
  },
});

/** Reads a rubric out of a file that was taken out here; null where there is none. What is too long or too much is cut. */
export function rubricFrom(file: unknown): Rubric | null {
  const number = (value: unknown, least: number, most: number) =>
    typeof value === "number" && Number.isFinite(value) ? Math.min(most, Math.max(least, value)) : least;
  const outer = recordOf(file);
  if (outer.fastigo !== "rubric" || outer.version !== 1) return null;
  const rubric = recordOf(outer.rubric);
  const criteria = listOf(rubric.criteria)
    .slice(0, MOST_CRITERIA)
    .map(recordOf)
    .map((c) => ({
      name: textOf(c.name, 120),
      weight: Math.round(number(c.weight, 1, 10)),
      levels: listOf(c.levels)
        .slice(0, MOST_LEVELS)
        .map(recordOf)
        .map((l) => ({
          name: textOf(l.name, 60),
          text: textOf(l.text, 600),
          points: Math.round(number(l.points, 0, 100) * 2) / 2,
        })),
    }))
    .filter((c) => c.name.trim() !== "" && c.levels.length > 1);
  return criteria.length > 0 ? { name: textOf(rubric.name, 120), criteria } : null;
}

/** What was chosen: for each criterion the number of its level, or null. */
export type Chosen = readonly (number | null)[];

export interface RubricSum {
  /** Weighted points of what was chosen, of so many. */
  have: number;
  of: number;
  /** Marked out of the total of the assignment, to the next half point; null while a criterion is open. */
  points: number | null;
  /** How it came about, criterion by criterion. */
  parts: { name: string; points: number; best: number; weight: number }[];
  /** Criteria without a level. */
  open: string[];
}

/** The best a criterion gives. */
export function bestOf(c: Criterion): number {
  return Math.max(...c.levels.map((l) => l.points));
}

/** Adds up what was chosen. A number that is no level of its criterion counts as nothing chosen. */
export function rubricSum(rubric: Rubric, chosen: Chosen, total: number): RubricSum {
  const parts: RubricSum["parts"] = [];
  const open: string[] = [];
  let have = 0;
  let of = 0;
  rubric.criteria.forEach((c, i) => {
    const best = bestOf(c);
    of += best * c.weight;
    const level = c.levels[chosen[i] ?? -1];
    if (!level) open.push(c.name);
    else {
      have += level.points * c.weight;
      parts.push({ name: c.name, points: level.points, best, weight: c.weight });
    }
  });
  // Half points: what is shown is what counts.
  const points = open.length > 0 ? null : of === 0 ? 0 : Math.round(((have * total) / of) * 2) / 2;
  return { have, of, points, parts, open };
}

/** What is wrong with a rubric, or null: every criterion must be able to tell better from worse. */
export function rubricProblem(rubric: Rubric): { criterion: string; code: "no_name" | "all_equal" } | null {
  for (const c of rubric.criteria) {
    if (c.name.trim() === "") return { criterion: "", code: "no_name" };
    if (new Set(c.levels.map((l) => l.points)).size < 2) return { criterion: c.name, code: "all_equal" };
  }
  return null;
}
