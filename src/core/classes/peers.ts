import { seeded, shuffled } from "./random";

/** Somebody who reads others' work; `group`: whose work is their own. */
export interface Reader {
  id: string;
  group: string;
}

/**
 * Gives every reader `count` works of others to read, so that each work is read about equally often: whoever is next takes the works
 * that fewest read so far, by lot among equals. Nobody reads the work of their own group, or one twice. With fewer others than `count`
 * each reads all of them. The same seed gives the same.
 */
export function drawReviews(
  readers: readonly Reader[],
  works: readonly string[],
  count: number,
  seed: number,
): { reader: string; work: string }[] {
  const random = seeded(seed);
  const read = new Map(works.map((w) => [w, 0]));
  return shuffled(readers, random).flatMap((r) => {
    const others = shuffled(
      works.filter((w) => w !== r.group),
      random,
    ).sort((a, b) => read.get(a)! - read.get(b)!);
    return others.slice(0, count).map((work) => {
      read.set(work, read.get(work)! + 1);
      return { reader: r.id, work };
    });
  });
}

export interface Agreement {
  count: number;
  /** To half a point. */
  mean: number;
  least: number;
  most: number;
  /** "close": all within a tenth of the total of each other; "apart": more than a quarter. */
  how: "close" | "some" | "apart";
}

/** How far those who read a work agree; null where fewer than two have. */
export function agreementOf(points: readonly number[], total: number): Agreement | null {
  if (points.length < 2) return null;
  const [least, most] = [Math.min(...points), Math.max(...points)];
  const spread = (most - least) / total;
  return {
    count: points.length,
    mean: Math.round((points.reduce((s, p) => s + p, 0) / points.length) * 2) / 2,
    least,
    most,
    how: spread <= 0.1 ? "close" : spread > 0.25 ? "apart" : "some",
  };
}
