import { seeded, shuffled } from "./random";

/** What is wanted of groups that are drawn by lot. People are named by their ids. */
export interface Lots {
  people: readonly string[];
  /** How many a group at most; groups are as equal as the pairs allow. */
  size: number;
  /** Never in one group. */
  apart: readonly (readonly [string, string])[];
  /** Always in one group. */
  together: readonly (readonly [string, string])[];
}

export type LotsProblem =
  /** These are to be together and apart at once. */
  | { code: "both"; people: [string, string] }
  /** More are to be together than a group holds. */
  | { code: "too_many_together"; people: string[] }
  /** No way was found that keeps all of them apart. */
  | { code: "none_found" };

/** Tries before it is said that none was found. */
const MOST_TRIES = 400;

/**
 * Draws groups by lot: as many as it takes for groups of `size`, as equal as can be, who belongs together together and who is to be
 * apart apart. The same seed draws the same groups. Those who must be together are placed first, the largest lot first, each into
 * the emptiest group that takes it; a draw that leads nowhere is drawn again.
 */
export function drawLots({ people, size, apart, together }: Lots, seed: number): string[][] | LotsProblem {
  const known = [...new Set(people)];
  if (known.length === 0) return [];
  const lotOf = bound(known, together);
  const lots = [...new Set(lotOf.values())];
  const foes = new Map(known.map((p) => [p, new Set<string>()]));
  for (const [a, b] of apart) {
    if (!foes.has(a) || !foes.has(b) || a === b) continue;
    if (lotOf.get(a) === lotOf.get(b)) return { code: "both", people: [a, b] };
    foes.get(a)!.add(b);
    foes.get(b)!.add(a);
  }
  const count = Math.max(1, Math.ceil(known.length / Math.max(1, size)));
  const most = Math.ceil(known.length / count);
  const large = lots.find((l) => l.length > most);
  if (large) return { code: "too_many_together", people: large };
  const random = seeded(seed);
  for (let tries = 0; tries < MOST_TRIES; tries++) {
    const groups = place(shuffled(lots, random), count, most, foes);
    if (groups) return shuffled(groups, random);
  }
  return { code: "none_found" };
}

/** Puts every lot into the emptiest group in which nobody is to be apart from; null where there is none. */
function place(
  lots: readonly string[][],
  count: number,
  most: number,
  foes: ReadonlyMap<string, ReadonlySet<string>>,
): string[][] | null {
  const groups: string[][] = Array.from({ length: count }, () => []);
  // Whoever is hardest to place first: large lots, then many to be apart from.
  const hard = (lot: string[]) => lot.length * 1_000 + lot.reduce((sum, p) => sum + foes.get(p)!.size, 0);
  for (const lot of [...lots].sort((a, b) => hard(b) - hard(a))) {
    const fits = groups
      .filter((g) => g.length + lot.length <= most && !g.some((p) => lot.some((q) => foes.get(p)!.has(q))))
      .sort((a, b) => a.length - b.length);
    if (!fits[0]) return null;
    fits[0].push(...lot);
  }
  return groups.filter((g) => g.length > 0);
}

/** For each person the lot they are placed with; one array for all of a lot. */
function bound(people: readonly string[], together: Lots["together"]): Map<string, string[]> {
  const lotOf = new Map(people.map((p) => [p, [p]]));
  for (const [a, b] of together) {
    const [x, y] = [lotOf.get(a), lotOf.get(b)];
    if (!x || !y || x === y) continue;
    x.push(...y);
    for (const p of y) lotOf.set(p, x);
  }
  return lotOf;
}
